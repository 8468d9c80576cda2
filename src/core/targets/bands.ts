import type { Band } from '../data/types'
import type { Target } from './target'
import type { Targets } from './targetsFor'

/** Bands by name; null where a mix is not held to one. */
export type Bands = Record<Exclude<Target, 'airFilledPorosity' | 'pH'>, Band | null> &
  Record<'airFilledPorosity' | 'pH', Band>

/**
 * The water a mix is judged by: easily available in containers, plant-available in a bed open to soil. Fraction.
 *
 * @example
 * waterJudged({ easilyAvailableWater: 0.05, plantAvailableWater: 0.2 }, { plantAvailableWater: null }) // 0.05
 */
export const waterJudged = (
  water: { easilyAvailableWater: number; plantAvailableWater: number },
  bands: Pick<Bands, 'plantAvailableWater'>,
): number => (bands.plantAvailableWater ? water.plantAvailableWater : water.easilyAvailableWater)

/** The bands of some targets by name. Every mix has one for air and one for pH. */
export function bandsOf(targets: Targets): Bands {
  const band = (target: Target) => targets.bands.find((b) => b.target === target)?.band
  return {
    airFilledPorosity: band('airFilledPorosity')!,
    pH: band('pH')!,
    easilyAvailableWater: band('easilyAvailableWater') ?? null,
    plantAvailableWater: band('plantAvailableWater') ?? null,
    electricalConductivity: band('electricalConductivity') ?? null,
    drainedWeight: band('drainedWeight') ?? null,
    daysBetweenWaterings: band('daysBetweenWaterings') ?? null,
  }
}
