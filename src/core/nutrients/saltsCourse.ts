import type { Days, Fraction } from '../units'
import type { FeedingWeek } from './season'
import { CHARGE_PER_CONDUCTIVITY } from './waterNutrients'

/** mg per mmol of charge. */
const NITROGEN = 14
const POTASSIUM = 39.1

/** What watering brings and takes from a day on, litres per litre of mix and day. */
export interface WaterAmounts {
  from: Days
  given: number
  drained: number
}

/** The salts of the water a mix is given. */
export interface WaterSalts {
  /** dS/m, of what stays dissolved (`lastingConductivity`). */
  conductivity: number
  /** Water the mix holds, a fraction. */
  held: Fraction
  /** In the order of their days. */
  amounts: readonly WaterAmounts[]
}

/** Of the potassium in reach at least so much is dissolved, the rest held by exchange. Source: our assumption. */
const LEAST_DISSOLVED = 0.15
/** Of a dS/m at least this share stays, whatever the alkalinity. Source: our assumption. */
const LEAST_LASTING = 0.25

/**
 * Conductivity of a water in a mix, dS/m: its bicarbonate turns to carbon dioxide or calcite, a tenth of a dS/m for
 * each meq/L, and the rest stays.
 * Source: handbook 60, U.S. Salinity Laboratory 1954, for charge to conductivity; that it is lost whole is our
 * assumption.
 *
 * @example
 * lastingConductivity(0.8, 3) // 0.5
 */
export const lastingConductivity = (conductivity: number, alkalinity: number): number =>
  Math.max(LEAST_LASTING * conductivity, conductivity - alkalinity / CHARGE_PER_CONDUCTIVITY)

/** More than this is drained for nothing: other water is wanted. Source: common practice. */
export const MOST_LEACHED: Fraction = 0.5

/**
 * Share of the water given that has to drain so that a mix never comes to hold more salts than a limit; above 1 where
 * no leaching is enough. Plants take up water and leave salts: at rest what drains carries what is brought.
 *
 *   LF = ECw theta / (ECe TP)
 *
 * dS/m, ECe in the saturated extract; fractions. Source: steady state of a mixed tank; Rhoades 1974 for ground.
 *
 * @example
 * leachingFor(2, { conductivity: 0.5, held: 0.5 }, 0.8) // 0.1563
 */
export const leachingFor = (
  limit: number,
  { conductivity, held }: Pick<WaterSalts, 'conductivity' | 'held'>,
  totalPorosity: Fraction,
): Fraction => (conductivity * held) / (limit * totalPorosity)

/**
 * Salts of a mix through its season, dS/m in the saturated extract, at the end of each week: nitrogen and potassium
 * as they stand in reach, whatever else it began with, washed out as nitrate is, and what the water leaves behind.
 *
 *   dM/dt = given ECw - drained M / theta,   M in dS/m times litres per litre of mix
 *
 * Potassium is dissolved to the share its salts had when fresh; the rest plants reach on the exchange. Of feed given in
 * the season nothing else is counted. `start` is its salts when fresh, `totalPorosity` its pores.
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
  water?: WaterSalts,
): { day: number; saturatedExtract: number }[] {
  const charge = CHARGE_PER_CONDUCTIVITY * totalPorosity
  const nitrate = (i: number) => (nitrogen[i]?.pool ?? 0) / NITROGEN
  const potash = (i: number) => (potassium[i]?.pool ?? 0) / POTASSIUM
  const free = potash(0) > 0 ? (start * charge - nitrate(0)) / potash(0) : 1
  const dissolved = Math.min(1, Math.max(LEAST_DISSOLVED, free))
  const fed = (i: number) => (nitrate(i) + dissolved * potash(i)) / charge
  let rest = Math.max(0, start - fed(0))
  let left = 0
  let since = 0
  return nitrogen.map(({ day, pool, leached }, i) => {
    if (i > 0) rest *= pool + leached > 0 ? pool / (pool + leached) : 1
    if (water) left = afterWater(left, water, since, day)
    since = day
    return { day, saturatedExtract: rest + fed(i) + left / totalPorosity }
  })
}

/** Salts of the water left in a mix after some days, dS/m times litres per litre: the exact answer, day by day. */
function afterWater(
  before: number,
  { conductivity, held, amounts }: WaterSalts,
  from: Days,
  to: Days,
): number {
  let left = before
  for (let day = from; day < to; day++) {
    const dt = Math.min(1, to - day)
    const { given, drained } = amounts.findLast((a) => a.from <= day) ?? { given: 0, drained: 0 }
    const rate = drained / held
    const brought = given * conductivity
    const kept = Math.exp(-rate * dt)
    left = rate > 1e-12 ? left * kept + (brought / rate) * (1 - kept) : left + brought * dt
  }
  return left
}
