import { ATOMIC_MASS, formulaMass } from './stoichiometry'

/** mg of calcium carbonate to a mmol of charge, and of bicarbonate. Source: IUPAC masses. */
const CARBONATE = formulaMass('CaCO3') / 2
const BICARBONATE = ATOMIC_MASS.H! + ATOMIC_MASS.C! + 3 * ATOMIC_MASS.O!

/**
 * What suppliers and strips give alkalinity in, as meq/L to one of it: mg/L as calcium carbonate, mg/L of bicarbonate,
 * German, English (Clark) and French degrees of carbonate hardness.
 * Source: 1 degree is 17.848, 14.254 and 10 mg/L of calcium carbonate (definitions).
 */
export const ALKALINITY_UNITS = {
  meq: 1,
  carbonate: 1 / CARBONATE,
  bicarbonate: 1 / BICARBONATE,
  german: 17.848 / CARBONATE,
  english: 14.254 / CARBONATE,
  french: 10 / CARBONATE,
} as const
export type AlkalinityUnit = keyof typeof ALKALINITY_UNITS

/**
 * Alkalinity in meq/L from a figure of a report or a strip.
 *
 * @example
 * alkalinityFrom(200, 'carbonate') // 3.997
 */
export const alkalinityFrom = (value: number, unit: AlkalinityUnit): number => value * ALKALINITY_UNITS[unit]
