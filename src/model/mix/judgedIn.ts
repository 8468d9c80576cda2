import type { Tables } from '@/core/data'
import type { Evaluation } from '@/core/evaluate'
import { verdictsOf, type Verdicts } from '@/core/judgement'
import type { Job, Place } from '../garden/schemas'
import { prepareJob } from './evaluateJob'
import { evaluatePrepared } from './prepare'

/** How a job's mix stands in one of its beds, for what grows there. */
export interface InThatBed {
  evaluation: Evaluation
  verdicts: Verdicts
}

/** Null where it cannot be worked out. */
export function judgedIn(
  job: Job,
  fillId: string,
  place: Place | undefined,
  tables: Tables,
): InThatBed | null {
  const prepared = prepareJob({ ...job, judgedIn: fillId }, place, tables)
  const answer = prepared.ok ? evaluatePrepared(prepared.value) : prepared
  if (!prepared.ok || !answer.ok) return null
  const perennial = prepared.value.question.crops[0]?.perennial ?? false
  return { evaluation: answer.value, verdicts: verdictsOf(answer.value, prepared.value.bands, perennial) }
}
