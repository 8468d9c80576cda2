import type { CropProperties } from '../data/types'
import type { Days, Fraction } from '../units'

/** Midpoint and steepness of the uptake curve. Source: our assumption on the usual sigmoid of vegetable uptake. */
const MIDDLE = 0.6
const STEEPNESS = 9

/**
 * Share of a season's uptake reached at a share of the season: a logistic made to run from 0 to 1.
 *   S(x) = (L(x) - L(0)) / (L(1) - L(0)),   L(x) = 1 / (1 + exp(-9 (x - 0.6)))
 * Below 0 it is 0, above 1 it is 1.
 * Range: 0 to 1. Source: a logistic, our assumption.
 *
 * @example
 * uptakeShare(0.7) // 0.7291
 */
export function uptakeShare(x: Fraction): Fraction {
  const at = (t: number) => 1 / (1 + Math.exp(-STEEPNESS * (t - MIDDLE)))
  const t = Math.min(1, Math.max(0, x))
  return (at(t) - at(0)) / (at(1) - at(0))
}

/** Days a perennial grows and feeds in a year. Source: our assumption. */
export const PERENNIAL_SEASON: Days = 180

/**
 * Days over which a crop's season of uptake runs.
 * Source: days to maturity of the crop table; 180 for perennials, our assumption.
 */
export const seasonDays = (crop: {
  perennial: boolean
  properties: Pick<CropProperties, 'daysToMaturity'>
}): Days => (crop.perennial ? PERENNIAL_SEASON : crop.properties.daysToMaturity.value)

/**
 * Nitrogen one plant has taken up by a day after planting, g.
 *
 * @example
 * nitrogenTakenBy(cropById('pepper_sweet'), 80) // 3.5
 */
export const nitrogenTakenBy = (
  crop: { perennial: boolean; properties: Pick<CropProperties, 'daysToMaturity' | 'seasonNitrogen'> },
  day: Days,
): number => crop.properties.seasonNitrogen.value * uptakeShare(day / seasonDays(crop))
