import type { Fraction } from '../units'
import { macroporesFull, type VanGenuchten } from './vanGenuchten'

/** What the tables hold of a material's water: volume fractions at tensions in cm. */
export interface RetentionPoints {
  /** Effective porosity: water at no tension. */
  totalPorosity: Fraction
  waterAt5Cm: Fraction
  waterAt10Cm: Fraction
  waterAt50Cm: Fraction
  waterAt100Cm: Fraction
}

export interface RetentionFit {
  curve: VanGenuchten
  /** Largest miss at 5, 10, 50 and 100 cm, volume fraction. */
  largestError: Fraction
}

const TENSIONS = [5, 10, 50, 100] as const
const LN_ALPHA = [Math.log(1e-3), Math.log(20)] as const
const LN_N_LESS_1 = [Math.log(0.03), Math.log(9)] as const
/** What the macropores have lost at each of the tensions. */
const EMPTIED = TENSIONS.map((h) => 1 - macroporesFull(h))
/**
 * Squared misses that macropores must save before they are believed, per square of their volume. Set where points left
 * out of the fit (2, 20 and 30 cm) are met best over all materials of the tables.
 */
const DOUBT = 0.003

const sumOf = (x: readonly number[], y: readonly number[]) => x.reduce((s, v, i) => s + v * y[i]!, 0)
const MACROPORES_SQUARED = sumOf(EMPTIED, EMPTIED) + DOUBT

/**
 * For given alpha and n the curve is linear in what the matrix and the macropores empty:
 *
 *   theta_s - theta = a (1 - S) + b (1 - M),   a, b >= 0,   a + b <= theta_s
 *
 * so both are found at once. Gives the squared miss over the tensions, with that of `DOUBT`. Sums run over the four
 * tensions in one loop: a drawn mix asks for some hundred of them.
 */
function bestParts(points: readonly number[], saturated: number, alpha: number, n: number) {
  const m = 1 - 1 / n
  const emptied = [0, 0, 0, 0]
  let [aa, ab, ay, by] = [0, 0, 0, 0]
  for (let i = 0; i < 4; i++) {
    const e = 1 - (1 + (alpha * TENSIONS[i]!) ** n) ** -m
    const y = saturated - points[i]!
    emptied[i] = e
    aa += e * e
    ab += e * EMPTIED[i]!
    ay += e * y
    by += EMPTIED[i]! * y
  }
  const bb = MACROPORES_SQUARED
  const determinant = aa * bb - ab * ab
  let matrix = (ay * bb - by * ab) / determinant
  let macropores = (by * aa - ay * ab) / determinant
  if (!(determinant > 1e-14) || macropores < 0) {
    matrix = aa > 0 ? Math.max(0, ay / aa) : 0
    macropores = 0
  } else if (matrix < 0) {
    matrix = 0
    macropores = Math.max(0, by / bb)
  }
  if (matrix + macropores > saturated) {
    macropores = fullOf(points, saturated, emptied)
    matrix = saturated - macropores
  }
  const misses = [0, 0, 0, 0]
  let squared = 0
  for (let i = 0; i < 4; i++) {
    const miss = saturated - points[i]! - matrix * emptied[i]! - macropores * EMPTIED[i]!
    misses[i] = miss
    squared += miss * miss
  }
  return {
    residual: Math.max(0, saturated - matrix - macropores),
    macropores,
    squared: squared + DOUBT * macropores ** 2,
    misses,
  }
}

/** The macropores where matrix and macropores together empty all there is. */
function fullOf(points: readonly number[], saturated: number, emptied: readonly number[]): Fraction {
  const apart = EMPTIED.map((e, i) => e - emptied[i]!)
  const rest = points.map((p, i) => saturated - p - saturated * emptied[i]!)
  return Math.min(Math.max(sumOf(apart, rest) / (sumOf(apart, apart) + DOUBT), 0), saturated)
}

const waterOf = (points: RetentionPoints) => [
  points.waterAt5Cm,
  points.waterAt10Cm,
  points.waterAt50Cm,
  points.waterAt100Cm,
]

/**
 * Fits van Genuchten's curve, with macropores where one curve will not do, to porosity and the water held at 5, 10, 50
 * and 100 cm.
 *
 * Porosity is taken as theta_s; alpha and n are searched on a grid in their logarithms which closes in on its
 * best node two dozen times over, theta_r and the macropores solved inside. Pure, no starting guess, no randomness.
 * Range: 0 <= water at 100 <= 50 <= 10 <= 5 cm <= porosity <= 1 (the caller's data are checked when built in).
 * Accuracy: see checks; for the starting materials the largest miss is reported as `largestError`.
 * Source: curve as `waterContent`; points as De Boodt & Verdonck 1972, Acta Hort. 26:37-44; search is ours.
 *
 * @example
 * fitRetention({
 *   totalPorosity: 0.43,
 *   waterAt5Cm: 0.4219,
 *   waterAt10Cm: 0.4074,
 *   waterAt50Cm: 0.3034,
 *   waterAt100Cm: 0.2421,
 * })
 * // { curve: { residual: 0.06781, saturated: 0.43, alpha: 0.03517, n: 1.544 }, largestError: 0.0002349 }
 */
export function fitRetention(points: RetentionPoints): RetentionFit {
  const water = waterOf(points)
  const saturated = points.totalPorosity
  let centre = [(LN_ALPHA[0] + LN_ALPHA[1]) / 2, (LN_N_LESS_1[0] + LN_N_LESS_1[1]) / 2] as [number, number]
  let span = [(LN_ALPHA[1] - LN_ALPHA[0]) / 2, (LN_N_LESS_1[1] - LN_N_LESS_1[0]) / 2] as [number, number]
  const steps = 6
  let best = { squared: Infinity, residual: 0, macropores: 0, alpha: 0.1, n: 1.5, misses: [0, 0, 0, 0] }
  for (let round = 0; round < 24; round++) {
    let next = centre
    for (let i = -steps; i <= steps; i++)
      for (let j = -steps; j <= steps; j++) {
        const lnA = Math.min(Math.max(centre[0] + (span[0] * i) / steps, LN_ALPHA[0]), LN_ALPHA[1])
        const lnN = Math.min(Math.max(centre[1] + (span[1] * j) / steps, LN_N_LESS_1[0]), LN_N_LESS_1[1])
        const alpha = Math.exp(lnA)
        const n = 1 + Math.exp(lnN)
        const trial = bestParts(water, saturated, alpha, n)
        if (trial.squared < best.squared) {
          best = { ...trial, alpha, n }
          next = [lnA, lnN]
        }
      }
    centre = next
    span = [span[0] * 0.5, span[1] * 0.5]
    if (best.squared < 1e-12) break
  }
  return {
    curve: curveOf(best, saturated),
    largestError: Math.max(...best.misses.map(Math.abs)),
  }
}

/** The curve of a fit; macropores are left out where there are none. */
const curveOf = (
  fit: { residual: Fraction; macropores: Fraction; alpha: number; n: number },
  saturated: Fraction,
): VanGenuchten => ({
  residual: fit.residual,
  saturated,
  alpha: fit.alpha,
  n: fit.n,
  ...(fit.macropores > 0 ? { macropores: fit.macropores } : {}),
})

const RATIO = 1e-4

/**
 * Fits points close to ones already fitted, from that fit: damped Gauss-Newton in ln alpha and ln (n - 1), theta_r
 * and the macropores solved inside. A dozen steps at most and some forty times quicker than `fitRetention`; for drawn
 * properties, where the start is near. Same range; the miss is at most that of the start carried over to the new
 * points. Source: Gauss-Newton with damping, Levenberg 1944.
 * Tensions in cm, water as a fraction.
 */
export function refitRetention(points: RetentionPoints, start: VanGenuchten): VanGenuchten {
  const water = waterOf(points)
  const saturated = points.totalPorosity
  const held = (x: number, [low, high]: readonly [number, number]) => Math.min(Math.max(x, low), high)
  const at = (a: number, b: number) => bestParts(water, saturated, Math.exp(a), 1 + Math.exp(b))
  let lnA = held(Math.log(start.alpha), LN_ALPHA)
  let lnN = held(Math.log(start.n - 1), LN_N_LESS_1)
  let now = at(lnA, lnN)
  let damping = 1e-3
  for (let step = 0; step < 12 && now.squared > 1e-7 && damping < 1e3; step++) {
    const byA = at(lnA + RATIO, lnN).misses.map((m, i) => (m - now.misses[i]!) / RATIO)
    const byN = at(lnA, lnN + RATIO).misses.map((m, i) => (m - now.misses[i]!) / RATIO)
    const dot = (x: number[], y: number[]) => x.reduce((s, v, i) => s + v * y[i]!, 0)
    const [aa, an, nn] = [dot(byA, byA), dot(byA, byN), dot(byN, byN)]
    const [ga, gn] = [dot(byA, now.misses), dot(byN, now.misses)]
    const [da, dn] = [aa * (1 + damping) + 1e-12, nn * (1 + damping) + 1e-12]
    const determinant = da * dn - an * an
    const nextA = held(lnA - (ga * dn - gn * an) / determinant, LN_ALPHA)
    const nextN = held(lnN - (gn * da - ga * an) / determinant, LN_N_LESS_1)
    const next = at(nextA, nextN)
    if (next.squared < now.squared) {
      const gain = now.squared - next.squared
      ;[lnA, lnN, now] = [nextA, nextN, next]
      damping = Math.max(damping / 5, 1e-6)
      if (gain < now.squared * 1e-3) break
    } else damping *= 10
  }
  return curveOf({ ...now, alpha: Math.exp(lnA), n: 1 + Math.exp(lnN) }, saturated)
}
