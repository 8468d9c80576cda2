import type { Fraction } from '../units'

export interface CompressiblePart {
  /** Share of the loose volume, all parts together 1. */
  share: Fraction
  /** kg/L. */
  dryBulkDensity: number
  /** Volume fraction lost per kg/L by which the blend outweighs the part. */
  compressibility: number
}

/**
 * Volume lost because heavy neighbours press soft, fibrous parts together.
 *
 *   s = sum f_i k_i max(0, rho_mean - rho_i),  rho_mean = sum f_i rho_i
 *
 * Nothing is lost where all parts are equally light, nor by the heavy parts themselves.
 * Returns the lost share of the summed loose volume, at most 0.3. Range: meant for densities up to 1.7 kg/L.
 * Source: our assumption. The size of k was set so that peat or bark with an equal part of sand loses 8 to 22 % in all,
 * as reported for milled bark and sand by Pokorny, Gibson & Dunavent 1986, JASHS 111:8-11, and Nash & Pokorny 1990,
 * HortScience 25:930-931 (figures from memory); low confidence.
 *
 * @example
 * compressionLoss([
 *   { share: 0.5, dryBulkDensity: 0.1, compressibility: 0.3 },
 *   { share: 0.5, dryBulkDensity: 1.5, compressibility: 0 },
 * ]) // 0.105
 */
export function compressionLoss(parts: readonly CompressiblePart[]): Fraction {
  const mean = parts.reduce((sum, p) => sum + p.share * p.dryBulkDensity, 0)
  const lost = parts.reduce(
    (sum, p) => sum + p.share * p.compressibility * Math.max(0, mean - p.dryBulkDensity),
    0,
  )
  return Math.min(lost, 0.3)
}
