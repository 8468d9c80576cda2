import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { mean, standardDeviation } from 'simple-statistics'
import { describe, expect, test } from 'vitest'
import { normal, seededRandom } from '../ranges'
import { outsideCheck } from '../testing/outsideCheck'
import { difference, differenceShown, potsWanted, trialPlan } from '.'

const pots = (n: number, middle: number, spread: number, seed: number) => {
  const random = seededRandom(seed)
  return Array.from({ length: n }, () => Math.max(0.01, middle + spread * normal(random)))
}

describe('the difference between two sets of pots', () => {
  outsideCheck({
    module: 'trial',
    what: 'half of the bootstrap range of a difference of 40 pots each, against normal theory',
    source:
      'difference of two means: 1.645 sqrt(s1²/n + s2²/n), any text of statistics; simple-statistics for s',
    basis: 'closed form',
    unit: 'share',
    ...(() => {
      const a = pots(40, 10, 2, 1)
      const b = pots(40, 11, 2, 2)
      const se = Math.sqrt((standardDeviation(a) ** 2 + standardDeviation(b) ** 2) / 39)
      return {
        expected: (1.645 * se) / mean(a),
        tolerance: 0.006,
        computed: () => {
          const { range } = difference(a, b)
          return (range!.high - range!.low) / 2
        },
      }
    })(),
  })
  test('few pots are not taken to be surer than they are: five give the range of the t of books, not a tenth less', () => {
    // A bootstrap of n pots is too narrow by the root of (n - 1) / n (Hesterberg 2015): standard deviation over root 4.
    const five = [8.03, 9.11, 9.97, 11.02, 11.87]
    const { range } = difference(Array<number>(400).fill(10), five)
    const expected = (1.645 * standardDeviation(five)) / Math.sqrt(4) / 10
    expect(Math.abs((range!.high - range!.low) / 2 - expected)).toBeLessThan(0.05 * expected)
  })
  test('a harvest of nothing in most pots leaves a range that can be written down', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const { range } = difference([0, 0, 0, 0, 8], [3, 4, 5, 3, 4], seed)
      expect(Number.isFinite(range!.low) && Number.isFinite(range!.high), `seed ${seed}`).toBe(true)
      // Nobody harvests less than nothing.
      expect(range!.low).toBeGreaterThanOrEqual(-1)
    }
  })
  test('three pots on each side can tell, two beside a hundred cannot', () => {
    expect(difference([1, 1.1, 1.2], [2, 2.1, 2.2])).toMatchObject({ counts: [3, 3], isSure: true })
    expect(difference(pots(100, 10, 1, 1), [20, 21])).toMatchObject({ range: null, isSure: false })
    expect(difference([20, 21], pots(100, 10, 1, 1)).range).toBeNull()
  })
  test('2026-11-29: a loss is as sure as a gain: zero lies outside the range on either side', () => {
    // 10 against 7 with a spread of 1 and 20 pots each: 0.3 of the first, nine standard errors of the difference.
    const [a, b] = [pots(20, 10, 1, 1), pots(20, 7, 1, 2)]
    const less = difference(a, b)
    expect(less.share).toBeCloseTo(-0.3, 1)
    expect(less.range!.high).toBeLessThan(0)
    expect(less.isSure).toBe(true)
    expect(difference(b, a)).toMatchObject({ isSure: true })
    expect(difference(a, pots(20, 10, 1, 3)).isSure).toBe(false)
  })
  test('two pots each cannot tell, however far apart; nor can an empty set', () => {
    expect(difference([1, 1.1], [9, 9.2])).toMatchObject({ range: null, isSure: false, counts: [2, 2] })
    expect(difference([], []).range).toBeNull()
    expect(difference([0, 0, 0], [1, 1, 1]).range).toBeNull()
  })
  test('a large difference of many is sure; none is not', () => {
    expect(difference(pots(12, 10, 1, 3), pots(12, 14, 1, 4)).isSure).toBe(true)
    expect(difference(pots(6, 10, 3, 5), pots(6, 10, 3, 6)).isSure).toBe(false)
  })
  test('where there is none, it is called sure about once in ten', () => {
    let sure = 0
    for (let i = 0; i < 200; i++)
      if (difference(pots(6, 10, 2.5, 100 + i), pots(6, 10, 2.5, 900 + i)).isSure) sure++
    expect(sure).toBeGreaterThan(8)
    expect(sure).toBeLessThan(40)
  })
  test('turned round it says the same, and it does not hang on the order of pots', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 9, noNaN: true }), { minLength: 3, maxLength: 9 }),
        (list) => {
          const other = list.map((x) => x * 1.5)
          const there = difference(list, other)
          expect(there.share).toBeCloseTo(0.5, 9)
          expect(difference(other, list).share).toBeCloseTo(1 / 1.5 - 1, 9)
          expect(difference([...list].reverse(), other).share).toBeCloseTo(0.5, 9)
        },
      ),
      draws(30),
    )
  })
})

describe('a fair trial', () => {
  test('pots wanted grow as the difference shrinks, and show it', () => {
    for (const share of [0.1, 0.2, 0.4]) {
      const n = potsWanted(share)
      expect(differenceShown(n)).toBeLessThanOrEqual(share + 1e-9)
      expect(differenceShown(Math.max(1, n - 1))).toBeGreaterThan(share - 0.35)
    }
    expect(potsWanted(0.1)).toBeGreaterThan(potsWanted(0.2))
  })
  test('each block has each treatment once, in an order of its own', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 5 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer(),
        (t, blocks, seed) => {
          const plan = trialPlan(t, blocks, seed)
          expect(plan).toHaveLength(t * blocks)
          for (let b = 0; b < blocks; b++)
            expect([...plan.slice(b * t, b * t + t)].sort()).toEqual(Array.from({ length: t }, (_, i) => i))
        },
      ),
    )
    expect(trialPlan(2, 8, 1)).toEqual(trialPlan(2, 8, 1))
    const firsts = Array.from({ length: 60 }, (_, seed) => trialPlan(2, 1, seed)[0])
    expect(firsts.filter((f) => f === 0).length).toBeGreaterThan(15)
    expect(firsts.filter((f) => f === 1).length).toBeGreaterThan(15)
  })
})

describe('the range of a difference', () => {
  test('pots that are all alike leave no doubt: the range is the difference itself', () => {
    const { range, isSure } = difference([2, 2, 2, 2], [3, 3, 3, 3])
    expect(range!.low).toBeCloseTo(0.5, 12)
    expect(range!.high).toBeCloseTo(0.5, 12)
    expect(isSure).toBe(true)
  })
  test('grams or pounds make no difference, nor does which pots come first', () => {
    const [a, b] = [pots(7, 10, 2, 5), pots(6, 13, 3, 6)]
    const kg = difference(a, b)
    const pounds = difference(
      a.map((x) => x * 2.2),
      b.map((x) => x * 2.2),
    )
    expect(pounds.range!.low).toBeCloseTo(kg.range!.low, 9)
    expect(pounds.range!.high).toBeCloseTo(kg.range!.high, 9)
  })
  test('a first side without harvest gives no share and no range', () => {
    expect(difference([0, 0, 0], [1, 2, 3]).range).toBeNull()
    // One pot in three bore: draws in which none did say nothing of a share, and are left out.
    expect(difference([0, 0, 3], [1, 2, 3]).range!.high).toBeLessThan(Infinity)
  })
})
