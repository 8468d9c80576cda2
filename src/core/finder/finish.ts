import { limeForTargetAndRatio, type BalancedLime, type Temperature } from '../chemistry'
import type { Dressing, LimingMaterial } from '../data/types'
import { blend, type BlendPart } from '../mixing'
import { dosesForCharge, IMMEDIATE, supplyOfParts, type FeedPlan, type FeedTarget } from '../nutrients'
import { succeed, type Note, type Outcome } from '../outcome'

export interface FinishWishes {
  /** pH wanted six weeks after mixing; null for no lime. */
  pH: number | null
  limes: { calcitic: LimingMaterial; dolomitic: LimingMaterial }
  /** Ca : Mg by weight. */
  calciumToMagnesium?: number
  /** Charge wanted, mg/L. */
  feed?: readonly FeedTarget[]
  /** Whether what the parts themselves give at once counts towards it; true where left out. */
  countParts?: boolean
  dressings?: readonly Dressing[]
  temperature?: Temperature
}

export interface Finished {
  lime: BalancedLime | null
  feed: FeedPlan | null
}

/**
 * Lime and feed for a recipe: feed first, for its acid has to be limed away too.
 * g per litre of blend. Errors: those of `blend`, `dosesForCharge` and `limeForTargetAndRatio`. Notes of all three.
 */
export function finish(parts: readonly BlendPart[], wishes: FinishWishes): Outcome<Finished> {
  const mixed = blend(parts)
  if (!mixed.ok) return mixed
  const temperature = wishes.temperature ?? 20
  const notes: Note[] = [...mixed.notes]
  const has = supplyOfParts(mixed.value, temperature)(IMMEDIATE).charge
  const counted = wishes.countParts ?? true
  const wanted = (wishes.feed ?? []).map((t) => ({
    ...t,
    mgPerLitre: counted && t.mgPerLitre >= 0 ? Math.max(0, t.mgPerLitre - has[t.element]) : t.mgPerLitre,
  }))
  let feed: FeedPlan | null = null
  // Nothing left to give is no fault; nothing asked for, or less than nothing, is reported by the solver.
  if (wanted.length > 0 && !(counted && wanted.every((t) => t.mgPerLitre === 0))) {
    const plan = dosesForCharge(wanted, wishes.dressings ?? [])
    if (!plan.ok) return plan
    feed = plan.value
    notes.push(...plan.notes)
  }
  let lime: BalancedLime | null = null
  if (wishes.pH !== null) {
    const given = (of: 'calcium' | 'magnesium') =>
      has[of] +
      (feed?.doses.reduce((s, d) => s + d.gramsPerLitre * 1000 * (d.dressing.analysis[of]?.value ?? 0), 0) ??
        0)
    const plan = limeForTargetAndRatio(mixed.value, wishes.limes, wishes.pH, {
      ratio: wishes.calciumToMagnesium,
      already: { calcium: given('calcium'), magnesium: given('magnesium') },
      given: { temperature, acids: feed?.doses ?? [] },
    })
    if (!plan.ok) return plan
    lime = plan.value
    notes.push(...plan.notes)
  }
  return succeed({ lime, feed }, ...notes)
}
