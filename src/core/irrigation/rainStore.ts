import { defineLimits } from '../limits'
import type { Days, Fraction, Litres } from '../units'

/** How rain comes off a roof. */
export const ROOF_LIMITS = defineLimits({
  runOff: {
    value: 0.8,
    low: 0.7,
    high: 0.9,
    unit: 'of what falls on the roof',
    source: 'common practice: the rest wets the roof and splashes off',
  },
  firstFlush: {
    value: 0.5,
    low: 0.3,
    high: 1,
    unit: 'mm of each fall of rain let go',
    source: 'common practice: it washes the roof',
  },
  falls: {
    value: 10,
    low: 7,
    high: 14,
    unit: 'falls of rain in a month',
    source: 'our assumption: the rain of a month in so many equal falls, evenly spaced',
  },
})

export interface RainStoreQuestion {
  /** mm in each month, January first. */
  rain: readonly number[]
  /** Litres wanted in a day of each month. */
  use: readonly number[]
  /** m2 of roof, as seen from above. */
  roof: number
  /** Litres the barrels hold. */
  barrel: Litres
}

/** A month of a barrel, litres. */
export interface RainMonth {
  caught: Litres
  used: Litres
  overflow: Litres
  wanted: Litres
  /** Days on which the barrel did not give what was wanted. */
  without: Days
}

export interface RainYear {
  months: RainMonth[]
  /** Share of what is wanted in the year that the roof gives; 1 where nothing is wanted. */
  share: Fraction
  /** Days of the year without. */
  without: Days
  /** Left in the barrel at the end, less what was in it at the beginning, litres. */
  stored: Litres
}

const DAYS_IN_MONTH = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const

/**
 * What a roof and a barrel give through a year, day by day: falls of rain of equal size, evenly spaced, less what
 * washes
 * the roof; the barrel runs over when it is full. The year is gone through twice, and the second counts, so that it
 * begins as it ends.
 *
 *   litres caught = (mm - first flush) x m2 x run-off
 *
 * mm, m2, litres; twelve months. Errors: none. Range: no barrel or roof too; real rain comes less evenly, so that days
 * without are more by some. Source: mass balance; sources beside the limits.
 *
 * @example
 * rainYear({ rain: Array(12).fill(60), use: Array(12).fill(0), roof: 20, barrel: 200 }).share // 1
 */
export function rainYear(q: RainStoreQuestion): RainYear {
  const L = ROOF_LIMITS
  let store = 0
  const oneYear = (): RainYear => {
    const began = store
    const months = DAYS_IN_MONTH.map((days, m): RainMonth => {
      const falls = L.falls.value
      const caughtEach = Math.max(0, (q.rain[m] ?? 0) / falls - L.firstFlush.value) * q.roof * L.runOff.value
      const wanted = q.use[m] ?? 0
      const month: RainMonth = { caught: 0, used: 0, overflow: 0, wanted: wanted * days, without: 0 }
      for (let day = 0; day < days; day++) {
        if (isFall(day, days, falls)) {
          month.caught += caughtEach
          store += caughtEach
        }
        const used = Math.min(store, wanted)
        store -= used
        month.used += used
        if (used < wanted - 1e-9) month.without++
        const over = Math.max(0, store - q.barrel)
        store -= over
        month.overflow += over
      }
      return month
    })
    const sum = (of: keyof RainMonth) => months.reduce((s, m) => s + m[of], 0)
    const wanted = sum('wanted')
    return {
      months,
      share: wanted > 0 ? sum('used') / wanted : 1,
      without: sum('without'),
      stored: store - began,
    }
  }
  oneYear()
  return oneYear()
}

/** Falls are spread evenly over the days of a month. */
const isFall = (day: Days, days: Days, falls: number) =>
  Math.floor(((day + 1) * falls) / days) > Math.floor((day * falls) / days)

/** Sizes of barrel that are looked at, litres. Source: common practice, sizes sold. */
const BARRELS = [100, 200, 300, 500, 750, 1000, 1500, 2000, 3000, 5000, 10_000]

/**
 * The smallest barrel with which a roof gives so much of what is wanted; null where no barrel does.
 *
 * @example
 * barrelFor({ rain: Array(12).fill(0), use: Array(12).fill(10), roof: 20 }, 0.9) // null
 */
export const barrelFor = (q: Omit<RainStoreQuestion, 'barrel'>, share: Fraction): Litres | null =>
  BARRELS.find((barrel) => rainYear({ ...q, barrel }).share >= share) ?? null
