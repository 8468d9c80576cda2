import { carbonFootprint, type Footprint } from '@/core/footprint'
import type { Tables } from '@/core/data'
import type { Recipe } from '../garden/schemas'
import { flatOf } from './prepareRecipe'
import type { PreparedMix } from './prepare'
import { finishedMixes, linesOf } from './questionOfJob'

/** Footprint of a litre of a mix as it is made, kg; null where nothing is known of its parts, or of one of them. */
export function mixFootprint(recipe: Recipe, tables: Tables, prepared?: PreparedMix): Footprint | null {
  const flat = flatOf(linesOf(recipe.parts), finishedMixes(recipe.mixes), tables)
  if (!flat.ok) return null
  const { perLitre, unknown } = carbonFootprint(
    flat.value.parts.map(({ material, parts }) => ({ id: material.material.id, litres: parts })),
    {
      made: flat.value.measured * (1 - flat.value.lossHere),
      limeGramsPerLitre: prepared?.input.limeGramsPerLitre ?? 0,
    },
  )
  return unknown.length > 0 ? null : perLitre
}
