import type { LimingMaterial } from '../data/types'
import type { Days, Fraction } from '../units'

/** Charge neutralised by one gram of pure calcium carbonate, mmol: 2000 / 100.09 (IUPAC atomic masses). */
export const MMOLC_PER_GRAM_CACO3 = 2000 / 100.0869

/**
 * Share of each sieve fraction that works in the first year: over 8 mesh (2.36 mm), 8-30, 30-60 and under 60 mesh
 * (0.25 mm). Source: Illinois Agronomy Handbook, lime fineness efficiency (from memory).
 */
export const SIEVE_EFFICIENCY = [0.05, 0.2, 0.5, 1] as const

/**
 * Fineness efficiency of a ground lime, fraction. `sieveShares` by mass, coarse to fine, summing to 1.
 * Range: 0 to 1. Source: Illinois sieve factors (from memory).
 *
 * @example
 * finenessEfficiency([0, 0.02, 0.08, 0.9]) // 0.944
 */
export const finenessEfficiency = (sieveShares: readonly number[]): Fraction =>
  SIEVE_EFFICIENCY.reduce((sum, e, i) => sum + e * (sieveShares[i] ?? 0), 0)

/**
 * Charge one gram of a lime can neutralise once all its useful part has dissolved, mmol of charge.
 * Source: stoichiometry, 19.98 mmol of charge to a gram of calcium carbonate.
 *
 * @example
 * alkalinityPerGram(LIMES[0]) // 17.92
 */
export const alkalinityPerGram = (lime: LimingMaterial): number =>
  lime.calciumCarbonateEquivalent.value * MMOLC_PER_GRAM_CACO3 * finenessEfficiency(lime.sieveShares)

/** A mix as far as its pH goes. */
export interface BufferedMix {
  pH: number
  /** mmol of charge per litre and pH unit. */
  bufferCapacity: number
  /** Water it holds; that of a moist mix where left out. */
  waterContent?: Fraction
  /** Carbonate that lies in its parts and dissolves as it turns acid, mmol of charge per litre; none where left out. */
  carbonate?: number
  /** Share of its parts full of nitrifiers, as compost and soil are; none where left out. */
  liveShare?: Fraction
}

export interface LimeDose {
  lime: LimingMaterial
  gramsPerLitre: number
  /** Day it is given; the first where left out. */
  from?: Days
}
