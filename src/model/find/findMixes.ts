import {
  bestOfEachFirst,
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
import { verdictsOf } from '@/core/judgement'
import { succeed, type Outcome } from '@/core/outcome'
import { CHANCE_DRAWS, rangesAtOnce } from '@/core/ranges'
import { waterJudged } from '@/core/targets'
import { isLimedByBag } from '../mix/bags'
import { withFeed } from '../mix/withFeed'
import { doseCost, type DosePrices } from '../mix/doseCost'
import type { PreparedMix } from '../mix/prepare'
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
  /** Recipes looked at, the best first; `FINDER_LIMITS.judged` where left out. */
  looks?: number
  /** Of those looked at, so many of the best get their chance; all where left out. */
  chances?: number
}

export interface FoundMixes extends Pick<FinderResult, 'tried' | 'complete' | 'allowed'> {
  /** Everything found, in the order to be shown. */
  found: Found[]
  /** The best fit, for telling what is out of reach; null where nothing was found. */
  best: Candidate | null
}

/** A recipe looked at, with the mix it came to. */
interface LookedAt {
  look: Look
  prepared: PreparedMix
}

function lookedAt(
  question: MixQuestion,
  { parts }: Pick<Candidate, 'parts'>,
  prices: DosePrices,
): LookedAt | null {
  const { recipe, situation } = question
  const limed = isLimedByBag(parts, situation.bagLimed)
    ? { ...recipe.lime, aim: { kind: 'none' } as const }
    : recipe.lime
  const fed = withFeed({ ...question, recipe: { ...recipe, lime: limed, lines: parts, mixes: [] } })
  if (!fed) return null
  const { prepared, evaluation: e, findings, feeds } = fed
  const { bands, lime } = prepared
  const look = {
    chance: null,
    pH: e.lime.pH,
    limeGramsPerLitre: lime.own.gramsPerLitre,
    dosesPerLitre: doseCost(prepared, prices).perLitre,
    feeds,
    findings,
    verdicts: verdictsOf(e, bands, question.crops[0]?.perennial ?? false),
    air: e.mix.airFilledPorosity,
    water: waterJudged(e.mix, bands),
  }
  return { look, prepared }
}

/** Share of drawn lots in which every band is met; null where that cannot be worked out. */
function chanceOf({ question, input, bands }: PreparedMix): number | null {
  const { learning } = question.tables
  const drawn = rangesAtOnce({ input, bands, learning, draws: CHANCE_DRAWS, years: [] })
  return drawn.ok ? (drawn.value.chance ?? 0) : null
}

/**
 * How the bench would show a recipe with its feed: what the appraisal says, its figures with lime, and the chance that
 * every band is met. Null where it cannot be worked out.
 */
export function lookAt(
  question: MixQuestion,
  candidate: Pick<Candidate, 'parts'>,
  prices: DosePrices = {},
): Look | null {
  const looked = lookedAt(question, candidate, prices)
  return looked && { ...looked.look, chance: chanceOf(looked.prepared) }
}

/** A mix is more than one material with a pinch of another: no more of one than this. Source: common practice. */
const MOST_OF_ONE = 0.8
const isMixed = ({ parts }: Candidate): boolean => {
  const all = parts.reduce((sum, p) => sum + p.parts, 0)
  return parts.every((p) => p.parts <= MOST_OF_ONE * all)
}

/**
 * Recipes looked at where the search was cut short. Source: our assumption: three are offered, of more than one kind.
 */
const FEW = 8

/** How far it is, with the best of what is judged already, in order, once there are a few. */
export type FindProgress = FinderProgress & { found?: Found[] }

/** The list is passed on with every so many that are judged: a few times a second. */
const EVERY = 4
const soFar = (found: readonly Found[], done: number): Pick<FindProgress, 'found'> =>
  done >= FEW && done % EVERY === 0 ? { found: rankFound(found.filter((f) => f.look)) } : {}

/**
 * Searches, then looks at the best as the bench would and sets everything in order. A generator: yields the search's
 * progress for telling and cancelling between. `enough` ends the search with what it has. Errors: those of `search`.
 */
export function* findMixes(
  { problem, question, prices, looks, chances }: FindRequest,
  enough?: () => boolean,
): Generator<FindProgress, Outcome<FoundMixes>> {
  const result = yield* search(problem, enough)
  if (!result.ok) return result
  const { families, front, tried, complete, allowed } = result.value
  const best = families[0] ?? null
  const onFront = new Set(front.map(keyOf))
  const found: Found[] = []
  const mixes = new Map<Look, PreparedMix>()
  const ordered = inOrder(result.value, question.tables)
  const mixed = ordered.filter(isMixed)
  const kinds = distinctKinds(mixed.length > 0 ? mixed : ordered, question.tables)
  const toLook = Math.min(kinds.length, enough?.() ? FEW : (looks ?? FINDER_LIMITS.judged.value))
  const of = toLook + Math.min(toLook, chances ?? toLook)
  let done = 0
  for (const [i, candidate] of bestOfEachFirst(kinds, problem.frames ?? [], question.tables).entries()) {
    // Who is in a hurry gets the first few looked at.
    const isLooked = i < (enough?.() ? FEW : (looks ?? FINDER_LIMITS.judged.value))
    const looked = isLooked ? lookedAt(question, candidate, prices ?? {}) : null
    if (looked) mixes.set(looked.look, looked.prepared)
    found.push({ candidate, onFront: onFront.has(keyOf(candidate)), look: looked?.look ?? null })
    if (isLooked) yield { tried, total: tried, best, judged: { done: ++done, of }, ...soFar(found, done) }
  }
  for (const one of rankFound(found).slice(0, chances)) {
    if (!one.look) continue
    one.look.chance = chanceOf(mixes.get(one.look)!)
    yield { tried, total: tried, best, judged: { done: ++done, of }, ...soFar(found, done) }
  }
  return succeed({ found: rankFound(found), best, tried, complete, allowed }, ...result.notes)
}
