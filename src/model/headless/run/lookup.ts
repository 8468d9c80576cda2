import { dressingById } from '@/core/data/dressings'
import { materialById, cropById } from '@/core/data'
import { LIMES, type Crop, type Dressing, type LimingMaterial } from '../../../core/data'
import { completeDressing } from '../../../core/data/ownDressing'
import { completeMaterial } from '../../../core/data/ownMaterial'
import type { Container } from '../../../core/geometry'
import {
  blend,
  flattenRecipe,
  prepareMaterial,
  type Blend,
  type FlatRecipe,
  type PreparedMaterial,
  type IngredientList,
} from '../../../core/mixing'
import type { DressingDose } from '../../../core/nutrients'
import { fail, succeed, type Outcome } from '../../../core/outcome'
import type { CaseOf } from '../cases'

type EvaluateCase = CaseOf<'evaluate'>
type Lines = EvaluateCase['mix']
export type LimeOfCase = NonNullable<EvaluateCase['lime']>
type Own = Pick<EvaluateCase, 'mixes' | 'ownMaterials' | 'ownDressings'>

/** Looks up what a case names: in its own lists first, then in the tables. */
export class Lookup {
  private readonly prepared = new Map<string, PreparedMaterial>()
  private readonly mixes = new Map<string, IngredientList>()
  private readonly dressings = new Map<string, Dressing>()

  private constructor() {}

  /** Completes the case's own rows. Errors: those of `completeMaterial` and `completeDressing`, and of its mixes. */
  static of(own: Own): Outcome<Lookup> {
    const lookup = new Lookup()
    for (const material of own.ownMaterials ?? []) {
      const whole = completeMaterial(material)
      if (!whole.ok) return whole
      lookup.prepared.set(material.id, prepareMaterial(whole.value))
    }
    for (const dressing of own.ownDressings ?? []) {
      const whole = completeDressing(dressing)
      if (!whole.ok) return whole
      lookup.dressings.set(dressing.id, whole.value)
    }
    for (const [id, lines] of Object.entries(own.mixes ?? {})) {
      const recipe = lookup.recipe(lines)
      if (!recipe.ok) return recipe
      lookup.mixes.set(id, recipe.value)
    }
    return succeed(lookup)
  }

  material(id: string): Outcome<PreparedMaterial> {
    let found = this.prepared.get(id)
    if (!found) {
      const row = materialById(id)
      if (!row) return fail({ code: 'unknown-material', material: id })
      this.prepared.set(id, (found = prepareMaterial(row)))
    }
    return succeed(found)
  }

  private recipe(lines: Lines): Outcome<IngredientList> {
    const recipe: IngredientList[number][] = []
    for (const line of lines) {
      if ('mix' in line) {
        recipe.push({ kind: 'mix', mix: line.mix, parts: line.parts })
        continue
      }
      const material = this.material(line.material)
      if (!material.ok) return material
      recipe.push({ kind: 'material', material: material.value, parts: line.parts })
    }
    return succeed(recipe)
  }

  /** A recipe of the case, mixes in it written out as their materials. */
  flat(lines: Lines): Outcome<FlatRecipe> {
    const recipe = this.recipe(lines)
    return recipe.ok ? flattenRecipe(recipe.value, this.mixes) : recipe
  }

  dressing(id: string): Outcome<Dressing> {
    const found = this.dressings.get(id) ?? dressingById(id)
    return found ? succeed(found) : fail({ code: 'unknown-dressing', dressing: id })
  }

  doses(list: EvaluateCase['dressings']): Outcome<DressingDose[]> {
    const doses: DressingDose[] = []
    for (const { dressing, gramsPerLitre, place } of list ?? []) {
      const found = this.dressing(dressing)
      if (!found.ok) return found
      doses.push({ dressing: found.value, gramsPerLitre, place })
    }
    return succeed(doses)
  }

  limes(
    of: Pick<LimeOfCase, 'calcitic' | 'dolomitic'>,
  ): Outcome<Record<'calcitic' | 'dolomitic', LimingMaterial>> {
    const calcitic = LIMES.find((l) => l.id === of.calcitic)
    const dolomitic = LIMES.find((l) => l.id === of.dolomitic)
    if (!calcitic) return fail({ code: 'unknown-dressing', dressing: of.calcitic })
    if (!dolomitic) return fail({ code: 'unknown-dressing', dressing: of.dolomitic })
    return succeed({ calcitic, dolomitic })
  }
}

/** A case's own lists, its recipe written out, and what that blends to: what every command on a mix begins with. */
export function mixOfCase(
  c: Own & { mix: Lines },
): Outcome<{ lookup: Lookup; flat: FlatRecipe; mixed: Blend }> {
  const lookup = Lookup.of(c)
  if (!lookup.ok) return lookup
  const flat = lookup.value.flat(c.mix)
  if (!flat.ok) return flat
  const mixed = blend(flat.value.parts)
  return mixed.ok ? succeed({ lookup: lookup.value, flat: flat.value, mixed: mixed.value }) : mixed
}

/** A crop of the tables. */
export function cropOf(id: string): Outcome<Crop> {
  const crop = cropById(id)
  return crop ? succeed(crop) : fail({ code: 'unknown-crop', crop: id })
}

/** A case's container is the core's, checked there. */
export const containerOf = (container: EvaluateCase['container']): Container => container as Container
