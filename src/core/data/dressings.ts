import others from './dressings.json'
import { LIME_DRESSINGS } from './limes'
import { dressingOfMaterial } from './materialDressing'
import { materialIn } from './materials'
import type { Tables } from './tables'
import type { Dressing } from './types'

/**
 * Every dressing of the tables, limes first. Apart from index.ts, so that a page needing only limes loads only limes.
 */
export const DRESSINGS: readonly Dressing[] = [...LIME_DRESSINGS, ...(others as unknown as Dressing[])]

/**
 * A published dressing by its id; undefined where there is none.
 *
 * @example
 * dressingById('gypsum')?.name // 'Gypsum'
 */
export const dressingById = (id: string): Dressing | undefined => DRESSINGS.find((d) => d.id === id)

/**
 * A dressing by its id, the rows of these tables before the published ones; a material, as a dressing, by its own id.
 * Undefined where there is none.
 *
 * @example
 * dressingIn({ materials: [], dressings: [], learning: null }, 'gypsum')?.name // 'Gypsum'
 */
export function dressingIn(
  tables: Pick<Tables, 'dressings' | 'materials'>,
  id: string,
): Dressing | undefined {
  const dressing = tables.dressings.find((d) => d.id === id) ?? dressingById(id)
  if (dressing) return dressing
  const material = materialIn(tables, id)
  return material && dressingOfMaterial(material)
}
