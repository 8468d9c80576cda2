import limes from './limes.json'
import type { Tables } from './tables'
import type { Dressing, LimingMaterial } from './types'

/** The limes as dressings, with all that a dressing has. */
export const LIME_DRESSINGS = limes as unknown as readonly Dressing[]

/**
 * The liming side of a dressing, or null where it is no lime. Rates per day, densities g/mL, fractions.
 *
 * @example
 * limingMaterial(dressingById('gypsum')) // null
 */
export function limingMaterial(dressing: Dressing): LimingMaterial | null {
  const { lime, release } = dressing
  if (!lime || release.kind === 'none' || release.kind === 'coated') return null
  const before = dressing.unlearned && limingMaterial(dressing.unlearned)
  return {
    ...(before ? { unlearned: before } : {}),
    ...lime,
    id: dressing.id,
    name: dressing.name,
    ratePerDay: release.ratePerDay,
    q10: release.q10.value,
    bulkDensity: dressing.bulkDensity,
    calcium: dressing.analysis.calcium?.value ?? 0,
    magnesium: dressing.analysis.magnesium?.value ?? 0,
    potassium: dressing.analysis.potassium?.value ?? 0,
    usualLimit: dressing.dose.limit,
    caution: dressing.caution ?? '',
  }
}

export const LIMES: readonly LimingMaterial[] = LIME_DRESSINGS.flatMap((d) => limingMaterial(d) ?? [])

/**
 * A published lime by its id; undefined where there is none.
 *
 * @example
 * limeById('oyster_shell')?.name // 'Oyster shell, crushed'
 */
export const limeById = (id: string): LimingMaterial | undefined => LIMES.find((l) => l.id === id)

/**
 * A lime by its id, the rows of these tables before the published ones; undefined where there is none.
 *
 * @example
 * limeIn({ materials: [], dressings: [], learning: null }, 'oyster_shell')?.name // 'Oyster shell, crushed'
 */
export function limeIn({ dressings }: Pick<Tables, 'dressings'>, id: string): LimingMaterial | undefined {
  const own = dressings.find((d) => d.id === id)
  return (own && limingMaterial(own)) ?? limeById(id)
}
