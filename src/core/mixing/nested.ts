import { fail, succeed, type Outcome } from '../outcome'
import type { Fraction } from '../units'
import { blend, type BlendPart, type PreparedMaterial } from './blend'

/** One line of a recipe: a material, or a finished mix by its id, in parts of the same bucket. */
export type Ingredient =
  | { kind: 'material'; material: PreparedMaterial; parts: number }
  | { kind: 'mix'; mix: string; parts: number }

/** A recipe whose parts may be finished mixes. */
export type IngredientList = readonly Ingredient[]

export interface FlatRecipe {
  /** Loose parts of every material in it, gathered, in the bucket of the outermost recipe. */
  parts: BlendPart[]
  /** Buckets measured in the outermost recipe. */
  measured: number
  /** Volume lost in the last stirring, as a share of what was measured then. */
  lossHere: Fraction
}

/**
 * Writes a recipe with mixes in it as one of materials only.
 *
 * A bucket of finished mix holds more than a bucket of loose parts, for some was lost when *it* was blended: one part
 * of a mix with loss s stands for 1 / (1 - s) loose parts of its own recipe. The flattened recipe then blends like
 * any other, so a nested mix and its flattened form are the same mix.
 *
 * Parts are any unit of volume. Errors: no parts; a part not above zero; a mix nobody knows; a mix that contains
 * itself at any depth (with the path). Source: volume balance.
 */
export function flattenRecipe(
  recipe: IngredientList,
  mixes: ReadonlyMap<string, IngredientList>,
): Outcome<FlatRecipe> {
  return flatten(recipe, mixes, [])
}

function flatten(
  recipe: IngredientList,
  mixes: ReadonlyMap<string, IngredientList>,
  path: string[],
): Outcome<FlatRecipe> {
  const gathered = new Map<string, BlendPart>()
  const add = (material: PreparedMaterial, parts: number) => {
    const seen = gathered.get(material.material.id)
    gathered.set(material.material.id, { material, parts: (seen?.parts ?? 0) + parts })
  }
  let measured = 0
  for (const line of recipe) {
    const name = line.kind === 'mix' ? line.mix : line.material.material.id
    if (!(line.parts > 0 && Number.isFinite(line.parts)))
      return fail({ code: 'part-not-positive', material: name, value: line.parts })
    measured += line.parts
    if (line.kind === 'material') {
      add(line.material, line.parts)
      continue
    }
    if (path.includes(line.mix)) return fail({ code: 'mix-contains-itself', path: [...path, line.mix] })
    const inner = mixes.get(line.mix)
    if (!inner) return fail({ code: 'unknown-mix', mix: line.mix })
    const flat = flatten(inner, mixes, [...path, line.mix])
    if (!flat.ok) return flat
    const whole = flat.value.measured * (1 - flat.value.lossHere)
    for (const part of flat.value.parts) add(part.material, (line.parts * part.parts) / whole)
  }
  const parts = [...gathered.values()]
  const mixed = blend(parts)
  if (!mixed.ok) return mixed
  const loose = parts.reduce((sum, p) => sum + p.parts, 0)
  return succeed({ parts, measured, lossHere: 1 - (loose * (1 - mixed.value.blendingLoss)) / measured })
}
