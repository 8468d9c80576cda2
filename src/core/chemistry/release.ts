import type { Release } from '../data/types'
import type { Days, Fraction } from '../units'

/** Mean length of a calendar month, days. */
export const DAYS_PER_MONTH = 365.2425 / 12

/**
 * Factor by which a rate changes from one temperature (C) to another, for a rise of q10 in ten degrees.
 * Source: van ’t Hoff’s rule.
 *
 * @example
 * q10Factor(2, 30, 20) // 2
 */
export const q10Factor = (q10: number, temperature: number, reference: number): number =>
  q10 ** ((temperature - reference) / 10)

/** A release at one temperature: `most` is given up in the end, at `rate` per day of what is left. */
export interface ReleaseCurve {
  most: Fraction
  rate: number
}

/**
 * How a dressing gives up what it holds at a temperature.
 *
 *   R(t) = F (1 - exp(-k Q^((T - T0)/10) t))
 *
 * | symbol | meaning                                                               | unit  |
 * | F      | share it gives up in a first season; of a coated product all, F by its label's end | 1 |
 * | k      | first-order rate at T0; coated: -ln(1 - F) / (label months)           | 1/day |
 * | Q      | Q10                                                                   | 1     |
 * | T0     | 20 C; 21 C for coated products, as labels are made out                | C     |
 *
 * 5 to 35 C. Limes are given here as if in acid mix: what they do to pH is `acidityCourse`'s to say.
 * What releases nothing ('none') gives 0. Source: first-order pools after Hartz & Johnstone 2006, HortTechnology
 * 16:39-42, and Agehara & Warncke 2005, SSSAJ 69:1844-1855; coated: declared longevity at 21 C (Husby et al. 2003,
 * HortScience 38:387-389), first-order shape our assumption.
 */
export function releaseCurve(release: Release, temperature: number): ReleaseCurve {
  switch (release.kind) {
    case 'none':
      return { most: 0, rate: 0 }
    case 'coated': {
      const rate = -Math.log(1 - release.fraction.value) / (release.longevityMonths * DAYS_PER_MONTH)
      return { most: 1, rate: rate * q10Factor(release.q10.value, temperature, 21) }
    }
    default:
      return {
        most: release.fraction.value,
        rate: release.ratePerDay.value * q10Factor(release.q10.value, temperature, 20),
      }
  }
}

/**
 * Share given up by a curve after some days; 0 before it starts.
 * Range: 0 to 1. Source: first-order release.
 *
 * @example
 * releasedBy({ most: 1, rate: 0.01 }, 70) // 0.5034
 */
export const releasedBy = (curve: ReleaseCurve, days: Days): Fraction =>
  days > 0 ? curve.most * (1 - Math.exp(-curve.rate * days)) : 0

/**
 * Share of what a dressing holds that it has given up after some days in moist mix at a temperature. See
 * `releaseCurve`.
 * Range: 0 to 1.
 *
 * @example
 * releasedFraction(dressingById('blood_meal').release, 28, 20) // 0.5977
 */
export const releasedFraction = (release: Release, days: Days, temperature: number): Fraction =>
  releasedBy(releaseCurve(release, temperature), days)

/**
 * Days at a temperature until a coated product has given up its declared share; Infinity for other kinds.
 * Source: Husby et al. 2003 for the shortening with warmth.
 *
 * @example
 * coatedLife(dressingById('crf_5_6').release, 30) // 93.95
 */
export const coatedLife = (release: Release, temperature: number): Days =>
  release.kind === 'coated'
    ? (release.longevityMonths * DAYS_PER_MONTH) / q10Factor(release.q10.value, temperature, 21)
    : Infinity
