/**
 * The dose, g/L, at which something just stops being short, by bisection between zero and `most`, to 0.001 g/L.
 * `short` must be true below the answer and false above it.
 * Errors: none; `most` where it never stops being short.
 *
 * @example
 * solveDose((grams) => grams < 2.5, 10) // 2.5
 */
export function solveDose(short: (gramsPerLitre: number) => boolean, most: number): number {
  let low = 0
  let high = most
  while (high - low > 0.001) {
    const mid = (low + high) / 2
    if (short(mid)) low = mid
    else high = mid
  }
  return (low + high) / 2
}

/**
 * The dose, g/L, at which what rises with it reaches the target: to 0.001 g/L or `near` of the target, whichever is
 * first.
 *
 * False position with the Illinois halving, never leaving its bracket: a few trials where bisection takes fifteen.
 * What rises is below the target at zero (`atNought`) and not below it at `most` (`atMost`). Source: Dowell &
 * Jarratt 1971, BIT 11:168-174.
 */
export function solveRising(
  rises: (gramsPerLitre: number) => number,
  {
    target,
    most,
    atNought,
    atMost,
    near,
  }: Record<'target' | 'most' | 'atNought' | 'atMost' | 'near', number>,
): number {
  let low = { at: 0, off: atNought - target }
  let high = { at: most, off: atMost - target }
  if (high.off <= 0) return most
  let last = 0
  while (high.at - low.at > 0.001) {
    const at = low.at - (low.off * (high.at - low.at)) / (high.off - low.off)
    const off = rises(at) - target
    if (Math.abs(off) <= near) return at
    const side = Math.sign(off)
    // Twice on the same side: the other end counts half, so that it is left in the end.
    const weight = side === last ? 0.5 : 1
    if (side < 0) {
      low = { at, off }
      high = { ...high, off: high.off * weight }
    } else {
      high = { at, off }
      low = { ...low, off: low.off * weight }
    }
    last = side
  }
  return (low.at + high.at) / 2
}
