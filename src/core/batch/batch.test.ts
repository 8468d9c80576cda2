import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { MATERIALS, materialById } from '../data'
import { isMeasurable } from '../mixing'
import { outsideCheck } from '../testing/outsideCheck'
import {
  cheapestPacks,
  isByMark,
  isRounded,
  levelSpoons,
  looseLitresOfPack,
  METRIC_SPOONS,
  packWeight,
  planBatches,
  shedsWaterWhenDry,
  TURN_FRACTION,
  US_SPOONS,
  waterToWorkable,
  type BatchPlan,
  type BatchRequest,
} from '.'

import type { BatchJob } from './sizing'
import { whatWorks } from './whatWorks'

const row = (id: string) => materialById(id)!

describe('packs', () => {
  outsideCheck({
    module: 'batch',
    what: 'one kg of dry coir block, loose and wetted',
    source: 'common practice',
    basis: 'common practice',
    unit: 'L',
    expected: { low: 12, high: 16 },
    tolerance: 0,
    computed: () => looseLitresOfPack(row('coir_pith'), { kind: 'block', kg: 1 }),
  })
  outsideCheck({
    module: 'batch',
    what: 'one litre of a pressed peat bale, loosened',
    source: 'common practice',
    basis: 'common practice',
    unit: 'L',
    expected: { low: 1.6, high: 2.2 },
    tolerance: 0,
    computed: () => looseLitresOfPack(row('peat_medium'), { kind: 'compressed', litres: 1 }),
  })
  outsideCheck({
    module: 'batch',
    what: 'water to swell a 5 kg coir block',
    source: 'common practice',
    basis: 'common practice',
    unit: 'L',
    expected: { low: 20, high: 30 },
    tolerance: 0,
    usedToSet: 'workable moisture of coir',
    computed: () =>
      waterToWorkable(row('coir_pith'), { kind: 'block', kg: 5 }) *
      looseLitresOfPack(row('coir_pith'), { kind: 'block', kg: 5 }),
  })
  test('by weight and loose', () => {
    expect(looseLitresOfPack(row('sand_coarse'), { kind: 'mass', kg: 25 })).toBeCloseTo(25 / 1.58, 9)
    expect(looseLitresOfPack(row('perlite_coarse'), { kind: 'loose', litres: 100 })).toBe(100)
    expect(packWeight(row('sand_coarse'), { kind: 'mass', kg: 25 })).toBe(25)
    expect(packWeight(row('compost_green'), { kind: 'loose', litres: 40 })).toBeCloseTo(26, 9)
    expect(packWeight(row('compost_green'), { kind: 'bulk', litres: 400 })).toBeCloseTo(260, 9)
    expect(packWeight(row('compost_green'), { kind: 'own' })).toBeCloseTo(0.65, 9)
  })
  test('no material is ever asked to give up water', () => {
    for (const m of MATERIALS) expect(waterToWorkable(m, m.pack)).toBeGreaterThanOrEqual(0)
    expect(shedsWaterWhenDry(row('peat_fine'))).toBe(true)
    expect(shedsWaterWhenDry(row('sand_sharp'))).toBe(false)
  })

  test('uses stock first, and buys nothing when it is enough', () => {
    const offers = [{ pack: { kind: 'loose' as const, litres: 50 }, litres: 50, price: 9 }]
    expect(cheapestPacks(60, 100, offers)).toMatchObject({
      counts: [0],
      fromStock: 60,
      leftover: 40,
      cost: 0,
    })
    expect(cheapestPacks(60, 20, offers)).toMatchObject({ counts: [1], fromStock: 20, leftover: 10, cost: 9 })
    expect(cheapestPacks(50.005, 0, offers).counts).toEqual([1])
  })
  test('without prices: fewest litres, and no cost claimed', () => {
    const offers = [
      { pack: { kind: 'loose' as const, litres: 100 }, litres: 100, price: null },
      { pack: { kind: 'loose' as const, litres: 40 }, litres: 40, price: null },
    ]
    expect(cheapestPacks(70, 0, offers)).toMatchObject({ counts: [0, 2], cost: null })
  })
})

describe('batches', () => {
  const recipe = [
    { id: 'peat', twelfths: 48 },
    { id: 'compost', twelfths: 24 },
    { id: 'perlite', twelfths: 12 },
  ]
  const request: BatchRequest = { parts: recipe, blendingLoss: 0.05, wanted: 400, bucket: 10, vessel: 90 }
  const plan = (change: Partial<BatchRequest> = {}) => {
    const p = planBatches({ ...request, ...change })
    if (!p.ok) throw new Error(p.problem.code)
    return p.value
  }

  test('by hand: 4:2:1 in a 90 L tub with a 10 L bucket', () => {
    // Two thirds of 90 L is 60 L of blend, 63.2 L loose. Three quarters of a bucket to the part: 3, 1½ and ¾ buckets,
    // 52.5 L loose, 49.9 L of blend; a whole bucket to the part would be 66.5 L, too much.
    const p = plan()
    expect(p.batches[0]!.measures.map((m) => m.twelfths)).toEqual([36, 18, 9])
    expect(p.batches[0]!.looseLitres).toBeCloseTo(52.5, 9)
    expect(p.batches[0]!.blendLitres).toBeCloseTo(49.875, 9)
    // Eight of them make 399 L: a quarter of a percent short is no ninth batch.
    expect(p.batches).toHaveLength(8)
    expect(p.largestShareError).toBeLessThan(1e-9)
  })
  /** How far any part of any batch strays from the recipe, as a share of the part. */
  const strays = (p: BatchPlan, twelfths: readonly number[]) => {
    const recipe = twelfths.reduce((a, b) => a + b, 0)
    return Math.max(
      ...p.batches.flatMap((b) =>
        b.measures.map((m, i) => Math.abs(m.litres / b.looseLitres / (twelfths[i]! / recipe) - 1)),
      ),
    )
  }
  test('no part of any batch strays by more than a twentieth, whatever the recipe, bucket and tub', () => {
    const anyRecipe = fc.array(fc.constantFrom(6, 12, 12, 18, 24, 36, 48, 60), { minLength: 1, maxLength: 5 })
    fc.assert(
      fc.property(
        anyRecipe,
        fc.double({ min: 0, max: 0.25, noNaN: true }),
        fc.double({ min: 40, max: 900, noNaN: true }),
        fc.constantFrom(5, 10, 14),
        fc.constantFrom(60, 90, 200),
        (twelfths, blendingLoss, wanted, bucket, vessel) => {
          const parts = twelfths.map((t, i) => ({ id: `m${i}`, twelfths: t }))
          const result = planBatches({ parts, blendingLoss, wanted, bucket, vessel, scoop: 0.5 })
          if (!result.ok) {
            expect(result.problem.code).toBe('vessel-too-small')
            return
          }
          const p = result.value
          if (isByMark(p)) {
            expect(result.notes.map((n) => n.code)).toEqual(['not-with-these-tools'])
            return
          }
          expect(strays(p, twelfths)).toBeLessThan(0.0501)
          for (const b of p.batches) {
            for (const m of b.measures) {
              expect(isMeasurable(m.twelfths) && isMeasurable(m.scoopTwelfths)).toBe(true)
              expect(m.scoopTwelfths).toBeLessThanOrEqual(48)
              expect(m.litres).toBeGreaterThan(0)
              expect(m.litres).toBeCloseTo((m.twelfths * bucket + m.scoopTwelfths * 0.5) / 12, 9)
            }
            expect(b.blendLitres).toBeLessThanOrEqual(vessel * TURN_FRACTION + 1e-9)
            expect(b.blendLitres).toBeCloseTo(b.looseLitres * (1 - blendingLoss), 9)
          }
          expect(p.blendLitres).toBeGreaterThanOrEqual(wanted * 0.995 - 1e-9)
          expect(p.blendLitres).toBeLessThanOrEqual(wanted * 1.05 + 1e-9)
          expect(p.batches.filter((b) => b.short).length).toBeLessThanOrEqual(1)
          // Short of the others is what makes less than the first; the first itself never is.
          const [whole] = p.batches
          for (const b of p.batches) expect(b.short).toBe(b.blendLitres < whole!.blendLitres - 1e-6)
          p.totals.forEach((t, i) =>
            expect(t.litres).toBeCloseTo(
              p.batches.reduce((s, b) => s + b.measures[i]!.litres, 0),
              6,
            ),
          )
        },
      ),
      draws(300),
    )
  })
  test.each([
    ['4:2:2 ended in 1:1:1', [48, 24, 24], 65],
    ['9:1 became 5:1', [108, 12], 62],
    ['a part of castings grew threefold', [60, 36, 24, 6], 130],
  ])('keeps the recipe to the last batch: %s', (_, twelfths, wanted) => {
    const parts = twelfths.map((t, i) => ({ id: `m${i}`, twelfths: t }))
    expect(strays(plan({ parts, blendingLoss: 0, wanted, scoop: 1 }), twelfths)).toBeLessThan(0.0501)
  })
  test('B2: what no measure can keep goes by the mark, and what would work is said and does', () => {
    const twelfths = [3, 108, 108]
    const parts = twelfths.map((t, i) => ({ id: `m${i}`, twelfths: t }))
    const asked = { ...request, parts, wanted: 10, scoop: 5 }
    const p = planBatches(asked)
    if (!p.ok) throw new Error(p.problem.code)
    expect(isByMark(p.value)).toBe(true)
    expect(p.value.totals.map((t) => t.litres * (1 - 0.05))).toEqual(
      twelfths.map((t) => expect.closeTo((10 * t) / 219, 9)),
    )
    const note = p.notes[0]!
    if (note.code !== 'not-with-these-tools') throw new Error(note.code)
    expect(isByMark(plan({ ...asked, scoop: note.scoop! }))).toBe(false)
    // A quarter of this scoop is a hundredth of 91 L, and the tub turns 60.
    expect(note.amount).toBeNull()
  })
  test('B2: 4 : 2 : ½ for a litre is no three equal parts, but asks for a cup', () => {
    const parts = [48, 24, 6].map((t, i) => ({ id: `m${i}`, twelfths: t }))
    const p = planBatches({ parts, blendingLoss: 0.05, wanted: 1, bucket: 10, scoop: 1, vessel: 90 })
    expect(p.ok && p.notes).toEqual([
      { code: 'not-with-these-tools', scoop: expect.any(Number), amount: expect.any(Number) },
    ])
  })
  test('B1: three gallons by a bucket of five and a quart scoop are half a bucket and two scoops', () => {
    const gallon = 3.785411784
    const [batch] = plan({
      parts: [{ id: 'a', twelfths: 12 }],
      blendingLoss: 0,
      wanted: 3 * gallon,
      bucket: 5 * gallon,
      scoop: gallon / 4,
    }).batches
    // 2½ gallons and twice a quarter: exactly 3, in three actions; no fraction of the bucket is within a twentieth.
    expect(batch!.measures.map((m) => [m.twelfths, m.scoopTwelfths])).toEqual([[6, 24]])
  })
  test('B3: a vessel of 10 L never holds more than two thirds of it', () => {
    const parts = [12, 12, 12, 12, 12, 12].map((t, i) => ({ id: `m${i}`, twelfths: t }))
    for (const wanted of [1.15, 5, 20]) {
      const p = plan({ parts, wanted, bucket: 10, scoop: 1, vessel: 10 })
      for (const b of p.batches) expect(b.blendLitres).toBeLessThanOrEqual((10 * 2) / 3 + 1e-9)
    }
  })
  test('B4: a measure that is the batch itself is filled to the brim', () => {
    const foot = 28.316846592
    const p = plan({
      parts: [{ id: 'a', twelfths: 12 }],
      blendingLoss: 0,
      wanted: 2 * foot,
      bucket: foot / 2,
      vessel: foot,
      turnFraction: 1,
    })
    expect(p.batches.map((b) => b.blendLitres)).toEqual([expect.closeTo(foot, 9), expect.closeTo(foot, 9)])
  })
  test('a settling allowance stays what it is: no batch is rounded up by more than a twentieth', () => {
    for (const wanted of [21, 37, 53, 74, 107, 214])
      expect(plan({ wanted, scoop: 1 }).blendLitres / wanted, String(wanted)).toBeLessThan(1.051)
  })
  test('a small job is one batch of about its size', () => {
    const p = plan({ wanted: 12 })
    expect(p.batches).toHaveLength(1)
    expect(p.batches[0]!.short).toBe(false)
    expect(p.blendLitres).toBeLessThan(18)
    expect(p.blendLitres).toBeGreaterThan(11.9)
  })
  /** Twelfths of a bucket of 10 L and of a scoop of 1 L, batch by batch, with nothing lost in blending. */
  const measuresOf = (parts: number[], wanted: number, vessel = 90) =>
    plan({
      parts: parts.map((twelfths, i) => ({ id: `m${i}`, twelfths })),
      blendingLoss: 0,
      wanted,
      scoop: 1,
      vessel,
    }).batches.map((b) => b.measures.map((m) => [m.twelfths, m.scoopTwelfths]))
  test('by hand: what lies on an edge', () => {
    // The next neat measures of 3:1 after 13.3 L are 20 L: a twentieth too much is no waste, more is.
    expect(measuresOf([36, 12], 19.1)).toEqual([
      [
        [18, 0],
        [6, 0],
      ],
    ])
    expect(measuresOf([36, 12], 18)[0]![1]![1]).toBeGreaterThan(0)
    // Ten litres but for the half percent that nobody misses are ten, to the last digit.
    expect(measuresOf([12], 10.050251256281406)).toEqual([[[12, 0]]])
    // A tub of 90 L turns 60: 62 go in two, seven actions however they are shared.
    expect(measuresOf([12], 60)).toEqual([[[72, 0]]])
    expect(measuresOf([12], 62)).toEqual([[[42, 0]], [[33, 0]]])
    // Nearer than a quarter bucket: the scoop. 1⅓ buckets and ⅔ of a scoop are 14 L in three actions.
    expect(measuresOf([84, 12], 16, 60)).toEqual([
      [
        [16, 8],
        [0, 24],
      ],
    ])
    expect(planBatches({ ...request, parts: [{ id: 'a', twelfths: -12 }] })).toMatchObject({
      problem: { code: 'part-not-positive', value: -1 },
    })
    expect(planBatches({ ...request, parts: [{ id: 'a', twelfths: 0.05 }] })).not.toMatchObject({
      problem: { code: 'part-not-positive' },
    })
    expect(planBatches({ ...request, bucket: 0.05, vessel: 0.6, wanted: 0.3 })).toMatchObject({ ok: true })
  })
  test('a share of the recipe off by half a point is said, less is not', () => {
    expect([isRounded({ largestShareError: 0.0051 }), isRounded({ largestShareError: 0.005 })]).toEqual([
      true,
      false,
    ])
  })
  const wrong: [string, Partial<BatchRequest>, string][] = [
    ['no parts', { parts: [] }, 'no-parts'],
    ['a part of nothing', { parts: [{ id: 'a', twelfths: 0 }] }, 'part-not-positive'],
    ['a bucket of nothing', { bucket: 0 }, 'size-not-positive'],
    ['a negative tub', { vessel: -5 }, 'size-not-positive'],
    ['nothing wanted', { wanted: 0 }, 'size-not-positive'],
    ['an endless bucket', { bucket: Infinity }, 'size-not-positive'],
    ['a thimble for a tub', { vessel: 0.2 }, 'vessel-too-small'],
    ['a scoop of nothing', { scoop: 0 }, 'size-not-positive'],
    ['a tub to be filled thousands of times', { wanted: 90_000 }, 'vessel-too-small'],
  ]
  test.each(wrong)('refuses %s', (_what, change, code) => {
    const p = planBatches({ ...request, ...change })
    expect(!p.ok && p.problem.code).toBe(code)
  })
})

describe('spoons', () => {
  outsideCheck({
    module: 'batch',
    what: 'a level US tablespoon of water in grams is three teaspoons of 4.93 mL',
    source: 'NIST Handbook 44, appendix C',
    basis: 'standard',
    unit: 'teaspoons',
    expected: 3,
    tolerance: 0,
    computed: () => {
      const { cups, tablespoons, teaspoons } = levelSpoons(14.7868, 1, US_SPOONS)
      return cups * 48 + tablespoons * 3 + teaspoons
    },
  })
  const NONE = { jugs: 0, cups: 0, tablespoons: 0, teaspoons: 0 }
  test('B8: the largest that fits, at most two, as near as spoons can be trusted', () => {
    expect(levelSpoons(0, 1, METRIC_SPOONS)).toEqual(NONE)
    // 337.5 g of limestone at 1.35 g/mL is 250 mL, one metric cup.
    expect(levelSpoons(337.5, 1.35, METRIC_SPOONS)).toEqual({ ...NONE, cups: 1 })
    // B8: 0.8 of a cup is three quarters and a tablespoon, 202.5 mL of 200.
    expect(levelSpoons(200, 1, METRIC_SPOONS)).toEqual({ ...NONE, cups: 0.75, tablespoons: 1 })
    // An eighth of a teaspoon rounds to a quarter; less is weighed.
    expect(levelSpoons(0.63, 1, METRIC_SPOONS)).toEqual({ ...NONE, teaspoons: 0.25 })
    expect(levelSpoons(0.62, 1, METRIC_SPOONS)).toEqual(NONE)
    // Half a litre is two cups; a litre and more is jugs.
    expect(levelSpoons(500, 1, METRIC_SPOONS)).toEqual({ ...NONE, cups: 2 })
    expect(levelSpoons(2500, 1, METRIC_SPOONS)).toEqual({ ...NONE, jugs: 2.5 })
  })
  test('B8: no dose is off by more than powders pack, and none takes three measures', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 9000, noNaN: true }),
        fc.constantFrom(METRIC_SPOONS, US_SPOONS),
        (grams, set) => {
          const s = levelSpoons(grams, 1.2, set)
          const mL =
            s.jugs * set.jug + s.cups * set.cup + s.tablespoons * set.tablespoon + s.teaspoons * set.teaspoon
          // Half a quarter teaspoon, or the twentieth between two marks of a measure.
          expect(Math.abs(mL - grams / 1.2)).toBeLessThanOrEqual(Math.max(0.625, (0.03 * grams) / 1.2) + 1e-9)
          expect(Object.values(s).filter((n) => n > 0).length).toBeLessThanOrEqual(2)
        },
      ),
      draws(),
    )
  })
})

test('the scoop that would do is the one nearest by how many times it goes into the other; so is the amount', () => {
  const job = { tools: { scoop: 0.3, bucket: 10 }, wanted: 50 } as BatchJob
  const would = (does: (job: BatchJob) => boolean) => whatWorks(job, (j) => does(j) || null)
  // A spoon of a ninth and a jug of two litres: 0.3 holds the one less often than it goes into the other.
  const few = would((j) => j.tools.scoop <= 0.15 || j.tools.scoop === 2)
  expect(few.scoop).toBeLessThanOrEqual(0.15)
  expect(would((j) => j.tools.scoop === 2).scoop).toBe(2)
  // No scoop as large as the bucket it fills.
  expect(
    whatWorks({ ...job, tools: { ...job.tools, bucket: 2 } }, (j) => j.tools.scoop >= 2).scoop,
  ).toBeNull()
  expect(would((j) => j.wanted > 50).amount).toBeCloseTo(55, 9)
  expect(would((j) => j.wanted < 50).amount).toBeCloseTo(45, 9)
  expect(would(() => false)).toEqual({ scoop: null, amount: null })
})
