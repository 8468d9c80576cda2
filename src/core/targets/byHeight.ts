import type { Band } from '../data/types'
import type { Centimetres } from '../units'

/** Height of mix for which the crop tables give their air: a usual pot, cm. */
export const USUAL_HEIGHT: Centimetres = 20

/**
 * Air wanted in a column of a height, as a share of that wanted at 20 cm. A shallow column holds less of any mix, so
 * less is wanted: plugs grow well at 5 %.
 * Source: mean of three groups of crops over columns of 2.5 to 40 cm; Milks, Fonteno & Larson 1989, J. Amer. Soc.
 * Hort. Sci. 114:48-52; Fonteno 1989; Bunt 1988 (figures from memory).
 */
const SHARES = [
  { height: 2.5, low: 0.15, high: 0.34 },
  { height: 4.5, low: 0.28, high: 0.52 },
  { height: 7.6, low: 0.57, high: 0.79 },
  { height: 10, low: 0.69, high: 0.86 },
  { height: 15, low: 0.85, high: 0.93 },
  { height: USUAL_HEIGHT, low: 1, high: 1 },
  { height: 30, low: 1.11, high: 1.08 },
  { height: 40, low: 1.16, high: 1.13 },
] as const

/**
 * The air band of a crop for a height of mix on drain holes. Fractions, cm. Between the heights of the table straight
 * lines; beyond them as at the last. Source: `SHARES`.
 *
 * @example
 * airBandAt({ low: 0.16, high: 0.3 }, 10) // { low: 0.1104, high: 0.258 }
 */
export function airBandAt(band: Band, height: Centimetres): Band {
  const above = SHARES.findIndex((s) => s.height >= height)
  const [from, to] =
    above < 0 ? [SHARES.at(-1)!, SHARES.at(-1)!] : [SHARES[Math.max(0, above - 1)]!, SHARES[above]!]
  const t = to.height > from.height ? (height - from.height) / (to.height - from.height) : 0
  return {
    low: band.low * (from.low + t * (to.low - from.low)),
    high: band.high * (from.high + t * (to.high - from.high)),
  }
}
