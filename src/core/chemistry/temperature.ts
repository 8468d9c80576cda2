import type { Days } from '../units'
import { DAYS_PER_MONTH } from '../units'
import { q10Factor } from './q10'

/**
 * How warm the mix is: one temperature all along, or the means of January to December, C, begun in the middle of
 * month `start` (1 to 12). Plain data.
 */
export type Temperature = number | { months: readonly number[]; start: number }

/** A temperature over the days since mixing. */
export interface TemperatureCourse {
  /** C. */
  on: (day: Days) => number
  /** Days at a reference temperature (C) in which as much happens as from one day to another. */
  worth: (q10: number, reference: number, from: Days, to: Days) => Days
}

const MONTHS = 12

/**
 * A temperature as a course over the days since mixing. Monthly means stand in the middle of their months, with
 * straight lines between; the year begins anew after twelve.
 *
 *   worth = integral of Q^((T(t) - T_ref) / 10) dt, month by month in closed form
 *
 * C, days. Errors: none; twelve months are taken on trust. Source: van ’t Hoff’s rule.
 *
 * @example
 * temperatureCourse({ months: [0, 2, 6, 10, 14, 18, 20, 20, 16, 11, 5, 1], start: 4 }).on(30.436875) // 14
 */
export function temperatureCourse(temperature: Temperature): TemperatureCourse {
  if (typeof temperature === 'number') {
    const factors = new Map<number, number>()
    const factorOf = (q10: number, reference: number) => {
      // No Q10 is a thousand.
      const key = 1000 * reference + q10
      const factor = factors.get(key) ?? q10Factor(q10, temperature, reference)
      factors.set(key, factor)
      return factor
    }
    return {
      on: () => temperature,
      worth: (q10, reference, from, to) => (to - from) * factorOf(q10, reference),
    }
  }
  const { months, start } = temperature
  const middle = (i: number) => months[(start - 1 + i) % MONTHS]!
  const on = (day: Days) => {
    const at = Math.max(0, day) / DAYS_PER_MONTH
    const i = Math.floor(at)
    return middle(i) + (at - i) * (middle(i + 1) - middle(i))
  }
  /** Days at nought C that a stretch of a month is worth, between two temperatures. */
  const stretch = (q10: number, days: Days, from: number, to: number) => {
    const rise = (to - from) * Math.log(q10)
    const first = q10 ** (from / 10)
    return Math.abs(rise) < 1e-9 ? days * first : (days * 10 * (q10 ** (to / 10) - first)) / rise
  }
  const sums = new Map<number, number[]>()
  const sumsOf = (q10: number) => {
    let sum = sums.get(q10)
    if (!sum) {
      sum = [0]
      for (let i = 0; i < MONTHS; i++)
        sum.push(sum[i]! + stretch(q10, DAYS_PER_MONTH, middle(i), middle(i + 1)))
      sums.set(q10, sum)
    }
    return sum
  }
  const until = (q10: number, day: Days) => {
    const sum = sumsOf(q10)
    const whole = Math.floor(day / DAYS_PER_MONTH)
    const rest = day - whole * DAYS_PER_MONTH
    return (
      Math.floor(whole / MONTHS) * sum[MONTHS]! +
      sum[whole % MONTHS]! +
      stretch(q10, rest, middle(whole), on(day))
    )
  }
  return {
    on,
    worth: (q10, reference, from, to) => (until(q10, to) - until(q10, from)) * q10Factor(q10, 0, reference),
  }
}
