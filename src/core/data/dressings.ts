import others from './dressings.json'
import { LIME_DRESSINGS } from './limes'
import type { Dressing } from './types'

/**
 * Every dressing of the tables, limes first. Apart from index.ts, so that a page needing only limes loads only limes.
 */
export const DRESSINGS: readonly Dressing[] = [...LIME_DRESSINGS, ...(others as unknown as Dressing[])]

/**
 * A dressing of the tables by its id; undefined where the tables have none.
 *
 * @example
 * dressingById('gypsum')?.name // 'Gypsum'
 */
export const dressingById = (id: string): Dressing | undefined => DRESSINGS.find((d) => d.id === id)
