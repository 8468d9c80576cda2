import { ATOMIC_MASS, massFraction } from '../chemistry'
import type { LabFigure } from './methods'

/** What a figure is printed as: the element, or a compound of it. */
export const PRINTED_AS = {
  element: {},
  nitrate: { nitrogen: massFraction('N', 'NO3') },
  ammonium: { ammonium: massFraction('N', 'NH4') },
  phosphate: { phosphorus: massFraction('P', 'P2O5') },
  potash: { potassium: massFraction('K', 'K2O') },
} as const satisfies Record<string, Partial<Record<LabFigure, number>>>

const SYMBOL: Partial<Record<LabFigure, string>> = {
  nitrogen: 'N',
  ammonium: 'N',
  phosphorus: 'P',
  potassium: 'K',
  calcium: 'Ca',
  magnesium: 'Mg',
  sulfur: 'S',
  sodium: 'Na',
  chloride: 'Cl',
  iron: 'Fe',
  manganese: 'Mn',
  zinc: 'Zn',
  copper: 'Cu',
  boron: 'B',
  molybdenum: 'Mo',
}

/**
 * mg/L of an element from mmol/L. Errors: none; pH and conductivity have none and stay as they are. Source: IUPAC
 * masses.
 *
 * @example
 * fromMillimoles('potassium', 2) // 78.2
 */
export const fromMillimoles = (figure: LabFigure, mmol: number): number => {
  const symbol = SYMBOL[figure]
  return symbol ? mmol * ATOMIC_MASS[symbol]! : mmol
}

/**
 * mg in a litre of mix from mg in a kg of it dry. kg/L of the dry mix. Source: arithmetic.
 *
 * @example
 * fromDryWeight(1500, 0.1) // 150
 */
export const fromDryWeight = (mgPerKilogram: number, dryDensity: number): number => mgPerKilogram * dryDensity
