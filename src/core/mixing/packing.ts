import type { Fraction } from '../units'
import { CLASSES, SIZE_CLASS_COUNT, SIZE_CLASSES } from './sizeClasses'

/**
 * How grains of one size disturb the packing of another.
 *   loosening, by finer grains j among coarser i:  a = sqrt(1 - (1 - d_j/d_i)^1.02)
 *   wall effect, of coarser grains j on finer i:   b = 1 - (1 - d_i/d_j)^1.50
 * Source: de Larrard 1999, Concrete Mixture Proportioning, ch. 1.
 * Diameters in mm. Range: 0 below `fine` up to `coarse`; the answer goes from 0 to 1.
 *
 * @example
 * loosening(0.1, 1) // 0.3192
 */
export const loosening = (fine: number, coarse: number) => Math.sqrt(1 - (1 - fine / coarse) ** 1.02)

/**
 * How much coarse grains keep finer ones from packing against them: b of de Larrard's model, by the two diameters in
 * mm.
 * Range: 0 to 1. Source: as `loosening`.
 *
 * @example
 * wallEffect(0.1, 1) // 0.1462
 */
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
 *
 * @example
 * linearPacking([0.5, 0, 0, 0, 0.5, 0, 0], [0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5]) // 0.6468
 */
export function linearPacking(shares: readonly number[], betas: readonly number[]): Fraction {
  const present = CLASSES.filter((i) => shares[i]! > 0)
  const gammas = present.map((i) => {
    const beta = betas[i]!
    let room = 1
    for (const j of present) {
      if (j < i) room -= (1 - beta + WALL[i]![j]! * beta * (1 - 1 / betas[j]!)) * shares[j]!
      // Zero for the class itself.
      else room -= (1 - (LOOSENING[i]![j]! * beta) / betas[j]!) * shares[j]!
    }
    return beta / room
  })
  return Math.min(...gammas)
}

/**
 * The one beta, the same for all its classes, at which a material alone packs to its loose envelope fraction.
 *
 * With one beta for all classes `linearPacking` reads gamma_i = beta / (A_i - (1 - beta) B_i), with
 * A_i = 1 - sum_finer (1 - a_ij) y_j and B_i = sum_coarser (1 - b_ij) y_j, so each class has a closed answer,
 *   beta_i = phi (A_i - B_i) / (1 - phi B_i),
 * and, every gamma_i rising with beta, the largest of them is the one wanted.
 * Range: envelope fraction phi above 0 and below 1; `shares` sum to 1. Source: algebra on `linearPacking`.
 */
export function betaOfMaterial(shares: readonly number[], looseEnvelopeFraction: Fraction): Fraction {
  const phi = looseEnvelopeFraction
  const present = CLASSES.filter((i) => shares[i]! > 0)
  const betas = present.map((i) => {
    let a = 1
    let b = 0
    for (const j of present) {
      if (j < i) b += (1 - WALL[i]![j]!) * shares[j]!
      else a -= (1 - LOOSENING[i]![j]!) * shares[j]!
    }
    return (phi * (a - b)) / (1 - phi * b)
  })
  return Math.max(...betas)
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
 * How much room a litre of a loose material takes from the point of view of each size class, coarse to fine.
 *
 * With u_j = y_j / beta_j the linear packing model reads
 *   1 / gamma_i = u_i + sum_coarser ((1 - b_ij) y_j + b_ij u_j) + sum_finer a_ij u_j,
 * which is linear in y and u, and u of a blend is the sum of its parts' u (that is what the harmonic mean of betas
 * means). So each material has a row of eight numbers h_i, and a blend's loss is 1 - max_i sum f h_i over the classes
 * present: as cheap as a weighted sum. The h of a material alone is 1 at its ruling class, and no more at the others
 * present.
 * Source: algebra on `linearPacking`; a test holds the two forms against each other.
 */
export function crowding(
  sizeShares: readonly number[],
  looseEnvelopeFraction: Fraction,
  beta: Fraction,
): number[] {
  const y = sizeShares.map((share) => share * looseEnvelopeFraction)
  const u = y.map((v) => v / beta)
  return y.map((_, i) => {
    let sum = u[i]!
    for (const j of CLASSES) {
      if (j < i) sum += (1 - WALL[i]![j]!) * y[j]! + WALL[i]![j]! * u[j]!
      if (j > i) sum += LOOSENING[i]![j]! * u[j]!
    }
    return sum
  })
}

/**
 * Volume lost when loose parts are stirred together, because fines fall between coarse grains.
 *
 *   s = 1 - (sum f_i phi_i) / gamma_mix,  never below 0
 *
 * The beta of a class in the blend is the harmonic mean of its parts' betas weighted by envelope volume: an
 * arithmetic mean invents a loss where sizes are equal and only looseness differs.
 * Returns the lost share of the summed loose volume. Range: see `linearPacking`.
 * Source: as `linearPacking`.
 */
export function packingLoss(parts: readonly PackingPart[]): Fraction {
  const volumes = new Array<number>(SIZE_CLASS_COUNT).fill(0)
  const inverse = new Array<number>(SIZE_CLASS_COUNT).fill(0)
  let envelope = 0
  for (const part of parts) {
    for (const k of CLASSES) {
      const v = part.share * part.looseEnvelopeFraction * part.sizeShares[k]!
      volumes[k]! += v
      inverse[k]! += v / part.beta
      envelope += v
    }
  }
  // A class that is not there has no beta; the packing leaves it out.
  const packing = linearPacking(
    volumes.map((v) => v / envelope),
    volumes.map((v, k) => v / inverse[k]!),
  )
  return Math.max(0, 1 - envelope / packing)
}
