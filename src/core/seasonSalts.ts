import { ATOMIC_MASS, type LimePlan, type Temperature } from './chemistry'
import type { Growing, GrowingOutlook } from './growing'
import type { Blend } from './mixing'
import {
  lastingConductivity,
  saltsCourse,
  saltZones,
  type DressingDose,
  type SaltState,
  type WaterSalts,
} from './nutrients'
import type { Centimetres, Fraction } from './units'

/** Salts when fresh, and what feed and water make of them. */
export interface SeasonSalts {
  mix: SaltState
  top: SaltState | null
  /** At the end of each week of the crop, dS/m in the saturated extract; empty where no crop is known. */
  course: { day: number; saturatedExtract: number }[]
  /** The most from planting on, dS/m in the saturated extract, and the day of it: what a mix is judged by. */
  most: { day: number; saturatedExtract: number }
  /** Of the water; null where nothing is known of it. */
  water: WaterSalts | null
}

/** Water a mix holds between two waterings, as a share of what it holds when drained. Source: our assumption. */
const HELD_ON_AVERAGE = 0.8

/** Nitrate that an acid left in the water, meq/L: feeding counts it, so that salts of the water do not. */
const nitrateOfAcid = (grown: Growing | undefined) =>
  (grown?.waterAcidified?.adds.nitrogen ?? 0) / ATOMIC_MASS.N!

/** A mix with its doses, whose salts are followed. */
interface Salted {
  grown: Growing | undefined
  blend: Blend
  doses: readonly DressingDose[]
  /** Of the drained mix, a fraction. */
  containerCapacity: Fraction
  temperature: Temperature
  depth: Centimetres
}

/** Salts of a mix when fresh and over its season. Source: as `saltZones` and `saltsCourse`. */
export function seasonSalts(
  { grown, blend, doses, containerCapacity, temperature, depth }: Salted,
  growing: GrowingOutlook | null,
  lime: LimePlan,
): SeasonSalts {
  const zones = saltZones(blend, doses, { depth, temperature, limes: lime.doses })
  const fresh = { day: 0, saturatedExtract: zones.mix.electricalConductivity.saturatedExtract }
  if (!growing) return { ...zones, course: [], most: fresh, water: null }
  const water: WaterSalts = {
    conductivity: lastingConductivity(
      grown?.waterConductivity ?? 0,
      (grown?.waterAlkalinity ?? 0) + nitrateOfAcid(grown),
    ),
    held: HELD_ON_AVERAGE * containerCapacity,
    amounts: growing.water,
  }
  const course = saltsCourse(fresh.saturatedExtract, growing.feeding.weeks, blend.totalPorosity, water)
  const most = course.reduce((a, b) => (b.saturatedExtract > a.saturatedExtract ? b : a), fresh)
  return { ...zones, course, most, water }
}
