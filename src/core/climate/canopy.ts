/** How much wind a place gets. */
export type Exposure = 'sheltered' | 'open' | 'exposed'

/**
 * What leaf that stands out over the rim uses, against the same leaf inside a field: air and sun reach it from the
 * side. Source: FAO-56 chapter 10 (small stands; cap 2.5 on their own shadow); values our assumption within it.
 */
export const OUTSTANDING_LEAF: Record<Exposure, { low: number; value: number; high: number }> = {
  sheltered: { low: 1, value: 1.1, high: 1.3 },
  open: { low: 1, value: 1.2, high: 1.4 },
  exposed: { low: 1.1, value: 1.4, high: 1.8 },
}

/**
 * Ground the leaves of all plants shade, m2: what they would each, but never more than the surface widened all round by
 * the radius of one plant, for leaves that shade leaves use no more.
 *
 *   A = min(n a, S + P r + pi r^2),   r = sqrt(a / pi)
 *
 * Surface m2, perimeter m, leaf of one plant m2. Range: round and convex surfaces exactly, others near enough.
 * Source: Steiner’s formula for the area around a convex outline.
 *
 * @example
 * canopyOver({ surface: 2.9, perimeter: 7.2 }, 150, 0.05) // 3.858
 */
export function canopyOver(
  { surface, perimeter }: { surface: number; perimeter: number },
  plants: number,
  leaf: number,
): number {
  const radius = Math.sqrt(leaf / Math.PI)
  return Math.min(plants * leaf, surface + perimeter * radius + leaf)
}
