import type { Release } from '../data/types'
import type { Days, Fraction } from '../units'
import { DAYS_PER_MONTH } from '../units'
import { q10Factor } from './q10'
import { temperatureCourse, type Temperature, type TemperatureCourse } from './temperature'

/** A release: `most` is given up in the end, at `rate` per day of what is left at a reference temperature, C. */
export interface ReleaseCurve {
  most: Fraction
  rate: number
  q10: number
  reference: number
}

/**
 * How a dressing gives up what it holds.
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
export function releaseCurve(release: Release): ReleaseCurve {
  switch (release.kind) {
    case 'none':
      return { most: 0, rate: 0, q10: 1, reference: 20 }
    case 'coated': {
      const rate = -Math.log(1 - release.fraction.value) / (release.longevityMonths * DAYS_PER_MONTH)
      return { most: 1, rate, q10: release.q10.value, reference: 21 }
    }
    default:
      return {
        most: release.fraction.value,
        rate: release.ratePerDay.value,
        q10: release.q10.value,
        reference: 20,
      }
  }
}

/**
 * Share given up by a curve between two days of a course of temperature; 0 before it starts.
 * Range: 0 to 1. Source: first-order release.
 *
 * @example
 * releasedBy({ most: 1, rate: 0.01, q10: 2, reference: 20 }, temperatureCourse(20), 0, 70) // 0.5034
 */
export const releasedBy = (curve: ReleaseCurve, course: TemperatureCourse, from: Days, to: Days): Fraction =>
  to > from ? curve.most * -Math.expm1(-curve.rate * course.worth(curve.q10, curve.reference, from, to)) : 0

/**
 * Share of what a dressing holds that it has given up after some days in moist mix. See `releaseCurve`.
 * Range: 0 to 1.
 *
 * @example
 * releasedFraction(dressingById('blood_meal').release, 28, 20) // 0.5977
 */
export const releasedFraction = (release: Release, days: Days, temperature: Temperature): Fraction =>
  releasedBy(releaseCurve(release), temperatureCourse(temperature), 0, days)

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
