import { easedBy, isGood, leavesGraver, mendedBy, outweighs } from '@/core/appraisal'
import { toEnd } from '@/core/toEnd'
import {
  singleChanges,
  worthALook,
  type Candidate,
  type Look,
  type QuickFigures,
  type RankedMove,
} from '@/core/finder'
import { bringsFault, standingOf } from '@/core/judgement'
import { succeed, type Outcome } from '@/core/outcome'
import { waterJudged } from '@/core/targets'
import type { Garden } from '../garden/garden'
import type { Job, Recipe } from '../garden/schemas'
import { appraisalOf } from '../mix/appraisal'
import { isLimedByBag } from '../mix/bags'
import { priceOfMix } from '../mix/cost'
import { doseCost, dosePrices, type DosePrices } from '../mix/doseCost'
import { doseOffers, freeLineId, limeOffer, lineOf } from '../mix/doses'
import { looseOfMix } from '../mix/innerMix'
import { AT_REST, evaluatePrepared, judgementsOf, prepare } from '../mix/prepare'
import { recipeQuestion } from '../mix/questionOfJob'
import type { MixQuestion } from '../mix/question'
import { recipeOf } from '../mix/versions'
import { finderProblem } from './finderProblem'
import { differing, dressIdeas, limeIdeas, mayTake, undressIdeas } from './moveIdeas'
import type { BenchMove, Change, Idea, Looked, MoveFigures, MovesRequest, NextMoves } from './moveTypes'
import { finderShelf, type Source } from './materialsFrom'

export type { BenchMove, Change, MoveFigures, MovesRequest, NextMoves } from './moveTypes'

/** Parts to one press of plus or minus that moves are made of. */
const STEP = 0.5
/** Steps a change must mend to be worth a word. Source: our assumption: half of what a grower notices. */
const LEAST_GAIN = 0.5

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
    findings: appraisalOf(prepared.value, evaluation.value, judgements, new Set(answered)),
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

/**
 * The changes that help a mix most by everything the bench says of it: bands, warnings, water, wind and feed. Half a
 * part of a material added, taken away or swapped; lime more or less; what is offered to dress it. Each is evaluated
 * in full and appraised: none that brings a new fault or leaves anything graver, none that mends nothing a grower would
 * notice. Where nothing is left to mend there are none.
 *
 * A generator: yields the share done. Errors: those of `singleChanges`; a mix that cannot be worked out.
 * Source: exhaustive over single changes by the finder's sums; full evaluation of those worth a look.
 */
export function* findMoves(request: MovesRequest): Generator<number, Outcome<NextMoves>> {
  const { recipe, problem, mixes, most } = request
  const now = lookAt(request, recipe)
  if (!now.ok) return now
  const notes = now.value.judgements.length - now.value.standing.warnings.length
  if (isGood(now.value.findings))
    return succeed({ standing: now.value.standing, notes, moves: [], doses: [], lime: null })
  const parts = recipe.parts.map((p) => ({ id: p.materialId, parts: p.twelfths / 12 }))
  const changes = singleChanges(problem, parts, STEP, mixes)
  if (!changes.ok) return changes
  const { figures } = changes.value
  const limes = limeIdeas(recipe, now.value)
  const given = [...limes, ...dressIdeas(recipe, now.value, limes), ...undressIdeas(recipe)]
  const ideas: Idea[] = [
    ...given.map((i) => ({ ...i, figures })),
    ...worthALook(changes.value.changes.filter((c) => mayTake(c.move, now.value, request))).map((move) => ({
      change: move.move,
      recipe: afterMove(recipe, move),
      figures: move.after,
    })),
  ]
  const windy = now.value.judgements.some((j) => j.code === 'tips-in-wind')
  const before = figuresFrom(now.value, figures, windy, request.prices)
  const found: Ranked[] = []
  for (const [i, idea] of ideas.entries()) {
    yield i / ideas.length
    const there = lookAt(request, idea.recipe)
    if (!there.ok || isWorse(now.value, there.value, idea.change)) continue
    const move = {
      change: idea.change,
      recipe: idea.recipe,
      before,
      after: figuresFrom(there.value, idea.figures, windy, request.prices),
      gain: now.value.standing.faults - there.value.standing.faults,
      eases: easedBy(now.value.findings, there.value.findings),
      mends: mendedBy(now.value.findings, there.value.findings),
    }
    if (helps(move)) found.push({ ...move, graves: gravesIn(there.value) })
  }
  const isGrave = gravesIn(now.value) > 0
  // What is given comes before another mix, where it ends what is grave.
  const turn = ({ change }: Ranked) => (isGrave && GIVEN.has(change.kind) ? 0 : 1)
  found.sort(
    (a, b) =>
      a.graves - b.graves ||
      turn(a) - turn(b) ||
      b.eases - a.eases ||
      Math.round(b.gain * 2) - Math.round(a.gain * 2) ||
      costOf(a) - costOf(b),
  )
  return succeed({
    standing: now.value.standing,
    notes,
    ...dosesAmong(found, now.value),
    moves: differing(found, request.question.tables)
      .slice(0, most)
      .map(({ graves: _, ...move }) => move),
  })
}
/** The doses that are worked out for a mix, where giving them is among the moves that help. */
function dosesAmong(
  found: readonly Ranked[],
  { prepared, evaluation }: Looked,
): Pick<NextMoves, 'doses' | 'lime'> {
  const given = new Set(found.flatMap(({ change }) => (change.kind === 'dress' ? [change.dressingId] : [])))
  const lime = limeOffer(prepared, evaluation)
  const limes = found.flatMap(({ change, recipe }) => (change.kind === 'lime' ? [recipe.lime.target] : []))
  return {
    doses: doseOffers(prepared, evaluation).filter((o) => given.has(o.line.dressingId)),
    lime: lime && limes.includes(lime.target) ? lime : null,
  }
}
/** A move with how much that is grave it leaves. */
type Ranked = BenchMove & { graves: number }
const gravesIn = ({ findings }: Looked) => findings.filter((f) => f.severity === 'grave').length
const GIVEN: ReadonlySet<Change['kind']> = new Set(['lime', 'dress', 'limeAndDress', 'undress'])
const costOf = (m: BenchMove) => (Number.isFinite(m.after.cost) ? m.after.cost : Infinity)

/**
 * Does it leave anything graver than there is, or bring a fault? Lime and feed that end something grave may leave
 * something to watch.
 */
const isWorse = (now: Looked, there: Looked, { kind }: Change): boolean =>
  !(GIVEN.has(kind) && outweighs(now.findings, there.findings)) &&
  (leavesGraver(now.findings, there.findings) || bringsFault(now.standing, there.standing))

/** Does a move end or lessen something that is said, by more than a grower would miss? */
const helps = ({ gain, eases, mends }: BenchMove): boolean =>
  eases > 0 || (eases === 0 && gain >= LEAST_GAIN && mends.length > 0)

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

/**
 * A found recipe as the bench takes it: lime to the crop's pH where no bag has limed it, dressings as they are, with
 * the feed it was found with.
 */
export const afterFinding = (
  job: Job,
  found: Pick<Candidate, 'parts'>,
  feeds: Look['feeds'] = [],
): Recipe => ({
  parts: inTwelfths(found.parts),
  mixes: [],
  lime: {
    ...job.lime,
    mode:
      job.lime.mode === 'none' || isLimedByBag(found.parts, job.origins.bag !== 'neither')
        ? 'none'
        : 'toTarget',
  },
  dressings: [
    ...job.dressings,
    ...feeds.map((f) => ({
      ...lineOf(f.dressingId, f.gramsPerLitre),
      id: freeLineId(f.dressingId, job.dressings),
    })),
  ],
})
