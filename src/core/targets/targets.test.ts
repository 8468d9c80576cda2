import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CROPS, cropById } from '../data'
import { plantsIn } from '../filling'
import { outsideCheck } from '../testing/outsideCheck'
import type { TARGETS } from '.'
import { targetsFor, type TargetQuestion } from '.'

const crop = (id: string) => cropById(id)!
const question: TargetQuestion = { crops: [], inGround: false, carried: false, waterEvery: null }
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
  test('a band the grower moved stands', () => {
    const own = { pH: { low: 5, high: 5.4 } }
    expect(band({ crops: [crop('lettuce')], own }, 'pH')).toMatchObject({
      band: own.pH,
      reasons: [{ code: 'grower' }],
    })
  })
})
