import type { Band } from '../data/types'
import type { Target, Targets } from './targetsFor'

/** Bands by name; null where a mix is not held to one. */
export type Bands = Record<Exclude<Target, 'airFilledPorosity' | 'pH'>, Band | null> &
  Record<'airFilledPorosity' | 'pH', Band>

/** The bands of some targets by name. Every mix has one for air and one for pH. */
export function bandsOf(targets: Targets): Bands {
  const band = (target: Target) => targets.bands.find((b) => b.target === target)?.band
  return {
    airFilledPorosity: band('airFilledPorosity')!,
    pH: band('pH')!,
    easilyAvailableWater: band('easilyAvailableWater') ?? null,
    electricalConductivity: band('electricalConductivity') ?? null,
    drainedWeight: band('drainedWeight') ?? null,
    daysBetweenWaterings: band('daysBetweenWaterings') ?? null,
  }
}
