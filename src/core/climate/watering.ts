import type { Crop } from '../data/types'
import type { Fraction, Litres } from '../units'
import type { WaterBalance } from '../water'
import { WATERING_LIMITS } from './limits'

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

/**
 * Water one container uses in a day of full-grown summer, litres.
 *   use = ET0 (Kc A + 0.4 (S - A) + w A_wall),   A = canopyOver, S - A = surface that no leaf covers, at least nought
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
 * }) // { low: 0.4252, value: 1.05, high: 2.102 }
 */
export function dailyUse(input: WaterUseInput): { low: Litres; value: Litres; high: Litres } {
  const { cropCoefficient, canopyArea } = input.crop.properties
  const wall = WALL_EVAPORATION[input.wallKind]
  const over = (leaf: number) => canopyOver(input, input.plants, leaf)
  const at = (weather: number, kc: number, canopy: number, through: number) =>
    input.reference *
    weather *
    (kc * canopy + L.bareSurface.value * Math.max(0, input.surface - canopy) + through * input.wall)
  return {
    low: at(WEATHER_SPREAD.low, cropCoefficient.low, over(canopyArea.low), wall.low),
    value: at(1, cropCoefficient.value, over(canopyArea.value), wall.value),
    high: at(WEATHER_SPREAD.high, cropCoefficient.high, over(canopyArea.high), wall.high),
  }
}

/** Water of a mix as far as the days between waterings hang on it. */
export type RootWater = Pick<WaterBalance, 'mixVolume' | 'easilyAvailableWater' | 'plantAvailableWater'>

/**
 * Water a plant can take between waterings before it slows down, litres: of what is plant-available the crop's
 * depletion fraction p for the day's demand; in containers never more than is easily available, for beyond 50 cm of
 * tension an open mix hardly brings water to a root.
 * Source: FAO-56 eq. 83 (p times TAW); De Boodt & Verdonck 1972 for containers.
 *
 * @example
 * usableWater({ mixVolume: 12, easilyAvailableWater: 0.16, plantAvailableWater: 0.5 }, 0.3, false) // 1.8
 */
export function usableWater(water: RootWater, p: Fraction, inGround: boolean): Litres {
  const readily = p * water.plantAvailableWater
  return water.mixVolume * (inGround ? readily : Math.min(readily, water.easilyAvailableWater))
}

export interface WateringInterval {
  /** Litres a day. */
  use: { low: Litres; value: Litres; high: Litres }
  /** Litres between waterings. */
  usable: Litres
  /** Depletion fraction for the day's demand. */
  depletion: Fraction
  /**
   * Days between waterings: low for a hot day and a large plant, high for a cool one. Below 1: more than once a day.
   */
  days: { low: number; value: number; high: number }
}

/**
 * Days between waterings, no rain counted: usable litres over litres a day. The weather's and the plant's spread are
 * in the range; the mix's own comes from the draws. Infinite where nothing evaporates.
 * Source: FAO-56 for the demand.
 */
export function wateringInterval(balance: RootWater, input: WaterUseInput): WateringInterval {
  const use = dailyUse(input)
  const { cropCoefficient, depletionFraction: p } = input.crop.properties
  const depletion = depletionFraction(p.value, input.reference * cropCoefficient.value)
  const usable = usableWater(balance, depletion, input.inGround ?? false)
  return {
    use,
    usable,
    depletion,
    days: { low: usable / use.high, value: usable / use.value, high: usable / use.low },
  }
}

/**
 * Water a mix must hold so that it need not be watered oftener than every so many days: `wateringInterval` turned
 * round. In containers easily available water, in a bed open to soil plant-available water. Fraction of the mix; `use`
 * in litres a day, `mixVolume` in litres.
 * Errors: none; at least nought.
 * Source: `wateringInterval` turned round.
 *
 * @example
 * waterNeeded({ use: { value: 2 }, depletion: 0.4 }, 12, 3, false) // 0.5
 */
export const waterNeeded = (
  { use, depletion }: Pick<WateringInterval, 'use' | 'depletion'>,
  mixVolume: Litres,
  days: number,
  inGround: boolean,
): Fraction => (days * use.value) / mixVolume / (inGround ? depletion : 1)
