import { DAYS_PER_MONTH } from '../units'
import { TROPIC } from './solar'
import type { Crop, CropGrowth } from '../data/types'
import type { Days, Fraction } from '../units'

/** A plant's leaf against full size, and its crop coefficient against that of its middle stage. */
export interface Leaf {
  share: Fraction
  coefficient: Fraction
}
export const FULL_LEAF: Leaf = { share: 1, coefficient: 1 }
const BARE: Leaf = { share: 0, coefficient: 1 }

/**
 * Days of all four stages together.
 *
 * @example
 * stageDays(growthOf('pepper_sweet')) // 120
 */
export const stageDays = ({ stages: s }: CropGrowth): Days => s.initial + s.development + s.middle + s.late

/**
 * Leaf of a plant on a day of its stages: as at planting, growing evenly through the development, full, and full with
 * a falling coefficient. `full` is its leaf at full size, m2. Past the end it stands as at the end.
 * Range: day 0 and up. Source: FAO-56, figures 25 and 34: four straight lines.
 *
 * @example
 * leafOn(growthOf('pepper_sweet'), 42, 0.2) // { share: 0.5166, coefficient: 1 }
 */
export function leafOn(growth: CropGrowth, day: Days, full: number): Leaf {
  const { initial, development, middle, late } = growth.stages
  const first = Math.min(1, growth.leafAtPlanting / full)
  const through = (from: Days, days: Days) =>
    days > 0 ? Math.min(1, Math.max(0, (day - from) / days)) : Number(day > from)
  const grown = through(initial, development)
  const aged = through(initial + development + middle, late)
  return {
    share: first + (1 - first) * grown,
    coefficient: 1 + (growth.coefficientAtEnd - 1) * aged,
  }
}

/** Days after planting that stand for its own month: the rest of it, from its middle. */
const FIRST: Days = 8

/**
 * Leaf of a crop in the middle of a month (1 to 12), planted in the middle of another. What breaks bud does so at the
 * beginning of April, south of the equator of October, and is bare from the end of its stages; evergreens keep their
 * leaf. Months in which an annual does not stand count as full grown.
 * Latitude in degrees, north positive. Source: as `leafOn`; common practice for bud break.
 *
 * @example
 * leafInMonth(cropById('fig'), growthOf('fig'), 1, { planting: 5, latitude: 51 }) // { share: 0, coefficient: 1 }
 */
export function leafInMonth(
  crop: Pick<Crop, 'properties'>,
  growth: CropGrowth | undefined,
  month: number,
  { planting, latitude }: { planting: number; latitude: number },
): Leaf {
  if (!growth || growth.stages.from === 'all year') return FULL_LEAF
  const full = crop.properties.canopyArea.value
  const since = (start: number) => (month - start + 12) % 12
  if (growth.stages.from === 'planting') {
    const months = since(planting)
    const day = months === 0 ? FIRST : months * DAYS_PER_MONTH
    return day > stageDays(growth) ? FULL_LEAF : leafOn(growth, day, full)
  }
  if (Math.abs(latitude) < TROPIC) return FULL_LEAF
  const day = (since(latitude > 0 ? 4 : 10) + 0.5) * DAYS_PER_MONTH
  const past = day > stageDays(growth)
  if (growth.evergreen) return past ? FULL_LEAF : { ...leafOn(growth, day, full), share: 1 }
  return past ? BARE : leafOn(growth, day, full)
}

/** Share of its days as a transplant before a seedling grows fast. Source: our assumption. */
const SEEDLING_PAUSE = 0.4
/** Leaf of a seedling just up against that at planting out. Source: our assumption. */
const JUST_UP = 0.05

/** Nitrogen in young leaf against that of a season, leaf for leaf: fruit takes most. Source: our assumption. */
const YOUNG_NITROGEN = 0.25

/** A crop and its growth as they are until it moves on to its own place. */
export interface Raised {
  crop: Crop
  growth: CropGrowth
}

/**
 * A crop as it is raised in a module or small pot: full size is the leaf it leaves with, its days are those until it
 * is planted out, its nitrogen goes by its leaf (a quarter of what a season's takes), its height by the root of that.
 * Errors: none; only for crops with weeks as a transplant. Source: leaf by leaf, our assumption.
 */
export function asRaised(crop: Crop, growth: CropGrowth): Raised {
  const p = crop.properties
  const days = 7 * growth.weeksAsTransplant
  const share = growth.leafAtPlanting / p.canopyArea.value
  const by = (factor: number, of: typeof p.canopyArea) => ({
    ...of,
    low: of.low * factor,
    value: of.value * factor,
    high: of.high * factor,
  })
  return {
    crop: {
      ...crop,
      perennial: false,
      properties: {
        ...p,
        canopyArea: by(share, p.canopyArea),
        canopyHeight: by(Math.sqrt(share), p.canopyHeight),
        seasonNitrogen: by(share * YOUNG_NITROGEN, p.seasonNitrogen),
        daysToMaturity: { ...p.daysToMaturity, low: days, value: days, high: days },
      },
    },
    growth: {
      ...growth,
      leafAtPlanting: JUST_UP * growth.leafAtPlanting,
      stages: {
        ...growth.stages,
        initial: SEEDLING_PAUSE * days,
        development: (1 - SEEDLING_PAUSE) * days,
        middle: 0,
        late: 0,
        from: 'planting',
      },
    },
  }
}
