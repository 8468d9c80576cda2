import type { Emergence } from '../data/emergence'
import type { Days } from '../units'
import { RAISING_LIMITS as L } from './limits'

/**
 * Days until a seed comes up or a cutting roots at a warmth; null where it does not.
 *
 *   rate = (T - least) / (best - least) below its best, 1 within, (most - T) / (most - best) above
 *   days = days at its best / rate
 *
 * C. Errors: none. Source: thermal time, linear between the cardinal temperatures; Harrington & Minges 1954 (from
 * memory).
 *
 * @example
 * daysToEmerge({ least: 10, bestLow: 20, bestHigh: 30, most: 35, days: { low: 6, high: 10 } }, 15) // { low: 12, high: 20 }
 */
export function daysToEmerge(
  {
    least,
    bestLow,
    bestHigh,
    most,
    days,
  }: Pick<Emergence, 'least' | 'bestLow' | 'bestHigh' | 'most' | 'days'>,
  warmth: number,
): { low: Days; high: Days } | null {
  if (warmth <= least || warmth >= most) return null
  const rate = Math.min(1, (warmth - least) / (bestLow - least), (most - warmth) / (most - bestHigh))
  return { low: days.low / rate, high: days.high / rate }
}

/**
 * How fast seedlings grow at a warmth against the usual 20 C: straight from the warmth below which they hardly do.
 * Source: degree days above a base, common practice; held between half and 1.4.
 *
 * @example
 * growthRate({ least: 4 }, 12) // 0.5
 */
export function growthRate({ least }: Pick<Emergence, 'least'>, warmth: number): number {
  const base = least >= L.warmCrop.value ? L.baseWarm.value : L.baseCool.value
  const rate = (warmth - base) / (L.usual.value - base)
  return Math.min(L.fastest.value, Math.max(L.slowest.value, rate))
}
