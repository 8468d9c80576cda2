import { toEnd } from '@/core/toEnd'
import type { Evaluation } from '@/core/evaluate'
import {
  singleChanges,
  worthALook,
  type Candidate,
  type FinderProblem,
  type MixPart,
  type Move,
  type QuickFigures,
  type RankedMove,
} from '@/core/finder'
import { bringsFault, judgementKey, standingOf, type Judgement, type Standing } from '@/core/judgement'
import { succeed, type Outcome } from '@/core/outcome'
import { waterJudged } from '@/core/targets'
import type { Garden } from '../garden/garden'
import type { DressingLine, Job, LimeSetting, Recipe } from '../garden/schemas'
import { priceOfMix } from '../mix/cost'
import { doseCost, dosePrices, type DosePrices } from '../mix/doseCost'
import { doseOffers } from '../mix/doses'
import { looseOfMix } from '../mix/innerMix'
import { AT_REST, evaluatePrepared, judgementsOf, prepare, type PreparedMix } from '../mix/prepare'
import { recipeQuestion } from '../mix/questionOfJob'
import type { MixQuestion } from '../mix/question'
import { recipeOf } from '../mix/versions'
import { finderProblem } from './finderProblem'
import { finderShelf, type Source } from './materialsFrom'

/** Parts to one press of plus or minus that moves are made of. */
const STEP = 0.5
/** Steps a change must mend to be worth a word. Source: our assumption: half of what a grower notices. */
const LEAST_GAIN = 0.5
/** Share of the cost a change must save where there is nothing to mend. Source: our assumption. */
const LEAST_SAVING = 0.1

/** Everything next moves are worked out from, as plain data: it crosses to a worker. */
export interface MovesRequest {
  question: MixQuestion
  recipe: Recipe
  problem: FinderProblem
  mixes: MixPart[]
  prices: DosePrices
  /** Warnings the grower has answered. */
  answered: string[]
  /** Moves wanted. */
  most: number
}

/** One change of a mix: of its parts, its lime or what dresses it. Doses in g per litre. */
export type Change =
  | Move
  | { kind: 'lime'; from: number; to: number }
  | { kind: 'dress'; dressingId: string; gramsPerLitre: number }

/** Figures a move is told by, as the bench shows them. */
export interface MoveFigures {
  air: number
  water: number
  /** In six weeks. */
  pH: number
  /** dS/m. */
  salts: number
  /** kg, drained. */
  weight: number
  /** Days between waterings; null where unknown. */
  days: number | null
  /** Wind it stands, m/s; null where it stands every wind it gets. */
  wind: number | null
  /** Share of the season's nitrogen it gives; null where nobody grows in it. */
  fed: number | null
  /** Money per litre; NaN where some price is unknown. */
  cost: number
}

export interface BenchMove {
  change: Change
  /** The recipe it leads to. */
  recipe: Recipe
  before: MoveFigures
  after: MoveFigures
  /** Steps it mends; nought where it only saves money. */
  gain: number
  /** Warnings that are gone afterwards. */
  ends: Judgement[]
}

export interface NextMoves {
  /** How the mix stands as it is. */
  standing: Standing
  /** Things said that are no warnings. */
  notes: number
  moves: BenchMove[]
}

/** What next moves are asked from. Errors: those of `finderShelf` and `finderProblem`. */
export function movesRequest(
  garden: Garden,
  job: Job,
  question: MixQuestion,
  { source, most }: { source: Source; most: number },
): Outcome<MovesRequest> {
  const shelf = finderShelf(garden, job, source)
  if (!shelf.ok) return shelf
  const problem = finderProblem(question, shelf.value)
  if (!problem.ok) return problem
  return succeed({
    question,
    recipe: recipeOf(job),
    problem: problem.value,
    prices: dosePrices(garden),
    mixes: job.mixes.flatMap((mix) => {
      const loose = looseOfMix(mix, question.tables)
      return loose ? [{ id: mix.id, loose, pricePerPart: priceOfMix(garden, mix) }] : []
    }),
    answered: job.dismissed.map((d) => d.code),
    most,
  })
}

/** A recipe as the bench sees it. */
interface Looked {
  prepared: PreparedMix
  evaluation: Evaluation
  judgements: Judgement[]
  standing: Standing
}

function lookAt({ question, answered }: MovesRequest, recipe: Recipe): Outcome<Looked> {
  const prepared = prepare({ ...question, recipe: recipeQuestion(recipe) })
  if (!prepared.ok) return prepared
  const evaluation = evaluatePrepared(prepared.value, AT_REST)
  if (!evaluation.ok) return evaluation
  const judgements = judgementsOf(prepared.value, evaluation.value)
  const perennial = question.crops[0]?.perennial ?? false
  return succeed({
    prepared: prepared.value,
    evaluation: evaluation.value,
    judgements,
    standing: standingOf(
      evaluation.value,
      { bands: prepared.value.bands, perennial },
      judgements,
      new Set(answered),
    ),
  })
}

function figuresFrom(
  { evaluation: e, prepared }: Looked,
  quick: QuickFigures,
  windy: boolean,
  prices: DosePrices,
): MoveFigures {
  const { growing } = e
  const month = growing?.thirstiestMonth
  return {
    air: e.mix.airFilledPorosity,
    water: waterJudged(e.mix, prepared.bands),
    pH: e.lime.pH,
    salts: e.salts.most.saturatedExtract,
    weight: e.weights.drained,
    days: month ? growing.watering[month - 1]!.days.value : null,
    wind: windy ? (growing?.tippingWind ?? null) : null,
    fed: growing?.feeding.fed ?? null,
    cost: quick.costPerLitre + doseCost(prepared, prices).perLitre,
  }
}

interface Idea {
  change: Change
  recipe: Recipe
  figures: QuickFigures
}

/** How far inside a band lime aims when it aims at its edge, pH. Source: our assumption: meters show a tenth. */
const INSIDE = 0.1

/** Lime to the middle of the band or just inside its nearer edge, more or less than now; half where it does little. */
function limeIdeas(
  recipe: Recipe,
  { prepared, evaluation, judgements, standing }: Looked,
): Omit<Idea, 'figures'>[] {
  const now = prepared.lime.own.gramsPerLitre
  const { lime } = recipe
  const { low, high } = prepared.bands.pH
  const edge = evaluation.lime.pH > high ? high - INSIDE : low + INSIDE
  const settings: LimeSetting[] = []
  if (standing.misses.pH !== undefined)
    for (const pH of [(low + high) / 2, edge]) {
      const target = Number(pH.toFixed(1))
      if (lime.mode !== 'toTarget' || lime.target !== target)
        settings.push({ ...lime, mode: 'toTarget', target })
    }
  if (now > 0 && judgements.some((j) => j.code === 'lime-does-little'))
    settings.push({ ...lime, mode: 'fixed', gramsPerLitre: Number((now / 2).toFixed(1)) })
  return settings.flatMap((setting) => {
    const next = { ...recipe, lime: setting }
    const there = prepare({ ...prepared.question, recipe: recipeQuestion(next) })
    if (!there.ok) return []
    return [{ change: { kind: 'lime', from: now, to: there.value.lime.own.gramsPerLitre }, recipe: next }]
  })
}

/** What would mend feed or pH from a bag: as it is offered beside the dressings. */
const dressIdeas = (recipe: Recipe, { prepared, evaluation }: Looked): Omit<Idea, 'figures'>[] =>
  doseOffers(prepared, evaluation).map(({ line }) => ({
    change: { kind: 'dress', dressingId: line.dressingId, gramsPerLitre: line.gramsPerLitre },
    recipe: { ...recipe, dressings: [...recipe.dressings, line as DressingLine] },
  }))

/**
 * The changes that help a mix most by everything the bench says of it: bands, warnings, water, wind and feed. Half a
 * part of a material added, taken away or swapped; lime more or less; what is offered to dress it. Each is evaluated
 * in full: none that brings a new fault or mends nothing a grower would notice. Where nothing is left to mend, those
 * that save a tenth of the cost.
 *
 * A generator: yields the share done. Errors: those of `singleChanges`; a mix that cannot be worked out.
 * Source: exhaustive over single changes by the finder's sums; full evaluation of those worth a look.
 */
export function* findMoves(request: MovesRequest): Generator<number, Outcome<NextMoves>> {
  const { recipe, problem, mixes, most } = request
  const now = lookAt(request, recipe)
  if (!now.ok) return now
  const parts = recipe.parts.map((p) => ({ id: p.materialId, parts: p.twelfths / 12 }))
  const changes = singleChanges(problem, parts, STEP, mixes)
  if (!changes.ok) return changes
  const { figures } = changes.value
  const ideas: Idea[] = [
    ...[...limeIdeas(recipe, now.value), ...dressIdeas(recipe, now.value)].map((i) => ({ ...i, figures })),
    ...worthALook(changes.value.changes).map((move) => ({
      change: move.move,
      recipe: afterMove(recipe, move),
      figures: move.after,
    })),
  ]
  const windy = now.value.judgements.some((j) => j.code === 'tips-in-wind')
  const before = figuresFrom(now.value, figures, windy, request.prices)
  const found: BenchMove[] = []
  for (const [i, idea] of ideas.entries()) {
    yield i / ideas.length
    const there = lookAt(request, idea.recipe)
    if (!there.ok || bringsFault(now.value.standing, there.value.standing)) continue
    const move = {
      change: idea.change,
      recipe: idea.recipe,
      before,
      after: figuresFrom(there.value, idea.figures, windy, request.prices),
      gain: now.value.standing.faults - there.value.standing.faults,
      ends: now.value.standing.warnings.filter(
        (j) => !there.value.standing.warnings.some((k) => judgementKey(k) === judgementKey(j)),
      ),
    }
    if (helps(move, now.value.standing)) found.push(move)
  }
  found.sort((a, b) => Math.round(b.gain * 2) - Math.round(a.gain * 2) || costOf(a) - costOf(b))
  return succeed({
    standing: now.value.standing,
    notes: now.value.judgements.length - now.value.standing.warnings.length,
    moves: found.slice(0, most),
  })
}
const costOf = (m: BenchMove) => (Number.isFinite(m.after.cost) ? m.after.cost : Infinity)

/** Does a move mend something a grower would notice, or, where nothing is to be mended, save money that counts? */
const helps = ({ gain, before, after }: BenchMove, { faults }: Standing): boolean =>
  faults > 0 ? gain >= LEAST_GAIN : gain >= 0 && before.cost - after.cost > LEAST_SAVING * before.cost

/** Runs `findMoves` to its end in one go. Errors: those of `findMoves`. */
export function movesAtOnce(request: MovesRequest): Outcome<NextMoves> {
  return toEnd(findMoves(request))
}

/** Parts as the bench counts them; amounts nobody has a measure for go to the nearest twelfth. */
const inTwelfths = (parts: readonly { id: string; parts: number }[]) =>
  parts.map((p) => ({ materialId: p.id, twelfths: Math.max(1, Math.round(p.parts * 12)) }))

/** The recipe a change of parts leads to. Materials keep their places, what comes in comes last. */
function afterMove(recipe: Recipe, move: Pick<RankedMove, 'parts'>): Recipe {
  const next = new Map(inTwelfths(move.parts).map((p) => [p.materialId, p]))
  const kept = recipe.parts.flatMap((p) => next.get(p.materialId) ?? [])
  const added = [...next.values()].filter((p) => !recipe.parts.some((q) => q.materialId === p.materialId))
  return { ...recipe, parts: [...kept, ...added] }
}

/** A found recipe as the bench takes it: lime to the crop's pH, dressings as they are. */
export const afterFinding = (job: Job, found: Pick<Candidate, 'parts'>): Recipe => ({
  parts: inTwelfths(found.parts),
  mixes: [],
  lime: { ...job.lime, mode: job.lime.mode === 'none' ? 'none' : 'toTarget' },
  dressings: job.dressings,
})
