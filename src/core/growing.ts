import { DAYS_PER_MONTH } from './units'
import {
  inRootRoom,
  asRaised,
  isWetMonth,
  leafInMonth,
  mixTemperature,
  monthlyReference,
  stageDays,
  wateringInterval,
  type Climate,
  type Exposure,
  type WallKind,
  type WateringInterval,
  type RootWater,
} from './climate'
import type { Acidified, LimeDose, Temperature, WaterStretch } from './chemistry'
import type { Crop } from './data'
import { growthOf } from './data/growth'
import {
  broadSide,
  footWidth,
  perimeterAt,
  shapeHeight,
  wallArea,
  type Container,
  type ContainerVolumes,
} from './geometry'
import { SEEDLING_VOLUME } from './filling/limits'
import type { Blend } from './mixing'
import { feedingSeason, seasonDays, type DressingDose, type Feeding, type WaterAmounts } from './nutrients'
import type { Centimetres, Fraction, Kilograms, Litres } from './units'
import type { WaterBalance } from './water'
import { waterStretches } from './waterStretches'
import { crownArea, tippingWindSpeed, type Weights } from './weight'

/** Crop, place and care: what a season is computed from. */
export interface Growing {
  crop: Crop
  /** Plants in one container. */
  plants: number
  climate?: Climate
  /** 1 to 12. */
  plantingMonth?: number
  wallKind?: WallKind
  /** How open it stands. */
  exposure?: Exposure
  /** Share of the water given that drains away. */
  leachingFraction?: Fraction
  /** meq/L of the water. */
  waterAlkalinity?: number
  /** Conductivity of the water, dS/m. */
  waterConductivity?: number
  /** From a softener: sodium in place of calcium and magnesium. */
  waterSoftened?: boolean
  /** What acid took out of the water and left in it. */
  waterAcidified?: Acidified
  /** Weight of the empty container, kg. */
  emptyWeight?: Kilograms
}

export interface GrowingOutlook {
  /** Is it watered with softened water? */
  softened: boolean
  /** As far as it grows in so much mix. */
  crop: Crop
  feeding: Feeding
  /** January to December; empty where the place is not known. */
  watering: WateringInterval[]
  /** Months (1 to 12) the crop stands in, from planting on. */
  standing: number[]
  /** Those in which far more rain reaches the mix than plants take up. */
  wetMonths: number[]
  /**
   * The month (1 to 12) that wants water most often among those the crop stands in and rain leaves dry; null without a
   * place.
   */
  thirstiestMonth: number | null
  /** Mean wind at which it starts to tip when the mix is drained and the plant full grown, m/s. */
  tippingWind: number
  /** Water given, the alkalinity it brings and what drains, by the months from planting on. */
  water: (WaterStretch & WaterAmounts)[]
}

/**
 * A tenth to a fifth draining away keeps salts down. Source: Yeager et al., best management practices (from memory).
 */
export const USUAL_LEACHING: Fraction = 0.15

/** How much cooler the year is than a growing season of unknown place, C. Source: our assumption. */
const YEAR_COOLER_BY = 5

/** The month a crop is planted in where nobody said. */
export const USUAL_PLANTING_MONTH = 5

/**
 * Temperature of the mix of a place from a planting month on.
 * Source: as `mixTemperature`.
 */
export const temperatureOfPlace = (climate: Climate, plantingMonth = USUAL_PLANTING_MONTH): Temperature => ({
  months: climate.months.map((_, i) => mixTemperature(climate, i + 1)),
  start: plantingMonth,
})

/**
 * Mean temperature over a year, C; of a single temperature, which is that of a growing season, five degrees less.
 *
 * @example
 * yearMean(20) // 15
 */
export const yearMean = (temperature: Temperature): number =>
  typeof temperature === 'number'
    ? temperature - YEAR_COOLER_BY
    : temperature.months.reduce((sum, t) => sum + t / temperature.months.length, 0)

/**
 * The crop as far as it grows in so much mix: no larger than its root room lets it; what is raised in a module or small
 * pot moves on, and is judged by the size it leaves at. Litres in one container.
 */
function grownIn({ crop, plants }: Pick<Growing, 'crop' | 'plants'>, mixVolume: number) {
  const growth = growthOf(crop.id)
  const raised =
    growth !== undefined &&
    growth.weeksAsTransplant > 0 &&
    mixVolume < SEEDLING_VOLUME &&
    mixVolume < crop.properties.minRootVolume.value
  return raised
    ? { ...asRaised(crop, growth), raised }
    : { crop: inRootRoom(crop, mixVolume / plants), growth, raised }
}

interface GrowingInput {
  container: Container
  fill: ContainerVolumes
  /** Height the mix stands on, cm. */
  floor: Centimetres
  blend: Blend
  mix: WaterBalance
  /** Share of what the bare surface gives off that a cover keeps back. */
  cover: Fraction
  doses: readonly DressingDose[]
  weight: Weights
  growing: Growing
  /** Of the mix. */
  temperature: Temperature
  /** The mix's own lime, which hangs on the water given. */
  limesFor: (water: GrowingOutlook['water']) => readonly LimeDose[]
}

/**
 * Months (1 to 12) a crop stands in from its planting month.
 *
 * @example
 * monthsStanding(5, 60) // [5, 6]
 */
export function monthsStanding(plantingMonth: number, days: number): number[] {
  const count = Math.min(12, Math.max(1, Math.ceil(days / 30.4)))
  return Array.from({ length: count }, (_, i) => ((plantingMonth - 1 + i) % 12) + 1)
}

/**
 * Water, feeding and wind over the season, for one container. Where no climate is given, there is no watering and the
 * feed is computed at the temperature given, with a litre drained from ten of mix each week (our assumption).
 * Units as in the parts it is made of; errors none: the caller has checked the container and the mix.
 * Source: FAO-56 for water; as named in its parts.
 * Range: that of its parts.
 */
export function growingOutlook(input: GrowingInput): GrowingOutlook {
  const { growing, mix } = input
  const { climate, plants } = growing
  const grown = grownIn(growing, mix.mixVolume)
  const planting = growing.plantingMonth ?? USUAL_PLANTING_MONTH
  const standing = standingOf(grown, planting)
  const watering = climate ? climate.months.map((_, i) => wateringIn(input, grown, climate, i)) : []
  const use = climate
    ? standing.reduce((sum, month) => sum + watering[month - 1]!.use.value, 0) / standing.length
    : 0
  const leaching = growing.leachingFraction ?? USUAL_LEACHING
  const drainagePerDay = climate ? (use * leaching) / (1 - leaching) : mix.mixVolume / 70
  const water = waterStretches(suppliedBy(growing), mix.mixVolume, watering, standing)
  const wetMonths = climate ? standing.filter((m) => isWetMonth(watering[m - 1]!)) : []
  return {
    crop: grown.crop,
    softened: growing.waterSoftened ?? false,
    feeding: feedingSeason({
      blend: input.blend,
      doses: input.doses,
      crop: grown.crop,
      plants,
      mixVolume: mix.mixVolume,
      mixHeight: input.fill.mixHeight - input.floor,
      containerCapacity: mix.containerCapacity,
      drainagePerDay,
      temperature: input.temperature,
      limes: input.limesFor(water),
      water: {
        amounts: water,
        conductivity: growing.waterConductivity ?? 0,
        softened: growing.waterSoftened ?? false,
        acidified: growing.waterAcidified,
      },
    }),
    watering,
    standing,
    wetMonths,
    thirstiestMonth: climate ? thirstiestOf(standing, wetMonths, watering) : null,
    tippingWind: tippingWindOf(input, grown.crop),
    water,
  }
}

type Grown = ReturnType<typeof grownIn>

const standingOf = ({ crop, growth }: Grown, planting: number): number[] =>
  crop.perennial
    ? Array.from({ length: 12 }, (_, i) => i + 1)
    : monthsStanding(planting, growth ? stageDays(growth) : seasonDays(crop))

const suppliedBy = ({ plantingMonth, leachingFraction, waterAlkalinity }: Growing) => ({
  planting: plantingMonth ?? USUAL_PLANTING_MONTH,
  leaching: leachingFraction ?? USUAL_LEACHING,
  alkalinity: waterAlkalinity ?? 0,
})

/**
 * `waterStretches` for a mix that is not worked out yet: what plants use hangs on the place and the room, not on the
 * mix.
 * Units as in `GrowingOutlook`; errors: none.
 */
export function waterOf(
  input: Pick<GrowingInput, 'container' | 'fill' | 'floor' | 'cover' | 'growing'>,
  volume: Litres,
): WaterStretch[] {
  const { growing } = input
  const grown = grownIn(growing, volume)
  const mix = { mixVolume: volume, drainedToEasy: 0, plantAvailableWater: 0 }
  const watering = growing.climate
    ? growing.climate.months.map((_, i) => wateringIn({ ...input, mix }, grown, growing.climate!, i))
    : []
  const supplied = suppliedBy(growing)
  return waterStretches(supplied, volume, watering, standingOf(grown, supplied.planting))
}

/** How often it wants water in a month, 0 to 11. */
function wateringIn(
  {
    container,
    fill,
    floor,
    mix,
    cover,
    growing,
  }: Pick<GrowingInput, 'container' | 'fill' | 'floor' | 'cover' | 'growing'> & { mix: RootWater },
  { crop, growth, raised }: Grown,
  climate: Climate,
  i: number,
): WateringInterval {
  const { shape, base } = container
  const planting = growing.plantingMonth ?? USUAL_PLANTING_MONTH
  return wateringInterval(mix, {
    reference: monthlyReference(climate, i + 1),
    crop,
    plants: growing.plants,
    surface: fill.surface / 10_000,
    perimeter: perimeterAt(shape, fill.mixHeight) / 100,
    wall: (wallArea(shape, fill.mixHeight) - wallArea(shape, floor)) / 10_000,
    wallKind: growing.wallKind ?? 'closed',
    inGround: base.kind === 'onSoil',
    leaf: leafInMonth(crop, growth, i + 1, { planting, latitude: climate.latitude }),
    wetTop: raised,
    cover,
    exposure: growing.exposure,
    rain: (climate.months[i]!.rain ?? 0) / DAYS_PER_MONTH,
  })
}

/** Where rain brings more than enough nobody waters, however little the roots hold. */
function thirstiestOf(
  standing: readonly number[],
  wet: readonly number[],
  watering: readonly WateringInterval[],
) {
  const dry = standing.filter((m) => !wet.includes(m))
  const days = (month: number) => watering[month - 1]!.days.value
  return (dry.length > 0 ? dry : standing).reduce((a, b) => (days(b) < days(a) ? b : a))
}

function tippingWindOf({ container: { shape }, weight, growing }: GrowingInput, crop: Crop): number {
  const { canopyHeight, canopyArea } = crop.properties
  return tippingWindSpeed({
    weight: weight.drained + (growing.emptyWeight ?? 0),
    baseWidth: footWidth(shape),
    potHeight: shapeHeight(shape),
    potArea: broadSide(shape),
    canopyHeight: canopyHeight.value,
    canopyArea: crownArea(canopyHeight.value, canopyArea.value * growing.plants),
  })
}
