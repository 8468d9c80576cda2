import { ATOMIC_MASS } from '../chemistry/stoichiometry'
import type { Acidified } from '../chemistry/waterAcid'
import type { Days } from '../units'

/** The water a mix is given: by days from which it is so, litres and mmol of alkalinity per litre of mix and day. */
export interface GivenWater {
  amounts: readonly { from: Days; given: number; alkalinity: number }[]
  /** Of the water, dS/m; zero where nobody said. */
  conductivity: number
  /** From a softener; no where left out. */
  softened?: boolean
  /** What acid took out of it and left; nothing where left out. */
  acidified?: Acidified
}

/** Of its calcium and magnesium a softener leaves so much. Source: common practice. */
const LEFT_BY_SOFTENER = 0.05

/**
 * Of the alkalinity of a water, so much came with calcium, the rest with magnesium. Source: common practice,
 * 2-3 : 1.
 */
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

/** Nutrients that come with water; potassium is too little to count. */
export const IN_WATER = ['nitrogen', 'phosphorus', 'calcium', 'magnesium', 'sulfur'] as const

/**
 * Nutrients that watering has brought by a day, mg per litre of mix: hardness by the alkalinity the water had before
 * any
 * acid, sulfate by what conductivity is left, and what an acid leaves. A softener leaves a twentieth of the hardness.
 * Errors: none. Source: charge balance of common waters, common practice.
 *
 * @example
 * broughtByWater({ amounts: [{ from: 0, given: 0.1, alkalinity: 0.4 }], conductivity: 0.6 }, 10).calcium // 56.11
 */
export function broughtByWater(
  water: GivenWater | undefined,
  day: Days,
): Record<(typeof IN_WATER)[number], number> {
  const brought = { nitrogen: 0, phosphorus: 0, calcium: 0, magnesium: 0, sulfur: 0 }
  if (!water) return brought
  const { neutralised, adds } = water.acidified ?? { neutralised: 0, adds: null }
  water.amounts.forEach(({ from, given, alkalinity }, i) => {
    const days = Math.max(0, Math.min(day, water.amounts[i + 1]?.from ?? Infinity) - from)
    const before = alkalinity + neutralised * given
    const rest = Math.max(0, CHARGE_PER_CONDUCTIVITY * water.conductivity * given - before)
    const hard = days * before * (water.softened ? LEFT_BY_SOFTENER : 1)
    brought.calcium += hard * WITH_CALCIUM * MASS.calcium
    brought.magnesium += hard * (1 - WITH_CALCIUM) * MASS.magnesium
    brought.sulfur += days * (rest * SULFATE * MASS.sulfur + given * (adds?.sulfur ?? 0))
    brought.nitrogen += days * given * (adds?.nitrogen ?? 0)
    brought.phosphorus += days * given * (adds?.phosphorus ?? 0)
  })
  return brought
}
