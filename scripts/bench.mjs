/** npm run bench [-- name]: bundles bench/name.bench.ts for plain Node and runs it; prints ratios.
 * --check holds them to bench/baseline.json, --write makes them the baseline. */
import { bin, ensureInstalled, run } from './lib/setup.mjs'

ensureInstalled()
const name = process.argv.slice(2).find((a) => !a.startsWith('-')) ?? 'core'
const flags = process.argv.slice(2).filter((a) => a.startsWith('-'))
const built = run(bin('vite'), [
  'build',
  '--ssr',
  `bench/${name}.bench.ts`,
  '--outDir',
  '.cache/bench',
  '--logLevel',
  'warn',
])
process.exit(built === 0 ? run(process.execPath, [`.cache/bench/${name}.bench.js`, ...flags]) : built)
