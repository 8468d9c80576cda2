const choose = (n: number, k: number) => {
  let c = 1
  for (let i = 0; i < k; i++) c = (c * (n - i)) / (i + 1)
  return k > n || k < 0 ? 0 : Math.round(c)
}

/**
 * Recipes to be looked at, those not in lowest terms counted too: sum over k of C(n, k) C(parts, k).
 * Source: combinatorics, compositions of the parts.
 *
 * @example
 * candidateCount(4, 4, 7) // 329
 */
export const candidateCount = (n: number, maxMaterials: number, maxParts: number, must = 0): number =>
  Array.from({ length: maxMaterials }, (_, i) => i + 1).reduce(
    (sum, k) => sum + choose(n - must, k - must) * choose(maxParts, k),
    0,
  )

/**
 * The greatest common divisor of two whole numbers.
 *
 * @example
 * gcd(12, 8) // 4
 */
export const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))

/**
 * Sets of 1 to `most` of n things that hold all of `must`, small sets first.
 *
 * @example
 * [...sets(3, 2, [0])] // [[0], [0, 1], [0, 2]]
 */
export function* sets(n: number, most: number, must: readonly number[]): Generator<number[]> {
  const free = Array.from({ length: n }, (_, i) => i).filter((i) => !must.includes(i))
  function* pick(from: number, count: number, chosen: number[]): Generator<number[]> {
    if (count === 0) {
      yield [...chosen].sort((a, b) => a - b)
      return
    }
    for (let i = from; i <= free.length - count; i++) {
      chosen.push(free[i]!)
      yield* pick(i + 1, count - 1, chosen)
      chosen.pop()
    }
  }
  for (let size = Math.max(1, must.length); size <= Math.min(most, n); size++)
    yield* pick(0, size - must.length, [...must])
}
