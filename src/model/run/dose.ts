import { acidForTarget, limeForTargetAndRatio } from '../../core/chemistry'
import type { Dressing } from '../../core/data'
import { blend } from '../../core/mixing'
import {
  chargeOfLabel,
  dosesForCharge,
  IMMEDIATE,
  supplyOfParts,
  type FeedTarget,
} from '../../core/nutrients'
import { succeed, type Note, type Outcome } from '../../core/outcome'
import type { CaseOf } from '../cases'
import { Lookup } from './lookup'

/** Feed, then lime with the feed's acid counted, then acidifier: whichever the case asks for. g per litre of blend. */
export function runDose(c: CaseOf<'dose'>): Outcome<object> {
  const lookup = Lookup.of(c)
  if (!lookup.ok) return lookup
  const flat = lookup.value.flat(c.mix)
  if (!flat.ok) return flat
  const mixed = blend(flat.value.parts)
  if (!mixed.ok) return mixed
  const notes: Note[] = []
  const has = supplyOfParts(mixed.value, c.temperature)(IMMEDIATE).charge
  const answer: Record<string, unknown> = {
    pHBefore: mixed.value.pH,
    bufferCapacity: mixed.value.bufferCapacity,
  }
  let fed: { dressing: Dressing; gramsPerLitre: number }[] = []
  if (c.feed) {
    const dressings: Dressing[] = []
    for (const id of c.feed.dressings) {
      const found = lookup.value.dressing(id)
      if (!found.ok) return found
      dressings.push(found.value)
    }
    const label = c.feed.likeLabel
    const asked: FeedTarget[] = label
      ? Object.entries(chargeOfLabel(label, label.gramsPerLitre)).map(([element, mgPerLitre]) => ({
          element: element as FeedTarget['element'],
          mgPerLitre,
        }))
      : (c.feed.targets ?? [])
    // A label is copied as it is; a target charge is for the mix in all.
    const counts = !label && c.feed.countParts
    const targets = asked.map((t) => ({
      ...t,
      mgPerLitre: counts && t.mgPerLitre >= 0 ? Math.max(0, t.mgPerLitre - has[t.element]) : t.mgPerLitre,
    }))
    const plan = dosesForCharge(targets, dressings)
    if (!plan.ok) return plan
    fed = plan.value.doses
    notes.push(...plan.notes)
    answer.feed = {
      doses: plan.value.doses.map(({ dressing, ...d }) => ({ dressing: dressing.id, ...d })),
      wanted: targets,
      reached: plan.value.reached,
      largestMiss: plan.value.largestMiss,
    }
  }
  if (c.lime) {
    const limes = lookup.value.limes(c.lime)
    if (!limes.ok) return limes
    const { targetPH, calciumToMagnesium } = c.lime
    const plan = limeForTargetAndRatio(
      mixed.value,
      limes.value,
      targetPH,
      calciumToMagnesium,
      { calcium: has.calcium, magnesium: has.magnesium },
      undefined,
      c.temperature,
      fed,
    )
    if (!plan.ok) return plan
    notes.push(...plan.notes)
    answer.lime = {
      gramsPerLitre: plan.value.plan.gramsPerLitre,
      doses: plan.value.plan.doses.map((d) => ({ lime: d.lime.id, gramsPerLitre: d.gramsPerLitre })),
      dolomiteShare: plan.value.dolomiteShare,
      calciumToMagnesium: plan.value.calciumToMagnesium,
      pH: plan.value.plan.pH,
      residual: plan.value.plan.residual,
    }
  }
  if (c.acid) {
    const dressing = lookup.value.dressing(c.acid.dressing)
    if (!dressing.ok) return dressing
    const plan = acidForTarget(mixed.value, dressing.value, c.acid.targetPH, c.acid.days, {
      acids: fed,
      temperature: c.temperature,
    })
    if (!plan.ok) return plan
    notes.push(...plan.notes)
    answer.acid = { dressing: dressing.value.id, ...plan.value }
  }
  return succeed(answer, ...notes)
}
