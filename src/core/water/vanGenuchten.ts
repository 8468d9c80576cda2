import type { Centimetres, Fraction } from '../units'

/** Van Genuchten's four parameters, m = 1 - 1/n, and what wide pores add to them. */
export interface VanGenuchten {
  /** Residual water, volume fraction. */
  residual: Fraction
  /** Saturated water, volume fraction: the effective porosity. */
  saturated: Fraction
  /** Inverse of the tension where air first enters, 1/cm. */
  alpha: number
  /** Steepness, above 1. */
  n: number
  /** Pores between lumps and fibres, which empty within the first centimetres; volume fraction, none where left out. */
  macropores?: Fraction
}

/**
 * The curve of macropores: half of them have emptied at 1.1 cm of tension. Per cm; source: our assumption, set where
 * the points at 2, 20 and 30 cm and the air of columns of 2.5 to 40 cm are met best over all materials of the tables.
 */
const MACROPORES = { alpha: 1.2, n: 2.5 } as const

/**
 * Share of the macropores that is full at a tension: van Genuchten's curve with alpha 1.2 per cm and n 2.5.
 * Tension in cm; range: any.
 * Source: sum of two curves, Durner 1994, Water Resour. Res. 30:211-223; that both halves of a growing mix have the
 * same wide part is our assumption.
 *
 * @example
 * macroporesFull(5) // 0.06758
 */
export const macroporesFull = (tension: Centimetres): Fraction =>
  tension <= 0 ? 1 : macroporesFullAt(Math.log(tension))

const LN_MACROPORES_ALPHA = Math.log(MACROPORES.alpha)

/**
 * The same by the logarithm of a tension above zero, for where that is known: powers by logarithms cost a third.
 *
 * @example
 * macroporesFullAt(Math.log(5)) // 0.06758
 */
export const macroporesFullAt = (lnTension: number): Fraction =>
  Math.exp((1 / MACROPORES.n - 1) * Math.log(1 + Math.exp(MACROPORES.n * (LN_MACROPORES_ALPHA + lnTension))))

/**
 * Water content at a tension on the draining curve.
 *
 *   theta(h) = theta_r + (theta_s - theta_r) (1 + (alpha h)^n)^-(1 - 1/n)
 *
 * h in cm of water, tension positive; at or below zero the pores are full. Answer: volume fraction. Macropores, where
 * there are any, are taken from theta_s and emptied by a curve of their own (`macroporesFull`).
 * Range: any h. Source: van Genuchten 1980, Soil Sci. Soc. Am. J. 44:892-898, eq. 3 with m = 1 - 1/n.
 *
 * @example
 * waterContent({ residual: 0.078, saturated: 0.43, alpha: 0.036, n: 1.56 }, 100) // 0.2421
 */
export function waterContent(curve: VanGenuchten, tension: Centimetres): Fraction {
  if (tension <= 0) return curve.saturated
  const m = 1 - 1 / curve.n
  const wide = curve.macropores ?? 0
  return (
    curve.residual +
    (curve.saturated - curve.residual - wide) * (1 + (curve.alpha * tension) ** curve.n) ** -m +
    wide * macroporesFull(tension)
  )
}
