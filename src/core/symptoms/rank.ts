import { CAUSES, type CauseId } from './causes'
import type { Evidence } from './evidence'
import type { BedFacts } from './facts'
import { evidenceOf } from './judge'
import { SIGNS, type SignId } from './signs'
import type { Symptom } from './symptoms'

/** Likelihood of a cause by its rank in the table, before anything of the bed is known. Source: our assumption. */
const BY_RANK = [1, 0.7, 0.5, 0.36, 0.26, 0.2] as const

/** A cause of what is seen, with what speaks for and against it. */
export interface RankedCause {
  cause: CauseId
  /** Share of the causes together, 0 to 1. */
  share: number
  evidence: Evidence[]
}

/**
 * What may be behind a symptom in this very bed, the likeliest first: the table's rank, times what the bed's own
 * numbers and log say for or against each. The shares are for ordering; they are no probabilities.
 * Errors: none. Source: our assumption, in the manner of naive Bayes.
 */
export function rankCauses(symptom: Symptom, facts: BedFacts): RankedCause[] {
  const scored = symptom.causes.map((cause, i) => {
    const signs: readonly SignId[] = CAUSES[cause]
    const evidence = signs.flatMap((id) => evidenceOf(SIGNS[id], facts) ?? [])
    const score = evidence.reduce<number>((s, e) => s * e.factor, BY_RANK[Math.min(i, BY_RANK.length - 1)]!)
    return { cause, evidence, score }
  })
  const all = scored.reduce((s, c) => s + c.score, 0)
  return scored
    .sort((a, b) => b.score - a.score)
    .map(({ cause, evidence, score }) => ({ cause, evidence, share: score / all }))
}
