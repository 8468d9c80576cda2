import { once, valueOf } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import { saltsCourse } from '@/core/nutrients'
import { demoGarden } from '@/demo/demoGarden'
import { timelineRows, timelineWords } from '@/text/season/timeline'
import { jobOf, placeOf, recordOf } from '../garden/garden'
import type { Entry, EntryKind } from '../garden/schemas'
import { startingTest } from '../learn/startingTest'
import { evaluateJob } from '../mix/evaluateJob'
import { logFromText } from '../sheets/logSheet'
import { logCsv } from '../sheets/logCsv'
import { TIMELINES, timelineOf } from './timeline'
import { ENTRY_NAMES } from '@/text/season/log'
import { linesOf } from './testing/lines'

const garden = once(() => demoGarden())
const job = once(() => jobOf(garden(), 'peppers-26')!)
const record = once(() => recordOf(garden(), job().recordId!)!)
const evaluation = once(() =>
  valueOf(evaluateJob(job(), placeOf(garden()), PUBLISHED, { slices: 60, years: [1, 2, 3] })),
)
const { on, entry } = linesOf(job(), record().madeOn)
const of = (kind: Parameters<typeof timelineOf>[0], entries: Entry[], tests = [] as never[]) =>
  timelineOf(kind, { job: job(), record: record(), evaluation: evaluation(), entries, tests })!

describe('a season by one thing', () => {
  test('has what was expected, in order, and what was read on it', () => {
    const pH = of('pH', [entry('pH', 30, 6), entry('pH', 14, 5.8)])
    expect(pH.read).toEqual([
      { day: 14, value: 5.8 },
      { day: 30, value: 6 },
    ])
    for (const kind of TIMELINES) {
      const days = of(kind, []).expected.map((p) => p.day)
      expect(days, kind).toEqual([...days].sort((a, b) => a - b))
      expect(days.length, kind).toBeGreaterThan(1)
    }
  })
  test('readings at the tub lie on the line of their kind on their day, between those of the log', () => {
    const tub = (kind: 'pH' | 'salts', day: number, value: number) => ({
      id: `${kind}${day}`,
      batch: 0,
      at: record().madeOn,
      day,
      kind,
      value,
      expected: null,
    })
    const with2 = { ...record(), readings: [tub('pH', 20, 6.1), tub('salts', 2, 0.9), tub('pH', 3, 5.9)] }
    const pH = timelineOf('pH', {
      job: job(),
      record: with2,
      evaluation: evaluation(),
      entries: [entry('pH', 10, 6)],
      tests: [],
    })!
    expect(pH.read).toEqual([
      { day: 3, value: 5.9 },
      { day: 10, value: 6 },
      { day: 20, value: 6.1 },
    ])
  })
  test('salts begin as the fresh mix and are washed out; the level sinks', () => {
    const salts = of('salts', []).expected
    expect(salts[0]!.value).toBe(evaluation().salts.mix.electricalConductivity.oneToTwo)
    for (const { value } of salts) expect(value).toBeGreaterThan(0)
    // Half of what is in reach washes out in a week, and nothing comes: what is not feed goes as nitrate does.
    const week = (day: number, pool: number) => ({
      day,
      supply: 0,
      demand: 0,
      uptake: 0,
      leached: pool,
      pool,
    })
    const weeks = { nitrogen: [week(7, 8), week(14, 4), week(21, 2)], potassium: [] }
    const washed = saltsCourse(2, weeks, 0.8).map((s) => s.saturatedExtract)
    expect(washed[1]! / washed[0]!).toBeCloseTo(0.5, 1)
    expect(washed[2]! / washed[1]!).toBeCloseTo(0.5, 1)
    const level = of('level', [entry('sunk', 400, 4)]).expected
    expect(level[0]).toEqual({ day: 0, value: 0 })
    expect(level.at(-1)!.value).toBeGreaterThan(0)
    // Years are worked out by their ends.
    expect(level.slice(0, 3).map((p) => p.day)).toEqual([0, 365, 730])
  })
  test('waterings are the days between them; a gap in the log is none', () => {
    const read = of('waterings', [
      entry('watered', 10),
      entry('watered', 12),
      entry('watered', 12),
      entry('watered', 15),
      entry('watered', 80),
    ]).read
    expect(read).toEqual([
      { day: 12, value: 2 },
      { day: 15, value: 3 },
    ])
  })
  test('five thousand waterings are drawn by the week', () => {
    const many = Array.from({ length: 5000 }, (_, i) => ({ ...entry('pH', i % 150, 6), id: `${i}` }))
    const { read } = of('pH', many)
    expect(read.length).toBeLessThan(40)
    expect(read[0]!.value).toBeCloseTo(6, 9)
  })
  test('a test of another extract is no reading on this scale', () => {
    const test = (kind: 'slurry' | 'paste') => ({
      ...startingTest(kind, kind, { jobId: job().id }, on(5)),
      finishedAt: on(5),
      repeats: [{ salts: 1.5 }],
    })
    const { read } = timelineOf('salts', {
      job: job(),
      record: record(),
      evaluation: evaluation(),
      entries: [],
      tests: [test('slurry'), test('paste')],
    })!
    expect(read).toEqual([{ day: 5, value: 1.5 }])
  })
  test('without a day to count from there is none', () => {
    expect(
      timelineOf('pH', {
        job: { ...job(), plantedOn: null },
        record: undefined,
        evaluation: evaluation(),
        entries: [],
        tests: [],
      }),
    ).toBeNull()
  })
  test('the table says the same, in the grower’s units', () => {
    const level = of('level', [entry('sunk', 30, 5.08)])
    const rows = timelineRows(level, record().madeOn, 'level', 'us')
    expect(rows.find((r) => r[2] !== '')![2]).toBe('2.0')
    expect(timelineWords('level', 'us').axis).toBe('inches sunk')
  })
})

describe('readings from a sheet', () => {
  const read = (text: string, units: 'metric' | 'us' = 'metric') =>
    logFromText(text, job().id, {
      units,
      kindOf: (word) =>
        (Object.keys(ENTRY_NAMES) as EntryKind[]).find(
          (k) =>
            k.toLowerCase() === word.toLowerCase() ||
            ENTRY_NAMES[k].name.toLowerCase() === word.toLowerCase(),
        ),
      bedOf: (name) => (name === 'All beds' ? null : name === 'Bags' ? 'f1' : undefined),
      newId: () => 'n',
    })
  test('of a meter: EC in microsiemens, a time, a comma for a point', () => {
    const { entries, problems } = read(
      'date;time;what;value;unit\n2026-05-14;08:30;EC;1250;µS/cm\n2026-05-14;;pH;6,2;',
    )
    expect(problems).toEqual([])
    expect(entries.map((e) => [e.kind, e.value])).toEqual([
      ['salts', 1.25],
      ['pH', 6.2],
    ])
    expect(new Date(entries[0]!.at).getMinutes()).toBe(30)
  })
  test('what the log saves it reads again, in both units', () => {
    const lines = [
      entry('watered', 3, 7.57),
      entry('sunk', 20, 5.08),
      entry('harvest', 60, 1.36),
      entry('pH', 15, 6.1),
    ]
    for (const units of ['metric', 'us'] as const) {
      const text = logCsv(
        lines,
        units,
        () => 'All beds',
        (k) => ENTRY_NAMES[k].name,
      )
      const back = read(text, units)
      expect(back.problems).toEqual([])
      back.entries.forEach((e, i) => {
        expect(e.kind).toBe(lines[i]!.kind)
        expect(Math.abs(e.value! - lines[i]!.value!) / lines[i]!.value!).toBeLessThan(0.04)
      })
    }
  })
  test('each row that cannot be taken is reported with its column; the others are taken', () => {
    const { entries, problems } = read(
      [
        'date,bed,what,value,unit,number,note',
        '2026-13-40,,pH,6,,,',
        '2026-05-14,Shed,pH,6,,,',
        '2026-05-14,,colour,6,,,',
        '2026-05-14,,pH,12,,,',
        '2026-05-14,,weight,3,furlong,,',
        '2026-05-14,,harvest,,,2.5,',
        '2026-05-14,,note,,,,',
        '2026-05-14,Bags,harvest,1.5,kg,4,first',
      ].join('\n'),
    )
    expect(problems.map((p) => [p.row, 'column' in p.why && p.why.column])).toEqual([
      [2, 'date'],
      [3, 'bed'],
      [4, 'what'],
      [5, 'value'],
      [6, 'unit'],
      [7, 'number'],
      [8, 'note'],
    ])
    expect(entries).toMatchObject([{ kind: 'harvest', value: 1.5, count: 4, fillId: 'f1', note: 'first' }])
    expect(read('bed,what\nx,pH').problems[0]!.why).toMatchObject({ column: 'heading' })
  })
})

describe('more readings than can be told apart', () => {
  test('are shown by the week, each the mean of its week in the middle of it; no more than 200 stay as they are', () => {
    const daily = (n: number) => Array.from({ length: n }, (_, day) => entry('pH', day, 6 + (day % 7) / 10))
    const few = of('pH', daily(200)).read
    expect(few).toHaveLength(200)
    const many = of('pH', daily(203)).read
    expect(many).toHaveLength(29)
    many.forEach(({ day, value }, week) => {
      expect(day).toBe(7 * week + 3)
      // 6.0 to 6.6 in each week.
      expect(value).toBeCloseTo(6.3, 9)
    })
  })
  test('a line without a number is no reading', () => {
    expect(of('pH', [{ ...entry('pH', 3, 6), value: null }]).read).toEqual([])
  })
})
