import type { Fraction } from '../units'
import type { FeedingWeek } from './season'

/** mmol of charge per litre of water for a dS/m. Source: U.S. Salinity Laboratory 1954, handbook 60: about 10. */
const CHARGE_PER_CONDUCTIVITY = 10
/** mg per mmol of charge. */
const NITROGEN = 14
const POTASSIUM = 39.1

/**
 * Salts of a mix through its season, dS/m in the saturated extract, at the end of each week: nitrogen and potassium
 * as they stand in reach, and whatever else it began with, washed out as nitrate is. Feed given in the season and salts
 * of the water are left out. `start` is its salts when fresh, `totalPorosity` its pores.
 * Errors: none. Range: a first season; good to a factor of 1.5.
 * Source: mixed-tank leaching as in `feedingSeason`; charge to conductivity, handbook 60; our assumption.
 *
 * @example
 * saltsCourse(1, { nitrogen: [], potassium: [] }, 0.8) // []
 */
export function saltsCourse(
  start: number,
  { nitrogen, potassium }: Record<'nitrogen' | 'potassium', readonly FeedingWeek[]>,
  totalPorosity: Fraction,
): { day: number; saturatedExtract: number }[] {
  const fed = (i: number) =>
    ((nitrogen[i]?.pool ?? 0) / NITROGEN + (potassium[i]?.pool ?? 0) / POTASSIUM) /
    totalPorosity /
    CHARGE_PER_CONDUCTIVITY
  let rest = Math.max(0, start - fed(0))
  return nitrogen.map(({ day, pool, leached }, i) => {
    if (i > 0) rest *= pool + leached > 0 ? pool / (pool + leached) : 1
    return { day, saturatedExtract: rest + fed(i) }
  })
}
