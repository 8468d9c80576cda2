import type { Dressing, Material, Tables } from '@/core/data'
import { completeDressing } from '@/core/own/ownDressing'
import { completeMaterial } from '@/core/own/ownMaterial'
import { succeed, type Outcome } from '@/core/outcome'
import type { CaseOf } from './cases'

/** A case's own materials and dressings, completed. Errors: those of `completeMaterial` and `completeDressing`. */
export function tablesOfCase(c: Pick<CaseOf<'evaluate'>, 'ownMaterials' | 'ownDressings'>): Outcome<Tables> {
  const materials: Material[] = []
  for (const material of c.ownMaterials ?? []) {
    const whole = completeMaterial(material)
    if (!whole.ok) return whole
    materials.push(whole.value)
  }
  const dressings: Dressing[] = []
  for (const dressing of c.ownDressings ?? []) {
    const whole = completeDressing(dressing)
    if (!whole.ok) return whole
    dressings.push(whole.value)
  }
  return succeed({ materials, dressings, learning: null })
}
