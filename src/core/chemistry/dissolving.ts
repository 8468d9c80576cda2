import type { Days, Fraction } from '../units'
import { alkalinityPerGram, type LimeDose } from './lime'
import { CHEMISTRY_LIMITS as L } from './limits'

/** A lime as far as it has not dissolved yet. */
export interface Dissolving {
  /** Which of the limes given it is a part of; -1 for the mix's own carbonate. */
  of: number
  left: number
  rate: number
  q10: number
  soluble: boolean
  from: Days
}

/** Share of a lime that dissolves at once. Source: the row. */
export const solubleShare = (lime: LimeDose['lime']): Fraction =>
  lime.soluble ? (lime.solubleShare ?? 1) : 0

/** A dose of lime as what dissolves at once and what does as a carbonate. */
export function partsOfLime({ lime, gramsPerLitre, from = 0 }: LimeDose, of: number): Dissolving[] {
  const left = gramsPerLitre * alkalinityPerGram(lime)
  const soluble = solubleShare(lime)
  const both = { of, q10: lime.q10, from }
  return [
    ...(soluble > 0 ? [{ ...both, left: left * soluble, rate: lime.ratePerDay.value, soluble: true }] : []),
    ...(soluble < 1
      ? [
          {
            ...both,
            left: left * (1 - soluble),
            rate: soluble > 0 ? L.fineCalcite.value : lime.ratePerDay.value,
            soluble: false,
          },
        ]
      : []),
  ]
}
