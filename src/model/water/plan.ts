import { leavesGraver } from '@/core/appraisal'
import type { MixInContainer } from '@/core/evaluate'
import { evaluate } from '@/core/evaluate'
import type { Outcome } from '@/core/outcome'
import { wateringPlan, type PlanRequest, type WateringPlan } from '@/core/watering'
import { appraisalOf } from '../mix/appraisal'
import { AT_REST, judgementsOf, prepare, type PreparedMix } from '../mix/prepare'
import type { MixQuestion } from '../mix/question'

/** A plan asked for, with the question its mix is of and the warnings its grower has answered. */
export interface JudgedPlanRequest extends PlanRequest {
  question: MixQuestion
  answered: readonly string[]
}

/** What is said of a mix put in the place of that of the question; null where it cannot be worked out. */
function findingsOf(prepared: PreparedMix, input: MixInContainer, answered: ReadonlySet<string>) {
  const there = { ...prepared, input }
  const evaluation = evaluate(input, AT_REST)
  return evaluation.ok
    ? appraisalOf(there, evaluation.value, judgementsOf(there, evaluation.value), answered)
    : null
}

/**
 * A watering plan whose changes are carried out in a copy and appraised whole: none is offered that leaves anything
 * graver than there is. A generator: yields the share done. Errors: those of `prepare` and `wateringPlan`.
 */
export function* judgedPlan({
  question,
  answered,
  ...request
}: JudgedPlanRequest): Generator<number, Outcome<WateringPlan>> {
  const prepared = prepare(question)
  if (!prepared.ok) return prepared
  const keys = new Set(answered)
  const now = findingsOf(prepared.value, request.input, keys) ?? []
  return yield* wateringPlan(request, (changed) => {
    const then = findingsOf(prepared.value, changed, keys)
    return then !== null && !leavesGraver(now, then)
  })
}
