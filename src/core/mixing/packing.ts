import type { Fraction } from '../units'
import { SIZE_CLASS_COUNT, SIZE_CLASSES } from './sizeClasses'

/**
 * How grains of one size disturb the packing of another.
 *   loosening, by finer grains j among coarser i:  a = sqrt(1 - (1 - d_j/d_i)^1.02)
 *   wall effect, of coarser grains j on finer i:   b = 1 - (1 - d_i/d_j)^1.50
 * Source: de Larrard 1999, Concrete Mixture Proportioning, ch. 1.
 */
export const loosening = (fine: number, coarse: number) => Math.sqrt(1 - (1 - fine / coarse) ** 1.02)
export const wallEffect = (fine: number, coarse: number) => 1 - (1 - fine / coarse) ** 1.5

const pair = (f: (fine: number, coarse: number) => number) =>
  SIZE_CLASSES.map((p) =>
    SIZE_CLASSES.map((q) => f(Math.min(p.diameter, q.diameter), Math.max(p.diameter, q.diameter))),
  )
const LOOSENING = pair(loosening)
const WALL = pair(wallEffect)

/**
 * Packing of a blend of size classes by the linear packing model.
 *
 *   gamma_i = beta_i / [1 - sum_coarser (1 - beta_i + b_ij beta_i (1 - 1/beta_j)) y_j
 *                         - sum_finer (1 - a_ij beta_i / beta_j) y_j],      packing = min gamma_i
 *
 * | symbol | meaning                                          | unit |
 * | y_j    | share of the grain envelope volume in class j     | 1    |
 * | beta_j | packing of class j on its own                     | 1    |
 *
 * `shares` sum to 1, `betas` between 0 and 1, both coarse to fine. Returns the share of space inside grain outlines.
 * Source: Stovall, de Larrard & Buil 1986, Powder Technology 48:1-12; coefficients de Larrard 1999.
 */
export function linearPacking(shares: readonly number[], betas: readonly number[]): Fraction {
  let least = Infinity
  for (let i = 0; i < SIZE_CLASS_COUNT; i++) {
    if (!(shares[i]! > 0)) continue
    const beta = betas[i]!
    let room = 1
    for (let j = 0; j < SIZE_CLASS_COUNT; j++) {
      const y = shares[j]!
      if (j === i || !(y > 0)) continue
      if (j < i) room -= (1 - beta + WALL[i]![j]! * beta * (1 - 1 / betas[j]!)) * y
      else room -= (1 - (LOOSENING[i]![j]! * beta) / betas[j]!) * y
    }
    least = Math.min(least, beta / room)
  }
  return least
}

/**
 * The one beta, the same for all its classes, at which a material alone packs to its loose envelope fraction.
 * Found by bisection to 1e-9. Range: envelope fraction above 0 and below 1.
 */
export function betaOfMaterial(shares: readonly number[], looseEnvelopeFraction: Fraction): Fraction {
  let low = 1e-3
  let high = looseEnvelopeFraction
  while (high - low > 1e-9) {
    const mid = (low + high) / 2
    if (linearPacking(shares, new Array<number>(SIZE_CLASS_COUNT).fill(mid)) < looseEnvelopeFraction)
      low = mid
    else high = mid
  }
  return (low + high) / 2
}

export interface PackingPart {
  /** Share of the loose volume, all parts together 1. */
  share: Fraction
  sizeShares: readonly number[]
  looseEnvelopeFraction: Fraction
  /** From `betaOfMaterial`. */
  beta: Fraction
}

/**
 * Volume lost when loose parts are stirred together, because fines fall between coarse grains.
 *
 *   s = 1 - (sum f_i phi_i) / gamma_mix,  never below 0
 *
 * The beta of a class in the blend is the harmonic mean of its parts' betas weighted by envelope volume: an
 * arithmetic mean invents a loss where sizes are equal and only looseness differs.
 * Returns the lost share of the summed loose volume. Range: see `linearPacking`.
 */
export function packingLoss(parts: readonly PackingPart[]): Fraction {
  const volumes = new Array<number>(SIZE_CLASS_COUNT).fill(0)
  const inverse = new Array<number>(SIZE_CLASS_COUNT).fill(0)
  let envelope = 0
  for (const part of parts) {
    for (let k = 0; k < SIZE_CLASS_COUNT; k++) {
      const v = part.share * part.looseEnvelopeFraction * part.sizeShares[k]!
      volumes[k]! += v
      inverse[k]! += v / part.beta
      envelope += v
    }
  }
  const betas = volumes.map((v, k) => (v > 0 ? v / inverse[k]! : 0.5))
  const packing = linearPacking(
    volumes.map((v) => v / envelope),
    betas,
  )
  return Math.max(0, 1 - envelope / packing)
}
