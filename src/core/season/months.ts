import type { Climate } from '../climate'
import type { CropGrowth, CropSeason } from '../data/types'
import { DAYS_PER_MONTH, DAYS_PER_YEAR, type Days } from '../units'
import { SEASON_LIMITS } from './limits'

/** How a month suits a crop outside: too cold at night, too cold to grow, passable, ideal, too hot. */
export type MonthSuits = 'frost' | 'cold' | 'fair' | 'best' | 'hot'

const meanOf = (climate: Climate, month: number) => {
  const m = climate.months[month - 1]!
  return (m.tMin + m.tMax) / 2
}

/**
 * Whether a crop can grow outside in each month, January to December, by the mean temperature of the month and of its
 * nights.
 * Source: the bands of `CropSeason`. Twelve months of climate are trusted to be there.
 */
export const monthsFor = (season: CropSeason, climate: Climate): MonthSuits[] =>
  climate.months.map(({ tMin }, i) => {
    const { least, low, high, most } = season.temperature
    const mean = meanOf(climate, i + 1)
    if (season.leastNight && tMin < season.leastNight.value) return 'frost'
    if (mean < least) return 'cold'
    if (mean > most) return 'hot'
    return mean >= low && mean <= high ? 'best' : 'fair'
  })

/**
 * Mean temperature below which growth stands still, C. Source: usual bases of growing degree days (common practice).
 */
const BASE = { cool: 4, warm: 10 } as const

/** Growth in a day against that in the season its days are counted in; 1 at most. */
function pace(season: CropSeason, mean: number): number {
  const { least, low } = season.temperature
  const base = least >= SEASON_LIMITS.warmSeason.value ? BASE.warm : BASE.cool
  const usual = (least + low) / 2
  return Math.min(1, Math.max(0, (mean - base) / (usual - base)))
}

/** Longer than this, and the days a table gives count a winter in. */
const COUNTS_A_WINTER: Days = 180
const LONGEST: Days = 730

export interface DaysToHarvest {
  from: Days
  to: Days
  /** Cooler months made it longer than the table says. */
  slowed: boolean
}

/**
 * Days from planting (or sowing) to the first harvest: `from` the least of the table, `to` the most, both drawn out
 * by months cooler than those the table's days are counted in. Growth is taken as in proportion to the warmth above a
 * base; the days of a table as those of a mean midway between the least the crop grows at and where it grows best
 * (our assumption). Null where it does not get there in two years.
 *
 * `dayOfYear` is that of planting, 1 to 366. Without a climate the table's days stand as they are.
 * Source: growing degree days; as docs/method/season.md.
 */
export function daysToHarvest(
  crop: { perennial: boolean; properties: { daysToMaturity: { low: Days; value: Days; high: Days } } },
  season: CropSeason,
  climate: Climate | undefined,
  dayOfYear: number,
): DaysToHarvest | null {
  const { low, value, high } = crop.properties.daysToMaturity
  if (!climate || crop.perennial || value > COUNTS_A_WINTER)
    return { from: Math.round(low), to: Math.round(high), slowed: false }
  const reach = (wanted: Days): Days | null => {
    let grown = 0
    for (let day = 0; day < LONGEST; day++) {
      if (grown >= wanted - 1e-9) return day
      const month = (Math.floor((dayOfYear - 1 + day) / DAYS_PER_MONTH) % 12) + 1
      grown += pace(season, meanOf(climate, month))
    }
    return null
  }
  const from = reach(Math.round(low))
  const to = reach(Math.round(high))
  return from === null || to === null ? null : { from, to, slowed: to > Math.round(high) + 2 }
}

/**
 * Months (1 to 12) in which a crop can be planted outside: they suit it, and so do those until the likely harvest.
 * What takes frost may stand through cold months, but not through hot ones.
 * Source: as `monthsFor`.
 * Errors: none; none of the months may be the answer.
 */
export function plantingMonths(
  crop: Parameters<typeof daysToHarvest>[0],
  season: CropSeason,
  climate: Climate,
): number[] {
  const suits = monthsFor(season, climate)
  const bears = (s: MonthSuits) =>
    s === 'fair' || s === 'best' || (s === 'cold' && season.leastNight === null)
  return suits.flatMap((s, i) => {
    if (s !== 'fair' && s !== 'best') return []
    const harvest = daysToHarvest(crop, season, climate, i * DAYS_PER_MONTH + 15)
    if (!harvest) return []
    const standing = crop.perennial ? 0 : Math.floor((harvest.from + 15) / DAYS_PER_MONTH)
    for (let k = 1; k <= standing; k++) if (!bears(suits[(i + k) % 12]!)) return []
    return [i + 1]
  })
}

/**
 * Days from planting to the first bearing of what stays for years, and to the end of that bearing: in its own months,
 * after the years it takes; half a year later south of the equator. Months too cold for it there are left out, and
 * where none is left the answer is null.
 * `dayOfYear` is that of planting, 1 to 366. Source: common practice, temperate months.
 */
export function perennialHarvest(
  growth: Pick<CropGrowth, 'yearsToFirstHarvest' | 'harvestMonths'>,
  suits: readonly MonthSuits[] | null,
  latitude: number,
  dayOfYear: number,
): DaysToHarvest | null {
  const there = (month: number) => (latitude < 0 ? ((month + 5) % 12) + 1 : month)
  const bears = new Set(
    growth.harvestMonths.map(there).filter((m) => suits?.[m - 1] !== 'cold' && suits?.[m - 1] !== 'frost'),
  )
  if (bears.size === 0) return null
  const monthOn = (day: Days) => (Math.floor((dayOfYear - 1 + day) / DAYS_PER_MONTH) % 12) + 1
  let from = Math.round((growth.yearsToFirstHarvest ?? 1) * DAYS_PER_YEAR)
  while (!bears.has(monthOn(from))) from++
  let to = from
  while (to - from < DAYS_PER_YEAR && bears.has(monthOn(to + 1))) to++
  return { from, to, slowed: false }
}
