import { liquidRow } from '../data/liquids'
import type { Dressing } from '../data/types'
import { defineLimits } from '../limits'
import type { Litres } from '../units'
import type { FeedPart } from './solution'

/** What may not lie together in a stock. */
export const STOCK_LIMITS = defineLimits({
  calcium: {
    value: 0.02,
    low: 0.01,
    high: 0.05,
    unit: 'of the feed',
    source: 'our assumption: less is an impurity and stays dissolved',
  },
  sulfur: {
    value: 0.02,
    low: 0.015,
    high: 0.05,
    unit: 'of the feed',
    source: 'our assumption: less is an impurity and stays dissolved',
  },
  phosphorus: {
    value: 0.01,
    low: 0.005,
    high: 0.02,
    unit: 'of the feed',
    source: 'our assumption: less is an impurity and stays dissolved',
  },
})

/** Two feeds that fall out together in a stock, and the ion that calcium falls out with. */
export interface Clash {
  calcium: Dressing
  other: Dressing
  with: 'sulfate' | 'phosphate'
}

/**
 * Does one of two feeds bring calcium, and the other sulfate or phosphate? Diluted for watering they go together; in a
 * stock gypsum or calcium phosphate falls out. A feed is sold so that it agrees with itself.
 * Source: common practice; solubility of gypsum and of calcium phosphates.
 *
 * @example
 * clashOf(dressingById('calcium_nitrate'), dressingById('magnesium_sulfate'))?.with // 'sulfate'
 */
export function clashOf(a: Dressing, b: Dressing): Clash | null {
  const holds = (d: Dressing, e: keyof typeof STOCK_LIMITS) =>
    (d.analysis[e]?.value ?? 0) >= STOCK_LIMITS[e].value
  if (a.id === b.id) return null
  for (const [calcium, other] of [
    [a, b],
    [b, a],
  ] as const) {
    if (!holds(calcium, 'calcium')) continue
    if (holds(other, 'phosphorus')) return { calcium, other, with: 'phosphate' }
    if (holds(other, 'sulfur')) return { calcium, other, with: 'sulfate' }
  }
  return null
}

/** A stock of one tank, g per litre of it. */
export interface Stock {
  parts: FeedPart[]
  /** Those of which cold water does not dissolve so much, with what it dissolves, g/L. */
  tooStrong: { dressing: Dressing; dissolves: number }[]
}

export interface Stocks {
  /** One tank, two where feeds do not agree; empty where no two tanks keep them apart. */
  tanks: Stock[]
  clashes: Clash[]
}

/**
 * Stock for an injector or a dilution of one part in so many parts of water: feed times the ratio, in one tank or in
 * two, of which each is drawn at that ratio. g per litre of feed water in.
 *
 *   stock g/L = feed g/L x ratio
 *
 * Errors: none; ratio 1 and up. Source: common practice; the exact factor is a hundredth more at 1 : 100.
 *
 * @example
 * stocksFor([{ dressing: dressingById('soluble_cal_mag_15_5_15'), gramsPerLitre: 1 }], 100).tanks[0].parts[0]
 *   .gramsPerLitre // 100
 */
export function stocksFor(feed: readonly FeedPart[], ratio: number): Stocks {
  const clashes = feed.flatMap((a, i) =>
    feed.slice(i + 1).flatMap((b) => clashOf(a.dressing, b.dressing) ?? []),
  )
  const agree = (tank: readonly FeedPart[]) =>
    clashes.every((c) => !(inTank(tank, c.calcium) && inTank(tank, c.other)))
  // The first feed lies in the first tank; every way to divide the others is tried, the fewest in the second first.
  const ways = Array.from({ length: 2 ** Math.max(0, feed.length - 1) }, (_, n) => n << 1)
  for (const way of ways.sort((a, b) => bits(a) - bits(b))) {
    const tanks = [0, 1].map((tank) => feed.filter((_, i) => ((way >> i) & 1) === tank))
    if (tanks.every(agree))
      return { clashes, tanks: tanks.filter((t) => t.length > 0).map((t) => stockOf(t, ratio)) }
  }
  return { clashes, tanks: [] }
}

const inTank = (tank: readonly FeedPart[], { id }: Dressing) => tank.some((p) => p.dressing.id === id)
const bits = (n: number): number => (n === 0 ? 0 : (n & 1) + bits(n >> 1))

function stockOf(tank: readonly FeedPart[], ratio: number): Stock {
  const parts = tank.map((p) => ({ ...p, gramsPerLitre: p.gramsPerLitre * ratio }))
  return {
    parts,
    tooStrong: parts.flatMap(({ dressing, gramsPerLitre }) => {
      const dissolves = liquidRow(dressing)?.solubility ?? null
      return dissolves !== null && gramsPerLitre > dissolves ? [{ dressing, dissolves }] : []
    }),
  }
}

/**
 * Litres of feed that so much stock makes at one part in `ratio` parts of water.
 *
 * @example
 * feedFromStock(20, 100) // 2020
 */
export const feedFromStock = (stock: Litres, ratio: number): Litres => stock * (ratio + 1)

/**
 * Litres of stock drawn while so many litres of feed run out: to test an injector with a bucket.
 *
 * @example
 * drawnFor(10, 100) // 0.0990099
 */
export const drawnFor = (feed: Litres, ratio: number): Litres => feed / (ratio + 1)

/** What a meter in the feed says of its strength. */
export interface MeterCheck {
  /** Of the strength meant; 1 where it is right. */
  share: number
  /** Parts of water the stock truly goes into; null where nothing is drawn. */
  ratio: number | null
}

/**
 * Strength of a feed by its conductivity: what it adds to that of the water, against what it is meant to add. dS/m.
 * Errors: none; `adds` above zero. Source: conductivity of a dilute feed goes with its strength.
 *
 * @example
 * checkStrength({ read: 1, water: 0.45, adds: 0.8625, ratio: 100 }) // { share: 0.6377, ratio: 156.8 }
 */
export function checkStrength(q: { read: number; water: number; adds: number; ratio: number }): MeterCheck {
  const share = Math.max(0, q.read - q.water) / q.adds
  return { share, ratio: share > 0 ? q.ratio / share : null }
}
