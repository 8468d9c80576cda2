import type { Dressing } from '../data/types'
import { fail, succeed, type Outcome } from '../outcome'
import type { Days } from '../units'
import { CHEMISTRY_LIMITS } from './limits'
import { acidityOn } from './acidity'
import type { AcidityInput } from './acidityState'
import { acidPerGram } from './fertilizerAcid'
import type { BufferedMix } from './lime'
import { solveDose } from './solveDose'

/** Sulfur is judged after twelve weeks: it has to be eaten by microbes first. */
export const SULFUR_JUDGED_AFTER: Days = CHEMISTRY_LIMITS.sulfurJudged.value

export interface AcidPlan {
  gramsPerLitre: number
  /** pH on the day of judging. */
  pH: number
  /** Where it goes on to: pH once all of this dose has worked. */
  pHInTheEnd: number
}

const MOST_GRAMS_PER_LITRE = CHEMISTRY_LIMITS.acid.value

/**
 * Acidifier needed to bring a mix down to a pH by a day, g per litre: `acidityCourse` turned round by bisection.
 *
 * Target 3 to 7.5; `besides` holds limes, other acids, water and temperature. A mix already at or below the target
 * gets none and a note. Errors: target out of range; a dressing that makes no acid; no dose up to 10 g/L reaches it
 * in time. A note warns of a dose above the dressing's limit (salts, or a plunge of pH later on).
 * Source: as `acidityCourse`.
 *
 * @example
 * acidForTarget({ pH: 6.6, bufferCapacity: 30 }, { dressing: dressingById('sulfur_elemental'), target: 5.5 }).value
 * // { gramsPerLitre: 1.033, pH: 5.5, pHInTheEnd: 4.684 }
 */
export function acidForTarget(
  mix: BufferedMix,
  { dressing, target }: { dressing: Dressing; target: number },
  days: Days = SULFUR_JUDGED_AFTER,
  besides: AcidityInput = {},
): Outcome<AcidPlan> {
  const [low, high] = [CHEMISTRY_LIMITS.leastAcidTarget.value, CHEMISTRY_LIMITS.mostAcidTarget.value]
  if (!(target >= low && target <= high)) return fail({ code: 'pH-out-of-range', value: target, low, high })
  if (!(acidPerGram(dressing) > 0)) return fail({ code: 'no-dressing-for-target', wanted: 'acid' })
  const at = (gramsPerLitre: number, day: Days) =>
    acidityOn(mix, { ...besides, acids: [...(besides.acids ?? []), { dressing, gramsPerLitre }] }, day).pH
  const plan = (grams: number): AcidPlan => ({
    gramsPerLitre: grams,
    pH: at(grams, days),
    pHInTheEnd: Math.min(at(grams, days), at(grams, days + 365)),
  })
  const untouched = at(0, days)
  if (untouched <= target) return succeed(plan(0), { code: 'no-acid-needed', pH: untouched, target })
  const least = at(MOST_GRAMS_PER_LITRE, days)
  if (least > target) return fail({ code: 'target-out-of-reach', quantity: 'pH', target, reachable: least })
  const found = plan(solveDose((grams) => at(grams, days) > target, MOST_GRAMS_PER_LITRE))
  const { limit } = dressing.dose
  return succeed(
    found,
    found.gramsPerLitre > limit
      ? { code: 'dose-above-usual-limit', gramsPerLitre: found.gramsPerLitre, limit }
      : null,
  )
}
