import type { Dressing } from '../data/types'
import type { DressingDose } from '../nutrients/supply'
import type { Days, Fraction, Litres } from '../units'

/** A feed given with water through a season. Days after planting. */
export interface LiquidFeed {
  dressing: Dressing
  /** g per litre of water. */
  gramsPerLitre: number
  /** Water with feed that one container gets each time. */
  litres: Litres
  every: Days
  from: Days
  until: Days
}

/** What a feed is given to. */
export interface FedContainer {
  /** Litres of mix in it. */
  mixVolume: Litres
  /** Share of the water given that drains away. */
  leaching: Fraction
}

/** The most feeds of a season: every day of a year. */
const MOST = 366
const WEEK: Days = 7

/**
 * Days on which a feed is given.
 *
 * @example
 * feedDays({ from: 21, until: 50, every: 14 }) // [21, 35, 49]
 */
export function feedDays({ from, until, every }: Pick<LiquidFeed, 'from' | 'until' | 'every'>): Days[] {
  const count = until < from ? 0 : Math.min(MOST, Math.floor((until - from) / Math.max(1, every)) + 1)
  return Array.from({ length: count }, (_, i) => from + i * Math.max(1, every))
}

/**
 * What a liquid feed brings to a mix, as doses put on in the season: one for each week, on the day of its first feed.
 * Of what is given the share that drains is lost.
 *
 *   g per litre of mix = g/L x litres x (1 - leaching) / litres of mix
 *
 * g per litre, litres, days. Errors: none; `mixVolume` above zero. Source: mass balance.
 *
 * @example
 * dosesOfFeed(
 *   { dressing: dressingById('soluble_20_20_20'), gramsPerLitre: 1, litres: 2, every: 7, from: 14, until: 14 },
 *   { mixVolume: 20, leaching: 0.15 },
 * )[0].gramsPerLitre // 0.085
 */
export function dosesOfFeed(feed: LiquidFeed, { mixVolume, leaching }: FedContainer): DressingDose[] {
  const each = (feed.gramsPerLitre * feed.litres * (1 - leaching)) / mixVolume
  const weeks = new Map<number, { from: Days; count: number }>()
  for (const day of feedDays(feed)) {
    const week = Math.floor(day / WEEK)
    const known = weeks.get(week)
    weeks.set(week, { from: known?.from ?? day, count: (known?.count ?? 0) + 1 })
  }
  return [...weeks.values()].map(({ from, count }) => ({
    dressing: feed.dressing,
    gramsPerLitre: each * count,
    place: { kind: 'heldBack', from },
  }))
}
