import { once } from '@/core/testing/once'
import { describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { differedTexts, differenceText, harvestText, trialText } from '@/text/season/compareSeasons'
import { changesOf } from '../garden/commands'
import { entryKey, jobKey, jobOf, recordOf, type Garden } from '../garden/garden'
import type { AnyData, Entry, Job } from '../garden/schemas'
import { bedSeason, compareSides, harvestPer, offeredSides, seasonBeds, splitFill } from './compareSeasons'

const demo = once(() => demoGarden())
const job = once(() => jobOf(demo(), 'peppers-26')!)
let made = 0
const harvest = (fillId: string | null, kg: number, jobId = job().id): Entry => ({
  id: `h${++made}`,
  jobId,
  fillId,
  at: '2026-08-01T10:00:00.000Z',
  kind: 'harvest',
  value: kg,
  count: null,
  expected: null,
  note: '',
})
const many = <T>(n: number, of: (i: number) => T) => Array.from({ length: n }, (_, i) => of(i))
/** The peppers with so many pots, each noted by itself. */
const potsOf = (id: string, n: number): Job => {
  const fill = { ...job().fills[0]!, count: n, spec: { ...job().fills[0]!.spec, name: 'Pot' } }
  const whole = { ...job(), id, fills: [fill] }
  let k = 0
  return { ...whole, fills: splitFill(whole, fill.id, () => `${id}-${++k}`) }
}
const gardenOf = (jobs: Job[], entries: Entry[]): Garden =>
  new Map<string, AnyData>([
    ...[...demo()].filter(([k]) => !k.startsWith('job/') && !k.startsWith('entry/')),
    ...jobs.map((j) => [jobKey(j.id), j] as const),
    ...entries.map((e) => [entryKey(e.id), e] as const),
  ])
const bedSeasons = (garden: Garden) => seasonBeds(garden).map((bed) => bedSeason(garden, bed))

describe('seasons side by side', () => {
  test('pots split from one name are noted each by itself, and nothing else of the job changes', () => {
    const four = potsOf('a', 4)
    expect(four.fills.map((f) => f.count)).toEqual([1, 1, 1, 1])
    expect(new Set(four.fills.map((f) => f.id)).size).toBe(4)
    expect(four.fills[0]!.id).toBe(job().fills[0]!.id)
    expect(four.fills[2]!.spec.name).toBe('Pot 3')
    const single = { ...job(), fills: [{ ...job().fills[0]!, count: 1 }] }
    expect(splitFill(single, single.fills[0]!.id, () => 'x')).toEqual(single.fills)
    const [change] = changesOf(new Map([[jobKey(job().id), job()]]), {
      type: 'jobBed/split',
      jobId: job().id,
      fills: four.fills,
    })
    expect((change!.after as Job).fills).toHaveLength(4)
  })
  test('what was noted for all beds is shared out by their litres', () => {
    const a = potsOf('a', 3)
    const rows = bedSeasons(gardenOf([a], [harvest(null, 3, 'a'), harvest(a.fills[0]!.id, 1, 'a')]))
    expect(rows.map((r) => r.kg)).toEqual([expect.closeTo(2, 9), expect.closeTo(1, 9), expect.closeTo(1, 9)])
    expect(rows.reduce((s, r) => s + r.kg, 0)).toBeCloseTo(4, 9)
    expect(harvestPer('litre', rows[0]!)).toBeCloseTo(2 / rows[0]!.litres, 9)
    expect(harvestPer('plant', { ...rows[0]!, plants: 0 })).toBeNull()
  })
  test('2026-11-29: a bed bears its share of what the mix cost, by its litres; all of them together bear all of it', () => {
    const record = { ...recordOf(demo(), job().recordId!)!, id: 'paid', used: 40 }
    // One name with three pots and one with a single pot of the same size: three quarters and a quarter.
    const fill = job().fills[0]!
    const a = {
      ...job(),
      id: 'a',
      recordId: 'paid',
      fills: [
        { ...fill, count: 3 },
        { ...fill, id: 'single', bedId: null, count: 1, spec: { ...fill.spec, name: 'One more' } },
      ],
    }
    const rows = bedSeasons(new Map<string, AnyData>([...gardenOf([a], []), ['record/paid', record]]))
    expect(rows.map((r) => r.cost)).toEqual([expect.closeTo(30, 6), expect.closeTo(10, 6)])
    expect(harvestPer('money', { ...rows[0]!, kg: 6 })).toBeCloseTo(6 / 30, 9)
  })
  test('two pots each cannot tell; twelve tell a large difference, and what was done differently is said', () => {
    const [a, b] = [potsOf('a', 12), potsOf('b', 12)]
    const garden = gardenOf(
      [a, b],
      [
        ...a.fills.map((f, i) => harvest(f.id, 1 + 0.05 * i, 'a')),
        ...b.fills.map((f, i) => harvest(f.id, 1.8 + 0.05 * i, 'b')),
        ...many(5, (i): Entry => ({ ...harvest(null, 0, 'b'), kind: 'fed', id: `f${i}`, value: 5 })),
      ],
    )
    const rows = bedSeasons(garden)
    const side = (id: string, n = 12) => rows.filter((r) => r.job.id === id).slice(0, n)
    const two = compareSides(side('a', 2), side('b', 2), 'plant')
    expect(two.difference.range).toBeNull()
    expect(differenceText(two.difference, 'plant', 'metric')).toContain('Two pots each cannot tell')
    const all = compareSides(side('a'), side('b'), 'plant')
    expect(all.difference.isSure).toBe(true)
    expect(differenceText(all.difference, 'plant', 'metric')).toMatch(/B gave \d+ % more, likely between/)
    expect(differedTexts(all)).toContain('Fed: A never, B 5 times')
    expect(differenceText(compareSides([], side('b'), 'plant').difference, 'plant', 'us')).toContain(
      'Choose beds',
    )
  })
  test('harvests are given in the grower’s units', () => {
    expect(harvestText(1.36, 'plant', 'us')).toMatch(/lb a plant/)
    expect(harvestText(0.05, 'litre', 'us')).toMatch(/lb a gallon|oz a gallon/)
    expect(harvestText(0.05, 'litre', 'metric')).toMatch(/for 10 L/)
    expect(trialText(2)).toContain('Three pots')
  })
})

describe('the sides offered first', () => {
  const planted = (id: string, year: number, cropId = job().cropId): Job => ({
    ...potsOf(id, 1),
    cropId,
    plantedOn: `${year}-05-16`,
  })
  const offered = (jobs: Job[], harvests: string[]) => {
    const lines = harvests.map((id) => harvest(null, 1, id))
    const garden = gardenOf(jobs, lines)
    return new Map(
      Object.entries(offeredSides(garden, seasonBeds(garden))).map(([id, side]) => [id.split('/')[0], side]),
    )
  }
  test('the two newest seasons of one crop with a harvest, the older as A', () => {
    const years = [planted('a', 2024), planted('b', 2025), planted('c', 2026)]
    expect([...offered(years, ['a', 'b', 'c'])].sort()).toEqual([
      ['b', 'A'],
      ['c', 'B'],
    ])
    // The newest has no harvest yet.
    expect(offered(years, ['a', 'b']).get('a')).toBe('A')
  })
  test('nothing where no two seasons of one crop have a harvest', () => {
    const two = [planted('a', 2025), planted('b', 2026, 'tomato_cherry')]
    expect(offered(two, ['a', 'b']).size).toBe(0)
    expect(offered([planted('a', 2026)], ['a']).size).toBe(0)
  })
  test('what is drawn is what is compared: the mean of the values of a side is its answer', () => {
    const garden = gardenOf(
      [planted('a', 2025), planted('b', 2026)],
      [harvest(null, 2, 'a'), harvest(null, 3, 'b')],
    )
    const [first, second] = seasonBeds(garden).map((bed) => bedSeason(garden, bed))
    const { values, difference } = compareSides([first!], [second!], 'plant')
    for (const i of [0, 1] as const)
      expect(values[i].reduce((s, v) => s + v, 0) / values[i].length).toBeCloseTo(difference.means[i], 9)
  })
})

describe('what was done in a season', () => {
  const [one, two] = many(2, (i) => ({ ...potsOf('p', 2).fills[i]! }))
  const entry = (kind: 'watered' | 'fed', fillId: string | null): Entry => ({
    ...harvest(fillId, 0),
    kind,
    value: null,
  })
  test('waterings and feeds count for the bed they name, and for all where they name none', () => {
    const j = { ...potsOf('p', 2), fills: [one!, two!] }
    const of = (fillId: string | null, kind: 'watered' | 'fed' = 'watered') => ({
      ...entry(kind, fillId),
      jobId: 'p',
    })
    const seasons = bedSeasons(
      gardenOf([j], [of(one!.id), of(one!.id), of(two!.id), of(null), of(null, 'fed')]),
    ).filter((s) => s.job.id === 'p')
    expect(seasons.map((s) => [s.waterings, s.feeds])).toEqual([
      [3, 1],
      [2, 1],
    ])
  })
})

describe('what a harvest is counted by', () => {
  const season = { plants: 4, litres: 80, cost: 16, kg: 8 } as Parameters<typeof harvestPer>[1]
  test('kilograms over plants, litres or money; none where that is not known or nothing', () => {
    expect(harvestPer('plant', season)).toBe(2)
    expect(harvestPer('litre', season)).toBe(0.1)
    expect(harvestPer('money', season)).toBe(0.5)
    expect(harvestPer('money', { ...season, cost: null })).toBeNull()
    expect(harvestPer('money', { ...season, cost: 0 })).toBeNull()
    expect(harvestPer('plant', { ...season, kg: 0 })).toBe(0)
  })
})
