import {
  distinctKinds,
  FINDER_LIMITS,
  inOrder,
  keyOf,
  rankFound,
  search,
  type Candidate,
  type FinderProblem,
  type FinderProgress,
  type FinderResult,
  type Found,
  type Look,
} from '@/core/finder'
import { succeed, type Outcome } from '@/core/outcome'
import { CHANCE_DRAWS, rangesAtOnce } from '@/core/ranges'
import { waterJudged } from '@/core/targets'
import { withFeed } from '../mix/withFeed'
import { doseCost, type DosePrices } from '../mix/doseCost'
import type { MixQuestion } from '../mix/question'

export interface FindRequest {
  problem: FinderProblem
  /**
   * The bed, crop, place and care the recipes are for; lime and dressings as they would be given; its parts do not
   * count.
   */
  question: MixQuestion
  /** For the cost of lime and dressings; none has a price where left out. */
  prices?: DosePrices
}

export interface FoundMixes extends Pick<FinderResult, 'tried' | 'complete' | 'allowed'> {
  /** Everything found, in the order to be shown. */
  found: Found[]
  /** The best fit, for telling what is out of reach; null where nothing was found. */
  best: Candidate | null
}

/**
 * How the bench would show a recipe: its warnings and alarms, its figures with lime, and the chance that every band is
 * met. Null where it cannot be worked out.
 */
export function lookAt(
  question: MixQuestion,
  { parts }: Pick<Candidate, 'parts'>,
  prices: DosePrices = {},
): Look | null {
  const bare = { ...question, recipe: { ...question.recipe, lines: parts, mixes: [] } }
  const fed = withFeed(bare)
  if (!fed) return null
  const { prepared, evaluation: e, judgements, findings, feeds } = fed
  const { bands, input, lime } = prepared
  const drawn = rangesAtOnce({
    input,
    bands,
    learning: question.tables.learning,
    draws: CHANCE_DRAWS,
    years: [],
  })
  if (!drawn.ok) return null
  return {
    concerns: judgements.filter((j) => j.level !== 'note'),
    chance: drawn.value.chance ?? 0,
    pH: e.lime.pH,
    limeGramsPerLitre: lime.own.gramsPerLitre,
    dosesPerLitre: doseCost(prepared, prices).perLitre,
    feeds,
    grave: findings.filter((f) => f.severity === 'grave').length,
    air: e.mix.airFilledPorosity,
    water: waterJudged(e.mix, bands),
  }
}

/** A mix is more than one material with a pinch of another: no more of one than this. Source: common practice. */
const MOST_OF_ONE = 0.8
const isMixed = ({ parts }: Candidate): boolean => {
  const all = parts.reduce((sum, p) => sum + p.parts, 0)
  return parts.every((p) => p.parts <= MOST_OF_ONE * all)
}

/** Recipes looked at where the search was cut short. Source: our assumption: three are offered, of more than one kind. */
const FEW = 8

/**
 * Searches, then looks at the best as the bench would and sets everything in order. A generator: yields the search's
 * progress for telling and cancelling between. `enough` ends the search with what it has. Errors: those of `search`.
 */
export function* findMixes(
  { problem, question, prices }: FindRequest,
  enough?: () => boolean,
): Generator<FinderProgress, Outcome<FoundMixes>> {
  const result = yield* search(problem, enough)
  if (!result.ok) return result
  const { families, front, tried, complete, allowed } = result.value
  const onFront = new Set(front.map(keyOf))
  const found: Found[] = []
  const ordered = inOrder(result.value, question.tables)
  const mixed = ordered.filter(isMixed)
  for (const [i, candidate] of distinctKinds(mixed.length > 0 ? mixed : ordered, question.tables).entries()) {
    // Who is in a hurry gets the first few looked at.
    const looked = i < (enough?.() ? FEW : FINDER_LIMITS.judged.value)
    found.push({
      candidate,
      onFront: onFront.has(keyOf(candidate)),
      look: looked ? lookAt(question, candidate, prices) : null,
    })
    if (looked) yield { tried, total: tried, best: families[0] ?? null }
  }
  return succeed(
    { found: rankFound(found), best: families[0] ?? null, tried, complete, allowed },
    ...result.notes,
  )
}
