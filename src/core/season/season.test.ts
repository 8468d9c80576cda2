import { cropById } from '../data'
import { describe, expect, test } from 'vitest'
import { CLIMATES } from '@/core/climate/climates'
import type { Climate } from '../climate'
import type { MonthSuits } from '.'
import { seasonOf } from '../data/seasons'
import { outsideCheck } from '../testing/outsideCheck'
import {
  coldestNightOf,
  daysToHarvest,
  followUp,
  hardinessZone,
  monthsFor,
  perennialHarvest,
  plantingMonths,
  restsFor,
  winterMargin,
} from '.'

const crop = (id: string) => cropById(id)!
const climate = (id: string): Climate => CLIMATES.find((c) => c.id === id)!
/** The same every month. */
const even = (tMin: number, tMax: number): Climate => ({
  latitude: 50,
  elevation: 0,
  months: Array.from({ length: 12 }, () => ({ tMin, tMax })),
})
const windowOf = (id: string, place: string) => plantingMonths(crop(id), seasonOf(id)!, climate(place))

test('what dies of frost is not planted where a cold month comes before its harvest', () => {
  // Warm from April to August alone: what needs 120 days may go out in April, but not in June, when cold comes first.
  const summer: Climate = {
    latitude: 50,
    elevation: 0,
    months: Array.from({ length: 12 }, (_, i) =>
      i >= 3 && i <= 7 ? { tMin: 16, tMax: 26 } : { tMin: -6, tMax: 1 },
    ),
  }
  const tender = crop('pepper_sweet')
  const months = plantingMonths(tender, seasonOf('pepper_sweet')!, summer)
  for (const month of months) {
    const harvest = daysToHarvest(
      tender,
      seasonOf('pepper_sweet')!,
      summer,
      (month - 1) * (365.25 / 12) + 15,
    )!
    expect(month + Math.floor((harvest.from + 15) / (365.25 / 12)), String(month)).toBeLessThanOrEqual(8)
  }
  expect(months).not.toContain(7)
  expect(months).not.toContain(8)
})

describe('what bears year after year', () => {
  const bearing = { yearsToFirstHarvest: 2, harvestMonths: [6, 7] }
  const monthOf = (dayOfYear: number, day: number) =>
    (Math.floor((dayOfYear - 1 + day) / (365.25 / 12)) % 12) + 1
  test('first bears in its own months after its years, and the end of those is the end of it', () => {
    // Planted on 1 April of a year: two years later it is April, and June comes first.
    const { from, to } = perennialHarvest(bearing, null, 50, 91)!
    expect(from).toBeGreaterThanOrEqual(2 * 365)
    expect(from).toBeLessThan(2 * 365 + 92)
    expect([monthOf(91, from - 1), monthOf(91, from)]).toEqual([5, 6])
    expect([monthOf(91, to), monthOf(91, to + 1)]).toEqual([7, 8])
    expect(to - from).toBeCloseTo(2 * (365.25 / 12), -1)
  })
  test('south of the equator half a year later, on it as in the north', () => {
    const months = (latitude: number) => {
      const { from, to } = perennialHarvest(bearing, null, latitude, 91)!
      return [monthOf(91, from), monthOf(91, to)]
    }
    expect(months(-35)).toEqual([12, 1])
    expect(months(35)).toEqual([6, 7])
    expect(months(0)).toEqual([6, 7])
  })
  test('months too cold for it are left out; with none left there is no harvest; one that never ends is a year', () => {
    const suits = Array.from({ length: 12 }, (_, i) => (i === 5 ? 'frost' : 'fair')) as MonthSuits[]
    const { from, to } = perennialHarvest(bearing, suits, 50, 91)!
    expect([monthOf(91, from), monthOf(91, to)]).toEqual([7, 7])
    expect(
      perennialHarvest(
        bearing,
        suits.map(() => 'cold'),
        50,
        91,
      ),
    ).toBeNull()
    const all = { yearsToFirstHarvest: 1, harvestMonths: Array.from({ length: 12 }, (_, i) => i + 1) }
    const whole = perennialHarvest(all, null, 50, 1)!
    expect(whole.to - whole.from).toBe(Math.ceil(365.25))
  })
})

describe('months that suit', () => {
  test('by nights first, then by the mean of the month', () => {
    const pepper = seasonOf('pepper_sweet')!
    expect(monthsFor(pepper, even(8, 30))[0]).toBe('frost')
    expect(monthsFor(pepper, even(10, 20))[0]).toBe('cold')
    expect(monthsFor(pepper, even(12, 26))[0]).toBe('fair')
    expect(monthsFor(pepper, even(16, 28))[0]).toBe('best')
    expect(monthsFor(pepper, even(24, 34))[0]).toBe('hot')
    expect(monthsFor(seasonOf('kale')!, even(-2, 4))[0]).toBe('cold')
  })
  outsideCheck({
    module: 'season',
    what: 'mean of a month below which lettuce hardly grows',
    source:
      "Knott's Handbook for Vegetable Growers, monthly temperatures for best growth (45 F; from memory)",
    basis: 'published',
    unit: 'C',
    expected: (45 - 32) / 1.8,
    tolerance: 0.3,
    usedToSet: 'the row itself',
    computed: () => seasonOf('lettuce')!.temperature.least,
  })
  for (const [id, place, month, allowed] of [
    ['bean_bush', 'cool-coast', 6, true],
    ['bean_bush', 'cool-coast', 3, false],
    ['pepper_sweet', 'cool-coast', 6, false],
    ['pepper_sweet', 'inland', 6, true],
    ['lettuce', 'cool-coast', 4, true],
    ['lettuce', 'dry-summer', 7, false],
    ['garlic', 'cool-coast', 10, true],
    ['zucchini', 'cool-coast', 6, true],
    ['zucchini', 'inland', 5, true],
    ['zucchini', 'inland', 3, false],
  ] as const)
    outsideCheck({
      module: 'season',
      what: `${id} ${allowed ? 'can' : 'cannot'} be planted outside in month ${month} on the ${place}`,
      source: 'common practice',
      basis: 'common practice',
      unit: 'yes (1) or no (0)',
      expected: allowed ? 1 : 0,
      tolerance: 0,
      computed: () => Number(windowOf(id, place).includes(month)),
    })
})

describe('days to harvest', () => {
  test('stand as the table has them where it is warm, or nobody knows', () => {
    const bean = crop('bean_bush')
    const { low, high } = bean.properties.daysToMaturity
    for (const place of [undefined, even(14, 24)])
      expect(daysToHarvest(bean, seasonOf('bean_bush')!, place, 150)).toEqual({
        from: Math.round(low),
        to: Math.round(high),
        slowed: false,
      })
  })
  test('half the warmth above the base, twice the days; none, never', () => {
    // Bush bean: base 10, counted in months of (10 + 16) / 2 = 13, so 11.5 is half the pace.
    const bean = crop('bean_bush')
    const low = Math.round(bean.properties.daysToMaturity.low)
    expect(daysToHarvest(bean, seasonOf('bean_bush')!, even(8, 15), 1)).toMatchObject({
      from: 2 * low,
      slowed: true,
    })
    expect(daysToHarvest(bean, seasonOf('bean_bush')!, even(2, 12), 1)).toBeNull()
  })
  test('what is counted over a winter is not drawn out again', () => {
    const garlic = crop('garlic')
    expect(daysToHarvest(garlic, seasonOf('garlic')!, climate('inland'), 290)!.slowed).toBe(false)
  })
  outsideCheck({
    module: 'season',
    what: 'leeks planted in mid-June on a cool coast: first harvest, day of the year',
    source: 'common practice: October to November',
    basis: 'common practice',
    unit: 'day of the year',
    expected: { low: 270, high: 335 },
    tolerance: 0,
    computed: () => {
      const h = daysToHarvest(crop('leek'), seasonOf('leek')!, climate('cool-coast'), 166)!
      return 166 + (h.from + h.to) / 2
    },
  })
})

describe('winter', () => {
  for (const [coldest, zone] of [
    [-51.0, 1],
    [-28.8, 5],
    [-17.7, 7],
    [-1.1, 10],
  ] as const)
    outsideCheck({
      module: 'season',
      what: `hardiness zone of a coldest night of ${coldest} C`,
      source: 'USDA Plant Hardiness Zone Map 2012 and 2023, limits of zones',
      basis: 'published',
      unit: 'zone',
      expected: zone,
      tolerance: 0,
      computed: () => Number.parseInt(hardinessZone(coldest), 10),
    })
  test('a pot costs two zones, open ground none', () => {
    const { standsTo } = seasonOf('fig')!
    const ground = winterMargin(standsTo!, -8, false)
    const pot = winterMargin(standsTo!, -8, true)
    expect(ground.margin).toBeCloseTo(-8 - standsTo!.value, 9)
    expect(ground.margin - pot.margin).toBeCloseTo(100 / 9, 9)
    expect(pot.low).toBeLessThan(pot.margin)
    expect(pot.high).toBeGreaterThan(pot.margin)
    expect(hardinessZone(-200)).toBe('1a')
    expect(hardinessZone(99)).toBe('13b')
  })
  test('the coldest night is colder than the coldest mean night', () => {
    expect(coldestNightOf(climate('inland'))).toBe(-15)
  })
})

describe('what follows planting', () => {
  const asked = {
    mixedBefore: 7,
    limed: true,
    transplanted: true,
    hungryFrom: 30,
    harvest: { from: 70, to: 90 },
    waterEc: 0.3,
    season: seasonOf('pepper_sweet'),
    coldFrom: 120,
    perennial: false,
    restsFor: 0,
  }
  test('comes in the order of days, pH counted from mixing', () => {
    const list = followUp(asked)
    expect(list.map((f) => [f.code, f.day])).toEqual([
      ['shade', 0],
      ['test-ph-first', 7],
      ['feed', 23],
      ['test-ph-again', 35],
      ['top-up', 56],
      ['harvest', 70],
      ['look-back', 104],
      ['bring-in', 120],
    ])
  })
  test('what goes on has an end, what is done in a day has none', () => {
    const until = Object.fromEntries(followUp(asked).map((f) => [f.code, f.until]))
    expect(until).toMatchObject({ 'test-ph-first': null, 'look-back': null, feed: 90, harvest: 90 })
    expect(until.shade).toBeGreaterThan(0)
  })
  test('what is planted at rest is not fed before it grows', () => {
    const autumn = followUp({ ...asked, restsFor: 60, perennial: true })
    expect(autumn.find((f) => f.code === 'feed')!.day).toBe(60)
    expect(restsFor(51, 10)).toBe(6)
    expect(restsFor(51, 2)).toBe(2)
    expect(restsFor(51, 5)).toBe(0)
    expect(restsFor(-35, 5)).toBe(5)
    expect(restsFor(-35, 10)).toBe(0)
    expect(restsFor(10, 1)).toBe(0)
  })
  test('leaves out what is not called for, and adds salts for salty water', () => {
    const few = followUp({ ...asked, limed: false, transplanted: false, hungryFrom: null, coldFrom: null })
    expect(few.map((f) => f.code)).toEqual(['top-up', 'harvest', 'look-back'])
    expect(followUp({ ...asked, waterEc: 1.2 }).filter((f) => f.code === 'check-salts')).toHaveLength(1)
    expect(followUp({ ...asked, season: seasonOf('fig') }).some((f) => f.code === 'winter')).toBe(true)
  })
})

describe('what follows planting', () => {
  const asked = {
    mixedBefore: 0,
    limed: false,
    transplanted: false,
    hungryFrom: null,
    harvest: { from: 60, to: 90 },
    waterEc: 0,
    season: undefined,
    coldFrom: null,
    perennial: false,
    restsFor: 0,
  }
  const codes = (change: Partial<Parameters<typeof followUp>[0]>) =>
    followUp({ ...asked, ...change }).map((f) => f.code)
  test('feed is asked for a week before hunger, where hunger comes before the harvest ends', () => {
    expect(codes({ hungryFrom: null })).not.toContain('feed')
    expect(codes({ hungryFrom: 90 })).not.toContain('feed')
    expect(codes({ hungryFrom: 120 })).not.toContain('feed')
    const feed = followUp({ ...asked, hungryFrom: 40 }).find((f) => f.code === 'feed')!
    expect(feed).toMatchObject({ day: 33, until: 90 })
  })
  test('salts are looked at each eight weeks where the water is salty, as long as it bears', () => {
    const looks = followUp({ ...asked, waterEc: 3, harvest: { from: 60, to: 180 } })
    expect(looks.filter((f) => f.code === 'check-salts').map((f) => f.day)).toEqual([56, 112, 168])
    expect(codes({ waterEc: 0 })).not.toContain('check-salts')
  })
  test('the season is looked back on a fortnight after the harvest; of what stays, after a year', () => {
    const last = (change: object) => followUp({ ...asked, ...change }).at(-1)!
    expect(last({})).toMatchObject({ code: 'look-back', day: 104 })
    expect(last({ perennial: true })).toMatchObject({ code: 'look-back', day: 365 })
  })
})

describe('roots in a winter', () => {
  // USDA zones are 10 F wide; a pot loses two of them (common practice).
  const stands = { value: -20, low: -23, high: -17, source: '', confidence: 'from memory' } as never
  test('in a pot they stand two zones less, in the ground what the plant stands', () => {
    const lost = (2 * 10 * 5) / 9
    expect(winterMargin(stands, -10, true).rootsTo).toBeCloseTo(-20 + lost, 9)
    expect(winterMargin(stands, -10, true).margin).toBeCloseTo(10 - lost, 9)
    expect(winterMargin(stands, -10, false)).toMatchObject({ rootsTo: -20, margin: 10, low: 7, high: 13 })
  })
  test('zones are halves of ten Fahrenheit from 60 below: published bounds', () => {
    const fahrenheit = (f: number) => hardinessZone(((f - 32) * 5) / 9)
    expect([-60, -55, -50, 0, 5, 10, 15, 24, 60, 65, 90].map(fahrenheit)).toEqual([
      '1a',
      '1b',
      '2a',
      '7a',
      '7b',
      '8a',
      '8b',
      '9a',
      '13a',
      '13b',
      '13b',
    ])
  })
})
