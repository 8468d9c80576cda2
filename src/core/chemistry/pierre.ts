import type { Element, Property } from '../data/types'
import { ATOMIC_MASS } from './stoichiometry'
import { MMOLC_PER_GRAM_CACO3 } from './lime'

/**
 * Charge each element counts for by the convention, acid above zero: half the nitrogen, one of phosphorus's three.
 */
const COUNTS: Partial<Record<Element, number>> = {
  nitrogen: 0.5 / ATOMIC_MASS.N!,
  sulfur: 2 / ATOMIC_MASS.S!,
  chloride: 1 / ATOMIC_MASS.Cl!,
  phosphorus: 1 / ATOMIC_MASS.P!,
  potassium: -1 / ATOMIC_MASS.K!,
  calcium: -2 / ATOMIC_MASS.Ca!,
  magnesium: -2 / ATOMIC_MASS.Mg!,
  sodium: -1 / ATOMIC_MASS.Na!,
}

/**
 * Equivalent acidity of a fertilizer from its analysis: kg of calcium carbonate to undo 1 kg; negative for
 * base-formers.
 *
 *   A = (N / 2 + S + Cl + P / 3  -  K - Ca - Mg - Na)  in moles of charge, over those of calcium carbonate
 *
 * Half the nitrogen counts because plants take up nitrate with about half its bases. Mass fractions as elements.
 * Leaves out the carbonate of limes and ashes, which `alkalinityPerGram` counts.
 * Source: Pierre 1933, Ind. Eng. Chem. Anal. Ed. 5:229-234 (AOAC's method); his figures are among the checks.
 *
 * @example
 * equivalentAcidity({ nitrogen: { value: 0.21 }, sulfur: { value: 0.24 } }) // 1.124
 */
export function equivalentAcidity(analysis: Partial<Record<Element, Pick<Property, 'value'>>>): number {
  let charge = 0
  for (const [element, per] of Object.entries(COUNTS) as [Element, number][])
    charge += (analysis[element]?.value ?? 0) * per * 1000
  return charge / MMOLC_PER_GRAM_CACO3
}
