import { defineLimits } from '../limits'
import type { Material, Pack } from '../data/types'
import type { Fraction, Kilograms, Litres } from '../units'

/**
 * Loose, wetted and fluffed litres that one pack gives: what the bucket measures.
 *
 *   compressed bale   labelled litres x loosening factor, of the label or the table
 *   dry block         kg x loose litres per kg, of the label or the table (else kg / density x factor)
 *   by weight         kg / moist density as bought
 *   one's own         by the litre
 *
 * What is screened out of it comes off. Unit: litres. Source: pack conversions are common practice; densities and
 * factors as in the material's row.
 *
 * @example
 * looseLitresOfPack(materialById('coir_chips'), { kind: 'block', kg: 5 }) // 70
 */
export function looseLitresOfPack(material: Material, pack: Pack): Litres {
  const p = material.properties
  const factor = p.volumeFactorOnWetting.value
  const kept = 1 - (material.screenedOut ?? 0)
  switch (pack.kind) {
    case 'loose':
      return kept * pack.litres
    case 'compressed':
      return kept * pack.litres * (pack.swell ?? factor)
    case 'block':
      return (
        kept *
        pack.kg *
        (pack.litresPerKg ?? p.looseLitresPerKgDry?.value ?? factor / p.moistBulkDensityAsBought.value)
      )
    case 'mass':
      return (kept * pack.kg) / p.moistBulkDensityAsBought.value
    case 'bulk':
      return kept * pack.litres
    case 'own':
      return kept
  }
}

/** What a pack may hold. */
export const PACK_LIMITS = defineLimits({
  size: {
    value: 30_000,
    low: 20_000,
    high: 40_000,
    unit: 'L or kg',
    source: 'our assumption: what a lorry brings',
  },
  short: {
    value: 0.01,
    low: 0.005,
    high: 0.02,
    unit: 'fraction of what is needed',
    source: 'our assumption: no bucket is filled more exactly than this, and no bag either',
  },
})

export interface PackOffer {
  pack: Pack
  /** Loose litres the pack gives, from `looseLitresOfPack`. */
  litres: Litres
  /** Price of one pack in the grower's money; null where unknown. */
  price: number | null
  /** Paid once where any of it is bought, as for a delivery; nothing where left out. */
  delivery?: number
  /** Who delivers: what comes from one place on one order is delivered once. Nobody's where left out or empty. */
  supplier?: string
}

export interface Purchase {
  /** How many of each offer, in the order given. */
  counts: number[]
  litres: Litres
  /** Loose litres over what is needed, stock on hand included. */
  leftover: Litres
  /** With delivery; null when a chosen pack has no price. */
  cost: number | null
  /** Stock used before anything is bought, litres. */
  fromStock: Litres
}

/** A hundredth of a litre short is nothing a bucket can show. */
const SLACK: Litres = 0.01

interface Cover {
  counts: number[]
  litres: Litres
  cost: number
}
/** The better of two ways to cover a need: cheaper, then less left over, then fewer packs. */
function better(a: Cover | null, b: Cover | null): Cover | null {
  if (!a || !b) return a ?? b
  const packs = (c: Cover) => c.counts.reduce((s, n) => s + n, 0)
  if (Math.abs(b.cost - a.cost) > 1e-9) return b.cost < a.cost ? b : a
  if (Math.abs(b.litres - a.litres) > 1e-9) return b.litres < a.litres ? b : a
  return packs(b) < packs(a) ? b : a
}

/** Whole packs that cover a need at least cost, by branch and bound over the cheapest litre first; no delivery. */
function coverOf(need: Litres, packs: readonly { litres: Litres; price: number }[]): Cover {
  const order = packs
    .map((p, i) => ({ ...p, i, perLitre: p.price / p.litres }))
    .sort((a, b) => a.perLitre - b.perLitre || b.litres - a.litres)
  const counts = packs.map(() => 0)
  let best: Cover | null = null
  /** Least cost at which a remainder was met before with the same packs still to choose from. */
  const met = order.map(() => new Map<number, number>())
  const choose = (at: number, left: Litres, cost: number, litres: Litres) => {
    if (left <= SLACK) {
      best = better(best, { counts: [...counts], litres, cost })
      return
    }
    const one = order[at]
    if (!one) return
    // No way on is cheaper than the cheapest litre left, and one as cheap has to leave less over.
    const bound = cost + left * one.perLitre
    if (best && bound > best.cost + 1e-9) return
    const key = Math.round(left * 100)
    if ((met[at]!.get(key) ?? Infinity) <= cost) return
    met[at]!.set(key, cost)
    for (let n = Math.ceil((left - SLACK) / one.litres); n >= 0; n--) {
      counts[one.i] = n
      choose(at + 1, left - n * one.litres, cost + n * one.price, litres + n * one.litres)
    }
    counts[one.i] = 0
  }
  choose(0, need, 0, 0)
  return best!
}

/**
 * Whole packs at least cost: stock first, then the cheapest way to cover the rest (least leftover on a tie, then fewest
 * packs). Of packs some of which have no price, those with one are chosen from; where none has, fewest litres, then
 * fewest packs. A delivery is paid once for each offer that has one.
 *
 * `short` is the share of the need that may be wanting: a bag that gives half a percent less is that bag.
 *
 * Branch and bound over all counts of all packs, for each choice of those with a delivery; exact.
 * Range: a dozen pack sizes, up to four of them with a delivery; needs up to 100 m3. Source: covering knapsack; ours.
 * Errors: none; with no offer nothing is bought, and what is missing is in the answer.
 *
 * @example
 * cheapestPacks(7, 0, [{ pack: { kind: 'loose', litres: 9 }, litres: 9, price: 3 }])
 * // { counts: [1], litres: 9, leftover: 2, cost: 3, fromStock: 0 }
 */
export function cheapestPacks(
  need: Litres,
  stock: Litres,
  offers: readonly PackOffer[],
  short: Fraction = 0,
): Purchase {
  const fromStock = Math.min(stock, need)
  const rest = need - fromStock - short * need
  if (rest <= SLACK || offers.length === 0)
    return { counts: offers.map(() => 0), litres: 0, leftover: stock - fromStock, cost: 0, fromStock }
  const priced = offers.some((o) => o.price !== null)
  const open = offers.flatMap((o, i) =>
    priced && o.price === null
      ? []
      : [
          {
            i,
            litres: o.litres,
            price: priced ? o.price! : o.litres,
            delivery: priced ? (o.delivery ?? 0) : 0,
          },
        ],
  )
  const delivered = open.filter((o) => o.delivery > 0)
  let best: Cover | null = null
  for (let chosen = 0; chosen < 2 ** delivered.length; chosen++) {
    const isOut = (o: (typeof open)[number]) => o.delivery > 0 && !(chosen & (1 << delivered.indexOf(o)))
    const some = open.filter((o) => !isOut(o))
    if (some.length === 0) continue
    const cover = coverOf(rest, some)
    const counts = offers.map(() => 0)
    some.forEach((o, k) => (counts[o.i] = cover.counts[k]!))
    const delivery = some.reduce((sum, o) => sum + (counts[o.i]! > 0 ? o.delivery : 0), 0)
    best = better(best, { ...cover, counts, cost: cover.cost + delivery })
  }
  const { counts, litres, cost } = best!
  return {
    counts,
    litres,
    leftover: Math.max(0, stock + litres - need),
    cost: priced ? cost : null,
    fromStock,
  }
}

/**
 * Weight of one pack as bought, kg.
 * Source: mass balance; bulk density of the tables.
 *
 * @example
 * packWeight(materialById('sand_coarse'), { kind: 'mass', kg: 25 }) // 25
 */
export function packWeight(material: Material, pack: Pack): Kilograms {
  const p = material.properties
  if (pack.kind === 'block' || pack.kind === 'mass') return pack.kg
  if (pack.kind === 'own') return p.moistBulkDensityAsBought.value
  const pressed = pack.kind === 'compressed' ? (pack.swell ?? p.volumeFactorOnWetting.value) : 1
  return pack.litres * p.moistBulkDensityAsBought.value * pressed
}
