import { cheapestOrder, PACK_LIMITS } from '@/core/batch'
import type { Garden } from '../garden/garden'
import { dressingEntry, pricePerKg } from '../garden/shelfEntry'
import { pricePerLitre } from '../mix/cost'
import {
  packOffer,
  paidFor,
  type Bought,
  type DoseLine,
  type MixLine,
  type ShoppingLine,
} from './shoppingList'

/** Whole cents, as money is paid. */
export const toCents = (money: number): number => Math.round(money * 100) / 100

/** What a thing costs a job: paid at the shop, and the worth of what goes in; null where no price is known. */
export interface MoneyLine {
  id: string
  paid: number | null
  used: number | null
}

export interface Money {
  lines: MoneyLine[]
  /** Of what has a price, in whole cents. */
  paid: number
  used: number
  /** Ids of what has none. */
  missing: string[]
}

/** What is known of the money of a thing, in its own unit: litres, or kg of a lime or feed. */
interface Priced {
  id: string
  need: number
  bought: Bought | null
  purchase: { amount: number; cost: number | null }
  /** Of a unit by its cheapest pack; null where no price is known. */
  each: number | null
}

function lineOf({ id, need, bought, purchase, each }: Priced): MoneyLine {
  const paid = paidFor({ bought, purchase })
  const amount = (bought?.amount ?? 0) + purchase.amount
  // Worth what was paid for it; what comes off the shelf alone, what it costs to buy.
  const worth = amount > 0 && paid !== null ? paid / amount : each
  return {
    id,
    paid: paid === null ? null : toCents(paid),
    used: worth === null ? null : toCents(need * worth),
  }
}

/** Litres that go in: a pack that gives a hundredth less than was asked for gives no more than it has. */
function usedOf({ litres, screened, stock, bought, purchase }: ShoppingLine): number {
  const need = litres + screened
  const there = stock + (bought?.amount ?? 0) + purchase.litres
  return there >= need * (1 - PACK_LIMITS.short.value) ? Math.min(need, there) : need
}

/**
 * What a list costs in pocket, and what of it goes into the mix: the rest stays on the shelf. Each line is in whole
 * cents, and the sums are theirs.
 */
export function moneyOf(
  garden: Garden,
  materials: readonly ShoppingLine[],
  mixes: readonly MixLine[],
  doses: readonly DoseLine[],
): Money {
  const priced: Priced[] = [
    ...materials.map((l) => ({
      id: l.material.id,
      need: usedOf(l),
      bought: l.bought,
      purchase: { amount: l.purchase.litres, cost: l.purchase.cost },
      each: pricePerLitre(garden, l.material),
    })),
    ...mixes.flatMap(({ mix, litres, bought, purchase }) =>
      purchase && mix.origin.kind === 'bag'
        ? [
            {
              id: mix.id,
              need: litres,
              bought,
              purchase: { amount: purchase.litres, cost: purchase.cost },
              each: mix.origin.price === null ? null : mix.origin.price / mix.origin.litres,
            },
          ]
        : [],
    ),
    ...doses.flatMap(({ id, bought, purchase }) =>
      purchase
        ? [
            {
              id,
              need: purchase.need,
              bought,
              purchase: { amount: purchase.bought, cost: purchase.cost },
              each: pricePerKg(dressingEntry(garden, id)),
            },
          ]
        : [],
    ),
  ]
  const lines = priced.map(lineOf)
  const sum = (of: 'paid' | 'used') => toCents(lines.reduce((s, l) => s + (l[of] ?? 0), 0))
  return {
    lines,
    paid: sum('paid'),
    used: sum('used'),
    missing: lines.filter((l) => l.used === null || l.paid === null).map((l) => l.id),
  }
}

/**
 * Money shared out by weight in whole cents that add up to it: the largest remainders get the odd cents.
 *
 * @example
 * shareOut(10, [1, 1, 1]) // [3.34, 3.33, 3.33]
 */
export function shareOut(money: number, weights: readonly number[]): number[] {
  const cents = Math.round(money * 100)
  const all = weights.reduce((s, w) => s + w, 0)
  if (!(all > 0)) return weights.map(() => 0)
  const exact = weights.map((w) => (cents * w) / all)
  const shares = exact.map(Math.floor)
  const odd = cents - shares.reduce((s, c) => s + c, 0)
  const order = exact
    .map((x, i) => ({ i, rest: x - Math.floor(x) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
  for (const { i } of order.slice(0, odd)) shares[i]! += 1
  return shares.map((c) => c / 100)
}

/** What a scaled list would cost with nothing on the shelf; of what has a price. */
const paidAt = (materials: readonly ShoppingLine[], scale: number): number =>
  cheapestOrder(
    materials.map((l) => ({
      need: (l.litres + l.screened) * scale,
      stock: 0,
      offers: l.packs.map(({ offer }) => packOffer(l.material, offer)),
    })),
    PACK_LIMITS.short.value,
  ).purchases.reduce((sum, p) => sum + (p.cost ?? 0), 0)

/** More bags than this nobody carries home. Source: our assumption. */
const MOST_BAGS = 80

export interface AgainstBags {
  bags: number
  /** What the bags cost, and what the mix costs bought whole, for this job. */
  bagged: number
  mixed: number
  /** Litres from which mixing is never dearer; null where that is beyond so many bags. */
  breakEven: number | null
}

/**
 * A mix against one in bags, for so many litres of both: whole bags against whole packs with nothing on the shelf.
 * Limes and feeds are left out: bags hold theirs, and a pack of them lasts for years.
 */
export function againstBags(
  materials: readonly ShoppingLine[],
  litres: number,
  bag: { litres: number; price: number },
): AgainstBags {
  const bags = Math.ceil(litres / bag.litres - 1e-9)
  let breakEven: number | null = null
  for (let n = MOST_BAGS; n >= 1; n--) {
    if (paidAt(materials, (n * bag.litres) / litres) > n * bag.price) break
    breakEven = n * bag.litres
  }
  return {
    bags,
    bagged: toCents(bags * bag.price),
    mixed: toCents(paidAt(materials, 1)),
    breakEven,
  }
}
