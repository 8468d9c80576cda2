import { canopyOver, OUTSTANDING_LEAF, type Exposure } from './canopy'
import type { Crop } from '../data/types'
import type { Days, Fraction, Litres } from '../units'
import type { WaterBalance } from '../water'
import { FULL_LEAF, type Leaf } from './stages'
import { WATERING_LIMITS } from './limits'
import { risesTo, rootedAreaOf, rootedVolume } from './roots'

const L = WATERING_LIMITS

/** Materials a wall can be of, as far as water goes through them. */
export type WallKind = 'closed' | 'fabric' | 'terracotta'

/**
 * Water a wetted wall gives to the air, as a share of reference evapotranspiration by its own area. Half the wall is in
 * shade and out of the wind. Source: our assumption (fabric and clay pots want water up to half as often again); wide.
 */
export const WALL_EVAPORATION: Record<WallKind, { low: number; value: number; high: number }> = {
  closed: { low: 0, value: 0, high: 0 },
  fabric: { low: 0.15, value: 0.3, high: 0.5 },
  terracotta: { low: 0.1, value: 0.25, high: 0.4 },
}

/**
 * Spread of evapotranspiration worked out from monthly means about that of a real day of the month. Source: FAO-56,
 * text to eq. 52.
 */
export const WEATHER_SPREAD = { low: 0.75, high: 1.3 } as const

/**
 * Depletion fraction for a day's demand, after FAO-56: p = p_table + 0.04 (5 - ETc), held between 0.1 and 0.8.
 * ETc in mm/day.
 *
 * @example
 * depletionFraction(0.4, 7) // 0.32
 */
export const depletionFraction = (pTable: Fraction, cropUse: number): Fraction =>
  Math.min(
    L.mostDepletion.value,
    Math.max(L.leastDepletion.value, pTable + L.depletionPerMm.value * (L.depletionAt.value - cropUse)),
  )

export interface WaterUseInput {
  /** mm/day. */
  reference: number
  crop: Pick<Crop, 'properties'>
  plants: number
  /** Surface of the mix in one container, m2, the way round it, m, and its wetted wall, m2. */
  surface: number
  perimeter: number
  wall: number
  wallKind: WallKind
  /** Open to soil below; false where left out. */
  inGround?: boolean
  /** Leaf of the day; full grown where left out. */
  leaf?: Leaf
  /** Kept wet on top, as modules of seedlings are; false where left out. */
  wetTop?: boolean
  /** Share of what the bare surface gives off that a cover keeps back; none where left out. */
  cover?: Fraction
  /** How open it stands; as usual out of doors where left out. */
  exposure?: Exposure
  /** Rain, mm/day; none where left out. */
  rain?: number
}

/**
 * Water one container uses in a day, litres.
 *   use = ET0 (Kc A f + 0.4 (S - A) + w A_wall),   A = canopyOver, S - A = surface that no leaf covers, at least zero
 * 0.4 is 0.85 where the top is kept wet, and less by what a cover keeps back; f is 1 for leaf above the surface and
 * `OUTSTANDING_LEAF` for what hangs over its rim. `bareShare` is the share of bare surface and wall that counts, all
 * where left out.
 * Source: FAO-56 single crop coefficient; walls as `WALL_EVAPORATION`.
 *
 * @example
 * dailyUse({
 *   reference: 5,
 *   crop: cropById('pepper_sweet'),
 *   plants: 1,
 *   surface: 0.1,
 *   perimeter: 1.12,
 *   wall: 0,
 *   wallKind: 'closed',
 * }) // { low: 0.4252, value: 1.155, high: 2.643 }
 */
export function dailyUse(
  input: WaterUseInput,
  bareShare: Fraction = 1,
): { low: Litres; value: Litres; high: Litres } {
  const at = (weather: number, end: End, size: End = end) => {
    const { leaves, surface, wall } = useAt(input, weather, end, size)
    return leaves + bareShare * (surface + wall)
  }
  // A leaf that drinks less than the wet mix it shades, as a pineapple's does, saves water the larger it is.
  const ends = (weather: number, end: 'low' | 'high') =>
    (['low', 'high'] as const).map((size) => at(weather, end, size))
  return {
    low: Math.min(...ends(WEATHER_SPREAD.low, 'low')),
    value: at(1, 'value'),
    high: Math.max(...ends(WEATHER_SPREAD.high, 'high')),
  }
}

/**
 * The same by the way it leaves, litres a day: through leaves, from the bare surface, through the wall.
 * Source: as `dailyUse`, of which these are the parts.
 *
 * @example
 * usesOfDay({
 *   reference: 5,
 *   crop: cropById('pepper_sweet'),
 *   plants: 1,
 *   surface: 0.5,
 *   perimeter: 3,
 *   wall: 0,
 *   wallKind: 'closed',
 * }) // { leaves: 1.05, surface: 0.6, wall: 0 }
 */
export const usesOfDay = (input: WaterUseInput): DayUses => useAt(input, 1, 'value', 'value')

/** Litres a day by the way they leave. */
export interface DayUses {
  leaves: Litres
  surface: Litres
  wall: Litres
}

type End = 'low' | 'value' | 'high'

function useAt(input: WaterUseInput, weather: number, end: End, size: End): DayUses {
  const { cropCoefficient, canopyArea } = input.crop.properties
  const leaf = input.leaf ?? FULL_LEAF
  const bareness = (input.wetTop ? L.wetTop.value : L.bareSurface.value) * (1 - (input.cover ?? 0))
  const canopy = canopyOver(input, input.plants, canopyArea[size] * leaf.share)
  const bare = Math.max(0, input.surface - canopy)
  const outside = Math.max(0, canopy - input.surface)
  const factor = OUTSTANDING_LEAF[input.exposure ?? 'open'][end]
  const leaves = cropCoefficient[end] * leaf.coefficient * (canopy + (factor - 1) * outside)
  const taken = input.reference * weather
  return {
    leaves: taken * leaves,
    surface: taken * bareness * bare,
    wall: taken * WALL_EVAPORATION[input.wallKind][end] * input.wall,
  }
}

/**
 * Rain that reaches the mix, litres a day: what falls on its own mouth, less what leaves hanging over the rim shed
 * outside.
 * Source: geometry; a full canopy throws off 30 to 90 % (common practice).
 *
 * @example
 * rainCaught({
 *   rain: 3,
 *   crop: cropById('pepper_sweet'),
 *   plants: 1,
 *   surface: 0.1,
 *   perimeter: 1.12,
 * }) // 0.225
 */
export function rainCaught(
  input: Pick<WaterUseInput, 'rain' | 'crop' | 'plants' | 'surface' | 'perimeter' | 'leaf'>,
): Litres {
  const leaf = input.crop.properties.canopyArea.value * (input.leaf ?? FULL_LEAF).share
  const canopy = canopyOver(input, input.plants, leaf)
  const outside = Math.max(0, 1 - input.surface / canopy)
  return (input.rain ?? 0) * input.surface * (1 - L.rainShed.value * (canopy > 0 ? outside : 0))
}

/** Water of a mix as far as the days between waterings hang on it. */
export type RootWater = Pick<WaterBalance, 'mixVolume' | 'drainedToEasy' | 'plantAvailableWater'>

/**
 * Water a plant can take between waterings before it slows down, litres: of what is plant-available the crop's
 * depletion fraction p for the day's demand; in containers never more than lies between the drained state and 50 cm,
 * for beyond 50 cm of tension an open mix hardly brings water to a root.
 * Source: FAO-56 eq. 83 (p times TAW); De Boodt & Verdonck 1972 for containers.
 *
 * @example
 * usableWater({ mixVolume: 12, drainedToEasy: 0.16, plantAvailableWater: 0.5 }, 0.3, false) // 1.8
 */
export function usableWater(water: RootWater, p: Fraction, inGround: boolean): Litres {
  const readily = p * water.plantAvailableWater
  return water.mixVolume * (inGround ? readily : Math.min(readily, water.drainedToEasy))
}

export interface WateringInterval {
  /** Litres a day. */
  use: { low: Litres; value: Litres; high: Litres }
  /** The value of it, by the way it leaves. */
  ways: DayUses
  /** Litres of rain a day that reach the mix, in a mean month. */
  rain: Litres
  /** Litres of mix the roots hold. */
  rooted: Litres
  /** Share of the surface that lies above them. */
  rootedArea: Fraction
  /** The same and what rises to them from below, as litres of mix. */
  reached: Litres
  /** Litres between waterings. */
  usable: Litres
  /** Depletion fraction for the day's demand. */
  depletion: Fraction
  /** Litres a day drawn from the mix the roots hold. */
  drawn: Litres
  /**
   * Days between waterings: low for a hot day and a large plant, high for a cool one. Below 1: more than once a day.
   */
  days: { low: number; value: number; high: number }
}

/**
 * Does far more rain reach the mix in a month than plants take up? Litres a day.
 * Source: beside the limit.
 *
 * @example
 * isWetMonth({ rain: 0.3, use: { value: 0.1 } }) // true
 */
export const isWetMonth = ({ rain, use }: { rain: Litres; use: { value: Litres } }): boolean =>
  rain > L.wetMonth.value * use.value

/** Mix without leaf dries as a whole. */
const rootsIn = ({ crop, plants, leaf = FULL_LEAF }: WaterUseInput, mixVolume: Litres) =>
  plants * leaf.share > 0 ? rootedVolume(crop, plants, mixVolume, leaf) : mixVolume

/** No interval is longer, days. */
const A_YEAR: Days = 365
const daysOf = (usable: Litres, use: Litres): Days => (use > 0 ? Math.min(A_YEAR, usable / use) : A_YEAR)

/**
 * Days between waterings, no rain counted: litres the roots can use over what is drawn from their mix in a day: all
 * that leaves take, and of what surface and wall give off the roots' share of the mix. The weather's and the plant's
 * spread are in the range; the mix's own comes from the draws. A year at most, which says that next to nothing
 * evaporates. Source: FAO-56 for the demand.
 */
export function wateringInterval(balance: RootWater, input: WaterUseInput): WateringInterval {
  const use = dailyUse(input)
  const { cropCoefficient, depletionFraction: p } = input.crop.properties
  const depletion = depletionFraction(p.value, input.reference * cropCoefficient.value)
  const rooted = rootsIn(input, balance.mixVolume)
  const rootedArea = rootedAreaOf(input, rooted, balance.mixVolume)
  const reached = rooted + risesTo(rooted, rootedArea, { ...input, mixVolume: balance.mixVolume })
  const usable = usableWater({ ...balance, mixVolume: reached }, depletion, input.inGround ?? false)
  const drawn = dailyUse(input, rootedArea)
  return {
    use,
    ways: usesOfDay(input),
    rain: rainCaught(input),
    rooted,
    rootedArea,
    reached,
    usable,
    depletion,
    drawn: drawn.value,
    days: {
      low: daysOf(usable, drawn.high),
      value: daysOf(usable, drawn.value),
      high: daysOf(usable, drawn.low),
    },
  }
}

/**
 * Water a mix must hold so that it need not be watered more often than every so many days: `wateringInterval` turned
 * round. In containers easily available water, in a bed open to soil plant-available water. Fraction of the mix;
 * `drawn` in litres a day.
 * Errors: none; at least zero.
 * Source: `wateringInterval` turned round.
 *
 * @example
 * waterNeeded({ drawn: 2, depletion: 0.4, reached: 12 }, 3, false) // 0.5
 */
export const waterNeeded = (
  { drawn, depletion, reached }: Pick<WateringInterval, 'drawn' | 'depletion' | 'reached'>,
  days: number,
  inGround: boolean,
): Fraction => (days * drawn) / reached / (inGround ? depletion : 1)
