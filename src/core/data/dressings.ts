import others from './dressings.json'
import { LIME_DRESSINGS } from './limes'
import { ownRows } from './ownRows'
import type { Dressing } from './types'

/**
 * Every dressing of the tables, limes first. Apart from index.ts, so that a page needing only limes loads only limes.
 */
export const DRESSINGS: readonly Dressing[] = [...LIME_DRESSINGS, ...(others as unknown as Dressing[])]

/**
 * A dressing by its id, the grower's own before those of the tables; undefined where there is none.
 *
 * @example
 * dressingById('gypsum')?.name // 'Gypsum'
 */
export const dressingById = (id: string): Dressing | undefined =>
  ownRows().dressings.find((d) => d.id === id) ?? DRESSINGS.find((d) => d.id === id)
