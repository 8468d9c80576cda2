import { isDose } from '@/core/amounts'
import type { Tables } from '@/core/data'
import { GROUND_LIMESTONE } from '@/core/data/usualLime'
import { succeed, type Outcome } from '@/core/outcome'
import { GARDEN_LIMITS, LONGEST_NAME } from '../garden/limits'
import type { InnerMix, MixOrigin, Part, Recipe } from '../garden/schemas'
import type { LimeAmount } from './question'
import { finishedMixes, linesOf } from './questionOfJob'
import { flatOf, premixedIn } from './prepareRecipe'

export const mixIn = (recipe: Pick<Recipe, 'mixes'>, id: string): InnerMix | undefined =>
  recipe.mixes.find((m) => m.id === id)

/** Every material in a recipe, those inside its finished mixes too. */
export const materialIdsOf = (recipe: Pick<Recipe, 'parts' | 'mixes'>): string[] => [
  ...new Set(
    recipe.parts.flatMap(
      (p) => mixIn(recipe, p.materialId)?.parts.map((q) => q.materialId) ?? [p.materialId],
    ),
  ),
]

/** Twelfths a whole recipe is written in where shares have to become parts: so fine that rounding never shows. */
const FINE = 1200
/** Shares of a whole as parts, none of them so small that it vanishes. */
export const partsByShare = (shares: readonly { materialId: string; share: number }[]): Part[] =>
  shares
    .filter((s) => s.share > 0)
    .map(({ materialId, share }) => ({ materialId, twelfths: Math.max(1, Math.round(FINE * share)) }))

/**
 * A recipe as a finished mix to take into another. `toAdd` is the lime stirred in beside that of mixes inside it.
 * Those mixes are written out as their materials; dressings held back or put on top are left behind. Errors: those of
 * `flatOf`.
 */
export function innerMixOf(
  recipe: Recipe,
  toAdd: LimeAmount,
  { id, name, origin }: { id: string; name: string; origin: MixOrigin },
  tables: Tables,
): Outcome<InnerMix> {
  const lines = linesOf(recipe.parts)
  const mixes = finishedMixes(recipe.mixes)
  const flat = flatOf(lines, mixes, tables)
  if (!flat.ok) return flat
  const premixed = premixedIn(lines, mixes, flat.value)
  // Limestone and dolomite are its lime; any other lime goes with its dressings, which move the pH as well.
  const other = recipe.lime.limeId === GROUND_LIMESTONE ? 0 : toAdd.gramsPerLitre * (1 - toAdd.dolomiteShare)
  const lime = toAdd.gramsPerLitre - other + premixed.lime.gramsPerLitre
  const dolomite =
    toAdd.gramsPerLitre * toAdd.dolomiteShare + premixed.lime.gramsPerLitre * premixed.lime.dolomiteShare
  const loose = flat.value.parts.reduce((sum, p) => sum + p.parts, 0)
  const dressings = [
    ...premixed.dressings,
    ...(isDose(other) ? [{ dressingId: recipe.lime.limeId, gramsPerLitre: other }] : []),
    ...recipe.dressings
      .filter((d) => d.place.kind === 'throughout' && d.gramsPerLitre > 0)
      .map((d) => ({ dressingId: d.dressingId, gramsPerLitre: d.gramsPerLitre * d.share })),
  ]
  return succeed({
    id,
    name: name.slice(0, LONGEST_NAME),
    parts:
      recipe.mixes.length === 0
        ? recipe.parts
        : partsByShare(
            flat.value.parts.map((p) => ({ materialId: p.material.material.id, share: p.parts / loose })),
          ),
    lime: { gramsPerLitre: lime, dolomiteShare: lime > 0 ? Math.min(1, dolomite / lime) : 0 },
    dressings: dressings.slice(0, GARDEN_LIMITS.dressings.value),
    origin,
  })
}

/**
 * What one measured part of a finished mix stands for in loose parts of its materials. Null where it cannot be worked
 * out.
 */
export function looseOfMix(mix: InnerMix, tables: Tables): { id: string; parts: number }[] | null {
  const flat = flatOf([{ id: mix.id, parts: 1 }], finishedMixes([mix]), tables)
  return flat.ok ? flat.value.parts.map((p) => ({ id: p.material.material.id, parts: p.parts })) : null
}
