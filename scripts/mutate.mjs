/**
 * npm run mutate [-- FOLDER … | --sample N | --each N | --again]: would a wrong figure be noticed? Stryker changes the
 * code of the core, the model and storage in one place at a time and runs the tests that reach the place. A folder is
 * tried whole, and only what changed since the last time; without a folder a seeded sample of 400 places is tried, with
 * --each so many of every folder (SEED=… takes another), with --again what lived the last time.
 * Prints killed of tried by folder, and every survivor. Ends with 1 where less is killed than the floor.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { Instrumenter } from '@stryker-mutator/instrumenter'
import { globSync } from 'tinyglobby'
import { bin, ensureFolder, ensureInstalled, run } from './lib/setup.mjs'
import config from '../stryker.config.mjs'

ensureInstalled()
ensureFolder('test-results')
const args = process.argv.slice(2)
/** Which places are tried; the random tests keep the seed of their own. */
const seed = Number(process.env.SEED ?? 20261124)
delete process.env.SEED
const numberAfter = (flag) => (args.includes(flag) ? Number(args[args.indexOf(flag) + 1]) : undefined)
const each = numberAfter('--each')
const wanted = numberAfter('--sample') ?? 400
const folders = args.some((a) => a.startsWith('--')) ? [] : args
/** Percent of the mutants of a folder that a test has to notice. */
const FLOOR = 85
/** Percent of a sample over all folders: below it the newer half has got worse. */
const SAMPLE_FLOOR = 80
/** What one mutant takes on two cores, of a folder or from anywhere, and the first run of all tests, s. */
const SECONDS = { near: 1.5, far: 4, first: 240 }

const inTime = (n) =>
  `about ${Math.ceil((SECONDS.first + n * (folders.length > 0 ? SECONDS.near : SECONDS.far)) / 60)} minutes`

const REPORT = 'test-results/mutants.json'
const KILLED = ['Killed', 'Timeout']
const LIVED = ['Survived', 'NoCoverage']

/** The places of what lived the last time, as far as their lines are still what they were. */
function placesAgain() {
  const { files } = JSON.parse(readFileSync(REPORT, 'utf8'))
  return Object.entries(files).flatMap(([name, { source, mutants }]) => {
    const [was, now] = [source.split('\n'), readFileSync(name, 'utf8').split('\n')]
    const stays = ({ location: { start, end } }) =>
      was.slice(start.line - 1, end.line).join() === now.slice(start.line - 1, end.line).join()
    const lived = mutants.filter((m) => LIVED.includes(m.status) && stays(m))
    return lived.map(
      ({ location: { start, end } }) =>
        `${name}:${start.line}:${start.column - 1}-${end.line}:${end.column - 1}`,
    )
  })
}

/** Does a change only let a limit itself in or out, as `>=` for `>`? Few figures are ever exactly at one. */
function isAtLimit({ mutatorName, location: { start, end }, replacement = '' }, lines) {
  const sign = (text) => /[<>]/.exec(text)?.[0]
  const was = lines[start.line - 1].slice(
    start.column - 1,
    start.line === end.line ? end.column - 1 : undefined,
  )
  return mutatorName === 'EqualityOperator' && sign(was) !== undefined && sign(was) === sign(replacement)
}

/** A repeatable shuffle's first so many. */
function pick(list, n, seed) {
  const left = [...list]
  let a = seed
  const next = () => {
    a = (Math.imul(a, 1664525) + 1013904223) >>> 0
    return a / 2 ** 32
  }
  return Array.from({ length: Math.min(n, left.length) }, () =>
    left.splice(Math.floor(next() * left.length), 1),
  ).flat()
}

/**
 * Every place Stryker would change in these files, with how often. Places that hold others are left out: a range stands
 * for everything within it.
 */
async function placesIn(files) {
  const { excludedMutations } = config.mutator
  const quiet = { isDebugEnabled: () => false, debug() {}, info() {}, warn() {} }
  const { mutants } = await new Instrumenter(quiet).instrument(
    files.map((name) => ({ name, content: readFileSync(name, 'utf8'), mutate: true })),
    { ignorers: [], excludedMutations, plugins: null, noHeader: true },
  )
  const places = new Map()
  for (const { fileName, location, ignoreReason } of mutants) {
    if (ignoreReason !== undefined) continue
    const at = ({ line, column }) => `${line + 1}:${column}`
    const id = `${fileName}:${at(location.start)}-${at(location.end)}`
    const place = places.get(id) ?? { id, fileName, ...location, times: 0 }
    places.set(id, { ...place, times: place.times + 1 })
  }
  const order = (a, b) => a.line - b.line || a.column - b.column
  const holds = (a, b) => a !== b && order(a.start, b.start) <= 0 && order(b.end, a.end) <= 0
  const byFile = new Map()
  for (const p of places.values()) byFile.set(p.fileName, [...(byFile.get(p.fileName) ?? []), p])
  return [...byFile.values()].flatMap((list) => list.filter((p) => !list.some((q) => holds(p, q))))
}

/** The folder of core or model that a file belongs to, whatever lies below it; storage is one. */
const subjectOf = (name) =>
  dirname(name)
    .split('/')
    .slice(0, name.startsWith('src/storage') ? 2 : 3)
    .join('/')

async function toMutate() {
  if (folders.length > 0) {
    const ranges = folders.map((f) => (f.endsWith('.ts') ? f : `${f}/**/*.ts`))
    const places = await placesIn(globSync(ranges, { ignore: ['**/*.test.ts', '**/testing/**'] }))
    return { ranges, count: places.reduce((sum, p) => sum + p.times, 0) }
  }
  const [, ...without] = config.mutate
  const files = globSync(config.mutate[0], { ignore: without.map((p) => p.slice(1)) })
  if (args.includes('--again')) {
    const again = [...new Set(placesAgain())]
    return { ranges: again, count: again.length }
  }
  const places = await placesIn(files)
  const subjects = new Map()
  for (const p of places)
    subjects.set(subjectOf(p.fileName), [...(subjects.get(subjectOf(p.fileName)) ?? []), p])
  const picked =
    each === undefined
      ? pick(places, wanted, seed)
      : [...subjects.values()].flatMap((list) => pick(list, each, seed))
  console.log(`${places.length} places in ${files.length} files; ${picked.length} of them are tried.`)
  return { ranges: picked.map((p) => p.id), count: picked.reduce((sum, p) => sum + p.times, 0) }
}

const { ranges: mutate, count } = await toMutate()
console.log(`${count} mutants take ${inTime(count)}.`)
const file = '.cache/stryker.run.json'
ensureFolder('.cache')
const only = folders.length > 0 ? [...mutate, '!src/**/*.test.ts', '!src/**/testing/**'] : mutate
// What a sample finds says nothing of a later sample.
const kept = folders.length > 0 ? {} : { incremental: false }
writeFileSync(file, JSON.stringify({ ...config, ...kept, mutate: only }))
const status = run(bin('stryker'), ['run', file, '--logLevel', 'warn'])
if (status !== 0) process.exit(status)

const report = JSON.parse(readFileSync(REPORT, 'utf8'))
const byFolder = new Map()
for (const [name, { mutants, source }] of Object.entries(report.files)) {
  const lines = source.split('\n')
  for (const m of mutants) {
    const killed = KILLED.includes(m.status)
    if (!killed && !LIVED.includes(m.status)) continue
    const row = byFolder.get(subjectOf(name)) ?? { killed: 0, tried: 0, atLimits: 0, survivors: [] }
    byFolder.set(subjectOf(name), row)
    row.tried++
    const { line } = m.location.start
    if (killed) row.killed++
    else {
      row.atLimits += isAtLimit(m, lines) ? 1 : 0
      row.survivors.push(
        `${name}:${line} ${m.mutatorName}: ${lines[line - 1].trim()} → ${m.replacement ?? ''}`,
      )
    }
  }
}
const share = ({ killed, tried }) => (tried === 0 ? 100 : (100 * killed) / tried)
const all = { killed: 0, tried: 0, atLimits: 0 }
for (const [folder, row] of [...byFolder].sort(([a], [b]) => (a < b ? -1 : 1))) {
  all.killed += row.killed
  all.tried += row.tried
  all.atLimits += row.atLimits
  console.log(`${folder}: ${row.killed} of ${row.tried} killed (${share(row).toFixed(0)} %)`)
  for (const s of row.survivors) console.log(`  ${s.replaceAll('\n', ' ').slice(0, 160)}`)
}
console.log(`all: ${all.killed} of ${all.tried} killed (${share(all).toFixed(0)} %)`)
console.log(`Of those that lived ${all.atLimits} only let a limit itself in or out.`)
const isBelow =
  folders.length > 0 || each !== undefined
    ? [...byFolder.values()].some((r) => share(r) < FLOOR)
    : share(all) < SAMPLE_FLOOR
process.exit(isBelow ? 1 : 0)
