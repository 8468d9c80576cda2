import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import loadHighs from 'highs'
import { beforeAll, describe, expect, test } from 'vitest'
import { materialById } from '../data'
import { cheapestOrder, cheapestPacks, looseLitresOfPack, type PackOffer } from '.'

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
  describe('several things from one place', () => {
    const supplied = fc.array(
      fc.record({
        need: fc.integer({ min: 10, max: 1500 }),
        offers: fc.array(
          fc.record({
            litres: fc.integer({ min: 10, max: 300 }),
            price: fc.integer({ min: 1, max: 40 }),
            delivery: fc.integer({ min: 1, max: 80 }),
            supplier: fc.constantFrom('', 'yard', 'farm', 'quarry'),
          }),
          { minLength: 1, maxLength: 3 },
        ),
      }),
      { minLength: 1, maxLength: 4 },
    )
    let solve: (problem: string) => number
    beforeAll(async () => {
      const highs = await loadHighs()
      solve = (problem) => highs.solve(problem).ObjectiveValue
    })
    test('HiGHS finds no cheaper order: each delivery is paid once', () => {
      fc.assert(
        fc.property(supplied, (rows) => {
          // A place asks the same for every delivery; what comes from nowhere in particular is carried home.
          const fee: Record<string, number> = { yard: 45, farm: 20, quarry: 70 }
          const lines = rows.map(({ need, offers }) => ({
            need,
            stock: 0,
            offers: offers.map((o): PackOffer => ({
              ...offer(o.litres, o.price, fee[o.supplier] ?? 0),
              supplier: o.supplier,
            })),
          }))
          const packs = lines.flatMap(({ need, offers }, i) =>
            offers.map((o, k) => ({ ...o, name: `n${i}_${k}`, most: Math.ceil(need / o.litres) })),
          )
          const places = [...new Set(packs.flatMap((p) => p.supplier || []))]
          const program = [
            'Minimize',
            ` cost: ${[...packs.map((p) => `${p.price} ${p.name}`), ...places.map((s) => `${fee[s]} ${s}`)].join(' + ')}`,
            'Subject To',
            ...lines.map(
              ({ need, offers }, i) =>
                ` need${i}: ${offers.map((o, k) => `${o.litres} n${i}_${k}`).join(' + ')} >= ${need - 0.01}`,
            ),
            ...packs.flatMap((p) =>
              p.supplier ? [` by_${p.name}: ${p.name} - ${p.most} ${p.supplier} <= 0`] : [],
            ),
            'Bounds',
            ...packs.map((p) => ` 0 <= ${p.name} <= ${p.most}`),
            'General',
            ` ${packs.map((p) => p.name).join(' ')}`,
            ...(places.length ? ['Binary', ` ${places.join(' ')}`] : []),
            'End',
          ].join('\n')
          const order = cheapestOrder(lines)
          expect(Math.abs(order.cost! - solve(program))).toBeLessThan(1e-6 * (1 + order.cost!))
          order.purchases.forEach((p, i) => expect(p.litres).toBeGreaterThanOrEqual(lines[i]!.need - 0.01))
        }),
        draws(200),
      )
    })
    test('P5: two loads from one yard are one delivery, with the first of them', () => {
      const bulk: PackOffer = { ...offer(100, 5, 40), supplier: 'yard' }
      const order = cheapestOrder([
        { need: 400, stock: 0, offers: [bulk] },
        { need: 300, stock: 0, offers: [bulk] },
      ])
      expect(order.purchases.map((p) => p.cost)).toEqual([60, 15])
      expect(order.cost).toBe(75)
    })
    test('a lorry that comes for one thing brings another cheaper than the shop', () => {
      const shop = offer(50, 9)
      const yard: PackOffer = { ...offer(100, 5, 40), supplier: 'yard' }
      const alone = cheapestOrder([{ need: 100, stock: 0, offers: [shop, yard] }])
      expect(alone.purchases[0]!.counts).toEqual([2, 0])
      const both = cheapestOrder([
        { need: 1000, stock: 0, offers: [yard] },
        { need: 100, stock: 0, offers: [shop, yard] },
      ])
      expect(both.purchases[1]!.counts).toEqual([0, 1])
      expect(both.cost).toBe(10 * 5 + 40 + 5)
    })
    test('a lorry without a price is not free: another is called that has one', () => {
      const unpriced: PackOffer = { ...offer(100, 5, 40), price: null, supplier: 'farm' }
      const yard: PackOffer = { ...offer(100, 5, 40), supplier: 'yard' }
      const order = cheapestOrder([{ need: 100, stock: 0, offers: [unpriced, yard] }])
      expect(order.purchases[0]!.counts).toEqual([0, 1])
      expect(order.cost).toBe(45)
      // Where none has a price the thing is ordered all the same, and no cost is claimed.
      const alone = cheapestOrder([{ need: 100, stock: 0, offers: [unpriced] }])
      expect(alone.purchases[0]!.counts).toEqual([1])
      expect(alone.cost).toBeNull()
    })
    test('what is on the shelf needs nobody to come', () => {
      const yard: PackOffer = { ...offer(100, 5, 40), supplier: 'yard' }
      expect(cheapestOrder([{ need: 100, stock: 120, offers: [yard] }])).toMatchObject({ cost: 0 })
    })
  })
  test('P6: a bag that gives a little less than is asked for is that bag', () => {
    // 22.5 gallons are 85.2 L, three cubic feet 84.95: one bag, not two.
    const [asked, bag] = [22.5 * 3.785411784, 3 * 28.316846592]
    expect(cheapestPacks(asked, 0, [offer(bag, 30)], 0.01).counts).toEqual([1])
    expect(cheapestPacks(asked, 0, [offer(bag, 30)]).counts).toEqual([2])
    expect(cheapestPacks(asked * 1.02, 0, [offer(bag, 30)], 0.01).counts).toEqual([2])
    expect(cheapestPacks(asked, 0, [offer(bag, 30)], 0.01).leftover).toBe(0)
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
