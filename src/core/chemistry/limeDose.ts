import type { LimingMaterial } from '../data/types'
import { fail, succeed, type Outcome } from '../outcome'
import type { Days, Fraction } from '../units'
import { CHEMISTRY_LIMITS } from './limits'
import { acidityOn } from './acidity'
import type { AcidityInput, AcidityState } from './acidityState'
import { calciteEquilibrium, chargeBalance } from './charge'
import type { AcidDose } from './fertilizerAcid'
import type { BufferedMix, LimeDose } from './lime'
import { solveDose, solveRising } from './solveDose'
import { temperatureCourse } from './temperature'

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
  /** What moved the pH until then, the most first. */
  movers: PHMover[]
  /** By how much the water, less what drained, and the mix's own carbonate moved it, pH units. */
  byWater: number
  byOwn: number
}

/** A lime or dressing by its id, and by how many units of pH it moved the mix. */
export interface PHMover {
  id: string
  by: number
}

/** The limes to use and the share of each by weight. */
export interface LimeChoice {
  lime: LimingMaterial
  share: Fraction
}

/** Which limes, and the pH they are to bring. */
export interface LimeAim {
  choice: readonly LimeChoice[]
  target: number
}

const MOST_GRAMS_PER_LITRE = CHEMISTRY_LIMITS.lime.value

/**
 * pH after a total dose split by the choice; `given` is what else works on it: fertilizers, other limes, temperature.
 * Source: as `acidityCourse`.
 *
 * @example
 * limeAt({ pH: 4, bufferCapacity: 33 }, { choice: [{ lime: LIMES[0], share: 1 }], gramsPerLitre: 5 }).pH // 6.462
 */
export function limeAt(
  mix: BufferedMix,
  { choice, gramsPerLitre }: { choice: readonly LimeChoice[]; gramsPerLitre: number },
  given: AcidityInput = {},
  days = JUDGED_AFTER,
): LimePlan {
  const limes = [...dosesOf(choice, gramsPerLitre), ...(given.limes ?? [])]
  return planOf(mix, { choice, gramsPerLitre }, given, acidityOn(mix, { ...given, limes }, days))
}

/** The plan of a dose, by where it leaves the mix. */
function planOf(
  mix: BufferedMix,
  { choice, gramsPerLitre }: { choice: readonly LimeChoice[]; gramsPerLitre: number },
  given: AcidityInput,
  state: AcidityState,
): LimePlan {
  const doses = dosesOf(choice, gramsPerLitre)
  const limes = [...doses, ...(given.limes ?? [])]
  return {
    doses: gramsPerLitre > 0 ? doses : [],
    gramsPerLitre,
    pH: state.pH,
    residual: state.residual,
    ...moversOf(mix, limes, given.acids ?? [], state),
  }
}

const dosesOf = (choice: readonly LimeChoice[], gramsPerLitre: number): LimeDose[] =>
  choice.filter((c) => c.share > 0).map((c) => ({ lime: c.lime, gramsPerLitre: gramsPerLitre * c.share }))

/** A way of pH too short to divide by: its slope says the same. */
const HARDLY = 0.01

/**
 * By how much each lime and dressing moved the pH: its charge over what one unit of pH has taken on the way from the
 * mix's own to where it stands; the same of water and of the mix's own carbonate. What was laid down again is left out.
 */
function moversOf(
  mix: BufferedMix,
  limes: readonly LimeDose[],
  acids: readonly AcidDose[],
  { pH, byLime, byAcid, fromWater, drained, fromOwn }: AcidityState,
): Pick<LimePlan, 'movers' | 'byWater' | 'byOwn'> {
  const balance = chargeBalance(mix)
  const way = pH - mix.pH
  const perUnit = Math.abs(way) > HARDLY ? balance.at(pH) / way : balance.slope(pH)
  const movers = new Map<string, number>()
  const add = (id: string, charge: number) => movers.set(id, (movers.get(id) ?? 0) + charge / perUnit)
  limes.forEach(({ lime }, i) => add(lime.id, byLime[i]!))
  acids.forEach(({ dressing }, i) => add(dressing.id, -byAcid[i]!))
  return {
    movers: [...movers]
      .map(([id, by]) => ({ id, by }))
      .filter(({ by }) => by !== 0)
      .sort((a, b) => Math.abs(b.by) - Math.abs(a.by)),
    byWater: (fromWater - drained) / perUnit,
    byOwn: fromOwn / perUnit,
  }
}

/**
 * What works on a mix where so much of its water is rain, which brings no alkalinity; what drains stays as it is.
 * Share 0 to 1.
 *
 * @example
 * withRain({ water: [{ from: 0, alkalinity: 0.5, drained: 0.1 }] }, 1).water
 * // [{ from: 0, alkalinity: 0, drained: 0.1 }]
 */
export const withRain = (given: AcidityInput, rain: Fraction): AcidityInput => ({
  ...given,
  water: (given.water ?? []).map((s) => ({ ...s, alkalinity: s.alkalinity * (1 - rain) })),
})

/**
 * Share of rain water, to a hundredth, that keeps a mix at or below a pH on the day of judging; null where not even
 * rain water alone does, 0 where it needs none. Source: `acidityCourse` with `withRain`.
 *
 * @example
 * rainShareFor(
 *   { pH: 5, bufferCapacity: 5 },
 *   { water: [{ from: 0, alkalinity: 0.5, drained: 0 }] },
 *   7,
 * ) // 0.52
 */
export function rainShareFor(
  mix: BufferedMix,
  given: AcidityInput,
  most: number,
  days = JUDGED_AFTER,
): Fraction | null {
  const pHWith = (rain: Fraction) => acidityOn(mix, withRain(given, rain), days).pH
  if (pHWith(0) <= most) return 0
  if (pHWith(1) > most) return null
  return Math.ceil(solveDose((rain) => pHWith(rain) > most, 1) * 100) / 100
}

/**
 * Lime needed for a target pH on a day after mixing: `acidityCourse` turned round, to 0.001 g/L or 0.0001 pH.
 *
 * Target 3.5 to 8, days above 0, shares summing to 1. A mix already at or above the target gets no lime and a note
 * (lime never lowers pH). Where 10 g/L are not enough against the acid of fertilizers, lime is given as if there were
 * none, with a note: that acid is for less ammonium, the water or a later dressing. Where they are not enough even so,
 * it is 10 g/L, with a note.
 * Errors: target out of range, or above the equilibrium of calcite.
 *
 * @example
 * limeForTarget({ pH: 4, bufferCapacity: 33 }, { choice: [{ lime: LIMES[0], share: 1 }], target: 6 }).ok // true
 */
export function limeForTarget(
  mix: BufferedMix,
  { choice, target }: LimeAim,
  given: AcidityInput = {},
  days = JUDGED_AFTER,
): Outcome<LimePlan> {
  const [low, high] = [CHEMISTRY_LIMITS.leastLimeTarget.value, CHEMISTRY_LIMITS.mostLimeTarget.value]
  if (!(target >= low && target <= high)) return fail({ code: 'pH-out-of-range', value: target, low, high })
  const at = (grams: number) =>
    planOf(mix, { choice, gramsPerLitre: grams }, given, states.get(grams) ?? trial(grams))
  const temperature = temperatureCourse(given.temperature ?? 20)
  const states = new Map<number, AcidityState>()
  const trial = (grams: number) => {
    const limes = [...dosesOf(choice, grams), ...(given.limes ?? [])]
    const state = acidityOn(mix, { ...given, limes }, days, temperature)
    states.set(grams, state)
    return state
  }
  const pHAt = (grams: number) => trial(grams).pH
  const none = at(0)
  if (none.pH >= target) return succeed(none, { code: 'target-already-passed', pH: none.pH, target })
  const mostPH = pHAt(MOST_GRAMS_PER_LITRE)
  if (mostPH < target) {
    const most = at(MOST_GRAMS_PER_LITRE)
    const { acids = [], ...rest } = given
    const bare = acids.length > 0 ? limeForTarget(mix, { choice, target }, rest, days) : null
    const limit = MOST_GRAMS_PER_LITRE
    if (bare?.ok && bare.value.gramsPerLitre < limit) {
      const plan = at(bare.value.gramsPerLitre)
      return succeed(plan, { code: 'acid-outlasts-lime', target, pH: plan.pH, limit })
    }
    return target > calciteEquilibrium()
      ? fail({ code: 'target-above-lime-ceiling', target, reachable: most.pH, limit })
      : succeed(most, { code: 'lime-at-its-limit', target, pH: most.pH, limit })
  }
  const plan = at(
    solveRising(pHAt, {
      target,
      most: MOST_GRAMS_PER_LITRE,
      atNought: none.pH,
      atMost: mostPH,
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
