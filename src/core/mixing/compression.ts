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
 * Volume lost for each product of two shares and the difference of what they give way. Set by the mixes named below.
 */
export const INTERLOCK = 0.8

/**
 * Volume lost because hard grains sink into soft, springy parts as they are stirred, however light they are.
 *
 *   s = 0.8 sum_(i<j) f_i f_j |k_i - k_j|
 *
 * Half peat, half perlite loses 4 %. Returns the lost share of the summed loose volume. Source: our assumption, set
 * where air and water of mixes of peat, bark, perlite, vermiculite, pumice and hulls in a 7.6 cm core are met best
 * (Bunt 1988; Fonteno 1996; Evans & Gachukia 2004; figures from memory).
 *
 * @example
 * interlockLoss([
 *   { share: 0.5, compressibility: 0.2 },
 *   { share: 0.5, compressibility: 0 },
 * ]) // 0.04
 */
export function interlockLoss(
  parts: readonly Pick<CompressiblePart, 'share' | 'compressibility'>[],
): Fraction {
  let lost = 0
  for (let i = 1; i < parts.length; i++)
    for (let j = 0; j < i; j++) {
      const [a, b] = [parts[i]!, parts[j]!]
      lost += a.share * b.share * Math.abs(a.compressibility - b.compressibility)
    }
  return INTERLOCK * lost
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
