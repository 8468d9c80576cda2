import { flattenRecipe, type FlatRecipe, type Ingredient } from '@/core/mixing'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { preparedMaterial } from './prepared'
import type { InnerMix, MixOrigin, Recipe } from '@/model/garden/schemas'

/** A part by what was measured of it, in any unit. */
export interface Amount {
  materialId: string
  amount: number
}

export const mixIn = (recipe: Pick<Recipe, 'mixes'>, id: string): InnerMix | undefined =>
  recipe.mixes.find((m) => m.id === id)

const amountsOf = (parts: Recipe['parts']): Amount[] =>
  parts.map((p) => ({ materialId: p.materialId, amount: p.twelfths }))

function ingredients(amounts: readonly Amount[], mixes: readonly InnerMix[]): Outcome<Ingredient[]> {
  const list: Ingredient[] = []
  for (const { materialId, amount } of amounts) {
    if (mixes.some((m) => m.id === materialId)) {
      list.push({ kind: 'mix', mix: materialId, parts: amount })
      continue
    }
    const material = preparedMaterial(materialId)
    if (!material) return fail({ code: 'unknown-material', material: materialId })
    list.push({ kind: 'material', material, parts: amount })
  }
  return succeed(list)
}

/**
 * A recipe as loose parts of materials only, whatever finished mixes are in it; `amounts` stand in for its parts. Errors: a material
 * nobody knows; those of `flattenRecipe`.
 */
export function flatOf(
  recipe: Pick<Recipe, 'parts' | 'mixes'>,
  amounts: readonly Amount[] = amountsOf(recipe.parts),
): Outcome<FlatRecipe> {
  const mixes = new Map<string, Ingredient[]>()
  for (const mix of recipe.mixes) {
    const inside = ingredients(amountsOf(mix.parts), [])
    if (!inside.ok) return inside
    mixes.set(mix.id, inside.value)
  }
  const outside = ingredients(amounts, recipe.mixes)
  return outside.ok ? flattenRecipe(outside.value, mixes) : outside
}

/** What finished mixes bring with them, g per litre of the mix they go into. */
export interface Premixed {
  lime: number
  /** Of it, as dolomite. */
  dolomite: number
  dressings: { dressingId: string; gramsPerLitre: number }[]
}

/** Lime and dressings that finished mixes have in them already, spread over the blended mix. */
export function premixedIn(
  recipe: Pick<Recipe, 'parts' | 'mixes'>,
  flat: FlatRecipe,
  amounts: readonly Amount[] = amountsOf(recipe.parts),
): Premixed {
  const brought: Premixed = { lime: 0, dolomite: 0, dressings: [] }
  const blended = flat.measured * (1 - flat.lossHere)
  for (const mix of recipe.mixes) {
    const measured = amounts.reduce((s, a) => s + (a.materialId === mix.id ? a.amount : 0), 0)
    const share = measured / blended
    if (!(share > 0)) continue
    brought.lime += mix.lime.gramsPerLitre * share
    brought.dolomite += mix.lime.gramsPerLitre * mix.lime.dolomiteShare * share
    for (const d of mix.dressings)
      brought.dressings.push({ dressingId: d.dressingId, gramsPerLitre: d.gramsPerLitre * share })
  }
  return brought
}

/** Parts of the flat recipe in whole twelfths: never so few that rounding would show. */
const FINE = 1200

/**
 * A recipe as a finished mix to take into another. `limeToAdd` is what is stirred in beside the lime of mixes inside it, g per litre; those mixes
 * inside it are written out as their materials; dressings held back or put on top are left behind. Errors: those of `flatOf`.
 */
export function innerMixOf(
  recipe: Recipe,
  limeToAdd: number,
  id: string,
  name: string,
  origin: MixOrigin,
): Outcome<InnerMix> {
  const flat = flatOf(recipe)
  if (!flat.ok) return flat
  const brought = premixedIn(recipe, flat.value)
  const lime = limeToAdd + brought.lime
  const loose = flat.value.parts.reduce((s, p) => s + p.parts, 0)
  const parts =
    recipe.mixes.length === 0
      ? recipe.parts
      : flat.value.parts.map((p) => ({
          materialId: p.material.material.id,
          twelfths: Math.max(1, Math.round((FINE * p.parts) / loose)),
        }))
  const dressings = [
    ...brought.dressings,
    ...recipe.dressings
      .filter((d) => d.place.kind === 'throughout' && d.gramsPerLitre > 0)
      .map((d) => ({ dressingId: d.dressingId, gramsPerLitre: d.gramsPerLitre * d.share })),
  ]
  return succeed({
    id,
    name: name.slice(0, 120),
    parts,
    lime: {
      gramsPerLitre: lime,
      dolomiteShare:
        lime > 0 ? Math.min(1, (limeToAdd * recipe.lime.dolomiteShare + brought.dolomite) / lime) : 0,
    },
    dressings: dressings.slice(0, 20),
    origin,
  })
}

/** What one measured part of a finished mix stands for in loose parts of its materials. Null where it cannot be worked out. */
export function looseOfMix(mix: InnerMix): { id: string; parts: number }[] | null {
  const flat = flatOf({ parts: [{ materialId: mix.id, twelfths: 1 }], mixes: [mix] })
  return flat.ok ? flat.value.parts.map((p) => ({ id: p.material.material.id, parts: p.parts })) : null
}

/** Every material in a recipe, those inside its finished mixes too. */
export const materialIdsOf = (recipe: Pick<Recipe, 'parts' | 'mixes'>): string[] => [
  ...new Set(
    recipe.parts.flatMap(
      (p) => mixIn(recipe, p.materialId)?.parts.map((q) => q.materialId) ?? [p.materialId],
    ),
  ),
]
