/** npm run faults: the fault list at full length. A thousand tabs killed, every fault of the database, all mutants. */
import { bin, ensureFolder, ensureInstalled, run, runBrowserTests } from './lib/setup.mjs'

ensureInstalled()
ensureFolder('test-results')
const unit = run(bin('vitest'), ['run', 'src/storage', 'src/stores'])
const suites = ['crash', 'faults', 'storage', 'gone'].map((name) => `e2e/${name}.spec.ts`)
const KILLS = process.env.KILLS ?? '1000'
const { status: browser, report } = runBrowserTests('test-results/faults.json', suites, { KILLS })

if (report) {
  const rows = []
  const walk = (suite) => {
    for (const spec of suite.specs ?? [])
      for (const test of spec.tests)
        for (const { type, description } of test.annotations) if (type === 'fault') rows.push(description)
    for (const inner of suite.suites ?? []) walk(inner)
  }
  report.suites.forEach(walk)
  console.log(`\n${rows.map((row) => `- ${row}`).join('\n')}`)
}
process.exit(unit || browser)
