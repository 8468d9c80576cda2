import { defineLimits } from '../limits'
import type { Material, Pack } from '../data/types'
import type { Kilograms, Litres } from '../units'

/**
 * Loose, wetted and fluffed litres that one pack gives: what the bucket measures.
 *
 *   compressed bale   labelled litres x loosening factor
 *   dry block         kg x loose litres per kg (or kg / density x factor where the table has none)
 *   by weight         kg / moist density as bought x factor
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
      return kept * pack.litres * factor
    case 'block':
      return kept * pack.kg * (p.looseLitresPerKgDry?.value ?? factor / p.moistBulkDensityAsBought.value)
    case 'mass':
      return (kept * pack.kg) / p.moistBulkDensityAsBought.value
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
})

export interface PackOffer {
  pack: Pack
  /** Loose litres the pack gives, from `looseLitresOfPack`. */
  litres: Litres
  /** Price of one pack in the grower's money; null where unknown. */
  price: number | null
}

export interface Purchase {
  /** How many of each offer, in the order given. */
  counts: number[]
  litres: Litres
  /** Loose litres over what is needed, stock on hand included. */
  leftover: Litres
  /** Null when a chosen pack has no price. */
  cost: number | null
  /** Stock used before anything is bought, litres. */
  fromStock: Litres
}

/**
 * Whole packs at least cost: stock first, then the cheapest way to cover the rest (least leftover on a tie; where any
 * price is unknown, fewest litres, then fewest packs).
 *
 * A small unbounded covering knapsack in steps of a hundredth of a litre over at most the need plus one largest pack,
 * solved exactly by trying counts of all packs but the last, largest first.
 * Range: up to 4 pack sizes, needs up to 100 m3. Source: exact search; ours.
 * Errors: none; with no offer nothing is bought, and what is missing is in the answer.
 *
 * @example
 * cheapestPacks(7, 0, [{ pack: { kind: 'loose', litres: 9 }, litres: 9, price: 3 }])
 * // { counts: [1], litres: 9, leftover: 2, cost: 3, fromStock: 0 }
 */
export function cheapestPacks(need: Litres, stock: Litres, offers: readonly PackOffer[]): Purchase {
  const fromStock = Math.min(stock, need)
  const rest = need - fromStock
  const none: Purchase = {
    counts: offers.map(() => 0),
    litres: 0,
    leftover: stock - fromStock,
    cost: 0,
    fromStock,
  }
  // A hundredth of a litre short is nothing a bucket can show.
  if (rest <= 0.01 || offers.length === 0) return none
  const priced = offers.every((o) => o.price !== null)
  const order = offers.map((_, i) => i).sort((a, b) => offers[b]!.litres - offers[a]!.litres)
  let best: { counts: number[]; cost: number; litres: number; packs: number } | null = null
  const counts = offers.map(() => 0)
  const consider = () => {
    const litres = offers.reduce((s, o, i) => s + o.litres * counts[i]!, 0)
    const cost = priced ? offers.reduce((s, o, i) => s + o.price! * counts[i]!, 0) : litres
    const packs = counts.reduce((s, c) => s + c, 0)
    const better =
      best === null ||
      cost < best.cost - 1e-9 ||
      (Math.abs(cost - best.cost) <= 1e-9 &&
        (litres < best.litres - 1e-9 || (Math.abs(litres - best.litres) <= 1e-9 && packs < best.packs)))
    if (better) best = { counts: [...counts], cost, litres, packs }
  }
  const covered = 0.01
  const fill = (at: number, left: Litres) => {
    const i = order[at]!
    const most = Math.max(0, Math.ceil((left - covered) / offers[i]!.litres))
    if (at === order.length - 1) {
      counts[i] = most
      consider()
      counts[i] = 0
      return
    }
    // Far from the end only nearly-full use of the larger pack can matter: keep the search small for huge needs.
    const least = Math.max(0, most - 200)
    for (let c = most; c >= least; c--) {
      counts[i] = c
      if (left - c * offers[i]!.litres <= covered) consider()
      else fill(at + 1, left - c * offers[i]!.litres)
    }
    counts[i] = 0
  }
  fill(0, rest)
  const found = best as { counts: number[]; cost: number; litres: number } | null
  if (!found) return none
  return {
    counts: found.counts,
    litres: found.litres,
    leftover: stock - fromStock + found.litres - rest,
    cost: priced ? found.cost : null,
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
  const pressed = pack.kind === 'compressed' ? p.volumeFactorOnWetting.value : 1
  return pack.litres * p.moistBulkDensityAsBought.value * pressed
}
