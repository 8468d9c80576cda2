/**
 * Solves a tridiagonal system: row i is lower[i] x[i-1] + middle[i] x[i] + upper[i] x[i+1] = right[i]. Answers in `x`;
 * `middle` and `right` are used up.
 * Errors: none; a zero on the diagonal gives what is no number. Source: Thomas 1949.
 */
export function thomas(
  { lower, middle, upper }: Record<'lower' | 'middle' | 'upper', Float64Array>,
  right: Float64Array,
  x: Float64Array,
): void {
  const n = middle.length
  for (let i = 1; i < n; i++) {
    const by = lower[i]! / middle[i - 1]!
    middle[i]! -= by * upper[i - 1]!
    right[i]! -= by * right[i - 1]!
  }
  x[n - 1] = right[n - 1]! / middle[n - 1]!
  for (let i = n - 2; i >= 0; i--) x[i] = (right[i]! - upper[i]! * x[i + 1]!) / middle[i]!
}
