import { defineLimits } from './limits'
import type { Problem } from './problems'

/** Amounts that are believed, wherever they are typed, imported or worked out. */
export const AMOUNT_LIMITS = defineLimits({
  leastLime: {
    value: 0.1,
    low: 0.05,
    high: 0.2,
    unit: 'g/L',
    source: 'our assumption: it moves a peat mix by less than a twentieth of pH, which no meter shows',
  },
  leastDose: {
    value: 0.005,
    low: 0.001,
    high: 0.01,
    unit: 'g/L',
    source: 'our assumption: half a gram in 100 L, less than a kitchen scale shows',
  },
  containers: {
    value: 5000,
    low: 1000,
    high: 20_000,
    unit: 'containers',
    source: 'our assumption: transplants are filled by the thousand, no more in one line',
  },
})

/**
 * Is it a dose at all? Less than this, g per litre, counts as none wherever doses are shown, weighed or ticked.
 *
 * @example
 * isDose(0.001) // false
 */
export const isDose = (gramsPerLitre: number): boolean => gramsPerLitre > AMOUNT_LIMITS.leastDose.value

/**
 * What is wrong with a number of containers or plants, if anything: whole, at least one, and believable.
 * Whole numbers, 1 to the most in the limits. Errors: the problem itself; null where there is none.
 *
 * @example
 * countProblem(6) // null
 */
export function countProblem(count: number): Problem | null {
  const limit = AMOUNT_LIMITS.containers.value
  if (count > limit) return { code: 'size-too-large', field: 'count', value: count, limit }
  return Number.isInteger(count) && count >= 1 ? null : { code: 'count-not-whole', value: count }
}
