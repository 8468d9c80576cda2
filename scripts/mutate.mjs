/**
 * npm run mutate [-- file …]: would a wrong constant or comparison be seen? Every number of a file of the core is
 * made a tenth larger, every comparison takes its boundary in or out, one change at a time, and the tests that reach
 * the file are run. Prints killed of tried for each file and what survived, and writes docs/method/mutants.md when
 * all of its files were tried. Nothing is written into the sources: the change is made while they are loaded.
 */
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, relative, resolve } from 'node:path'
import ts from 'typescript'
import { createVitest } from 'vitest/node'
import { ensureInstalled, root } from './lib/setup.mjs'

ensureInstalled()
/** The files whose numbers decide most; the tables of limits are held one by one in `core/testing/limits.test.ts`. */
const FILES = [
  'src/core/water/containerProfile.ts',
  'src/core/mixing/packing.ts',
  'src/core/chemistry/acidity.ts',
  'src/core/chemistry/charge.ts',
  'src/core/chemistry/fertilizerAcid.ts',
  'src/core/nutrients/supply.ts',
  'src/core/climate/watering.ts',
  'src/core/batch/planBatches.ts',
  'src/core/batch/measuring.ts',
  'src/core/judgement/judge.ts',
  'src/core/judgement/rules.ts',
  'src/core/judgement/verdicts.ts',
]
const asked = process.argv.slice(2)
if (asked.length !== 1) {
  // A process for each file: the runner keeps the modules of every run in memory.
  const table = (asked.length ? asked : FILES).map((file) => {
    const { stdout } = spawnSync(
      process.execPath,
      ['--max-old-space-size=4096', import.meta.filename, file],
      {
        encoding: 'utf8',
        stdio: ['ignore', 'pipe', 'inherit'],
      },
    )
    process.stdout.write(stdout)
    const counted = stdout.match(/: (\d+) of (\d+) killed/)
    if (!counted) throw new Error(`${file}: the runs did not come to an end`)
    return { file, killed: Number(counted[1]), tried: Number(counted[2]) }
  })
  if (!asked.length) writeTable(table)
  process.exit(0)
}
const [file] = asked

const TURNED = { '<': '<=', '<=': '<', '>': '>=', '>=': '>', '===': '!==', '!==': '===' }
/** Smaller than this a number only keeps rounding from mattering. */
const TOLERANCE = 1e-6

/** Every change of a file: where, what stands there, what is put there. */
function mutantsOf(file) {
  const text = readFileSync(file, 'utf8')
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
  const found = []
  const add = (node, to) =>
    found.push({
      at: node.getStart(),
      end: node.getEnd(),
      from: node.getText(),
      to,
      line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1,
    })
  /**
   * Places in lists and other numbers that are no quantities, and the ends of a limit's range, which decide nothing.
   */
  const isQuantity = (node) => {
    const up = ts.isPrefixUnaryExpression(node.parent) ? node.parent.parent : node.parent
    if (ts.isElementAccessExpression(up)) return false
    if (ts.isCallExpression(up) && /\.(at|slice|toFixed|splice)$/.test(up.expression.getText())) return false
    return (
      !(file.endsWith('limits.ts') || file.endsWith('amounts.ts')) ||
      !/^(low|high)$/.test(up.name?.getText() ?? '')
    )
  }
  const walk = (node) => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return
    if (ts.isNumericLiteral(node) && isQuantity(node)) {
      const value = Number(node.text.replaceAll('_', ''))
      if (value === 0) add(node, '0.1')
      else if (value >= TOLERANCE) add(node, String(value * 1.1))
    }
    if (ts.isBinaryExpression(node) && TURNED[node.operatorToken.getText()])
      add(node.operatorToken, TURNED[node.operatorToken.getText()])
    ts.forEachChild(node, walk)
  }
  walk(source)
  return { text, found }
}

let now = null
const start = async () => {
  const runner = await createVitest(
    'test',
    { watch: false, pool: 'forks', bail: 1, reporters: [{}], silent: true, passWithNoTests: true },
    {
      plugins: [
        {
          name: 'mutate',
          enforce: 'pre',
          transform(code, id) {
            if (!now || id !== now.path) return null
            return code.slice(0, now.at) + now.to + code.slice(now.end)
          },
        },
      ],
    },
  )
  await runner.standalone()
  return runner
}
let vitest = await start()
/** Files a file imports, as far as they are TypeScript of ours. */
function importsOf(path) {
  const text = readFileSync(path, 'utf8')
  return [...text.matchAll(/(?:from|import) '(\.{1,2}\/[^']*|\.{1,2}|@\/[^']*)'/g)].flatMap(([, spec]) => {
    const base = spec.startsWith('@/') ? resolve('src', spec.slice(2)) : resolve(dirname(path), spec)
    return [`${base}.ts`, `${base}/index.ts`].filter((f) => existsSync(f))
  })
}
const reached = new Map()
/** Everything a file reaches. */
function reach(path) {
  if (!reached.has(path)) {
    const all = new Set()
    reached.set(path, all)
    for (const next of importsOf(path)) {
      all.add(next)
      for (const further of reach(next)) all.add(further)
    }
  }
  return reached.get(path)
}
/**
 * The tests of a file's own folder, and those of all limits, as far as they reach it: what lies further off takes
 * long.
 */
const specificationsFor = async (path) =>
  (await vitest.globTestSpecifications()).filter(
    (s) =>
      (dirname(s.moduleId) === dirname(path) || s.moduleId.includes('core/testing/')) &&
      reach(s.moduleId).has(path),
  )

const { found } = mutantsOf(file)
const path = resolve(root, file)
const survivors = []
/** How long a run may take, ms. */
let patience = 600_000
/** Whether the tests notice a change; null changes nothing. */
async function isNoticed(mutant) {
  now = mutant && { ...mutant, path }
  vitest.invalidateFile(path)
  const specifications = await specificationsFor(path)
  // A change that makes a loop endless never comes back: its process is ended, which counts as noticed.
  const alarm = setTimeout(() => spawnSync('pkill', ['-KILL', '-P', String(process.pid)]), patience)
  const result = await vitest.runTestSpecifications(specifications)
  clearTimeout(alarm)
  if (result.unhandledErrors.length > 0) {
    // A change that makes a loop endless takes the whole runner with it.
    await vitest.close()
    vitest = await start()
  }
  return result.unhandledErrors.length > 0 || result.testModules.some((m) => !m.ok())
}
const began = performance.now()
if (await isNoticed(null)) throw new Error(`${file}: the tests fail without a change`)
patience = Math.max(20_000, 5 * (performance.now() - began))
for (const mutant of found) if (!(await isNoticed(mutant))) survivors.push(mutant)
// Without a change they pass, after all the runs as before them: else nothing was killed by a change.
if (await isNoticed(null)) throw new Error(`${file}: the tests fail without a change`)
await vitest.close()
console.log(`${file}: ${found.length - survivors.length} of ${found.length} killed`)
for (const s of survivors) console.log(`  line ${s.line}: ${s.from} → ${s.to} survives`)
process.exit(0)

function writeTable(table) {
  const rows = table.map(
    ({ file, tried, killed }) =>
      `| \`${relative('src', file)}\` | ${killed} | ${tried} | ${tried ? Math.round((100 * killed) / tried) : 100} % |`,
  )
  writeFileSync(
    'docs/method/mutants.md',
    `# Would a wrong constant be seen?

Made by \`npm run mutate\`. Every number of these files is made a tenth larger, and every comparison takes its boundary
in or out, one change at a time. Killed is what some test notices. A change that alters no result counts as not killed.

| file | killed | tried | share |
| --- | --- | --- | --- |
${rows.join('\n')}
`,
  )
}
