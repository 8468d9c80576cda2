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

/** Days at nought C that a course of temperature is worth to what goes by one Q10. */
class Clock {
  private readonly log: number
  /** Worth of the whole months until each. */
  private readonly sums = [0]
  /** What was asked last: the end of a step is the beginning of the next. */
  private readonly days: [Days, Days] = [0, 0]
  private readonly worths: [Days, Days] = [0, 0]
  private reference = NaN
  private factor = 1

  constructor(
    private readonly q10: number,
    private readonly middle: (month: number) => number,
    private readonly on: (day: Days) => number,
  ) {
    this.log = Math.log(q10)
    for (let i = 0; i < MONTHS; i++)
      this.sums.push(this.sums[i]! + this.stretch(DAYS_PER_MONTH, middle(i), middle(i + 1)))
  }

  /** A stretch of a month, between two temperatures. */
  private stretch(days: Days, from: number, to: number): Days {
    const rise = (to - from) * this.log
    const first = this.q10 ** (from / 10)
    return Math.abs(rise) < 1e-9 ? days * first : (days * 10 * (this.q10 ** (to / 10) - first)) / rise
  }

  until(day: Days): Days {
    const { days, worths, sums } = this
    if (day === days[0]) return worths[0]
    if (day === days[1]) return worths[1]
    const whole = Math.floor(day / DAYS_PER_MONTH)
    const rest = day - whole * DAYS_PER_MONTH
    const years = Math.floor(whole / MONTHS) * sums[MONTHS]!
    const worth = years + sums[whole % MONTHS]! + this.stretch(rest, this.middle(whole), this.on(day))
    days[0] = days[1]
    worths[0] = worths[1]
    days[1] = day
    worths[1] = worth
    return worth
  }

  /** From nought C to another reference. */
  since(reference: number): number {
    if (reference !== this.reference) {
      this.reference = reference
      this.factor = q10Factor(this.q10, 0, reference)
    }
    return this.factor
  }
}

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
  const clocks = new Map<number, Clock>()
  return {
    on,
    worth: (q10, reference, from, to) => {
      let clock = clocks.get(q10)
      if (!clock) {
        clock = new Clock(q10, middle, on)
        clocks.set(q10, clock)
      }
      return (clock.until(to) - clock.until(from)) * clock.since(reference)
    },
  }
}
