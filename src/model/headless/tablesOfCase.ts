import type { Dressing, Material, Tables } from '@/core/data'
import { completeDressing } from '@/core/own/ownDressing'
import { completeMaterial } from '@/core/own/ownMaterial'
import { succeed, type Outcome } from '@/core/outcome'
import type { CaseOf } from './cases'

type OwnRows = Pick<CaseOf<'evaluate'>, 'ownMaterials' | 'ownDressings'>

/** Own rows of one case. Errors: those of `completeMaterial` and `completeDressing`. */
function completed({ ownMaterials = [], ownDressings = [] }: OwnRows): Outcome<Tables> {
  const materials: Material[] = []
  for (const material of ownMaterials) {
    const whole = completeMaterial(material)
    if (!whole.ok) return whole
    materials.push(whole.value)
  }
  const dressings: Dressing[] = []
  for (const dressing of ownDressings) {
    const whole = completeDressing(dressing)
    if (!whole.ok) return whole
    dressings.push(whole.value)
  }
  return succeed({ materials, dressings, learning: null })
}

/** Sets of own rows that a stream keeps at hand. */
const KEPT = 50

/**
 * Own rows, completed, by what was asked. A stream of cases that share theirs works them out once; one case alone
 * has a fresh one. Plain state of whoever answers, never of a module.
 */
export type RowsAtHand = Map<string, Outcome<Tables>>

/** A case's own materials and dressings, completed. Errors: those of `completeMaterial` and `completeDressing`. */
export function tablesOfCase(c: OwnRows, rows: RowsAtHand): Outcome<Tables> {
  const key = JSON.stringify([c.ownMaterials, c.ownDressings])
  const known = rows.get(key)
  if (known) return known
  const made = completed(c)
  if (rows.size >= KEPT) rows.delete(rows.keys().next().value!)
  rows.set(key, made)
  return made
}
