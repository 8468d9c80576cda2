import type { Finding, Severity, Topic } from '@/core/appraisal'
import type { Evaluation } from '@/core/evaluate'
import { verdictsOf, type Judgement, type Verdicts } from '@/core/judgement'
import { appraisalOf } from './appraisal'
import { AT_REST, evaluatePrepared, judgementsOf, prepare, type PreparedMix } from './prepare'
import type { MixQuestion } from './question'

/** What is said first of a mix, as plain data: every screen makes the same sentence of it. */
export interface Verdict {
  /** The gravest finding; null where nothing is worse than a note. */
  first: { topic: Topic; severity: Severity } | null
  /** Figures outside what is wanted. */
  off: number
}

/** What an appraisal and the figures come to. Errors: none. */
export function verdictFrom(findings: readonly Finding[], verdicts: Verdicts): Verdict {
  const [first] = findings
  return {
    first: first && first.severity !== 'note' ? { topic: first.topic, severity: first.severity } : null,
    off: Object.values(verdicts).filter((v) => v === 'low' || v === 'high').length,
  }
}

/** The verdict on a mix that was worked out. What the grower has answered counts for nothing more. */
export function verdictOf(
  prepared: PreparedMix,
  evaluation: Evaluation,
  { judgements, answered }: { judgements?: readonly Judgement[]; answered?: ReadonlySet<string> } = {},
): Verdict {
  const said = judgements ?? judgementsOf(prepared, evaluation)
  return verdictFrom(
    appraisalOf(prepared, evaluation, said, answered),
    verdictsOf(evaluation, prepared.bands, prepared.question.crops[0]?.perennial ?? false),
  )
}

/** A mix asked about, and what the grower has answered. Plain data. */
export interface VerdictRequest {
  question: MixQuestion
  answered: readonly string[]
}

/** The verdicts on several mixes; null for those that cannot be worked out. A generator: yields the share done. */
export function* verdictsOn(requests: readonly VerdictRequest[]): Generator<number, (Verdict | null)[]> {
  const verdicts: (Verdict | null)[] = []
  for (const request of requests) {
    verdicts.push(verdictOn(request))
    yield verdicts.length / requests.length
  }
  return verdicts
}

/** The verdict on what a question asks about; null where it cannot be worked out. */
export function verdictOn({ question, answered }: VerdictRequest): Verdict | null {
  const prepared = prepare(question)
  const evaluation = prepared.ok ? evaluatePrepared(prepared.value, AT_REST) : prepared
  return prepared.ok && evaluation.ok
    ? verdictOf(prepared.value, evaluation.value, { answered: new Set(answered) })
    : null
}
