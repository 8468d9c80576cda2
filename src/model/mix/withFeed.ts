import { burdenOf, type Finding } from '@/core/appraisal'
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

/** A mix worked out and appraised whole; null where it cannot be. */
export function appraised(question: MixQuestion): Unfed | null {
  const prepared = prepare(question)
  const evaluation = prepared.ok && evaluatePrepared(prepared.value, AT_REST)
  if (!prepared.ok || !evaluation || !evaluation.ok) return null
  const judgements = judgementsOf(prepared.value, evaluation.value)
  const findings = appraisalOf(prepared.value, evaluation.value, judgements)
  return { prepared: prepared.value, evaluation: evaluation.value, judgements, findings }
}

/** Feeds mixed into one recipe: more of them nobody weighs out. Source: common practice. */
const MOST_FEEDS = 3

/**
 * A mix with what feeds its season, so that no recipe is offered hungry: of what runs short first the dose that leaves
 * least to be said, never more than there was, then the next, until it is fed. Null where the mix cannot be worked out.
 */
export function withFeed(question: MixQuestion): FedMix | null {
  let now = appraised(question)
  if (!now) return null
  const feeds: FedMix['feeds'] = []
  while (feeds.length < MOST_FEEDS) {
    const next = nextFeed(now)
    if (!next) break
    now = next.mix
    feeds.push(next.feed)
  }
  return { ...now, feeds }
}

export type Unfed = Omit<FedMix, 'feeds'>

/** The next feed of those there are: what it leaves weighs least, then what feeds most. Null where none helps. */
function nextFeed(now: Unfed) {
  const { question } = now.prepared
  const { recipe } = question
  const fed = doseOffers(now.prepared, now.evaluation).flatMap(({ line, why }) => {
    if (why.code !== 'feed') return []
    const mix = appraised({ ...question, recipe: { ...recipe, dressings: [...recipe.dressings, line] } })
    const { dressingId, gramsPerLitre } = line
    return mix && isFedBetter(now, mix) && burdenOf(mix.findings) <= burdenOf(now.findings)
      ? [{ mix, feed: { dressingId, gramsPerLitre } }]
      : []
  })
  fed.sort((a, b) => burdenOf(a.mix.findings) - burdenOf(b.mix.findings) || fedOf(b.mix) - fedOf(a.mix))
  return fed[0] ?? null
}

/** Share of a season's food that a second feed has to add. Source: our assumption: less nobody would weigh out. */
export const WORTH = 0.02
const fedOf = ({ evaluation }: Unfed) => evaluation.growing?.feeding.fed ?? 0
const isFedBetter = (now: Unfed, next: Unfed) => fedOf(next) > fedOf(now) + WORTH
