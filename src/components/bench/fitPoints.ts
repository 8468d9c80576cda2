import { keyOf, type Found } from '@/core/finder'

/** A recipe on the picture of cost against fit, px. */
export interface FitPoint {
  key: string
  found: Found
  /** Its place in the list below, from 1. */
  rank: number
  cost: number
  /** How sure it is: share of batches that meet every target, less what it misses. */
  sure: number
  x: number
  y: number
  /** Nothing drawn is both as cheap and as sure. */
  isFront: boolean
}

/** Room round the points, px: words on the left and below. */
export const FIT_ROOM = { left: 26, right: 26, top: 34, bottom: 34 } as const

/** Money for a litre with its lime and feed; not finite where a price is not known. */
export const costOfFound = ({ candidate, look }: Pick<Found, 'candidate' | 'look'>): number =>
  candidate.figures.costPerLitre + (look?.dosesPerLitre ?? 0)

/**
 * Recipes with a cost and a known chance as points, cheapest first: cost to the right, surer upwards. What misses a
 * target lies lower by as much as it misses, so that recipes of the same chance still tell apart.
 */
export function fitPoints(
  found: readonly Found[],
  { width, height }: { width: number; height: number },
): FitPoint[] {
  const worst = Math.max(...found.map((f) => f.candidate.score), 1)
  const drawn = found
    .map((f, i) => ({ found: f, rank: i + 1, cost: costOfFound(f), chance: f.look?.chance ?? null }))
    .flatMap((p) =>
      p.chance === null || !Number.isFinite(p.cost)
        ? []
        : [{ ...p, sure: p.chance - Math.max(0, p.found.candidate.score) / worst }],
    )
    .sort((a, b) => a.cost - b.cost || b.sure - a.sure)
  const costs = drawn.map((p) => p.cost)
  const sures = drawn.map((p) => p.sure)
  const [least, most] = [Math.min(...costs), Math.max(...costs)]
  const [low, high] = [Math.min(...sures), Math.max(...sures)]
  const { left, right, top, bottom } = FIT_ROOM
  let best = -Infinity
  return drawn.map(({ found: f, rank, cost, sure }) => {
    const isFront = sure > best
    best = Math.max(best, sure)
    return {
      key: keyOf(f.candidate),
      found: f,
      rank,
      cost,
      sure,
      x: left + ((cost - least) / (most - least || 1)) * (width - left - right),
      y: height - bottom - ((sure - low) / (high - low || 1)) * (height - top - bottom),
      isFront,
    }
  })
}
