import type { Property } from '../data/types'

/**
 * Standard normal deviate of one thing of a row, by its name in the row: 0 for the table's own value. The order of the
 * names is always the same.
 */
export type Deviate = (name: string) => number

/** Standard normal deviate with nineteen in twenty below it: `low` and `high` of a property leave out one in ten. */
const NINE_IN_TEN = 1.6449
/** Deviates are held here, so that a draw never runs off to nonsense. */
const FURTHEST = 2.5

/**
 * A property drawn at a standard normal deviate: `value` at 0, `low` and `high` at the ends of nine in ten.
 *
 * Two half-normals meet at the value. Where all is above zero and the ends are more than threefold apart, the
 * halves are normal in the logarithm. What cannot be below zero at its low end never is. Source: two-piece normal;
 * reading low and high as 5 and 95 % is our assumption.
 * In the unit of the property. Range: any deviate, in standard deviations.
 *
 * @example
 * drawn({ low: 4, value: 5, high: 7 }, 0) // 5
 */
export function drawn(p: Pick<Property, 'low' | 'value' | 'high'>, deviate: number): number {
  const z = Math.min(FURTHEST, Math.max(-FURTHEST, deviate)) / NINE_IN_TEN
  const end = z < 0 ? p.low : p.high
  if (p.low > 0 && p.high > 3 * p.low) return p.value * (end / p.value) ** Math.abs(z)
  const x = p.value + (end - p.value) * Math.abs(z)
  return p.low >= 0 ? Math.max(0, x) : x
}

/** The same property with another value; its ends move aside where the value has passed them. */
export const withValue = (p: Property, value: number): Property => ({
  ...p,
  value,
  low: Math.min(p.low, value),
  high: Math.max(p.high, value),
})

export const isProperty = (x: unknown): x is Property =>
  typeof x === 'object' && x !== null && 'low' in x && 'value' in x && 'high' in x && 'confidence' in x

/** Of what it holds a dressing can give up all but no more; and "all of it by the label's end" would have no rate. */
const MOST_RELEASED = 0.995

/**
 * A copy of a table row with every property in it, at any depth, drawn anew; `deviate` gives a number for each in
 * turn, named by its path ("analysis.calcium").
 */
export function drawRow<T>(row: T, deviate: Deviate, path = ''): T {
  if (isProperty(row)) {
    const value = drawn(row, deviate(path))
    const key = path.slice(path.lastIndexOf('.') + 1)
    return withValue(row, key === 'fraction' ? Math.min(MOST_RELEASED, value) : value) as T
  }
  if (Array.isArray(row) || typeof row !== 'object' || row === null) return row
  return Object.fromEntries(
    Object.entries(row).map(([k, value]) => [k, drawRow(value, deviate, path ? `${path}.${k}` : k)]),
  ) as T
}
