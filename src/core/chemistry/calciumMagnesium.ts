import type { LimingMaterial } from '../data/types'
import { succeed, type Outcome } from '../outcome'
import type { Days, Fraction } from '../units'
import type { AcidityInput } from './acidityState'
import type { BufferedMix } from './lime'
import { JUDGED_AFTER, limeForTarget, type LimePlan } from './limeDose'

/** Calcium to magnesium by weight that suits most crops in pots. Source: common practice, 3:1 to 5:1. */
export const USUAL_CALCIUM_TO_MAGNESIUM = { low: 3, value: 4, high: 5 } as const

/** mg/L already in the mix from its parts and other dressings. */
export interface CationsAlready {
  calcium: number
  magnesium: number
}

/**
 * Share of dolomite by weight in a total dose of two limes that brings Ca : Mg (by weight) to a ratio, 0 to 1.
 *
 *   Ca0 + 1000 G ((1 - d) Ca_c + d Ca_d) = r (Mg0 + 1000 G ((1 - d) Mg_c + d Mg_d))   solved for d
 *
 * G in g/L, cations already there in mg/L. Held between 0 and 1 where the ratio cannot be reached; 0 for no lime.
 * Source: mass balance.
 *
 * @example
 * dolomiteShare(4, 0.5, { calcitic: LIMES[0], dolomitic: LIMES[1] }) // 0.5748
 */
export function dolomiteShare(
  ratio: number,
  gramsPerLitre: number,
  { calcitic, dolomitic }: Record<'calcitic' | 'dolomitic', Pick<LimingMaterial, 'calcium' | 'magnesium'>>,
  already: CationsAlready = { calcium: 0, magnesium: 0 },
): Fraction {
  const g = 1000 * gramsPerLitre
  if (!(g > 0)) return 0
  const lack = already.calcium + g * calcitic.calcium - ratio * (already.magnesium + g * calcitic.magnesium)
  const perShare =
    g * (calcitic.calcium - dolomitic.calcium) + ratio * g * (dolomitic.magnesium - calcitic.magnesium)
  return perShare > 0 ? Math.min(1, Math.max(0, lack / perShare)) : 0
}

export interface BalancedLime {
  plan: LimePlan
  dolomiteShare: Fraction
  /** Ca : Mg by weight reached, what was there included; Infinity without magnesium. */
  calciumToMagnesium: number
}

/** Ca : Mg by weight wanted, cations there already, what else is given, and the day it is judged on. */
export interface BalanceWish {
  ratio?: number
  already?: CationsAlready
  given?: AcidityInput
  days?: Days
}

/**
 * Lime for a target pH, shared between a calcitic and a dolomitic one for a wanted Ca : Mg. The share moves the dose
 * and the dose the share, so both are solved in turn until the share stands still (a few rounds).
 * Errors and notes: those of `limeForTarget`.
 */
export function limeForTargetAndRatio(
  mix: BufferedMix,
  limes: { calcitic: LimingMaterial; dolomitic: LimingMaterial },
  target: number,
  {
    ratio = USUAL_CALCIUM_TO_MAGNESIUM.value,
    already = { calcium: 0, magnesium: 0 },
    given = {},
    days = JUDGED_AFTER,
  }: BalanceWish = {},
): Outcome<BalancedLime> {
  let share = 0.5
  for (let round = 0; ; round++) {
    const choice = [
      { lime: limes.calcitic, share: 1 - share },
      { lime: limes.dolomitic, share },
    ]
    const plan = limeForTarget(mix, { choice, target }, given, days)
    if (!plan.ok) return plan
    const next = dolomiteShare(ratio, plan.value.gramsPerLitre, limes, already)
    if (Math.abs(next - share) < 1e-4 || round === 20) {
      const g = 1000 * plan.value.gramsPerLitre
      const sum = (of: 'calcium' | 'magnesium') =>
        already[of] + g * ((1 - share) * limes.calcitic[of] + share * limes.dolomitic[of])
      return succeed(
        { plan: plan.value, dolomiteShare: share, calciumToMagnesium: sum('calcium') / sum('magnesium') },
        ...plan.notes,
      )
    }
    share = next
  }
}
