import type { InnerMix, Job, Offer } from '@/model/garden/schemas'
import { dressingPackOf } from '@/model/garden/garden'
import type { DoseTotal } from './doseTotals'
import { dressingOffers, offersFor, shelfEntry } from '@/model/garden/shelfEntry'
import type { Garden } from '@/model/garden/garden'
import type { Measures, Quantities } from './quantities'
import {
  type PackOffer,
  type Purchase,
  cheapestOrder,
  cheapestPacks,
  looseLitresOfPack,
  PACK_LIMITS,
  waterToWorkable,
  shedsWaterWhenDry,
  WETTING_AGENT_ML_PER_LITRE,
} from '@/core/batch'
import { type Material, materialIn } from '@/core/data'
import { tablesOf } from '../garden/tables'

/** Packs of one size to buy. */
export interface PackLine {
  offer: Offer
  count: number
  /** Loose litres one gives. */
  litres: number
}

export interface ShoppingLine {
  material: Material
  /** Loose litres to measure in all, and those among them that lie under or on the mix. */
  litres: number
  beside: number
  /** What to buy of each pack it is sold in. */
  packs: PackLine[]
  stock: number
  /** Bought for this already. */
  bought: Bought | null
  /** Thrown out on screening, loose litres: bought and not measured. */
  screened: number
  purchase: Purchase
  /** Water to make it workable, litres over the whole amount. */
  water: number
  /** Wetting agent, mL over the whole amount; 0 where none helps. */
  wettingAgent: number
}

type Listed = Pick<Measures, 'first' | 'plan' | 'beside'>

/** Litres of every material to measure, those of mixes made first and of layers and covers gathered in. */
function totalsOf(all: readonly Listed[]): { id: string; litres: number; beside: number }[] {
  const totals = new Map<string, { litres: number; beside: number }>()
  const add = (id: string, litres: number, beside: number) => {
    const known = totals.get(id) ?? { litres: 0, beside: 0 }
    totals.set(id, { litres: known.litres + litres, beside: known.beside + beside })
  }
  for (const quantities of all) {
    for (const plan of [...quantities.first.map((f) => f.plan), quantities.plan])
      for (const { id, litres } of plan.totals) add(id, litres, 0)
    for (const [id, litres] of quantities.beside) add(id, litres, litres)
  }
  return [...totals].map(([id, of]) => ({ id, ...of }))
}

export type Bought = Job['bought'][number]
/** What has been done for a list: the share of each material screened out at home, and what was bought. */
export interface Gathering {
  lost: ReadonlyMap<string, number>
  bought: readonly Bought[]
}
const NOTHING_GATHERED: Gathering = { lost: new Map(), bought: [] }

/**
 * What to buy, use from the shelf and wet, for the rounded measures of a job, or of several on one list. What was
 * bought already counts as stock; of what is screened at home so much more is bought.
 */
export function shoppingList(
  garden: Garden,
  quantities: Listed | readonly Listed[],
  { lost, bought }: Gathering = NOTHING_GATHERED,
): ShoppingLine[] {
  const tables = tablesOf(garden)
  const wanted = totalsOf([quantities].flat() as Listed[]).flatMap(({ id, litres, beside }) => {
    const material = materialIn(tables, id)
    if (!material) return []
    const screened = litres / (1 - (lost.get(id) ?? 0)) - litres
    const had = bought.find((b) => b.id === id) ?? null
    const offers = offersFor(garden, material, litres + screened)
    return [{ material, litres, beside, screened, had, offers, stock: shelfEntry(garden, material).stock }]
  })
  const order = cheapestOrder(
    wanted.map(({ material, litres, screened, stock, had, offers }) => ({
      need: litres + screened,
      stock: stock + (had?.amount ?? 0),
      offers: offers.map((offer) => packOffer(material, offer)),
    })),
    PACK_LIMITS.short.value,
  )
  return wanted.map(({ material, litres, beside, screened, had, offers, stock }, i) => {
    const purchase = order.purchases[i]!
    const packs = offers.map((offer, k) => ({
      offer,
      count: purchase.counts[k]!,
      litres: looseLitresOfPack(material, offer.pack),
    }))
    const stirred = litres - beside
    // Wet as the pack it comes from is; what is on the shelf already, as the usual one.
    const from = packs.find((p) => p.count > 0) ?? packs[0]!
    return {
      material,
      litres,
      beside,
      packs,
      stock,
      bought: had,
      screened,
      purchase,
      water: waterToWorkable(material, from.offer.pack) * stirred,
      wettingAgent: shedsWaterWhenDry(material) ? WETTING_AGENT_ML_PER_LITRE * stirred : 0,
    }
  })
}

/** A pack of the shelf as the order sees it: what it gives loose, and who delivers. */
export const packOffer = (material: Material, offer: Offer): PackOffer => ({
  pack: offer.pack,
  price: offer.pack.kind === 'own' ? 0 : offer.price,
  delivery: offer.delivery,
  supplier: offer.place,
  litres: looseLitresOfPack(material, offer.pack),
})

export interface MixLine {
  mix: InnerMix
  litres: number
  bought: Bought | null
  /** Bags to buy, where it comes in bags. */
  purchase: Purchase | null
}
/** Finished mixes a job takes, made first, on hand or in bags. */
export const mixLines = (job: Job, quantities: Quantities, bought: readonly Bought[] = []): MixLine[] =>
  job.mixes.flatMap((mix) => {
    const had = bought.find((b) => b.id === mix.id) ?? null
    const total = quantities.plan.totals.find((t) => t.id === mix.id)
    if (!total) return []
    const { origin } = mix
    const purchase =
      origin.kind === 'bag'
        ? cheapestPacks(total.litres, had?.amount ?? 0, [
            {
              pack: { kind: 'loose', litres: origin.litres },
              litres: origin.litres,
              price: origin.price,
            },
          ])
        : null
    return [{ mix, litres: total.litres, bought: had, purchase }]
  })

/** A lime or dressing to weigh out, with the packs it takes where any are known. */
export interface DoseLine extends DoseTotal {
  /** kg on the shelf. */
  stock: number
  bought: Bought | null
  /** Null where neither pack, price nor stock were ever told. kg. */
  purchase: {
    packs: { kg: number; price: number | null; count: number }[]
    /** In all, wherever it goes. */
    need: number
    fromStock: number
    bought: number
    leftover: number
    cost: number | null
  } | null
}

/** Limes and dressings with what to buy of each; one that goes to two places is bought once, with the first. */
export function doseLines(
  garden: Garden,
  totals: readonly DoseTotal[],
  bought: readonly Bought[] = [],
): DoseLine[] {
  const grams = new Map<string, number>()
  for (const t of totals) grams.set(t.id, (grams.get(t.id) ?? 0) + t.grams)
  const counted = new Set<string>()
  return totals.map((total) => {
    const item = dressingPackOf(garden, total.id)
    if (!item || counted.has(total.id)) return { ...total, stock: 0, bought: null, purchase: null }
    counted.add(total.id)
    const had = bought.find((b) => b.id === total.id) ?? null
    const offers = dressingOffers(item)
    // The same search as for litres, in grams: a hundredth of one is nothing a spoon can show.
    const { counts, litres, leftover, cost, fromStock } = cheapestPacks(
      grams.get(total.id)!,
      (item.stock + (had?.amount ?? 0)) * 1000,
      offers.map(({ kg, price }) => ({ pack: { kind: 'mass', kg }, litres: kg * 1000, price })),
    )
    return {
      ...total,
      stock: item.stock,
      bought: had,
      purchase: {
        packs: offers.map(({ kg, price }, i) => ({ kg, price, count: counts[i]! })),
        need: grams.get(total.id)! / 1000,
        fromStock: fromStock / 1000,
        bought: litres / 1000,
        leftover: leftover / 1000,
        cost,
      },
    }
  })
}

/** What is paid for a line in all: what was, and what is still to buy; null where a price is unknown. */
export function paidFor({
  bought,
  purchase,
}: {
  bought: Bought | null
  purchase: { cost: number | null } | null
}): number | null {
  const paid = bought ? bought.paid : 0
  return paid === null || !purchase || purchase.cost === null ? null : paid + purchase.cost
}
