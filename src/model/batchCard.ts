import {
  looseLitresOfPack,
  cheapestPacks,
  shedsWaterWhenDry,
  waterToWorkable,
  WETTING_AGENT_ML_PER_LITRE,
  type Purchase,
} from '@/core/batch'
import type { LimingMaterial, Material, Pack } from '@/core/data'
import { tickOf } from './commands'
import { shelfItemOf, type Garden } from './garden'
import { limeChoice, materialById, quantitiesOf, type Quantities } from './reckoning'
import type { Job, ShelfItem } from './schemas'

/** One line of a batch card: a bucket measure of a material, or a weight of lime. */
export type CardLine =
  | { kind: 'measure'; id: string; material: Material; twelfths: number; litres: number }
  | { kind: 'lime'; id: string; lime: LimingMaterial; grams: number }

export interface BatchCard {
  /** Counted from 0. */
  index: number
  lines: CardLine[]
  blendLitres: number
  short: boolean
  done: number
}

/** Every batch of a job as the hand will measure it, dressings last. */
export function batchCards(job: Job, quantities: Quantities): BatchCard[] {
  const ticks = new Set(job.ticks)
  const limes = limeChoice(job.lime).filter((c) => c.share > 0)
  return quantities.plan.batches.map((batch, index) => {
    const lines: CardLine[] = batch.measures.flatMap((m): CardLine[] => {
      const material = materialById(m.id)
      return material ? [{ kind: 'measure', id: m.id, material, twelfths: m.twelfths, litres: m.litres }] : []
    })
    if (quantities.limeGramsPerLitre > 0.005)
      for (const { lime, share } of limes)
        lines.push({
          kind: 'lime',
          id: lime.id,
          lime,
          grams: quantities.limeGramsPerLitre * share * batch.blendLitres,
        })
    return {
      index,
      lines,
      blendLitres: batch.blendLitres,
      short: batch.short,
      done: lines.filter((l) => ticks.has(tickOf(index, l.id))).length,
    }
  })
}

/** Grams of each lime over all batches. */
export function limeTotals(job: Job, quantities: Quantities) {
  return limeChoice(job.lime)
    .filter((c) => c.share > 0 && quantities.limeGramsPerLitre > 0.005)
    .map((c) => ({
      lime: c.lime,
      grams: quantities.limeGramsPerLitre * c.share * quantities.plan.blendLitres,
    }))
}

export interface ShoppingLine {
  material: Material
  /** Loose litres to measure in all. */
  litres: number
  twelfths: number
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

/** A material's shelf entry, or what a shop commonly sells. */
export const shelfEntry = (garden: Garden, material: Material): ShelfItem =>
  shelfItemOf(garden, material.id) ?? { materialId: material.id, pack: material.pack, price: null, stock: 0 }

/** What to buy, use from the shelf and wet, for a job's rounded measures. */
export function shoppingList(garden: Garden, quantities: Quantities): ShoppingLine[] {
  return quantities.plan.totals.flatMap((total) => {
    const material = materialById(total.id)
    if (!material) return []
    const { pack, price, stock } = shelfEntry(garden, material)
    const packLitres = looseLitresOfPack(material, pack)
    return [
      {
        material,
        litres: total.litres,
        twelfths: total.twelfths,
        pack,
        price,
        stock,
        packLitres,
        purchase: cheapestPacks(total.litres, stock, [{ pack, litres: packLitres, price }]),
        water: waterToWorkable(material, pack) * total.litres,
        wettingAgent: shedsWaterWhenDry(material) ? WETTING_AGENT_ML_PER_LITRE * total.litres : 0,
      },
    ]
  })
}

export type Station = 'fill' | 'mix' | 'buy' | 'make' | 'record'
export const STATIONS: readonly Station[] = ['fill', 'mix', 'buy', 'make', 'record']

/** Where a job stands: the first station with something left to do. */
export function nextStation(job: Job): Station {
  if (job.recordId) return 'record'
  if (job.parts.length === 0) return job.cropId === null ? 'fill' : 'mix'
  if (job.ticks.length === 0) return 'buy'
  const q = quantitiesOf(job)
  if (!q.ok) return 'mix'
  return batchCards(job, q.value).every((b) => b.done === b.lines.length) ? 'record' : 'make'
}
