import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CROPS, cropById } from '../data'
import { plantsIn } from '../filling'
import { blend } from '../mixing'
import { parts } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { containerProfile } from '../water'
import type { TARGETS } from '.'
import { airBandAt, targetsFor, USUAL_HEIGHT, type TargetQuestion } from '.'

const crop = (id: string) => cropById(id)!
const question: TargetQuestion = {
  crops: [],
  inGround: false,
  height: null,
  carried: false,
  waterEvery: null,
}
const band = (q: Partial<TargetQuestion>, target: (typeof TARGETS)[number]) =>
  targetsFor({ ...question, ...q }).bands.find((b) => b.target === target)

describe('targets', () => {
  outsideCheck({
    module: 'data',
    what: 'vegetables 6.0-6.8: middle of the bands wanted by all vegetables of the table',
    source: 'common practice',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 6, high: 6.8 },
    tolerance: 0,
    computed: () => {
      const list = CROPS.filter((c) => !['fruit', 'herb'].includes(c.kind)).map(
        (c) => (c.pH.low + c.pH.high) / 2,
      )
      return list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!
    },
  })
  outsideCheck({
    module: 'data',
    what: 'acid-loving berries 4.5-5.5: middle of the blueberry’s and the cranberry’s bands',
    source: 'common practice',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 4.5, high: 5.5 },
    tolerance: 0,
    computed: () => {
      const bands = ['blueberry', 'cranberry'].map((id) => crop(id).pH)
      return bands.reduce((s, b) => s + b.low + b.high, 0) / 4
    },
  })
  outsideCheck({
    module: 'data',
    what: 'one courgette in 55 L: plants by root room',
    source: 'common practice',
    basis: 'common practice',
    unit: 'plants',
    expected: 1,
    tolerance: 0,
    computed: () => plantsIn(crop('zucchini'), 55, 5000).count,
  })
  test('of several crops the strictest end wins, with its reason', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...CROPS), { minLength: 1, maxLength: 4 }), (crops) => {
        const { bands, conflicts } = targetsFor({ ...question, crops })
        const pH = bands.find((b) => b.target === 'pH')!
        const [low, high] = [
          Math.max(...crops.map((c) => c.pH.low)),
          Math.min(...crops.map((c) => c.pH.high)),
        ]
        if (low <= high) expect(pH.band).toEqual({ low, high })
        else {
          expect(pH.band).toMatchObject({ low: crops[0]!.pH.low, high: crops[0]!.pH.high })
          expect(conflicts.some((c) => c.target === 'pH' && c.low.most < c.high.least)).toBe(true)
        }
        for (const b of bands) {
          expect(b.band.low).toBeLessThanOrEqual(b.band.high)
          expect(b.reasons.length).toBeGreaterThan(0)
        }
      }),
      draws(),
    )
  })
  test('acid berries and brassicas are told apart', () => {
    const { conflicts } = targetsFor({ ...question, crops: [crop('blueberry'), crop('cabbage')] })
    expect(conflicts).toContainEqual(
      expect.objectContaining({ target: 'pH', low: expect.objectContaining({ crop: 'blueberry' }) }),
    )
  })
  test('what is carried may not weigh too much, what is watered seldom must hold', () => {
    expect(band({}, 'drainedWeight')).toBeUndefined()
    expect(band({ carried: true }, 'drainedWeight')!.band.high).toBe(23)
    expect(band({ waterEvery: 3 }, 'daysBetweenWaterings')!.band.low).toBe(3)
    expect(band({ inGround: true }, 'easilyAvailableWater')).toBeUndefined()
    expect(band({}, 'pH')!.reasons).toEqual([{ code: 'most-vegetables' }])
  })
  outsideCheck({
    module: 'data',
    what: 'a soilless organic mix of vegetables, least pH: half to one lower than soil',
    source: 'Lucas & Davis 1961, Soil Sci. 92:177-182 (from memory); common practice 5.4-6.2',
    basis: 'published',
    unit: 'pH',
    expected: { low: 5, high: 5.5 },
    tolerance: 0,
    computed: () => band({ soilless: true }, 'pH')!.band.low,
  })
  test('bands of acid ground, and those the grower moved, do not follow the mix', () => {
    const of = (id: string, more: Partial<TargetQuestion> = {}) =>
      band({ crops: [crop(id)], soilless: true, ...more }, 'pH')!
    expect(of('tomato_cherry').band.low).toBe(crop('tomato_cherry').pH.low - 0.5)
    expect(of('tomato_cherry').band.high).toBe(crop('tomato_cherry').pH.high)
    expect(of('tomato_cherry').reasons.map((r) => r.code)).toContain('soilless')
    expect(of('blueberry').band.low).toBe(crop('blueberry').pH.low)
    const own = { pH: { low: 6, high: 6.2 } }
    expect(of('tomato_cherry', { own }).band).toEqual(own.pH)
  })
  test('each end says which crop it comes from, and one crop says it once', () => {
    // Blueberries end below where tomatoes begin to be choosy: carrot and potato cross instead.
    const [wide, low] = [crop('carrot'), crop('potato')]
    const ends = [wide.pH, low.pH]
    expect(band({ crops: [wide] }, 'pH')!.reasons).toEqual([{ code: 'crop', crop: 'carrot', end: 'both' }])
    const both = band({ crops: [wide, low] }, 'pH')!
    expect(both.band).toEqual({
      low: Math.max(...ends.map((p) => p.low)),
      high: Math.min(...ends.map((p) => p.high)),
    })
    const from = (end: 'low' | 'high') =>
      both.reasons.flatMap((r) =>
        r.code === 'crop' && (r.end === end || r.end === 'both') ? [crop(r.crop)] : [],
      )
    expect(from('low').map((c) => c.pH.low)).toEqual([both.band.low])
    expect(from('high').map((c) => c.pH.high)).toEqual([both.band.high])
    expect(both.reasons).toHaveLength(from('low')[0] === from('high')[0] ? 1 : 2)
  })
  test('a band the grower moved stands', () => {
    const own = { pH: { low: 5, high: 5.4 } }
    expect(band({ crops: [crop('lettuce')], own }, 'pH')).toMatchObject({
      band: own.pH,
      reasons: [{ code: 'grower' }],
    })
  })
})

describe('air by the height of the mix', () => {
  /** Wanted over a column by three groups of crops: low and high, by height in cm. */
  const WANTED: Record<string, { of: string; by: [number, number, number][] }> = {
    'most vegetables and herbs': {
      of: 'tomato_cherry',
      by: [
        [2.5, 0.02, 0.1],
        [4.5, 0.04, 0.16],
        [10, 0.1, 0.26],
        [20, 0.14, 0.3],
        [40, 0.16, 0.35],
      ],
    },
    'roots that rot with ease': {
      of: 'blueberry',
      by: [
        [2.5, 0.04, 0.14],
        [4.5, 0.07, 0.2],
        [10, 0.15, 0.32],
        [20, 0.2, 0.36],
        [40, 0.23, 0.4],
      ],
    },
    'lovers of wet ground': {
      of: 'celery',
      by: [
        [2.5, 0.01, 0.08],
        [4.5, 0.02, 0.13],
        [10, 0.06, 0.22],
        [20, 0.1, 0.27],
        [40, 0.12, 0.3],
      ],
    },
  }
  for (const [group, { of, by }] of Object.entries(WANTED))
    for (const [height, low, high] of by)
      for (const end of ['low', 'high'] as const)
        outsideCheck({
          module: 'data',
          what: `${group}, ${end} end of the air wanted in a column of ${height} cm`,
          source: 'Fonteno 1989, 1996; Bunt 1988 (from memory)',
          basis: 'from memory',
          unit: 'm3/m3',
          expected: end === 'low' ? low : high,
          tolerance: 0.03,
          usedToSet: 'air bands by height',
          computed: () => band({ crops: [crop(of)], height }, 'airFilledPorosity')!.band[end],
        })
  test('at the usual height it is the crop’s own; it grows with height, and never closes', () => {
    const own = { low: 0.15, high: 0.3 }
    expect(airBandAt(own, USUAL_HEIGHT)).toEqual(own)
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (h, d) => {
          const [a, b] = [airBandAt(own, h), airBandAt(own, h + d)]
          expect(b.low).toBeGreaterThanOrEqual(a.low)
          expect(b.high).toBeGreaterThanOrEqual(a.high)
          expect(a.low).toBeLessThan(a.high)
        },
      ),
      draws(),
    )
    // Straight between two heights of the table, level beyond the last.
    expect(airBandAt(own, 25).low).toBeCloseTo((own.low + airBandAt(own, 30).low) / 2, 9)
    expect(airBandAt(own, 60)).toEqual(airBandAt(own, 40))
  })
  test('a band the grower moved, and a bed on soil, have no height', () => {
    const own = { airFilledPorosity: { low: 0.2, high: 0.25 } }
    expect(band({ height: 5, own }, 'airFilledPorosity')!.band).toEqual(own.airFilledPorosity)
    expect(band({ height: 5, inGround: true }, 'airFilledPorosity')!.band).toEqual(
      band({ inGround: true }, 'airFilledPorosity')!.band,
    )
  })
  test('S3: one good mix is within at every height, in air and in water', () => {
    for (const height of [4, 8, 12, 20, 25, 32, 40]) {
      const container = {
        shape: { kind: 'roundPot' as const, topDiameter: 20, baseDiameter: 20, height },
        headspace: 0,
        base: { kind: 'drainHoles' as const },
      }
      const mixed = blend(parts({ peat_medium: 3, vermiculite_medium: 1 }))
      if (!mixed.ok) throw new Error(mixed.problem.code)
      const { totalPorosity, waterAt } = mixed.value
      const of = containerProfile(container, [{ top: height, totalPorosity, waterAt }])
      const air = band({ crops: [crop('tomato_cherry')], height }, 'airFilledPorosity')!.band
      expect(of.airFilledPorosity, `${height} cm`).toBeGreaterThan(air.low)
      expect(of.airFilledPorosity, `${height} cm`).toBeLessThan(air.high)
      expect(of.easilyAvailableWater).toBeCloseTo(waterAt(10) - waterAt(50), 9)
    }
  })
})

test('two crops that meet in one figure are both pleased; only where they miss each other there is a conflict', () => {
  const of = (id: string, low: number, high: number) => ({
    ...crop('lettuce'),
    id,
    pH: { ...crop('lettuce').pH, low, high },
  })
  const asked = (least: number) => targetsFor({ ...question, crops: [of('a', 5.5, 6.2), of('b', least, 7)] })
  expect(asked(6.2).conflicts).toEqual([])
  expect(asked(6.2).bands.find((b) => b.target === 'pH')!.band).toEqual({ low: 6.2, high: 6.2 })
  expect(asked(6.3).conflicts).toEqual([
    { target: 'pH', low: { crop: 'a', most: 6.2 }, high: { crop: 'b', least: 6.3 } },
  ])
})
test('the height of a mix moves the air wanted in a container, not in a bed on soil, nor where it is not known', () => {
  const lettuce = { crops: [crop('lettuce')] }
  const air = (q: Partial<TargetQuestion>) => band({ ...lettuce, ...q }, 'airFilledPorosity')!.band
  const { low, high } = crop('lettuce').airFilledPorosity
  expect(air({ height: null })).toEqual({ low, high })
  expect(air({ height: 8, inGround: true })).toEqual({ low, high })
  expect(air({ height: 8 }).low).toBeLessThan(low)
})
