/**
 * npm test: lint, format, types, unit tests, browser tests, in under five minutes; ends with the ten slowest tests and
 * one line that counts them all. `npm run test:long` tries every case of the random tests, every browser test, the
 * types of the core without a browser, and a sample of mutants, and every benchmark in short.
 */
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { totalmem } from 'node:os'
import { appBuilds, bin, ensureFolder, ensureInstalled, hear, run, runBrowserTests } from './lib/setup.mjs'

const isLong = process.argv.includes('--long')
const started = Date.now()
ensureInstalled()
ensureFolder('test-results')
if (isLong) process.env.LONG = '1'
let passed = 0
let failed = 0
/** Every test with how long it took, ms. */
const timed = []
const seconds = () => `${((Date.now() - started) / 1000).toFixed(0)} s`

/**
 * Room for what is young: the linter and the compiler throw away most of what they make. Megabytes; where a machine has
 * little memory the two of them beside each other get less.
 */
const YOUNG = totalmem() > 12 * 2 ** 30 ? 256 : 64
const ROOMY = [`--min-semi-space-size=${YOUNG}`, `--max-semi-space-size=${YOUNG}`]

/** Runs a program; its words come when it has ended, so that those of two never mix. */
async function step(name, command, args) {
  const begun = Date.now()
  const { status, said } = await hear(process.execPath, [...ROOMY, bin(command), ...args])
  console.log(`\n== ${name} (${((Date.now() - begun) / 1000).toFixed(0)} s)\n${said}`.trimEnd())
  if (status === 0) passed++
  else failed++
}
/** Two rows take from one list, one for each core: who is done takes the next. */
async function inTwoRows(steps) {
  const left = [...steps]
  const row = async () => {
    for (let next = left.shift(); next; next = left.shift()) await step(...next)
  }
  await Promise.all([row(), row()])
}

const CACHE = 'node_modules/.cache/open-bed'
const FORMATTED = ['src', 'server', 'cli', 'e2e', 'scripts', 'bench']
const LINT_FLAGS = `. --max-warnings 0 --cache --cache-location ${CACHE}/eslint --cache-strategy content`
const LINT = ['Lint', 'eslint', LINT_FLAGS.split(' ')]
const FORMAT = ['Format', 'oxfmt', ['--list-different', ...FORMATTED]]
const UNUSED = ['Nothing unused', 'knip', ['--cache', '--cache-location', `${CACHE}/knip`]]
const TYPES = [
  'Types',
  'vue-tsc',
  ['-p', 'tsconfig.json', '--noEmit', '--incremental', '--tsBuildInfoFile', `${CACHE}/types.tsbuildinfo`],
]
const CORE_TYPES = ['Types of the core, without a browser', 'tsc', ['-p', 'tsconfig.core.json']]

async function unitTests() {
  const file = 'test-results/unit.json'
  rmSync(file, { force: true })
  const begun = Date.now()
  const { status, said } = await hear(bin('vitest'), [
    'run',
    '--reporter=dot',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ])
  console.log(`\n== Unit tests (${((Date.now() - begun) / 1000).toFixed(0)} s)\n${said}`.trimEnd())
  if (!existsSync(file)) return void failed++
  const report = JSON.parse(readFileSync(file, 'utf8'))
  passed += report.numPassedTests
  failed += report.numFailedTests
  if (status !== 0 && report.numFailedTests === 0) failed++
  for (const { assertionResults } of report.testResults)
    for (const t of assertionResults) timed.push({ name: t.fullName, ms: t.duration ?? 0 })
}

function browserTests() {
  console.log('\n== Browser tests')
  const { status, report } = runBrowserTests('test-results/browser.json')
  if (!report) return void failed++
  const { stats } = report
  passed += stats.expected
  failed += stats.unexpected + stats.flaky
  if (status !== 0 && stats.unexpected === 0) failed++
  const walk = (suite) => {
    for (const spec of suite.specs ?? [])
      for (const t of spec.tests) for (const r of t.results) timed.push({ name: spec.title, ms: r.duration })
    for (const inner of suite.suites ?? []) walk(inner)
  }
  report.suites.forEach(walk)
}

console.log('Random tests begin at seed', process.env.SEED ?? '20261124', '(SEED=… begins elsewhere).')
// The longest come first; the browser comes last and has both cores.
await inTwoRows([TYPES, LINT, ...appBuilds(), UNUSED, ...(isLong ? [CORE_TYPES] : []), FORMAT])
console.log(`(${seconds()})`)
await unitTests()
console.log(`(${seconds()})`)
browserTests()
if (isLong) {
  // They run to the end and find what they press; the ratios of the core stay within a fifth of the baseline.
  const short = { ...process.env, LONG: '', SHORT: '1' }
  const benches = ['bench.mjs core --check', 'bench.mjs water', '../bench/page.mjs', '../bench/play.mjs']
  for (const bench of [...benches, '../bench/log.mjs', '../bench/garden.mjs', '../bench/flame.mjs']) {
    console.log(`(${seconds()})\n\n== ${bench}`)
    const [file, ...flags] = bench.split(' ')
    if (run(process.execPath, [`scripts/${file}`, ...flags], { env: short }) === 0) passed++
    else failed++
  }
  console.log(`(${seconds()})\n\n== A sample of mutants`)
  // Mutants are tried on the tests of the short run.
  const env = { ...process.env, LONG: '' }
  if (run(process.execPath, ['scripts/mutate.mjs', '--sample', '40'], { env }) === 0) passed++
  else failed++
}

console.log('\nThe ten slowest:')
for (const { name, ms } of timed.sort((a, b) => b.ms - a.ms).slice(0, 10))
  console.log(`  ${(ms / 1000).toFixed(1).padStart(5)} s  ${name}`)
console.log(`\nAll of it took ${seconds()}.`)
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
