import type { Fraction } from '../units'
import type { MaterialProperties } from './types'

type WetEnd = Pick<MaterialProperties, 'totalPorosity' | 'waterAt5Cm' | 'waterAt10Cm'>

/**
 * How far down from full pores to the water at 10 cm the water at 5 cm lies: 0 at full pores, 1 at that of 10 cm.
 * Source: the row. A row whose pores are full at 10 cm gives 1.
 */
export function emptiedBy5Cm({ totalPorosity, waterAt5Cm, waterAt10Cm }: WetEnd): Fraction {
  const span = totalPorosity.value - waterAt10Cm.value
  return span > 1e-6 ? Math.min(1, Math.max(0, (totalPorosity.value - waterAt5Cm.value) / span)) : 1
}

/**
 * Water at 5 cm of a material of which only pores and the water at 10 cm are known: as far between them as in its kin.
 * Fractions.
 *
 * @example
 * waterAt5From(0.93, 0.67, 0.5) // 0.8
 */
export const waterAt5From = (porosity: Fraction, at10: Fraction, emptied: Fraction): Fraction =>
  porosity - emptied * (porosity - at10)
