/**
 * mg of calcium carbonate and of bicarbonate to a mmol of charge, in the round figures of the trade; 50.04
 * and 61.02.
 */
const CARBONATE = 50
const BICARBONATE = 61

/**
 * What suppliers and strips give alkalinity in, as meq/L to one of it: mg/L as calcium carbonate, mg/L of bicarbonate,
 * German, English (Clark) and French degrees of carbonate hardness.
 * Source: 1 degree is 17.848, 14.254 and 10 mg/L of calcium carbonate (definitions).
 */
export const ALKALINITY_UNIT_IDS = ['meq', 'carbonate', 'bicarbonate', 'german', 'english', 'french'] as const
export type AlkalinityUnit = (typeof ALKALINITY_UNIT_IDS)[number]
export const ALKALINITY_UNITS: Readonly<Record<AlkalinityUnit, number>> = {
  meq: 1,
  carbonate: 1 / CARBONATE,
  bicarbonate: 1 / BICARBONATE,
  german: 17.848 / CARBONATE,
  english: 14.254 / CARBONATE,
  french: 10 / CARBONATE,
}

/**
 * Alkalinity in meq/L from a figure of a report or a strip.
 *
 * @example
 * alkalinityFrom(200, 'carbonate') // 4
 */
export const alkalinityFrom = (value: number, unit: AlkalinityUnit): number => value * ALKALINITY_UNITS[unit]

/**
 * What suppliers and meters give salts in, as dS/m to one of it. Source: definitions; 640 mg/L of dissolved solids to
 * a dS/m, U.S. Salinity Laboratory 1954, handbook 60.
 */
export const CONDUCTIVITY_UNIT_IDS = ['dSm', 'uScm', 'mSm', 'solids'] as const
export type ConductivityUnit = (typeof CONDUCTIVITY_UNIT_IDS)[number]
export const CONDUCTIVITY_UNITS: Readonly<Record<ConductivityUnit, number>> = {
  dSm: 1,
  uScm: 1 / 1000,
  mSm: 1 / 100,
  solids: 1 / 640,
}

/**
 * Conductivity in dS/m from a figure of a report or a meter.
 *
 * @example
 * conductivityFrom(550, 'uScm') // 0.55
 */
export const conductivityFrom = (value: number, unit: ConductivityUnit): number =>
  value * CONDUCTIVITY_UNITS[unit]
