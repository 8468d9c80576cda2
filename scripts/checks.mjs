/** npm run checks: runs the unit tests and writes docs/method/checks.md from every outside check among them. */
import { readFileSync, writeFileSync } from 'node:fs'
import { bin, ensureFolder, ensureInstalled, run } from './lib/setup.mjs'

ensureInstalled()
ensureFolder('test-results')
const file = 'test-results/checks.json'
const status = run(bin('vitest'), ['run', 'src/core', '--reporter=json', `--outputFile=${file}`])
const report = JSON.parse(readFileSync(file, 'utf8'))
const checks = report.testResults.flatMap((f) =>
  f.assertionResults.flatMap((t) => t.meta?.outsideCheck ?? []),
)
const figure = (x) => (Math.abs(x) >= 1000 ? x.toFixed(1) : String(Number(x.toPrecision(5))))
const expected = (e) => (typeof e === 'number' ? figure(e) : `${figure(e.low)} to ${figure(e.high)}`)
const modules = [...new Set(checks.map((c) => c.module))].sort()
const count = (basis) => checks.filter((c) => c.basis === basis).length
const bases = [...new Set(checks.map((c) => c.basis))].sort()
const missed = checks.filter((c) => c.missed)
const set = checks.filter((c) => c.usedToSet)
const unsourced = checks.filter((c) => c.basis === 'from memory').length
const recalled = checks.filter((c) => c.basis === 'from memory' || /from memory/.test(c.source)).length
writeFileSync(
  'docs/method/checks.md',
  `# Outside checks

Made by \`npm run checks\` from the tests; do not edit. ${checks.length} checks: ${bases.map((b) => `${count(b)} ${b}`).join(', ')}.
No source was opened while this was written: figures of published works are as recalled, and where one was too dim to trust, its
source says "from memory". ${recalled} checks are so marked; ${unsourced} of them (${((100 * unsourced) / checks.length).toFixed(0)} %) have no source to name.
*Difference* is the distance to the value or to the nearer end of the band. ${set.length} checks marked *set* were used
to choose the parameter named, so their agreement proves nothing new. ${missed.length} are missed by more than their
tolerance; they stand in the tables in bold, with the reason below.

## Missed

${missed.map((c) => `- **${c.what}**: expected ${expected(c.expected)} ${c.unit}, computed ${figure(c.computed)}. ${c.missed}`).join('\n')}

${modules
  .map(
    (m) => `## ${m}

| what | source | expected | tolerance | computed | difference | set |
| --- | --- | --- | --- | --- | --- | --- |
${checks
  .filter((c) => c.module === m)
  .map(
    (c) =>
      `| ${c.missed ? `**${c.what}**` : c.what} | ${c.source} | ${expected(c.expected)} ${c.unit} | ${figure(c.tolerance)} | ${figure(c.computed)} | ${figure(c.difference)} | ${c.usedToSet ?? ''} |`,
  )
  .join('\n')}
`,
  )
  .join('\n')}`,
)
console.log(`${checks.length} outside checks written to docs/method/checks.md`)
process.exit(status)
