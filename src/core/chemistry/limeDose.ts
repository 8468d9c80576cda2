import type { LimingMaterial } from '../data/types'
import { fail, succeed, type Outcome } from '../outcome'
import type { Days, Fraction } from '../units'
import { AMOUNT_LIMITS } from '../amounts'
import { CHEMISTRY_LIMITS } from './limits'
import { acidityOn, type AcidDose } from './acidity'
import type { BufferedMix, LimeDose } from './lime'
import { solveRising } from './solveDose'

/** When growers look again: pH is judged six weeks after mixing. */
export const JUDGED_AFTER: Days = CHEMISTRY_LIMITS.limeJudged.value

export interface LimePlan {
  /** One entry for each lime with a dose, g per litre of blended mix. */
  doses: LimeDose[]
  /** All limes together, g per litre of blended mix. */
  gramsPerLitre: number
  /** pH on the day of judging. */
  pH: number
  /** Undissolved alkalinity then, mmol of charge per litre. */
  residual: number
}

/** The limes to use and the share of each by weight. */
export interface LimeChoice {
  lime: LimingMaterial
  share: Fraction
}

/** The most a search gives; the same that is believed when it is typed. */
const MOST_GRAMS_PER_LITRE = AMOUNT_LIMITS.lime.value

/**
 * pH after a total dose split by the choice; `besides` are fertilizers and acids given with it.
 * Source: as `acidityCourse`.
 *
 * @example
 * limeAt({ pH: 4, bufferCapacity: 33 }, [{ lime: LIMES[0], share: 1 }], 5).pH // 5.888
 */
export function limeAt(
  mix: BufferedMix,
  choice: readonly LimeChoice[],
  gramsPerLitre: number,
  days = JUDGED_AFTER,
  temperature = 20,
  besides: readonly AcidDose[] = [],
): LimePlan {
  const doses = choice
    .filter((c) => c.share > 0)
    .map((c) => ({ lime: c.lime, gramsPerLitre: gramsPerLitre * c.share }))
  const state = acidityOn(mix, { limes: doses, acids: besides, temperature }, days)
  return { doses: gramsPerLitre > 0 ? doses : [], gramsPerLitre, pH: state.pH, residual: state.residual }
}

/**
 * Lime needed for a target pH on a day after mixing: `acidityCourse` turned round, to 0.001 g/L or 0.0001 pH.
 *
 * Target 3.5 to 8, days above 0, shares summing to 1. A mix already at or above the target gets no lime and a note
 * (lime never lowers pH). Errors: target out of range; no dose up to 25 g/L reaches it.
 *
 * @example
 * limeForTarget({ pH: 4, bufferCapacity: 33 }, [{ lime: LIMES[0], share: 1 }], 6).ok // true
 */
export function limeForTarget(
  mix: BufferedMix,
  choice: readonly LimeChoice[],
  target: number,
  days = JUDGED_AFTER,
  temperature = 20,
  besides: readonly AcidDose[] = [],
): Outcome<LimePlan> {
  const [low, high] = [CHEMISTRY_LIMITS.leastLimeTarget.value, CHEMISTRY_LIMITS.mostLimeTarget.value]
  if (!(target >= low && target <= high)) return fail({ code: 'pH-out-of-range', value: target, low, high })
  const at = (grams: number) => limeAt(mix, choice, grams, days, temperature, besides)
  const none = at(0)
  if (none.pH >= target) return succeed(none, { code: 'target-already-passed', pH: none.pH, target })
  const most = at(MOST_GRAMS_PER_LITRE)
  if (most.pH < target)
    return fail({
      code: 'target-above-lime-ceiling',
      target,
      reachable: most.pH,
      limit: MOST_GRAMS_PER_LITRE,
    })
  const plan = at(
    solveRising((grams) => at(grams).pH, {
      target,
      most: MOST_GRAMS_PER_LITRE,
      atNought: none.pH,
      atMost: most.pH,
      near: 1e-4,
    }),
  )
  const limit = Math.min(...choice.filter((c) => c.share > 0).map((c) => c.lime.usualLimit))
  return succeed(
    plan,
    plan.gramsPerLitre > limit
      ? { code: 'dose-above-usual-limit', gramsPerLitre: plan.gramsPerLitre, limit }
      : null,
  )
}
