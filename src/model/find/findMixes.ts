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
import { AT_REST, evaluatePrepared, judgementsOf, prepare } from '../mix/prepare'
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
  const prepared = prepare({ ...question, recipe: { ...question.recipe, lines: parts, mixes: [] } })
  if (!prepared.ok) return null
  const { bands, input, lime } = prepared.value
  const evaluation = evaluatePrepared(prepared.value, AT_REST)
  const drawn = rangesAtOnce({
    input,
    bands,
    learning: question.tables.learning,
    draws: CHANCE_DRAWS,
    years: [],
  })
  if (!evaluation.ok || !drawn.ok) return null
  const e = evaluation.value
  return {
    concerns: judgementsOf(prepared.value, e).filter((j) => j.level !== 'note'),
    chance: drawn.value.chance ?? 0,
    pH: e.lime.pH,
    limeGramsPerLitre: lime.own.gramsPerLitre,
    dosesPerLitre: doseCost(prepared.value, prices).perLitre,
    air: e.mix.airFilledPorosity,
    water: waterJudged(e.mix, bands),
  }
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
  for (const [i, candidate] of distinctKinds(
    inOrder(result.value, question.tables),
    question.tables,
  ).entries()) {
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
