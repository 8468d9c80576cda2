import type { Grams } from '../units'
import { LITRES } from '../units'

/** A set of level measures, largest first, mL. */
export interface SpoonSet {
  cup: number
  tablespoon: number
  teaspoon: number
}

export const METRIC_SPOONS: SpoonSet = {
  cup: LITRES.metricCup * 1000,
  tablespoon: LITRES.metricTablespoon * 1000,
  teaspoon: LITRES.metricTeaspoon * 1000,
}
export const US_SPOONS: SpoonSet = {
  cup: LITRES.usCup * 1000,
  tablespoon: LITRES.usTablespoon * 1000,
  teaspoon: LITRES.usTeaspoon * 1000,
}

export interface SpoonMeasure {
  cups: number
  tablespoons: number
  /** In quarters, for example 0.75. */
  teaspoons: number
}

/**
 * A weight as level cups, tablespoons and quarter teaspoons, by bulk density (g/mL), to the nearest quarter teaspoon.
 * Range: 0 g and up, density above 0. Scales are better: powders pack by a fifth either way (common practice).
 *
 * @example
 * levelSpoons(23, 1, { cup: 250, tablespoon: 15, teaspoon: 5 }) // { cups: 0, tablespoons: 1, teaspoons: 1.5 }
 */
export function levelSpoons(grams: Grams, bulkDensity: number, set: SpoonSet): SpoonMeasure {
  let quarters = Math.round((grams / bulkDensity / set.teaspoon) * 4)
  const inCup = Math.round((set.cup / set.teaspoon) * 4)
  const inTablespoon = Math.round((set.tablespoon / set.teaspoon) * 4)
  const cups = Math.floor(quarters / inCup)
  quarters -= cups * inCup
  const tablespoons = Math.floor(quarters / inTablespoon)
  quarters -= tablespoons * inTablespoon
  return { cups, tablespoons, teaspoons: quarters / 4 }
}
