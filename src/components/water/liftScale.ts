/**
 * A scale from zero to the heavier weight: where the lighter lies, and a mark for each round weight, shares of it.
 */
export interface LiftScale {
  light: number
  marks: number[]
}

/** About so many marks; steps of 1, 2 or 5 by powers of ten. */
const MARKS = 8
const STEPS = [1, 2, 5, 10]

/**
 * Where things lie on a scale that ends at `heavy`; both weights in the unit that is shown.
 *
 * @example
 * liftScale(15, 20) // { light: 0.75, marks: [0, 0.25, 0.5, 0.75, 1] }
 */
export function liftScale(light: number, heavy: number): LiftScale {
  const power = 10 ** Math.floor(Math.log10(heavy / MARKS))
  const step = power * STEPS.find((s) => (s * power * MARKS) / heavy >= 1)!
  const count = Math.floor(heavy / step + 1e-9)
  return { light: light / heavy, marks: Array.from({ length: count + 1 }, (_, i) => (i * step) / heavy) }
}
