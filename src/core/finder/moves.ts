import { fail, succeed, type Outcome } from '../outcome'
import { AT, featuresOf, WIDTH, type Features } from './features'
import type { FinderProblem, QuickFigures, TargetName } from './problem'
import { Scorer } from './score'
import { allowedOf } from './search'

/** One change of a recipe, in parts. */
export type Move =
  | { kind: 'add'; material: string; parts: number }
  | { kind: 'takeAway'; material: string; parts: number }
  | { kind: 'swap'; from: string; to: string; parts: number }

export interface RankedMove {
  move: Move
  /** The recipe after it. */
  parts: { id: string; parts: number }[]
  before: QuickFigures
  after: QuickFigures
  /** Score before less score after: above zero it helps. */
  gain: number
  score: number
  misses: Partial<Record<TargetName, number>>
}

export interface SingleChanges {
  score: number
  figures: QuickFigures
  misses: Partial<Record<TargetName, number>>
  /** Every one of them, best first; of the same pair of materials only the best amount. */
  changes: RankedMove[]
}

/** A finished mix among the parts: what one part of it stands for in loose parts, and what it costs. */
export interface MixPart {
  id: string
  loose: readonly { id: string; parts: number }[]
  /** Money for one part of it; null where unknown. */
  pricePerPart: number | null
}

/**
 * Every single change from a recipe, ranked by what it gains in the finder's score: half a part (or `step`) of each
 * allowed material added, taken away, or swapped for another; swaps also of a whole part and of all of it. The same
 * sums as the finder, so both agree.
 *
 * Parts are any unit of volume above zero. Errors: those of the finder's rules; a part of a material that is not on
 * the shelf. Source: exhaustive over single changes; a finished mix counts as the loose parts it stands for.
 */
export function singleChanges(
  problem: FinderProblem,
  recipe: readonly { id: string; parts: number }[],
  step = 0.5,
  mixes: readonly MixPart[] = [],
): Outcome<SingleChanges> {
  const allowed = allowedOf(problem)
  if (!allowed.ok) return allowed
  // Parts in hand may be something the rules now forbid: it can only be taken away.
  const materials = problem.shelf.map((s) => s.material.material.id)
  const ids = [...materials, ...mixes.map((m) => m.id)]
  const start = startOf(recipe, ids)
  if (!start.ok) return start
  const stranger = mixes.flatMap((m) => m.loose).find(({ id }) => !materials.includes(id))
  if (stranger) return fail({ code: 'unknown-material', material: stranger.id })
  const features = featuresOf(
    problem,
    problem.shelf.map((s) => s.material),
    problem.shelf.map((s) => s.pricePerLitre),
  )
  const judge = judgeOf(features, new Scorer(features, problem), looseOf(materials, mixes))
  const bench: Bench = {
    ids,
    start: start.value,
    mayUse: new Set([
      ...allowed.value.shelf.map((s) => ids.indexOf(s.material.material.id)),
      ...mixes.map((m) => ids.indexOf(m.id)),
    ]),
    must: [...(problem.rules?.mustUse ?? [])].map((id) => ids.indexOf(id)),
  }
  const now = judge(start.value)
  const found = changesOf(bench, step).map(({ move, parts }) => rankedMove(ids, now, judge, { move, parts }))
  return succeed({ ...now, changes: bestOfEach(found) })
}

/** A recipe on the bench as amounts by place in `ids`, and what may and must be in it. */
interface Bench {
  ids: readonly string[]
  start: Float64Array
  mayUse: ReadonlySet<number>
  must: readonly number[]
}
interface Changed {
  move: Move
  parts: Float64Array
}

function startOf(
  recipe: readonly { id: string; parts: number }[],
  ids: readonly string[],
): Outcome<Float64Array> {
  const start = new Float64Array(ids.length)
  for (const { id, parts } of recipe) {
    const i = ids.indexOf(id)
    if (i === -1) return fail({ code: 'unknown-material', material: id })
    if (!(parts > 0)) return fail({ code: 'part-not-positive', material: id, value: parts })
    start[i]! += parts
  }
  return recipe.length === 0 ? fail({ code: 'no-parts' }) : succeed(start)
}

/** Every single change that leaves a mix with all that must be in it. */
function changesOf({ ids, start, mayUse, must }: Bench, step: number): Changed[] {
  const found: Changed[] = []
  const consider = (move: Move, by: readonly (readonly [place: number, parts: number])[]) => {
    const parts = start.slice()
    for (const [place, more] of by) parts[place]! += more
    if (parts.some((p) => p < -1e-9) || !parts.some((p) => p > 1e-9)) return
    if (must.every((place) => parts[place]! > 1e-9)) found.push({ move, parts })
  }
  ids.forEach((id, i) => {
    const has = start[i]!
    if (mayUse.has(i)) consider({ kind: 'add', material: id, parts: step }, [[i, step]])
    if (!(has > 0)) return
    const off = Math.min(step, has)
    consider({ kind: 'takeAway', material: id, parts: off }, [[i, -off]])
    ids.forEach((to, j) => {
      if (j === i || !mayUse.has(j)) return
      for (const parts of new Set([off, Math.min(2 * step, has), has]))
        consider({ kind: 'swap', from: id, to, parts }, [
          [i, -parts],
          [j, parts],
        ])
    })
  })
  return found
}

type Judge = ReturnType<typeof judgeOf>
function rankedMove(
  ids: readonly string[],
  now: ReturnType<Judge>,
  judge: Judge,
  { move, parts }: Changed,
): RankedMove {
  const after = judge(parts)
  return {
    move,
    parts: Array.from(parts, (p, i) => ({ id: ids[i]!, parts: p })).filter((p) => p.parts > 1e-9),
    before: now.figures,
    after: after.figures,
    gain: now.score - after.score,
    score: after.score,
    misses: after.misses,
  }
}

/** Best first, of the same pair of materials only the best amount. */
function bestOfEach(found: RankedMove[]): RankedMove[] {
  // Of moves that gain alike the smaller change, then the cheaper mix.
  const order = (a: RankedMove, b: RankedMove) =>
    steps(b.gain) - steps(a.gain) || a.move.parts - b.move.parts || cost(a) - cost(b)
  const seen = new Set<string>()
  return [...found].sort(order).filter(({ move }) => {
    const key = move.kind === 'swap' ? `${move.from} ${move.to}` : `${move.kind} ${move.material}`
    return !seen.has(key) && seen.add(key)
  })
}

/** How many of each kind are worth a look in full. Source: our assumption; more cost time and find nothing better. */
const LOOKED_AT = { best: 12, others: 3 } as const

/**
 * Of all single changes those worth a full evaluation: the best by score, and the heaviest, lightest, airiest, wettest
 * and cheapest, for what the score does not know: wind, rain, days between waterings.
 * Errors: none.
 */
export function worthALook(changes: readonly RankedMove[]): RankedMove[] {
  const by = (of: (after: QuickFigures) => number) =>
    changes
      .filter((m) => Number.isFinite(of(m.after)))
      .sort((a, b) => of(b.after) - of(a.after))
      .slice(0, LOOKED_AT.others)
  return [
    ...new Set([
      ...changes.slice(0, LOOKED_AT.best),
      ...by((f) => f.drainedDensity),
      ...by((f) => -f.drainedDensity),
      ...by((f) => f.airFilledPorosity),
      ...by((f) => f.easilyAvailableWater),
      ...by((f) => -f.costPerLitre),
    ]),
  ]
}

/** Gains are told apart to a twentieth of a step. */
const steps = (gain: number) => Math.round(gain * 20)
const cost = (m: RankedMove) => (Number.isFinite(m.after.costPerLitre) ? m.after.costPerLitre : Infinity)

/** A column of the recipe in loose materials, by their place on the shelf. */
interface Column {
  loose: { at: number; parts: number }[]
  /** Money for one part where it is not that of its materials. */
  price: number | undefined
}
const looseOf = (materials: readonly string[], mixes: readonly MixPart[]): Column[] => [
  ...materials.map((_, at) => ({ loose: [{ at, parts: 1 }], price: undefined })),
  ...mixes.map((m) => ({
    loose: m.loose.map(({ id, parts }) => ({ at: materials.indexOf(id), parts })),
    price: m.pricePerPart ?? NaN,
  })),
]

/** Judges whole recipes, given as parts of everything on the shelf and of every finished mix. */
function judgeOf(features: Features, scorer: Scorer, columns: readonly Column[]) {
  return (parts: Float64Array) => {
    const loose = new Float64Array(features.count)
    let cost = 0
    columns.forEach((column, i) => {
      if (!(parts[i]! > 1e-9)) return
      for (const l of column.loose) loose[l.at]! += parts[i]! * l.parts
      cost += parts[i]! * (column.price ?? features.rows[i * WIDTH + AT.cost]!)
    })
    const which = Array.from(loose.keys()).filter((i) => loose[i]! > 1e-9)
    const sums = new Float64Array(WIDTH)
    let present = 0
    for (const i of which) {
      present |= features.classes[i]!
      for (let k = 0; k < WIDTH; k++) sums[k]! += loose[i]! * features.rows[i * WIDTH + k]!
    }
    sums[AT.cost] = cost
    const amounts = which.map((i) => loose[i]!)
    const total = amounts.reduce((s, p) => s + p, 0)
    scorer.choose(which, present)
    scorer.packed(sums, total, amounts)
    const score = scorer.score(sums)
    return { score, figures: { ...scorer.figures }, misses: scorer.misses() }
  }
}
