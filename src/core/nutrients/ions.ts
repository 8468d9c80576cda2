import { ELEMENTS, type Dressing, type Element } from '../data/types'
import { ATOMIC_MASS } from '../chemistry/stoichiometry'

/** mg per litre by element. */
export type Charge = Record<Element, number>
const NOTHING = Object.fromEntries(ELEMENTS.map((e) => [e, 0])) as Charge
/**
 * A charge of nothing, mg/L, to add to.
 *
 * @example
 * noCharge().nitrogen // 0
 */
export const noCharge = (): Charge => ({ ...NOTHING })

/** Nitrogen in a solution apart by form, mg per litre as N. Urea carries no charge; organic N is not dissolved yet. */
export interface DissolvedNitrogen {
  nitrate: number
  ammonium: number
}

/** mmol of charge per mg of an element in the ion it dissolves as. */
const CHARGE_PER_MG = {
  potassium: 1 / ATOMIC_MASS.K!,
  calcium: 2 / ATOMIC_MASS.Ca!,
  magnesium: 2 / ATOMIC_MASS.Mg!,
  sodium: 1 / ATOMIC_MASS.Na!,
  chloride: 1 / ATOMIC_MASS.Cl!,
  sulfur: 2 / ATOMIC_MASS.S!,
  phosphorus: 1 / ATOMIC_MASS.P!,
  nitrogen: 1 / ATOMIC_MASS.N!,
} as const

/** Charge in a solution by ion, mmol of charge per litre. */
export interface Ions {
  potassium: number
  calcium: number
  magnesium: number
  sodium: number
  ammonium: number
  nitrate: number
  chloride: number
  sulfate: number
  phosphate: number
}

/**
 * Ions of dissolved elements (mg/L in, mmol of charge per litre out); sulfur as sulfate, phosphorus as H2PO4.
 * Source: stoichiometry, IUPAC masses.
 */
export const ionsOf = (mg: Charge, nitrogen: DissolvedNitrogen): Ions => ({
  potassium: mg.potassium * CHARGE_PER_MG.potassium,
  calcium: mg.calcium * CHARGE_PER_MG.calcium,
  magnesium: mg.magnesium * CHARGE_PER_MG.magnesium,
  sodium: mg.sodium * CHARGE_PER_MG.sodium,
  ammonium: nitrogen.ammonium * CHARGE_PER_MG.nitrogen,
  nitrate: nitrogen.nitrate * CHARGE_PER_MG.nitrogen,
  chloride: mg.chloride * CHARGE_PER_MG.chloride,
  sulfate: mg.sulfur * CHARGE_PER_MG.sulfur,
  phosphate: mg.phosphorus * CHARGE_PER_MG.phosphorus,
})

/**
 * mg of an element in one gram of a dressing.
 * Source: analysis of the tables.
 *
 * @example
 * mgPerGram(dressingById('crf_5_6'), 'iron') // 3
 */
export const mgPerGram = (dressing: Dressing, element: Element): number =>
  (dressing.analysis[element]?.value ?? 0) * 1000
