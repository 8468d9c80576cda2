import type { Fraction, Litres } from '../units'

/** Alkalinity a water may have for what it is given to, meq/L. */
export interface WaterAim {
  /** Sought: from, to. */
  low: number
  high: number
  /** Above this something is done about it. */
  act: number
}

/**
 * By litres of mix to a container, the smallest first.
 * Source: Bailey & Bilderback; Biernbaum (from memory); tubs over 15 L and beds our assumption, from the balance of the
 * acidity course.
 */
const BY_LITRES: readonly (WaterAim & { upTo: Litres })[] = [
  { upTo: 0.04, low: 0.8, high: 1.3, act: 1.5 },
  { upTo: 0.5, low: 0.8, high: 1.7, act: 2 },
  { upTo: 1.5, low: 0.8, high: 2.1, act: 2.5 },
  { upTo: 15, low: 1.2, high: 2.6, act: 3.5 },
  { upTo: Infinity, low: 1, high: 3, act: 4.5 },
]
const IN_GROUND: WaterAim = { low: 0.5, high: 4, act: 6 }
/** Blueberries and their kin. Source: common practice. */
const FOR_ACID: WaterAim = { low: 0, high: 1, act: 1.2 }

/**
 * What alkalinity suits a container: by the litres of its mix, for ground, or for a crop that wants an acid mix.
 * Litres; meq/L. Errors: none.
 *
 * @example
 * waterAim({ litres: 10, inGround: false, acid: false }).act // 3.5
 */
export function waterAim(q: { litres: Litres; inGround: boolean; acid: boolean }): WaterAim {
  if (q.acid) return FOR_ACID
  if (q.inGround) return IN_GROUND
  const { low, high, act } = BY_LITRES.find((row) => q.litres <= row.upTo)!
  return { low, high, act }
}

/** A figure of a tap and of rain that mix by volume: alkalinity, conductivity, sodium, chloride. */
export interface Blended {
  tap: number
  rain: number
  most: number
}

/**
 * The largest share of tap water with which none of several figures is passed; null where rain alone passes one.
 *
 *   x = (most - rain) / (tap - rain)
 *
 * Any unit, the same within a row. Errors: none. Source: mass balance.
 *
 * @example
 * tapShare([{ tap: 5, rain: 0.05, most: 1.5 }]) // 0.2929
 */
export function tapShare(figures: readonly Blended[]): Fraction | null {
  let share = 1
  for (const { tap, rain, most } of figures) {
    if (rain > most) return null
    if (tap > most) share = Math.min(share, (most - rain) / (tap - rain))
  }
  return share
}
