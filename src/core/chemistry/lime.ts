import type { LimingMaterial } from '../data/types'
import type { Days, Fraction } from '../units'

/** Charge neutralised by one gram of pure calcium carbonate, mmol: 2000 / 100.09 (IUPAC atomic masses). */
export const MMOLC_PER_GRAM_CACO3 = 2000 / 100.0869

/**
 * Share of each sieve fraction that works in the first year: over 8 mesh (2.36 mm), 8-30, 30-60 and under 60 mesh
 * (0.25 mm). Source: Illinois Agronomy Handbook, lime fineness efficiency (from memory).
 */
export const SIEVE_EFFICIENCY = [0.05, 0.2, 0.5, 1] as const

/** Fineness efficiency of a ground lime, fraction. `sieveShares` by mass, coarse to fine, summing to 1. */
export const finenessEfficiency = (sieveShares: readonly number[]): Fraction =>
  SIEVE_EFFICIENCY.reduce((sum, e, i) => sum + e * (sieveShares[i] ?? 0), 0)

/** Charge one gram of a lime can neutralise once all its useful part has dissolved, mmol of charge. */
export const alkalinityPerGram = (lime: LimingMaterial): number =>
  lime.calciumCarbonateEquivalent.value * MMOLC_PER_GRAM_CACO3 * finenessEfficiency(lime.sieveShares)

/** Buffered mix into which lime dissolves. */
export interface BufferedMix {
  pH: number
  /** mmol of charge per litre and pH unit. */
  bufferCapacity: number
}

export interface LimeDose {
  lime: LimingMaterial
  gramsPerLitre: number
}

export interface LimedState {
  pH: number
  /** Alkalinity reacted so far, mmol of charge per litre. */
  reacted: number
  /** Alkalinity still lying as undissolved lime, mmol of charge per litre. */
  residual: number
}

/** pH below which carbonate dissolves at its full rate; from here to the ceiling it slows in proportion. */
const FULL_RATE_PH = 5.4

/**
 * Lime dissolving in a mix over time.
 *
 *   dU/dt = -k Q^((T-20)/10) U g(pH),  g = 1 below pH 5.4, falling straight to 0 at the ceiling
 *   pH    = pH_0 + (sum reacted) / b
 *
 * | symbol | meaning                                          | unit              |
 * | U      | undissolved alkalinity of one lime               | mmol_c/L          |
 * | k, Q   | rate at 20 C, Q10                                | 1/day, 1          |
 * | b      | buffer capacity of the mix                       | mmol_c/L per pH   |
 *
 * Unreacted carbonate stays as residual; with plenty of it pH levels off at the ceiling, about 7.4. Soluble bases
 * (hydrated lime) have no ceiling and can overshoot. Steps of a quarter day (or finer for a fast base).
 * Range: pH 3.5 to 7.5, 5 to 35 C, up to a year. Leaves out: salts, irrigation water, fertilizer acidity.
 * Source: rate idea after Huang, Fisher & Argo 2007, HortScience 42:1268-1273; the slow-down is our assumption, its
 * 5.4 and the rates set so that 28 g of limestone per US gallon of peat and 5 g/L of peat both land at pH 5.8-6.6
 * (common practice).
 */
export function limedState(
  mix: BufferedMix,
  doses: readonly LimeDose[],
  days: Days,
  temperature = 20,
): LimedState {
  const pools = doses.map((d) => ({
    left: d.gramsPerLitre * alkalinityPerGram(d.lime),
    rate: d.lime.ratePerDay.value * d.lime.q10 ** ((temperature - 20) / 10),
    ceiling: d.lime.ceiling,
  }))
  const steps = Math.max(1, Math.ceil(days * 4))
  const dt = days / steps
  let reacted = 0
  for (let i = 0; i < steps; i++) {
    const pH = mix.pH + reacted / mix.bufferCapacity
    for (const pool of pools) {
      const ease =
        pool.ceiling === null
          ? 1
          : Math.min(1, Math.max(0, (pool.ceiling - pH) / (pool.ceiling - FULL_RATE_PH)))
      const dissolved = pool.left * (1 - Math.exp(-pool.rate * ease * dt))
      pool.left -= dissolved
      reacted += dissolved
    }
  }
  return {
    pH: mix.pH + reacted / mix.bufferCapacity,
    reacted,
    residual: pools.reduce((sum, p) => sum + p.left, 0),
  }
}
