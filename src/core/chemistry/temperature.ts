import type { Days } from '../units'
import { DAYS_PER_MONTH } from '../units'
import { q10Factor } from './q10'

/**
 * How warm the mix is: one temperature all along, or the means of January to December, C, begun in the middle of
 * month `start` (1 to 12). Plain data.
 */
export type Temperature = number | { months: readonly number[]; start: number }

/** Days at a reference temperature in which as much happens as from one day to another. */
export type TemperatureClock = (from: Days, to: Days) => Days

/** A temperature over the days since mixing. */
export interface TemperatureCourse {
  /** C. */
  on: (day: Days) => number
  /** The clock of what goes by a Q10 and a reference temperature (C). */
  clock: (q10: number, reference: number) => TemperatureClock
  /** Days at a reference temperature (C) in which as much happens as from one day to another. */
  worth: (q10: number, reference: number, from: Days, to: Days) => Days
}

const MONTHS = 12

/** Days at zero C that a course of temperature is worth to what goes by one Q10. */
class Clock {
  private readonly log: number
  /** Worth of the whole months until each. */
  private readonly sums = [0]
  /** What was asked last: the end of a step is the beginning of the next, and its middle is asked between. */
  private readonly days: [Days, Days, Days] = [0, 0, 0]
  private readonly worths: [Days, Days, Days] = [0, 0, 0]

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
    if (day === 0) return 0
    const { days, worths, sums } = this
    const known = days.indexOf(day)
    if (known >= 0) return worths[known]!
    const whole = Math.floor(day / DAYS_PER_MONTH)
    const rest = day - whole * DAYS_PER_MONTH
    const years = Math.floor(whole / MONTHS) * sums[MONTHS]!
    const worth = years + sums[whole % MONTHS]! + this.stretch(rest, this.middle(whole), this.on(day))
    days[0] = days[1]
    worths[0] = worths[1]
    days[1] = days[2]
    worths[1] = worths[2]
    days[2] = day
    worths[2] = worth
    return worth
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
  const clocks = new Map<number, TemperatureClock>()
  const course = (on: TemperatureCourse['on'], clockOf: TemperatureCourse['clock']): TemperatureCourse => {
    const clock = (q10: number, reference: number) => {
      // No Q10 is a thousand.
      const key = 1000 * reference + q10
      const made = clocks.get(key) ?? clockOf(q10, reference)
      clocks.set(key, made)
      return made
    }
    return { on, clock, worth: (q10, reference, from, to) => clock(q10, reference)(from, to) }
  }
  if (typeof temperature === 'number')
    return course(
      () => temperature,
      (q10, reference) => {
        const factor = q10Factor(q10, temperature, reference)
        return (from, to) => (to - from) * factor
      },
    )
  const { months, start } = temperature
  const middle = (i: number) => months[(start - 1 + i) % MONTHS]!
  const on = (day: Days) => {
    const at = Math.max(0, day) / DAYS_PER_MONTH
    const i = Math.floor(at)
    return middle(i) + (at - i) * (middle(i + 1) - middle(i))
  }
  const byQ10 = new Map<number, Clock>()
  return course(on, (q10, reference) => {
    const known = byQ10.get(q10) ?? new Clock(q10, middle, on)
    byQ10.set(q10, known)
    const factor = q10Factor(q10, 0, reference)
    return (from, to) => (known.until(to) - known.until(from)) * factor
  })
}
