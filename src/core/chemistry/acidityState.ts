import type { Days } from '../units'
import type { AcidDose } from './fertilizerAcid'
import type { LimeDose } from './lime'
import type { Temperature } from './temperature'

/** What watering brings from a day on, until the next stretch begins. */
export interface WaterStretch {
  from: Days
  /** mmol of charge per litre of mix and day. */
  alkalinity: number
  /** Litres that drain from a litre of mix in a day, and carry the alkalinity of the water in the mix away. */
  drained: number
}

export interface AcidityInput {
  limes?: readonly LimeDose[]
  acids?: readonly AcidDose[]
  /**
   * Alkalinity brought by watering, mmol of charge per litre of mix and day: meq/L times litres of water per litre of
   * mix.
   */
  waterAlkalinity?: number
  /** The same by stretches of days, with what drains; besides `waterAlkalinity`. In the order of their days. */
  water?: readonly WaterStretch[]
  /** Of the mix; 20 C where left out. */
  temperature?: Temperature
}

export interface AcidityState {
  day: Days
  pH: number
  /** Alkalinity of lime reacted so far, mmol of charge per litre. */
  reacted: number
  /**
   * Alkalinity still lying as undissolved lime, that laid down again included, the mix's own left out, mmol of charge
   * per litre.
   */
  residual: number
  /** Acid made so far by sulfur, sulfates and fertilizer, mmol of charge per litre; negative where they made base. */
  acid: number
  /** Alkalinity brought by water so far, mmol of charge per litre. */
  fromWater: number
  /** Alkalinity of the mix's own carbonate dissolved so far, mmol of charge per litre; part of `reacted`. */
  fromOwn: number
  /** Alkalinity carried away by what drained so far, mmol of charge per litre. */
  drained: number
  /** Alkalinity laid down again as calcite, mmol of charge per litre; part of `residual`. */
  laidDown: number
  /** Base from each lime and acid from each dressing, in the order given, mmol of charge per litre. */
  byLime: number[]
  byAcid: number[]
}
