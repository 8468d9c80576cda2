import { acidForWater, WATER_ACIDS, type Acidified, type WaterAcid } from '../chemistry'
import { anionMobility } from '../nutrients/electricalConductivity'
import { WATER_IONS, type WaterIons } from '../nutrients'
import { TYPICAL_WATERS } from '../data/waters'
import type { Fraction } from '../units'

/** Water as plants get it. */
export interface IrrigationWater {
  /** meq/L. */
  alkalinity: number
  /** dS/m at 25 C. */
  conductivity: number
  /** Sodium in place of calcium and magnesium. */
  softened: boolean
  /** mg/L; left out where nobody knows. */
  ions: WaterIons
  /** What an acid took away and left; null where none was given. */
  acidified: Acidified | null
}

/** What is done to tap water before it is given: first mixed with rain water, then brought to a pH with an acid. */
export interface WaterTreatment {
  /** Share of rain water. */
  rain: Fraction
  acid: { id: WaterAcid['id']; toPH: number } | null
}
export const UNTREATED: WaterTreatment = { rain: 0, acid: null }

/** Rain water: no alkalinity, next to no salts. */
export const RAIN = TYPICAL_WATERS.find((w) => w.id === 'rain')!

/** Limiting equivalent conductivity of bicarbonate at 25 C. Source: CRC Handbook of Chemistry and Physics. */
const BICARBONATE_MOBILITY = 44.5
const ANION = { phosphorus: 'phosphate', sulfur: 'sulfate', nitrogen: 'nitrate' } as const

/**
 * Tap water after it was treated: rain mixes by volume; an acid takes bicarbonate out and leaves its own ion, and the
 * calcium and magnesium of the water stay.
 *
 *   x = (1 - rain) tap + rain x rain water
 *   dS/m gained = meq/L taken out x (mobility of the acid's ion - 44.5) / 1000
 *
 * meq/L, dS/m, mg/L. Errors: none. Range: acid to pH 5 to 7; citric acid counts as if nothing of it rotted, which
 * holds for
 * days only. Source: mass balance; `acidForWater`; mobilities of the CRC Handbook.
 *
 * @example
 * treatedWater({ alkalinity: 4, conductivity: 0.6, softened: false, ions: {}, acidified: null },
 *   { rain: 0.5, acid: null }).alkalinity // 2
 */
export function treatedWater(tap: IrrigationWater, { rain, acid }: WaterTreatment): IrrigationWater {
  const mixed = (of: number, inRain: number) => of * (1 - rain) + inRain * rain
  const blend: IrrigationWater = {
    alkalinity: mixed(tap.alkalinity, RAIN.alkalinity),
    conductivity: mixed(tap.conductivity, RAIN.conductivity),
    softened: tap.softened && rain < 1,
    ions: Object.fromEntries(
      WATER_IONS.flatMap((ion) => (tap.ions[ion] === undefined ? [] : [[ion, mixed(tap.ions[ion], 0)]])),
    ),
    acidified: tap.acidified && acidifiedBy(tap.acidified, 1 - rain),
  }
  return acid && blend.alkalinity > 0 ? withAcid(blend, acid) : blend
}

const acidifiedBy = ({ neutralised, adds }: Acidified, share: Fraction): Acidified => ({
  neutralised: neutralised * share,
  adds: {
    nitrogen: adds.nitrogen * share,
    phosphorus: adds.phosphorus * share,
    sulfur: adds.sulfur * share,
  },
})

function withAcid(
  water: IrrigationWater,
  { id, toPH }: NonNullable<WaterTreatment['acid']>,
): IrrigationWater {
  const acid = WATER_ACIDS.find((a) => a.id === id)!
  const { left, adds } = acidForWater(acid, water.alkalinity, toPH)
  const neutralised = water.alkalinity - left
  const before = water.acidified ?? NONE
  const element = acid.adds?.element
  const gained = element ? (neutralised * (anionMobility(ANION[element]) - BICARBONATE_MOBILITY)) / 1000 : 0
  return {
    ...water,
    alkalinity: left,
    conductivity: water.conductivity + gained,
    acidified: {
      neutralised: before.neutralised + neutralised,
      adds: { ...before.adds, ...(element ? { [element]: before.adds[element] + adds } : {}) },
    },
  }
}
const NONE: Acidified = { neutralised: 0, adds: { nitrogen: 0, phosphorus: 0, sulfur: 0 } }
