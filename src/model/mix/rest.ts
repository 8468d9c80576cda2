import { verdictsOf, type Judgement, type Verdicts } from '@/core/judgement'
import { succeed, type Outcome } from '@/core/outcome'
import type { SeasonState } from '@/core/structure'
import type { Fraction } from '@/core/units'
import { AT_REST, evaluatePrepared, judgementsOf, prepare } from './prepare'
import type { MixQuestion } from './question'
import { verdictOf, type Verdict } from './verdict'

/** A mix asked about while the hand rests: in the bed it is judged in, and in the other beds of its job. Plain data. */
export interface RestRequest {
  question: MixQuestion
  /** Warnings the grower has answered. */
  answered: readonly string[]
  /** The same mix in each of the other beds, by their ids. */
  others: readonly { id: string; question: MixQuestion }[]
}

/** How a mix does in one bed, for what grows there. */
export interface InThatBed {
  airFilledPorosity: Fraction
  verdicts: Verdicts
}

/** What can wait until the hand rests: warnings, the verdict, later years, and how it does in the other beds. */
export interface RestAnswer {
  judgements: Judgement[]
  verdict: Verdict
  seasons: SeasonState[]
  /** By the id of the bed; nothing of a bed it cannot be worked out in. */
  beds: Record<string, InThatBed>
}

/** How the mix of a question does in its bed; null where it cannot be worked out. */
export function inThatBed(question: MixQuestion): InThatBed | null {
  const prepared = prepare(question)
  const answer = prepared.ok ? evaluatePrepared(prepared.value) : prepared
  if (!prepared.ok || !answer.ok) return null
  const perennial = question.crops[0]?.perennial ?? false
  return {
    airFilledPorosity: answer.value.mix.airFilledPorosity,
    verdicts: verdictsOf(answer.value, prepared.value.bands, perennial),
  }
}

/**
 * Works out what can wait until the hand rests. A generator: yields the share done. Errors: those of `prepare` and
 * `evaluatePrepared`.
 */
export function* atRest({ question, answered, others }: RestRequest): Generator<number, Outcome<RestAnswer>> {
  const prepared = prepare(question)
  if (!prepared.ok) return prepared
  const evaluation = evaluatePrepared(prepared.value, AT_REST)
  if (!evaluation.ok) return evaluation
  const judgements = judgementsOf(prepared.value, evaluation.value)
  const verdict = verdictOf(prepared.value, evaluation.value, { judgements, answered: new Set(answered) })
  const beds: RestAnswer['beds'] = {}
  for (const [i, { id, question: there }] of others.entries()) {
    yield (i + 1) / (others.length + 1)
    const found = inThatBed(there)
    if (found) beds[id] = found
  }
  return succeed({ judgements, verdict, seasons: evaluation.value.seasons, beds })
}
