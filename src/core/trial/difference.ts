import { quantiles } from '../ranges/quantiles'
import { seededRandom } from '../ranges/random'

/** How a difference between two sets of pots stands. */
export interface Difference {
  /** Means, and the second over the first as a share more or less. */
  means: [number, number]
  share: number
  /** Of the share: nine times in ten it lies here; null where there are too few pots to say. */
  range: { low: number; high: number } | null
  counts: [number, number]
  /** Zero lies outside the range. */
  isSure: boolean
}

/** Fewer pots than this on a side say nothing of how they vary. Source: our assumption: a spread of two is none. */
export const LEAST_POTS = 3
const RESAMPLES = 4000
/** Nine in ten. */
const ENDS = [0.05, 0.95] as const

const mean = (list: readonly number[]) => list.reduce((s, v) => s + v, 0) / list.length

/**
 * The difference of the means of two sets of pots, as a share of the first, with its bootstrap range: each set drawn
 * again with replacement, four thousand times. Draws of a small set vary too little by (n - 1) / n; each is spread
 * out by the root of n / (n - 1) about its mean. With fewer than three pots on a side there is no range.
 *
 * Values above zero, in one unit. Errors: none; a set without pots, or a first mean of zero, gives no share.
 * Source: percentile bootstrap, Efron & Tibshirani 1993 ch. 13; narrowness of small sets, Hesterberg 2015, The
 * American Statistician 69:371-386.
 *
 * @example
 * difference([2, 2], [3, 3]).range // null
 */
export function difference(first: readonly number[], second: readonly number[], seed = 1): Difference {
  const counts: [number, number] = [first.length, second.length]
  const means: [number, number] = [mean(first), mean(second)]
  const share = means[1] / means[0] - 1
  if (Math.min(...counts) < LEAST_POTS || !(means[0] > 0))
    return { means, share, range: null, counts, isSure: false }
  const random = seededRandom(seed)
  const drawnMean = (list: readonly number[], middle: number) => {
    const wide = Math.sqrt(list.length / (list.length - 1))
    let sum = 0
    for (let i = 0; i < list.length; i++) sum += list[Math.floor(random() * list.length)]!
    return middle + wide * (sum / list.length - middle)
  }
  const shares: number[] = []
  for (let i = 0; i < RESAMPLES; i++) {
    const a = drawnMean(first, means[0])
    const b = drawnMean(second, means[1])
    if (a > 0) shares.push(b / a - 1)
  }
  const [low, high] = quantiles(shares, ENDS) as [number, number]
  return { means, share, range: { low, high }, counts, isSure: low > 0 || high < 0 }
}

/**
 * How much pots of one treatment vary, a standard deviation over their mean. Source: common practice, a fifth to a
 * third.
 */
export const USUAL_VARIATION = 0.25
/** (z of 95 % + z of 80 %)^2: a range of nine in ten that leaves zero out four times in five. */
const POWER = (1.645 + 0.842) ** 2

/**
 * Pots wanted on each side to see a difference, four times in five.
 * Shares. Errors: none. Range: differences above zero. Source: n = 2 (z + z)^2 (cv / d)^2, any text of statistics.
 *
 * @example
 * potsWanted(0.25, 0.25) // 13
 */
export const potsWanted = (share: number, variation = USUAL_VARIATION): number =>
  Math.max(LEAST_POTS, Math.ceil(2 * POWER * (variation / share) ** 2))

/**
 * The least difference so many pots on each side show, four times in five.
 *
 * @example
 * differenceShown(13, 0.25) // 0.2439
 */
export const differenceShown = (pots: number, variation = USUAL_VARIATION): number =>
  Math.sqrt((2 * POWER) / pots) * variation

/**
 * A fair trial: which treatment each pot of a row gets, at random within each block of one pot of each, so that shade
 * or wind along the row falls on all alike. Answer: places of treatments, block by block.
 * Source: randomized complete blocks, Fisher 1926.
 *
 * @example
 * trialPlan(2, 3).length // 6
 */
export function trialPlan(treatments: number, blocks: number, seed = 1): number[] {
  const random = seededRandom(seed)
  return Array.from({ length: blocks }, () => {
    const block = Array.from({ length: treatments }, (_, i) => i)
    for (let i = block.length - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1))
      ;[block[i], block[j]] = [block[j]!, block[i]!]
    }
    return block
  }).flat()
}
