/** npm run bench [-- name]: bundles bench/name.bench.ts for plain Node and runs it; prints ratios. */
import { bin, ensureInstalled, run } from './lib/setup.mjs'

ensureInstalled()
const name = process.argv[2] ?? 'core'
const built = run(bin('vite'), [
  'build',
  '--ssr',
  `bench/${name}.bench.ts`,
  '--outDir',
  '.cache/bench',
  '--logLevel',
  'warn',
])
process.exit(built === 0 ? run(process.execPath, [`.cache/bench/${name}.bench.js`]) : built)
