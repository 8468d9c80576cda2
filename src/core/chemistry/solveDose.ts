/**
 * The dose, g/L, at which something just stops being short, by bisection between nought and `most`, to 0.001 g/L.
 * `short` must be true below the answer and false above it.
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
