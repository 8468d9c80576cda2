import type { Fraction } from '../units'
import type { Material } from './types'

/**
 * Air of a material alone at 10 cm of tension: about what a drained column 20 cm tall holds. Fraction; by its table
 * row.
 * Source: De Boodt & Verdonck 1972.
 *
 * @example
 * airCapacityAt10Cm(materialById('perlite_coarse')) // 0.5
 */
export const airCapacityAt10Cm = ({ properties: p }: Material): Fraction =>
  p.totalPorosity.value - p.waterAt10Cm.value

/**
 * Easily available water of a material alone, released between 10 and 50 cm of tension. Fraction; by its table row.
 * Source: De Boodt & Verdonck 1972.
 *
 * @example
 * easilyAvailableWaterAlone(materialById('peat_medium')) // 0.25
 */
export const easilyAvailableWaterAlone = ({ properties: p }: Material): Fraction =>
  p.waterAt10Cm.value - p.waterAt50Cm.value
