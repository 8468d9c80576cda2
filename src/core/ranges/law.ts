import type { Learning } from '../data/learned'
import { choleskyOf, solveBy } from './cholesky'

/** Sum of products. */
export const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, i) => sum + x * b[i]!, 0)
type Law = Pick<Learning, 'slopes' | 'noise' | 'spread'>

/** The triangle of `s2 J J' + N`. */
const rootOf = ({ slopes, noise, spread = 1 }: Law) =>
  choleskyOf(slopes.map((a, i) => slopes.map((b, j) => spread ** 2 * dot(a, b) + noise[i]![j]!)))

/**
 * `K` of a learning, a line a name.
 *
 * @example
 * gainOf({ slopes: [[1]], noise: [[1]] }) // [[0.5]]
 */
export function gainOf(learning: Law): number[][] {
  const { slopes, spread = 1 } = learning
  const root = rootOf(learning)
  return (slopes[0] ?? []).map((_, j) =>
    solveBy(
      root,
      slopes.map((line) => spread ** 2 * line[j]!),
    ),
  )
}

/**
 * Deviation that learning leaves of something with these slopes on its names.
 *
 * @example
 * leftOf({ slopes: [[1]], noise: [[1]] }, [1]) // 0.7071
 */
export function leftOf(learning: Law, line: readonly number[]): number {
  const { spread = 1 } = learning
  const before = spread ** 2 * dot(line, line)
  if (learning.slopes.length === 0) return Math.sqrt(before)
  const across = learning.slopes.map((s) => spread ** 2 * dot(s, line))
  const explained = dot(across, solveBy(rootOf(learning), across))
  return Math.sqrt(Math.max(0, before - explained))
}
