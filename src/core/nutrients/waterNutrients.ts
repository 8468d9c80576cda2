import { ATOMIC_MASS } from '../chemistry/stoichiometry'
import type { Days } from '../units'

/** The water a mix is given: by days from which it is so, litres and mmol of alkalinity per litre of mix and day. */
export interface GivenWater {
  amounts: readonly { from: Days; given: number; alkalinity: number }[]
  /** Of the water, dS/m; nought where nobody said. */
  conductivity: number
  /** From a softener; no where left out. */
  softened?: boolean
}

/** Of its calcium and magnesium a softener leaves so much. Source: common practice. */
const LEFT_BY_SOFTENER = 0.05

/** Of the alkalinity of a water, so much came with calcium, the rest with magnesium. Source: common practice, 2-3 : 1. */
const WITH_CALCIUM = 0.7
/** Of the other charge of a water, so much is sulfate. Source: common practice, chloride a little more. */
const SULFATE = 0.35
/** mmol of charge per litre of water for a dS/m. Source: U.S. Salinity Laboratory 1954, handbook 60: about 10. */
export const CHARGE_PER_CONDUCTIVITY = 10
/** mg per mmol of charge. */
const MASS = {
  calcium: ATOMIC_MASS.Ca! / 2,
  magnesium: ATOMIC_MASS.Mg! / 2,
  sulfur: ATOMIC_MASS.S! / 2,
}

/**
 * Calcium, magnesium and sulfur that watering has brought by a day, mg per litre of mix: hardness by the alkalinity,
 * sulfate by what conductivity is left. A softener leaves a twentieth of the hardness.
 * Errors: none. Source: charge balance of common waters, common practice.
 *
 * @example
 * broughtByWater({ amounts: [{ from: 0, given: 0.1, alkalinity: 0.4 }], conductivity: 0.6 }, 10).calcium // 56.11
 */
export function broughtByWater(
  water: GivenWater | undefined,
  day: Days,
): Record<'calcium' | 'magnesium' | 'sulfur', number> {
  const brought = { calcium: 0, magnesium: 0, sulfur: 0 }
  if (!water) return brought
  water.amounts.forEach(({ from, given, alkalinity }, i) => {
    const days = Math.max(0, Math.min(day, water.amounts[i + 1]?.from ?? Infinity) - from)
    const rest = Math.max(0, CHARGE_PER_CONDUCTIVITY * water.conductivity * given - alkalinity)
    const hard = days * alkalinity * (water.softened ? LEFT_BY_SOFTENER : 1)
    brought.calcium += hard * WITH_CALCIUM * MASS.calcium
    brought.magnesium += hard * (1 - WITH_CALCIUM) * MASS.magnesium
    brought.sulfur += days * rest * SULFATE * MASS.sulfur
  })
  return brought
}
