import { looseLitresOfPack } from '@/core/batch'
import { materialIn, type Material } from '@/core/data'
import { offersOf, shelfEntry } from '@/model/garden/shelfEntry'
import type { Garden } from '@/model/garden/garden'
import { doseCost, dosePrices } from './doseCost'
import type { PreparedMix } from './prepare'
import { looseOfMix, mixIn } from './innerMix'
import { flatOf } from './prepareRecipe'
import { finishedMixes, linesOf } from './questionOfJob'
import type { InnerMix, Recipe } from '@/model/garden/schemas'
import { tablesOf } from '../garden/tables'

/** Money for a loose litre of a material from the cheapest of its packs; null where no price is known. */
export function pricePerLitre(garden: Garden, material: Material): number | null {
  const prices = offersOf(shelfEntry(garden, material)).flatMap(({ pack, price }) =>
    price === null ? [] : [price / looseLitresOfPack(material, pack)],
  )
  return prices.length === 0 ? null : Math.min(...prices)
}

/** Money for a litre of a finished mix: by its bag, or of what it is made of; null where a price is unknown. */
export function priceOfMix(garden: Garden, mix: InnerMix): number | null {
  if (mix.origin.kind === 'bag')
    return mix.origin.price === null ? null : mix.origin.price / mix.origin.litres
  const tables = tablesOf(garden)
  let sum = 0
  for (const { id, parts } of looseOfMix(mix, tables) ?? []) {
    const material = materialIn(tables, id)
    const price = material ? pricePerLitre(garden, material) : null
    if (price === null) return null
    sum += parts * price
  }
  return sum
}

export interface MixCost {
  /** Money for a litre of blended mix, of the parts whose price is known; null where none is. */
  perLitre: number | null
  /** Ids of the parts without a price. */
  missing: string[]
  /** Ids of limes and dressings given without a price. */
  missingDoses: string[]
}

/**
 * Parts of a litre of blended mix, what is lost on stirring counted in, with the lime and dressings given where it is
 * known prepared. Whole packs are left aside.
 */
export function mixCost(garden: Garden, recipe: Recipe, prepared?: PreparedMix): MixCost {
  const doses = prepared ? doseCost(prepared, dosePrices(garden)) : { perLitre: 0, missing: [] }
  const tables = tablesOf(garden)
  const flat = flatOf(linesOf(recipe.parts), finishedMixes(recipe.mixes), tables)
  const missingDoses = doses.missing
  if (!flat.ok) return { perLitre: null, missing: recipe.parts.map((p) => p.materialId), missingDoses }
  let sum = 0
  const missing: string[] = []
  for (const { materialId, twelfths } of recipe.parts) {
    const mix = mixIn(recipe, materialId)
    const price = mix ? priceOfMix(garden, mix) : pricePerLitre(garden, materialIn(tables, materialId)!)
    if (price === null) missing.push(materialId)
    else sum += twelfths * price
  }
  const blended = flat.value.measured * (1 - flat.value.lossHere)
  const perLitre = missing.length === recipe.parts.length ? null : sum / blended + doses.perLitre
  return { perLitre, missing, missingDoses }
}
