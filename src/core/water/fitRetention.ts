import type { Fraction } from '../units'
import type { VanGenuchten } from './vanGenuchten'

/** What the tables hold of a material's water: volume fractions at tensions in cm. */
export interface RetentionPoints {
  /** Effective porosity: water at no tension. */
  totalPorosity: Fraction
  waterAt10Cm: Fraction
  waterAt50Cm: Fraction
  waterAt100Cm: Fraction
}

export interface RetentionFit {
  curve: VanGenuchten
  /** Largest miss at 10, 50 and 100 cm, volume fraction. */
  largestError: Fraction
}

const TENSIONS = [10, 50, 100] as const
const LN_ALPHA = [Math.log(1e-3), Math.log(20)] as const
const LN_N_LESS_1 = [Math.log(0.03), Math.log(9)] as const

/**
 * For given alpha and n the curve is linear in theta_r, so the best theta_r is a quotient, held between
 * nought and the driest point. Gives the squared miss over the three tensions.
 */
function bestResidual(points: readonly number[], saturated: number, alpha: number, n: number) {
  const m = 1 - 1 / n
  let above = 0
  let below = 0
  const shares = TENSIONS.map((h) => (1 + (alpha * h) ** n) ** -m)
  shares.forEach((s, i) => {
    above += (1 - s) * (points[i]! - saturated * s)
    below += (1 - s) ** 2
  })
  const residual = Math.min(Math.max(below > 0 ? above / below : 0, 0), points[2]!)
  const misses = shares.map((s, i) => residual + (saturated - residual) * s - points[i]!)
  return { residual, squared: misses.reduce((sum, e) => sum + e * e, 0), misses }
}

/**
 * Fits van Genuchten's curve to porosity and the water held at 10, 50 and 100 cm.
 *
 * Porosity is taken as theta_s; alpha and n are searched on a grid in their logarithms which closes in on its
 * best node two dozen times over, theta_r solved inside. Pure, no starting guess, no randomness.
 * Range: 0 <= water at 100 <= 50 <= 10 cm <= porosity <= 1 (the caller's data are checked when built in).
 * Accuracy: see checks; for the starting materials the largest miss is reported as `largestError`.
 * Source: curve as `waterContent`; points as De Boodt & Verdonck 1972, Acta Hort. 26:37-44; search is ours.
 *
 * @example
 * fitRetention({ totalPorosity: 0.54, waterAt10Cm: 0.4, waterAt50Cm: 0.33, waterAt100Cm: 0.29 })
 * // { curve: { residual: 0, saturated: 0.54, alpha: 0.7697, n: 1.139 }, largestError: 0.005999 }
 */
export function fitRetention(points: RetentionPoints): RetentionFit {
  const water = [points.waterAt10Cm, points.waterAt50Cm, points.waterAt100Cm]
  const saturated = points.totalPorosity
  let centre = [(LN_ALPHA[0] + LN_ALPHA[1]) / 2, (LN_N_LESS_1[0] + LN_N_LESS_1[1]) / 2] as [number, number]
  let span = [(LN_ALPHA[1] - LN_ALPHA[0]) / 2, (LN_N_LESS_1[1] - LN_N_LESS_1[0]) / 2] as [number, number]
  const steps = 6
  let best = { squared: Infinity, residual: 0, alpha: 0.1, n: 1.5, misses: [0, 0, 0] }
  for (let round = 0; round < 24; round++) {
    let next = centre
    for (let i = -steps; i <= steps; i++)
      for (let j = -steps; j <= steps; j++) {
        const lnA = Math.min(Math.max(centre[0] + (span[0] * i) / steps, LN_ALPHA[0]), LN_ALPHA[1])
        const lnN = Math.min(Math.max(centre[1] + (span[1] * j) / steps, LN_N_LESS_1[0]), LN_N_LESS_1[1])
        const alpha = Math.exp(lnA)
        const n = 1 + Math.exp(lnN)
        const trial = bestResidual(water, saturated, alpha, n)
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
    curve: { residual: best.residual, saturated, alpha: best.alpha, n: best.n },
    largestError: Math.max(...best.misses.map(Math.abs)),
  }
}

const RATIO = 1e-4

/**
 * Fits points close to ones already fitted, from that fit: damped Gauss-Newton in ln alpha and ln (n - 1), theta_r
 * solved inside. A dozen steps at most and some forty times quicker than `fitRetention`; for drawn properties, where
 * the start is near. Same range; the miss is at most that of the start carried over to the new points.
 * Source: Gauss-Newton with damping, Levenberg 1944.
 * Tensions in cm, water as a fraction.
 */
export function refitRetention(points: RetentionPoints, start: VanGenuchten): VanGenuchten {
  const water = [points.waterAt10Cm, points.waterAt50Cm, points.waterAt100Cm]
  const saturated = points.totalPorosity
  const held = (x: number, [low, high]: readonly [number, number]) => Math.min(Math.max(x, low), high)
  const at = (a: number, b: number) => bestResidual(water, saturated, Math.exp(a), 1 + Math.exp(b))
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
  return { residual: now.residual, saturated, alpha: Math.exp(lnA), n: 1 + Math.exp(lnN) }
}
