/** npm run bench: bundles bench/ for plain Node and runs it; prints ratios. */
import { bin, ensureInstalled, run } from './lib/setup.mjs'

ensureInstalled()
const built = run(bin('vite'), [
  'build',
  '--ssr',
  'bench/core.bench.ts',
  '--outDir',
  '.cache/bench',
  '--logLevel',
  'warn',
])
process.exit(built === 0 ? run(process.execPath, ['.cache/bench/core.bench.js']) : built)
