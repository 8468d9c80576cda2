/** npm run faults: the fault list at full length. A thousand tabs killed, every fault of the database, all mutants. */
import { existsSync, readFileSync, rmSync } from 'node:fs'
import {
  bin,
  ensureBuilt,
  ensureChromium,
  ensureFolder,
  ensureInstalled,
  freePort,
  run,
} from './lib/setup.mjs'

ensureInstalled()
ensureBuilt()
ensureFolder('test-results')
const chromium = ensureChromium()
if (!chromium) process.exit(1)
const file = 'test-results/faults.json'
rmSync(file, { force: true })
const unit = run(bin('vitest'), ['run', 'src/storage', 'src/stores'])
const env = {
  ...process.env,
  CHROMIUM: chromium,
  KILLS: process.env.KILLS ?? '1000',
  E2E_PORT: String(freePort()),
  PLAYWRIGHT_JSON_OUTPUT_NAME: file,
}
const suites = ['crash', 'faults', 'storage', 'gone'].map((name) => `e2e/${name}.spec.ts`)
const browser = run(bin('playwright'), ['test', ...suites, '--reporter=list,json'], { env })

if (existsSync(file)) {
  const rows = []
  const walk = (suite) => {
    for (const spec of suite.specs ?? [])
      for (const test of spec.tests)
        for (const { type, description } of test.annotations) if (type === 'fault') rows.push(description)
    for (const inner of suite.suites ?? []) walk(inner)
  }
  JSON.parse(readFileSync(file, 'utf8')).suites.forEach(walk)
  console.log(`\n${rows.map((row) => `- ${row}`).join('\n')}`)
}
process.exit(unit || browser)
