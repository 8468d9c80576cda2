import { appraise, type Finding } from '@/core/appraisal'
import type { Evaluation } from '@/core/evaluate'
import { judgementKey, type Judgement } from '@/core/judgement'
import { judgementQuestion, type PreparedMix } from './prepare'

/**
 * All there is to say of a prepared mix, the gravest first. Judgements whose keys the grower has answered count for
 * nothing more. Errors: none.
 */
export const appraisalOf = (
  prepared: PreparedMix,
  evaluation: Evaluation,
  judgements: readonly Judgement[],
  answered: ReadonlySet<string> = new Set(),
): Finding[] =>
  appraise({
    evaluation,
    judged: judgementQuestion(prepared, evaluation),
    judgements: judgements.filter((j) => !answered.has(judgementKey(j))),
    bands: prepared.bands,
    bottomLayers: prepared.input.bottomLayers ?? [],
    waterEc: prepared.question.place?.waterConductivity ?? 0,
    situation: prepared.question.situation,
  })
