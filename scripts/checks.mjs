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
const curves = report.testResults.flatMap((f) => f.assertionResults.flatMap((t) => t.meta?.curve ?? []))
const points = (x) => (100 * x).toFixed(1)
writeFileSync(
  'docs/method/curves.md',
  `# Curves and their misfit

Made by \`npm run checks\`; do not edit. How far the curve of each material lies from its points: water in points of
volume, curve less point. The points at 5, 10, 50 and 100 cm are fitted; those at 2, 20 and 30 cm are not. Then the air
of a 7.6 cm core: by the curve, and as known.

| material | macropores | 2 | 5 | 10 | 20 | 30 | 50 | 100 | air, core | known |
| --- | --: | --: | --: | --: | --: | --: | --: | --: | --: | --- |
${curves
  .map(
    (c) =>
      `| ${c.material} | ${points(c.macropores)} | ${c.misses.map(points).join(' | ')} | ${points(c.air)} | ${points(c.known[1])} (${points(c.known[0])} to ${points(c.known[2])}) |`,
  )
  .join('\n')}
`,
)
console.log(`${checks.length} outside checks written to docs/method/checks.md`)
process.exit(status)
