import type { Centimetres, Fraction } from '../units'

/** Van Genuchten's four parameters, m = 1 - 1/n. */
export interface VanGenuchten {
  /** Residual water, volume fraction. */
  residual: Fraction
  /** Saturated water, volume fraction: the effective porosity. */
  saturated: Fraction
  /** Inverse of the tension where air first enters, 1/cm. */
  alpha: number
  /** Steepness, above 1. */
  n: number
}

/**
 * Water content at a tension on the draining curve.
 *
 *   theta(h) = theta_r + (theta_s - theta_r) (1 + (alpha h)^n)^-(1 - 1/n)
 *
 * h in cm of water, tension positive; at or below zero the pores are full. Answer: volume fraction.
 * Range: any h. Source: van Genuchten 1980, Soil Sci. Soc. Am. J. 44:892-898, eq. 3 with m = 1 - 1/n.
 *
 * @example
 * waterContent({ residual: 0.078, saturated: 0.43, alpha: 0.036, n: 1.56 }, 100) // 0.2421
 */
export function waterContent(curve: VanGenuchten, tension: Centimetres): Fraction {
  if (tension <= 0) return curve.saturated
  const m = 1 - 1 / curve.n
  return curve.residual + (curve.saturated - curve.residual) * (1 + (curve.alpha * tension) ** curve.n) ** -m
}
