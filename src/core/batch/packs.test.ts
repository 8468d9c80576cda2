import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import loadHighs from 'highs'
import { beforeAll, describe, expect, test } from 'vitest'
import { materialById } from '../data'
import { cheapestPacks, looseLitresOfPack, type PackOffer } from '.'

const row = (id: string) => materialById(id)!
const offer = (litres: number, price: number | null, delivery = 0): PackOffer => ({
  pack: { kind: 'loose', litres },
  litres,
  price,
  delivery,
})
const costOf = (counts: readonly number[], offers: readonly PackOffer[]) =>
  counts.reduce((sum, n, i) => sum + n * offers[i]!.price! + (n > 0 ? (offers[i]!.delivery ?? 0) : 0), 0)

/** Every count of every pack up to what covers the need alone. */
function bruteForce(need: number, offers: readonly PackOffer[]): number {
  let best = Infinity
  const counts = offers.map(() => 0)
  const choose = (at: number, left: number) => {
    if (left <= 0.01) return (best = Math.min(best, costOf(counts, offers)))
    if (at === offers.length) return
    for (let n = 0; n <= Math.ceil(left / offers[at]!.litres); n++) {
      counts[at] = n
      choose(at + 1, left - n * offers[at]!.litres)
    }
    counts[at] = 0
  }
  choose(0, need)
  return best
}

const someOffers = (most: number) =>
  fc.array(
    fc.record({
      litres: fc.integer({ min: 3, max: 120 }),
      price: fc.integer({ min: 0, max: 40 }),
      delivery: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 60 })),
    }),
    { minLength: 1, maxLength: most },
  )
const offersFrom = (rows: { litres: number; price: number; delivery: number }[]) =>
  rows.map((r) => offer(r.litres, r.price, r.delivery))

describe('packs at least cost', () => {
  test('equal brute force on small cases, deliveries paid once', () => {
    fc.assert(
      fc.property(someOffers(4), fc.integer({ min: 1, max: 260 }), (rows, need) => {
        const offers = offersFrom(rows)
        const bought = cheapestPacks(need, 0, offers)
        expect(bought.litres).toBeGreaterThanOrEqual(need - 0.01)
        expect(bought.leftover).toBeCloseTo(bought.litres - need, 9)
        expect(bought.cost).toBe(costOf(bought.counts, offers))
        expect(bought.cost).toBe(bruteForce(need, offers))
      }),
      draws(),
    )
  })
  describe('against an exact program', () => {
    let solve: (problem: string) => number
    beforeAll(async () => {
      const highs = await loadHighs()
      solve = (problem) => highs.solve(problem).ObjectiveValue
    })
    /** The same as an integer program in the LP format: counts, and a yes or no for each delivery. */
    const programOf = (need: number, offers: readonly PackOffer[]) => {
      const list = (of: (o: PackOffer, i: number) => string) => offers.map(of).join(' + ')
      const most = (o: PackOffer) => Math.ceil(need / o.litres)
      return [
        'Minimize',
        ` cost: ${list((o, i) => `${o.price} n${i} + ${o.delivery ?? 0} d${i}`)}`,
        'Subject To',
        ` need: ${list((o, i) => `${o.litres} n${i}`)} >= ${need - 0.01}`,
        ...offers.map((o, i) => ` link${i}: n${i} - ${most(o)} d${i} <= 0`),
        'Bounds',
        ...offers.map((o, i) => ` 0 <= n${i} <= ${most(o)}`),
        'General',
        ` ${offers.map((_, i) => `n${i}`).join(' ')}`,
        'Binary',
        ` ${offers.map((_, i) => `d${i}`).join(' ')}`,
        'End',
      ].join('\n')
    }
    test('HiGHS finds nothing cheaper for a garden full and up to nine packs', () => {
      fc.assert(
        fc.property(someOffers(9), fc.integer({ min: 20, max: 6000 }), (rows, need) => {
          const offers = offersFrom(rows)
          const bought = cheapestPacks(need, 0, offers)
          expect(Math.abs(bought.cost! - solve(programOf(need, offers)))).toBeLessThan(
            1e-6 * (1 + bought.cost!),
          )
        }),
        draws(60),
      )
    })
  })
  test('of equal cost the least is left over, and then there are the fewest packs', () => {
    expect(cheapestPacks(60, 0, [offer(80, 8), offer(30, 4)]).counts).toEqual([0, 2])
    expect(cheapestPacks(60, 0, [offer(20, 3), offer(60, 9)]).counts).toEqual([0, 1])
  })
  test('a pack without a price is left out where another has one', () => {
    expect(cheapestPacks(50, 0, [offer(50, null), offer(40, 7)])).toMatchObject({ counts: [0, 2], cost: 14 })
  })
  test('a delivery is worth it from some amount on', () => {
    const offers = [offer(50, 9), offer(500, 30, 45)]
    expect(cheapestPacks(300, 0, offers).counts).toEqual([6, 0])
    expect(cheapestPacks(450, 0, offers)).toMatchObject({ counts: [0, 1], cost: 75 })
  })
  test('one’s own is taken by the litre, for nothing', () => {
    const own: PackOffer = {
      pack: { kind: 'own' },
      litres: looseLitresOfPack(row('leaf_mould'), { kind: 'own' }),
      price: 0,
    }
    expect(cheapestPacks(33.4, 10, [own, offer(40, 6)])).toMatchObject({
      counts: [24, 0],
      cost: 0,
      fromStock: 10,
    })
  })
  test('a label that says what a pack gives outranks the table', () => {
    expect(looseLitresOfPack(row('peat_medium'), { kind: 'compressed', litres: 100, swell: 1.6 })).toBe(160)
    expect(looseLitresOfPack(row('coir_pith'), { kind: 'block', kg: 0.65, litresPerKg: 13 })).toBeCloseTo(
      8.45,
      9,
    )
    expect(looseLitresOfPack(row('compost_green'), { kind: 'bulk', litres: 500 })).toBe(500)
  })
})
