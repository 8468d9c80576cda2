/** npm run ratio: lines of test against lines of code; data, generated files and blank lines left out. */
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { root } from './lib/setup.mjs'

const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: root })
  .toString()
  .split('\n')
  .filter((f) => /\.(ts|vue|mjs|css)$/.test(f) || f === '.ci/run')
const lines = (f) =>
  readFileSync(f, 'utf8')
    .split('\n')
    .filter((l) => l.trim() !== '').length
const isTest = (f) => /\.test\.ts$/.test(f) || f.startsWith('e2e/') || /^src\/(core\/)?testing\//.test(f)
let test = 0
let code = 0
for (const f of files) {
  if (isTest(f)) test += lines(f)
  else code += lines(f)
}
console.log(
  `code ${code} lines, tests ${test} lines: tests are ${((100 * test) / (code + test)).toFixed(1)} % of all, ${((100 * test) / code).toFixed(1)} % of the code`,
)
