import type { MaterialFamily } from './types'

/** Elements of a part of which only a share is in reach of plants, as fractions of what it holds. */
type InReach = Record<'phosphorus' | 'potassium' | 'calcium' | 'magnesium', number>

/** Days of the season the tables' first-season nitrogen is counted over, at 20 C. */
export const TABLE_SEASON = 140
/** Rate at which the parts' own nitrogen comes into reach, per day at 20 C. Q10 2. Source: our assumption. */
export const MINERALISES = 0.015

const MINERAL: readonly MaterialFamily[] = ['soil', 'sand', 'aggregate', 'perlite', 'vermiculite', 'mineral']

/**
 * Share of a part's P, K, Ca and Mg that plants can have: at once, and more over a season of 20 weeks. Organic parts
 * are analysed in all; soils and sands as available; vermiculite, zeolite and rock dust in all, most of it locked.
 * Source: our assumption on common practice: potassium of compost and manure nearly all soluble, phosphorus a fifth
 * at once and as much again in a season.
 * Fractions, 0 to 1.
 *
 * @example
 * availability('compost').atOnce.potassium // 0.85
 */
export function availability(family: MaterialFamily): Record<'atOnce' | 'later', InReach> {
  const of = (p: number, k: number, ca: number, mg: number): InReach => ({
    phosphorus: p,
    potassium: k,
    calcium: ca,
    magnesium: mg,
  })
  if (family === 'soil' || family === 'sand')
    return { atOnce: of(0.5, 0.5, 0.1, 0.1), later: of(0.5, 0.5, 0.2, 0.2) }
  if (family === 'vermiculite') return { atOnce: of(0, 0.03, 0, 0.01), later: of(0, 0.1, 0, 0.02) }
  if (MINERAL.includes(family)) return { atOnce: of(0, 0.01, 0, 0), later: of(0.01, 0.02, 0.01, 0.01) }
  return { atOnce: of(0.2, 0.85, 0.1, 0.2), later: of(0.2, 0.1, 0.2, 0.3) }
}
