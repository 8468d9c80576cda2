import { TROPIC } from '../climate/solar'
import type { Climate } from '../climate'
import { SEASON_LIMITS } from './limits'
import type { Property } from '../data/types'

/** Width of a hardiness zone, C. Source: USDA Plant Hardiness Zone Map, 10 F. */
export const ZONE = 50 / 9

/** Zones by which roots in a pot are tenderer than the plant in the ground. Source: common practice. */
const ZONES_LOST_IN_POT = 2

/**
 * The coldest night of a year against the mean night of its coldest month, C. Source: our assumption; 6 by the sea to
 * 14 inland.
 */
const COLDEST_BELOW_MEAN = 9

/**
 * The coldest night to be expected of a year, C, from the months alone.
 * Source: our assumption.
 *
 * @example
 * coldestNightOf({ latitude: 50, elevation: 100, months: [{ tMin: 1, tMax: 7, rain: 50 }] }) // -8
 */
export const coldestNightOf = (climate: Climate): number =>
  Math.min(...climate.months.map((m) => m.tMin)) - COLDEST_BELOW_MEAN

export interface WinterMargin {
  /** Coldest night the roots stand where they are, C. */
  rootsTo: number
  /** The coldest night to be expected, C. */
  coldest: number
  /** Degrees to spare; below zero it will likely be killed. */
  margin: number
  /** By the least and the most the plant is said to stand. */
  low: number
  high: number
}

/**
 * How many degrees a plant that stays out has to spare in a winter. In open ground its roots hardly get colder than
 * freezing and the plant's own hardiness counts; in a pot they follow the air, and two zones are lost (common
 * practice). C. `coldest` is the grower's own figure where there is one.
 * Source: USDA zones; common practice.
 */
export function winterMargin(standsTo: Property, coldest: number, inPot: boolean): WinterMargin {
  const lost = inPot ? ZONES_LOST_IN_POT * ZONE : 0
  return {
    rootsTo: standsTo.value + lost,
    coldest,
    margin: coldest - standsTo.value - lost,
    low: coldest - standsTo.high - lost,
    high: coldest - standsTo.low - lost,
  }
}

/**
 * USDA zone of a coldest night: 1 to 13, with its half. Source: USDA Plant Hardiness Zone Map, zone 1a from -60 F.
 * In C.
 *
 * @example
 * hardinessZone(-51) // '1a'
 */
export function hardinessZone(coldest: number): string {
  const halves = Math.floor(((coldest * 9) / 5 + 32 + 60) / 5 + 1e-9)
  const n = Math.min(25, Math.max(0, halves))
  return `${Math.floor(n / 2) + 1}${n % 2 === 0 ? 'a' : 'b'}`
}

/**
 * Months until a plant that stays for years begins to grow, when planted in a month (1 to 12) of its rest: September
 * to March north, March to September south; 0 in the growing half. Source: common practice: no feed before spring.
 *
 * @example
 * restsFor(51, 2) // 2
 */
export function restsFor(latitude: number, month: number): number {
  if (Math.abs(latitude) < TROPIC) return 0
  const north = latitude > 0 ? month : ((month + 5) % 12) + 1
  const [begins, ends] = [SEASON_LIMITS.restBegins.value, SEASON_LIMITS.restEnds.value]
  return north >= begins ? 13 + ends - north : north <= ends ? ends + 1 - north : 0
}
