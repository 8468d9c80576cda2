import type { Fraction, Litres } from '../units'
import { cheapestPacks, type PackOffer, type Purchase } from './packs'

/** One thing on an order: how much of it, what there is of it, and how it is sold. */
export interface OrderLine {
  need: Litres
  stock: Litres
  offers: readonly PackOffer[]
}

/** What is bought of each thing on an order, and what all of it costs; null where a chosen pack has no price. */
export interface Order {
  purchases: Purchase[]
  cost: number | null
}

/** Suppliers chosen among in every way there is; a list of more has nobody. */
const MOST_SUPPLIERS = 10

/**
 * Whole packs of several things at least cost in all, where what comes from one supplier is delivered once. The
 * delivery goes with the first thing that comes from there.
 *
 * Each choice of suppliers that deliver is tried, each thing bought as cheaply as it can be from those; exact.
 * Range: up to ten suppliers that deliver. Source: covering knapsacks with fixed charges; ours.
 *
 * @example
 * cheapestOrder([{ need: 4, stock: 0, offers: [{ pack: { kind: 'loose', litres: 5 }, litres: 5, price: 3 }] }]).cost
 * // 3
 */
export function cheapestOrder(lines: readonly OrderLine[], short: Fraction = 0): Order {
  const deliveries = new Map<string, number>()
  for (const { offers } of lines)
    for (const { supplier, delivery = 0 } of offers)
      if (supplier && delivery > 0)
        deliveries.set(supplier, Math.max(delivery, deliveries.get(supplier) ?? 0))
  const suppliers = [...deliveries.keys()].slice(0, MOST_SUPPLIERS)
  const isShared = ({ supplier, delivery = 0 }: PackOffer) =>
    supplier !== undefined && delivery > 0 && suppliers.includes(supplier)
  let best: { purchases: Purchase[]; cost: number } | null = null
  for (let chosen = 0; chosen < 2 ** suppliers.length; chosen++) {
    const comes = (o: PackOffer) => !isShared(o) || (chosen & (1 << suppliers.indexOf(o.supplier!))) !== 0
    const purchases = lines.map((line) => fromThese(line, comes, isShared, short))
    if (purchases.some((p) => p === null)) continue
    const found = withDeliveries(lines, purchases as Purchase[], deliveries, isShared)
    const cost = found.reduce((sum, p) => sum + (p.cost ?? 0), 0)
    if (!best || cost < best.cost - 1e-9) best = { purchases: found, cost }
  }
  const { purchases, cost } = best!
  return { purchases, cost: purchases.some((p) => p.cost === null) ? null : cost }
}

/** What one thing costs from suppliers that come anyway; null where it can be had from none of them. */
function fromThese(
  { need, stock, offers }: OrderLine,
  comes: (o: PackOffer) => boolean,
  isShared: (o: PackOffer) => boolean,
  short: Fraction,
): Purchase | null {
  const some = offers.filter(comes)
  const priced = offers.some((o) => o.price !== null)
  if (some.length < offers.length && !some.some((o) => !priced || o.price !== null)) {
    const none = cheapestPacks(need, stock, [], short)
    return none.fromStock >= need * (1 - short) - 1e-9 ? { ...none, counts: offers.map(() => 0) } : null
  }
  const bought = cheapestPacks(
    need,
    stock,
    some.map((o) => (isShared(o) ? { ...o, delivery: 0 } : o)),
    short,
  )
  return { ...bought, counts: offers.map((o) => (comes(o) ? bought.counts[some.indexOf(o)]! : 0)) }
}

/** Each delivery with the first thing that comes from there. */
function withDeliveries(
  lines: readonly OrderLine[],
  purchases: readonly Purchase[],
  deliveries: ReadonlyMap<string, number>,
  isShared: (o: PackOffer) => boolean,
): Purchase[] {
  const paid = new Set<string>()
  return purchases.map((purchase, i) => {
    let cost = purchase.cost
    lines[i]!.offers.forEach((offer, k) => {
      const { supplier } = offer
      if (!isShared(offer) || purchase.counts[k] === 0 || cost === null || paid.has(supplier!)) return
      paid.add(supplier!)
      cost += deliveries.get(supplier!)!
    })
    return { ...purchase, cost }
  })
}
