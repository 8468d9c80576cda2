import type { Label } from '../data/types'
import { massFraction } from '../chemistry/stoichiometry'

/** kg of phosphorus in a kg of P2O5, and of potassium in a kg of K2O: what labels count in. Source: IUPAC masses. */
export const PHOSPHORUS_IN_P2O5 = massFraction('P', 'P2O5')
export const POTASSIUM_IN_K2O = massFraction('K', 'K2O')

/** N, P and K as elements, mg per litre of mix, or any other amount. */
export interface MacroCharge {
  nitrogen: number
  phosphorus: number
  potassium: number
}

/**
 * Mass fractions of N, P and K as elements from the three numbers on a bag (percent N, P2O5, K2O).
 * Source: IUPAC masses: 0.43643 P in P2O5, 0.83015 K in K2O.
 *
 * @example
 * elementsOfLabel({ nitrogen: 15.5, phosphate: 0, potash: 0 })
 * // { nitrogen: 0.155, phosphorus: 0, potassium: 0 }
 */
export const elementsOfLabel = (label: Label): MacroCharge => ({
  nitrogen: label.nitrogen / 100,
  phosphorus: (label.phosphate / 100) * PHOSPHORUS_IN_P2O5,
  potassium: (label.potash / 100) * POTASSIUM_IN_K2O,
})

/**
 * The three numbers of a bag, percent, from mass fractions as elements.
 * Source: `elementsOfLabel` turned round.
 *
 * @example
 * labelOfElements({ nitrogen: 0.15, phosphorus: 0.0393, potassium: 0.0996 })
 * // { nitrogen: 15, phosphate: 9.005, potash: 12 }
 */
export const labelOfElements = (e: MacroCharge): Label => ({
  nitrogen: e.nitrogen * 100,
  phosphate: (e.phosphorus / PHOSPHORUS_IN_P2O5) * 100,
  potash: (e.potassium / POTASSIUM_IN_K2O) * 100,
})

/**
 * What a dose of a labelled fertilizer brings in all, mg per litre of mix. Dose in g/L.
 * Source: as `elementsOfLabel`.
 *
 * @example
 * chargeOfLabel({ nitrogen: 9, phosphate: 1, potash: 0 }, 1)
 * // { nitrogen: 90, phosphorus: 4.364, potassium: 0 }
 */
export function chargeOfLabel(label: Label, gramsPerLitre: number): MacroCharge {
  const e = elementsOfLabel(label)
  const mg = gramsPerLitre * 1000
  return { nitrogen: e.nitrogen * mg, phosphorus: e.phosphorus * mg, potassium: e.potassium * mg }
}

/**
 * Grams of a labelled fertilizer per litre of mix for a charge of one element in mg/L; null where its label has none.
 * Source: as `elementsOfLabel`.
 *
 * @example
 * doseOfLabel({ nitrogen: 15, phosphate: 9, potash: 12 }, 'nitrogen', 150) // 1
 */
export function doseOfLabel(label: Label, element: keyof MacroCharge, mgPerLitre: number): number | null {
  const fraction = elementsOfLabel(label)[element]
  return fraction > 0 ? mgPerLitre / (fraction * 1000) : null
}
