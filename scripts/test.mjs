/** npm test: lint, types, unit tests, browser tests; counts them all and ends with one line. */
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { bin, ensureFolder, ensureInstalled, hear, run, runBrowserTests } from './lib/setup.mjs'

const started = Date.now()
ensureInstalled()
ensureFolder('test-results')
let passed = 0
let failed = 0
const seconds = () => `${((Date.now() - started) / 1000).toFixed(0)} s`

/** Runs them side by side, each with its words kept together. */
async function steps(list) {
  const done = await Promise.all(
    list.map(async ([name, command, args]) => ({ name, ...(await hear(bin(command), args)) })),
  )
  for (const { name, status, said } of done) {
    console.log(`\n== ${name}\n${said}`.trimEnd())
    if (status === 0) passed++
    else failed++
  }
}

const FORMATTED = ['src', 'server', 'cli', 'e2e', 'scripts', 'bench']
await steps([
  ['Lint', 'eslint', ['.', '--max-warnings', '0']],
  ['Format', 'prettier', ['--check', '--log-level', 'warn', ...FORMATTED]],
  ['Types', 'vue-tsc', ['-p', 'tsconfig.json', '--noEmit']],
  ['Types of the core, without a browser', 'tsc', ['-p', 'tsconfig.core.json']],
])
console.log(`(${seconds()})`)

console.log('\n== Unit tests')
const unitFile = 'test-results/unit.json'
rmSync(unitFile, { force: true })
const unit = run(bin('vitest'), [
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${unitFile}`,
])
if (existsSync(unitFile)) {
  const report = JSON.parse(readFileSync(unitFile, 'utf8'))
  passed += report.numPassedTests
  failed += report.numFailedTests
  if (unit !== 0 && report.numFailedTests === 0) failed++
} else failed++

console.log(`(${seconds()})`)

console.log('\n== Browser tests')
const { status: browser, report } = runBrowserTests('test-results/browser.json')
if (report) {
  const { stats } = report
  passed += stats.expected + stats.flaky
  if (stats.flaky > 0) console.log(`${stats.flaky} of them passed only when tried again.`)
  failed += stats.unexpected
  if (browser !== 0 && stats.unexpected === 0) failed++
} else failed++

console.log(`\nAll of it took ${seconds()}.`)
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
