import type { Centimetres } from '../units'

const NODES: readonly (readonly [number, number])[] = [
  [-Math.sqrt(3 / 5), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(3 / 5), 5 / 9],
]

/**
 * Integral of a quantity from the base to a height, in its own unit times cm. Three-point Gauss-Legendre: exact for
 * polynomials to the fifth degree.
 * Source: Abramowitz & Stegun 1964, 25.4.30.
 *
 * @example
 * overHeight((z) => z ** 5, 2) // 10.67
 */
export function overHeight(of: (z: Centimetres) => number, to: Centimetres): number {
  const half = to / 2
  return NODES.reduce((sum, [x, w]) => sum + w * of(half + half * x), 0) * half
}
