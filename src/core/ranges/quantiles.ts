/** Ten, fifty and ninety per cent of the draws lie below these. */
export interface LikelyRange {
  low: number
  middle: number
  high: number
}

/**
 * Quantiles of values, each 0 <= q <= 1: the sorted values laid end to end, each in the middle of its own share, and
 * read off straight between. Source: Hazen's rule, Hyndman & Fan 1996, type 5. At least one value.
 *
 * @example
 * quantiles([1, 2, 3, 4, 5], [0.5]) // [3]
 */
export function quantiles(values: readonly number[], wanted: readonly number[]): number[] {
  const sorted = Float64Array.from(values).sort()
  const last = sorted.length - 1
  return wanted.map((q) => {
    const at = Math.min(last, Math.max(0, q * sorted.length - 0.5))
    const below = Math.floor(at)
    const above = Math.min(last, below + 1)
    return sorted[below]! + (at - below) * (sorted[above]! - sorted[below]!)
  })
}

/**
 * Range from a tenth to nine tenths of the draws.
 * Source: quantiles.
 *
 * @example
 * likelyRange([1, 2, 3, 4, 5]) // { low: 1, middle: 3, high: 5 }
 */
export function likelyRange(values: readonly number[]): LikelyRange {
  const [low, middle, high] = quantiles(values, [0.1, 0.5, 0.9]) as [number, number, number]
  return { low, middle, high }
}
