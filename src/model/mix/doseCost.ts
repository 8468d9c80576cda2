import { isDose } from '@/core/amounts'
import { averagedDose } from '@/core/nutrients'
import { dressingPacksOf, type Garden } from '../garden/garden'
import { pricePerKg } from '../garden/shelfEntry'
import { dressingIn } from '@/core/data/dressings'
import { limesByShare } from './prepareRecipe'
import type { PreparedMix } from './prepare'

/** Money for a gram of each lime and dressing that has a price, by its id. */
export type DosePrices = Readonly<Record<string, number>>

export const dosePrices = (garden: Garden): DosePrices =>
  Object.fromEntries(
    dressingPacksOf(garden).flatMap((item) => {
      const perGram = pricePerKg(item)
      return perGram === null ? [] : [[item.dressingId, perGram / 1000]]
    }),
  )

export interface DoseCost {
  /** Money for what is given with a litre of blended mix, of what has a price. */
  perLitre: number
  /** Ids of what is given without a price. */
  missing: string[]
}

/** Lime added and dressings given, averaged over the mix, by their prices. What finished mixes hold is in theirs. */
export function doseCost(prepared: PreparedMix, prices: DosePrices): DoseCost {
  const { lime, needed, question } = prepared
  const depth = needed.mixHeight - needed.floor
  const given = [
    ...limesByShare(lime.own.dolomiteShare, question.tables, question.recipe.lime.calcitic).map((c) => ({
      id: c.lime.id,
      grams: lime.own.gramsPerLitre * c.share,
    })),
    ...question.recipe.dressings.flatMap((line) => {
      const dressing = dressingIn(question.tables, line.dressingId)
      const grams = dressing ? averagedDose({ ...line, dressing }, depth) * (line.share ?? 1) : 0
      return [{ id: line.dressingId, grams }]
    }),
  ].filter((g) => isDose(g.grams))
  return {
    perLitre: given.reduce((sum, g) => sum + g.grams * (prices[g.id] ?? 0), 0),
    missing: [...new Set(given.filter((g) => prices[g.id] === undefined).map((g) => g.id))],
  }
}
