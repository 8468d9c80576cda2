import type { DressingPack, InnerMix, Job } from '@/model/garden/schemas'
import { dressingPackOf } from '@/model/garden/garden'
import type { DoseTotal } from './doseTotals'
import { shelfEntry } from '@/model/garden/shelfEntry'
import type { Garden } from '@/model/garden/garden'
import type { Quantities } from './quantities'
import {
  type Purchase,
  looseLitresOfPack,
  cheapestPacks,
  waterToWorkable,
  shedsWaterWhenDry,
  WETTING_AGENT_ML_PER_LITRE,
} from '@/core/batch'
import { type Material, type Pack, materialById } from '@/core/data'
export interface ShoppingLine {
  material: Material
  /** Loose litres to measure in all, and those among them that lie under or on the mix. */
  litres: number
  beside: number
  pack: Pack
  price: number | null
  stock: number
  /** Loose litres one pack gives. */
  packLitres: number
  purchase: Purchase
  /** Water to make it workable, litres over the whole amount. */
  water: number
  /** Wetting agent, mL over the whole amount; 0 where none helps. */
  wettingAgent: number
}

/** Litres of every material to measure, those of mixes made first and of layers and covers gathered in. */
function totalsOf(quantities: Quantities): { id: string; litres: number }[] {
  const totals = new Map<string, number>()
  for (const plan of [...quantities.first.map((f) => f.plan), quantities.plan])
    for (const { id, litres } of plan.totals) totals.set(id, litres + (totals.get(id) ?? 0))
  for (const [id, litres] of quantities.beside) totals.set(id, litres + (totals.get(id) ?? 0))
  return [...totals].map(([id, litres]) => ({ id, litres }))
}

/** What to buy, use from the shelf and wet, for a job's rounded measures. */
export function shoppingList(garden: Garden, quantities: Quantities): ShoppingLine[] {
  return totalsOf(quantities).flatMap((total) => {
    const material = materialById(total.id)
    if (!material) return []
    const { pack, price, stock } = shelfEntry(garden, material)
    const packLitres = looseLitresOfPack(material, pack)
    const beside = quantities.beside.get(material.id) ?? 0
    const stirred = total.litres - beside
    return [
      {
        material,
        litres: total.litres,
        beside,
        pack,
        price,
        stock,
        packLitres,
        purchase: cheapestPacks(total.litres, stock, [{ pack, litres: packLitres, price }]),
        water: waterToWorkable(material, pack) * stirred,
        wettingAgent: shedsWaterWhenDry(material) ? WETTING_AGENT_ML_PER_LITRE * stirred : 0,
      },
    ]
  })
}

export interface MixLine {
  mix: InnerMix
  litres: number
  /** Bags to buy, where it comes in bags. */
  purchase: Purchase | null
}
/** Finished mixes a job takes, made first, on hand or in bags. */
export const mixLines = (job: Job, quantities: Quantities): MixLine[] =>
  job.mixes.flatMap((mix) => {
    const total = quantities.plan.totals.find((t) => t.id === mix.id)
    if (!total) return []
    const { origin } = mix
    const purchase =
      origin.kind === 'bag'
        ? cheapestPacks(total.litres, 0, [
            {
              pack: { kind: 'loose', litres: origin.litres },
              litres: origin.litres,
              price: origin.price,
            },
          ])
        : null
    return [{ mix, litres: total.litres, purchase }]
  })

/** A lime or dressing to weigh out, with the packs it takes where any were told of. */
export interface DoseLine extends DoseTotal {
  /** Null where neither pack, price nor stock were ever told. */
  purchase: {
    packs: number
    pack: DressingPack
    fromStock: number
    leftover: number
    cost: number | null
  } | null
}

/** Limes and dressings with what to buy of each; one that goes to two places is bought once, with the first. */
export function doseLines(garden: Garden, totals: readonly DoseTotal[]): DoseLine[] {
  const grams = new Map<string, number>()
  for (const t of totals) grams.set(t.id, (grams.get(t.id) ?? 0) + t.grams)
  const counted = new Set<string>()
  return totals.map((total) => {
    const pack = dressingPackOf(garden, total.id)
    if (!pack || counted.has(total.id)) return { ...total, purchase: null }
    counted.add(total.id)
    const kg = grams.get(total.id)! / 1000
    const fromStock = Math.min(pack.stock, kg)
    const packs = Math.max(0, Math.ceil((kg - fromStock) / pack.kg - 1e-9))
    return {
      ...total,
      purchase: {
        packs,
        pack,
        fromStock,
        leftover: pack.stock + packs * pack.kg - kg,
        cost: packs === 0 ? 0 : pack.price === null ? null : packs * pack.price,
      },
    }
  })
}

/** What gathering costs in whole packs: of how many things, the sum of those with a price, and which have none. */
export function costOfGathering(
  materials: readonly ShoppingLine[],
  mixes: readonly MixLine[],
  doses: readonly DoseLine[] = [],
) {
  const bought: { id: string; name?: string; cost: number | null }[] = [
    ...materials.map((l) => ({ id: l.material.id, cost: l.purchase.cost })),
    ...mixes.flatMap(({ mix, purchase }) =>
      purchase ? [{ id: mix.id, name: mix.name, cost: purchase.cost }] : [],
    ),
    ...doses.flatMap(({ id, name, purchase }) => (purchase ? [{ id, name, cost: purchase.cost }] : [])),
  ]
  return {
    of: bought.length,
    sum: bought.reduce((sum, b) => sum + (b.cost ?? 0), 0),
    missing: bought.filter((b) => b.cost === null),
  }
}
