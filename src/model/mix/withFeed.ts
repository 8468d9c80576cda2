import { leavesGraver, type Finding } from '@/core/appraisal'
import type { Evaluation } from '@/core/evaluate'
import type { Judgement } from '@/core/judgement'
import { appraisalOf } from './appraisal'
import { doseOffers } from './doses'
import { AT_REST, evaluatePrepared, judgementsOf, prepare, type PreparedMix } from './prepare'
import type { MixQuestion } from './question'

/** A mix with the feed that goes into it, appraised. */
export interface FedMix {
  prepared: PreparedMix
  evaluation: Evaluation
  judgements: Judgement[]
  findings: Finding[]
  /** What was added, g per litre. */
  feeds: { dressingId: string; gramsPerLitre: number }[]
}

function appraised(question: MixQuestion): Omit<FedMix, 'feeds'> | null {
  const prepared = prepare(question)
  const evaluation = prepared.ok && evaluatePrepared(prepared.value, AT_REST)
  if (!prepared.ok || !evaluation || !evaluation.ok) return null
  const judgements = judgementsOf(prepared.value, evaluation.value)
  const findings = appraisalOf(prepared.value, evaluation.value, judgements)
  return { prepared: prepared.value, evaluation: evaluation.value, judgements, findings }
}

/**
 * A mix with what feeds its season, so that no recipe is offered hungry: the first feed that would be offered beside
 * its dressings, unless it leaves something graver than there was. Null where the mix cannot be worked out.
 */
export function withFeed(question: MixQuestion): FedMix | null {
  const bare = appraised(question)
  if (!bare) return null
  for (const { line, why } of doseOffers(bare.prepared, bare.evaluation)) {
    if (why.code !== 'feed') continue
    const { recipe } = question
    const fed = appraised({ ...question, recipe: { ...recipe, dressings: [...recipe.dressings, line] } })
    if (fed && !leavesGraver(bare.findings, fed.findings)) {
      const { dressingId, gramsPerLitre } = line
      return { ...fed, feeds: [{ dressingId, gramsPerLitre }] }
    }
  }
  return { ...bare, feeds: [] }
}
