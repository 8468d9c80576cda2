/** Ten, fifty and ninety per cent of the draws lie below these. */
export interface LikelyRange {
  low: number
  middle: number
  high: number
}

/**
 * Weighted quantiles, each 0 <= q <= 1 and rising: the weights of the sorted values are laid end to end, each value
 * in the middle of its own, and read off straight between. With equal weights it is Hazen's rule (Hyndman & Fan 1996,
 * type 5). Values and weights of the same length, weights not negative with a sum above nought.
 *
 * @example
 * weightedQuantiles([1, 2, 3, 4, 5], [1, 1, 1, 1, 1], [0.5]) // [3]
 */
export function weightedQuantiles(
  values: readonly number[],
  weights: readonly number[],
  wanted: readonly number[],
): number[] {
  const total = weights.reduce((s, w) => s + w, 0)
  const order = sortedOrder(values)
  const found: number[] = []
  let below = 0
  let lastAt = -1
  let last = values[order[0]!]!
  for (const i of order) {
    const w = weights[i]! / total
    if (w === 0) continue
    const at = below + w / 2
    while (found.length < wanted.length && at >= wanted[found.length]!) {
      const q = wanted[found.length]!
      found.push(lastAt < 0 ? values[i]! : last + ((values[i]! - last) * (q - lastAt)) / (at - lastAt))
    }
    below += w
    lastAt = at
    last = values[i]!
  }
  while (found.length < wanted.length) found.push(last)
  return found
}

/** Places of the values from the least to the greatest. */
function sortedOrder(values: readonly number[]): Uint32Array {
  const order = new Uint32Array(values.length)
  for (let i = 0; i < order.length; i++) order[i] = i
  return order.sort((a, b) => values[a]! - values[b]!)
}

/**
 * Range from a tenth to nine tenths of the draws.
 * Source: weighted quantiles.
 *
 * @example
 * likelyRange([1, 2, 3, 4, 5], [1, 1, 1, 1, 1]) // { low: 1, middle: 3, high: 5 }
 */
export function likelyRange(values: readonly number[], weights: readonly number[]): LikelyRange {
  const [low, middle, high] = weightedQuantiles(values, weights, [0.1, 0.5, 0.9]) as [number, number, number]
  return { low, middle, high }
}

/**
 * Mean and standard deviation under weights.
 * Source: weighted moments.
 * Values and weights of the same length, weights not negative with a sum above nought.
 *
 * @example
 * weightedSpread([1, 3], [1, 1]) // { mean: 2, deviation: 1 }
 */
export function weightedSpread(values: readonly number[], weights: readonly number[]) {
  const total = weights.reduce((s, w) => s + w, 0)
  const mean = values.reduce((s, v, i) => s + weights[i]! * v, 0) / total
  const variance = values.reduce((s, v, i) => s + weights[i]! * (v - mean) ** 2, 0) / total
  return { mean, deviation: Math.sqrt(variance) }
}

/**
 * Draws that still count for something once weighted: (sum w)^2 / sum w^2 (Kish 1965).
 * Range: 1 to the number of draws; weights not negative with a sum above nought.
 *
 * @example
 * effectiveDraws([1, 1, 1, 1]) // 4
 */
export function effectiveDraws(weights: readonly number[]): number {
  const sum = weights.reduce((s, w) => s + w, 0)
  return sum > 0 ? sum ** 2 / weights.reduce((s, w) => s + w * w, 0) : 0
}
