import { defineLimits } from '../limits'
import type { Litres } from '../units'

/** What decides how much goes into a container, and how closely it lies. */
export const FILLING_LIMITS = defineLimits({
  washesIn: {
    value: 0.2,
    low: 0.1,
    high: 0.4,
    unit: 'share of the gaps between grains over 4 mm',
    source: 'our assumption, as for gravel and bark',
  },
  firmed: {
    value: 0.07,
    low: 0.04,
    high: 0.1,
    unit: 'share of the volume lost',
    source:
      'our assumption: firmed with the fingers or shaken down in lifts; common practice allows 5 to 10 %',
  },
  pressed: {
    value: 0.15,
    low: 0.1,
    high: 0.2,
    unit: 'share of the volume lost',
    source: 'our assumption: pressed with the palms or a board; common practice allows 10 to 20 %',
  },
  seedlingVolume: {
    value: 1,
    low: 0.5,
    high: 2,
    unit: 'L',
    source: 'common practice: modules and small pots',
  },
})

/** Less mix than this in each is for sowing and pricking out. */
export const SEEDLING_VOLUME: Litres = FILLING_LIMITS.seedlingVolume.value
