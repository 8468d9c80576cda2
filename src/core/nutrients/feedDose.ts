import { releasedFraction } from '../chemistry/release'
import type { Temperature } from '../chemistry/temperature'
import type { Dressing, Element } from '../data/types'
import { fail, succeed, type Outcome } from '../outcome'
import type { Days, Fraction } from '../units'
import { mgPerGram } from './ions'

/** Share of what is wanted of a nutrient that may lack without a word. Our assumption. */
const MISSED = 0.1
/** Less of a dressing than this is none, g per litre. */
const NONE = 1e-3

export interface FeedTarget {
  element: Element
  /** mg per litre of mix wanted from dressings. */
  mgPerLitre: number
}

export interface FeedPlan {
  doses: { dressing: Dressing; gramsPerLitre: number; atLimit: boolean }[]
  /** mg per litre reached of each element asked for. */
  reached: FeedTarget[]
  /** Largest miss of any target, as a share of it. */
  largestMiss: Fraction
}

/**
 * Doses of several dressings that together come nearest to a target charge.
 *
 *   minimise  sum_e ((sum_d a_ed x_d - t_e) / t_e)^2     0 <= x_d <= limit of the dressing
 *
 * a_ed is mg of element e in reach from one gram of d within `within` days (all of it where left out). Elements asked
 * for at zero are kept low against 10 mg/L. Solved by cyclic descent, each dose in turn to its exact best, until no
 * dose moves by 1e-9 g/L: the problem is convex, so that is the least. Doses under 1 mg/L are left out.
 *
 * Errors: no target above zero; no dressing holding any of what is asked. A note where some target is missed by
 * over a tenth.
 * Source: least squares; ours.
 */
export function dosesForCharge(
  targets: readonly FeedTarget[],
  dressings: readonly Dressing[],
  within?: { days: Days; temperature: Temperature },
): Outcome<FeedPlan> {
  for (const t of targets)
    if (!(t.mgPerLitre >= 0 && Number.isFinite(t.mgPerLitre)))
      return fail({ code: 'amount-negative', field: t.element, value: t.mgPerLitre })
  const wanted = targets.filter((t) => t.mgPerLitre > 0)
  if (wanted.length === 0) return fail({ code: 'nothing-to-choose-from' })
  const share = (d: Dressing) => (within ? releasedFraction(d.release, within.days, within.temperature) : 1)
  const scale = targets.map((t) => Math.max(t.mgPerLitre, 10))
  const columns = dressings.map((d) =>
    targets.map((t, e) => (mgPerGram(d, t.element) * share(d)) / scale[e]!),
  )
  const lacking = wanted.find((t) => columns.every((c) => c[targets.indexOf(t)] === 0))
  if (lacking) return fail({ code: 'no-dressing-for-target', wanted: lacking.element })
  const x = dressings.map(() => 0)
  const residual = targets.map((t, e) => -t.mgPerLitre / scale[e]!)
  const squares = columns.map((c) => c.reduce((s, v) => s + v * v, 0))
  for (let round = 0; round < 20_000; round++) {
    let moved = 0
    for (let d = 0; d < x.length; d++) {
      if (squares[d] === 0) continue
      const slope = columns[d]!.reduce((s, v, e) => s + v * residual[e]!, 0)
      const next = Math.min(Math.max(x[d]! - slope / squares[d]!, 0), dressings[d]!.dose.limit)
      const step = next - x[d]!
      if (step === 0) continue
      x[d] = next
      columns[d]!.forEach((v, e) => (residual[e]! += v * step))
      moved = Math.max(moved, Math.abs(step))
    }
    if (moved < 1e-9) break
  }
  const reached = targets.map((t, e) => ({
    element: t.element,
    mgPerLitre: t.mgPerLitre + residual[e]! * scale[e]!,
  }))
  const largestMiss = Math.max(
    ...targets.map((t, e) => (t.mgPerLitre > 0 ? Math.abs(residual[e]! * scale[e]!) / t.mgPerLitre : 0)),
  )
  return succeed(
    {
      doses: dressings.flatMap((dressing, d) =>
        x[d]! > NONE
          ? [{ dressing, gramsPerLitre: x[d]!, atLimit: x[d]! >= dressing.dose.limit - 1e-9 }]
          : [],
      ),
      reached,
      largestMiss,
    },
    largestMiss > MISSED ? { code: 'charge-not-met', largestMiss } : null,
  )
}
