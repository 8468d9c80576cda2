import type { Days } from '../units'
import type { LifePace, WorkingDressing } from './fertilizerAcid'

/** How far each thing gets in one step, before the pH at its end is known. One for a run, written over by each step. */
export interface Pace extends LifePace {
  dt: Days
  /** Alkalinity the water of the step brings, mmol of charge per litre of mix, and litres that drain from a litre. */
  brought: number
  drained: number
  /** Hydroxide that carbon dioxide can turn to calcite, mmol of charge per litre. */
  carbon: number
  /** Exponents of dissolving limes at full rate; of the laid-down calcite last. */
  limes: Float64Array
  /** Share of each dressing given up in this step; for sulfur its exponent at full rate. */
  released: Float64Array
}

/** What a step comes to that ends at the pH tried last, mmol of charge per litre. Written over by each try. */
export interface Tried {
  at: number
  change: number
  laid: number
  drained: number
  /** Of each lime, and by each dressing. */
  dissolved: Float64Array
  made: Float64Array
}

/** A dressing at work, and which of those given it is. */
export interface AtWork {
  one: WorkingDressing
  of: number
  warmth: number
}

/** A pace for so many limes and dressings, before the first step. */
export const emptyPace = (limes: number, working: number): Pace => ({
  before: NaN,
  dt: 0,
  brought: 0,
  drained: 0,
  carbon: 0,
  limes: new Float64Array(limes + 1),
  released: new Float64Array(working),
  nitrify: 0,
  takeUp: 0,
})

/** What a step comes to before any was tried. */
export const nothingTried = (limes: number, working: number): Tried => ({
  at: NaN,
  change: 0,
  laid: 0,
  drained: 0,
  dissolved: new Float64Array(limes),
  made: new Float64Array(working),
})
