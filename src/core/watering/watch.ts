import type { Learning } from '../data/learned'
import type { MixInContainer } from '../evaluate'
import { succeed, type Outcome } from '../outcome'
import { deviatesWith } from '../ranges/posterior'
import { likelyRange, type LikelyRange } from '../ranges/quantiles'
import { drawMix } from '../ranges/rowsOf'
import { moveWater, waterIn, type Moved } from '../water/moving'
import { movingProblem, type WateringCase } from './problem'

/** What is said of a run, litres and hours; each is uncertain as the mix is. */
export const WATERED_FIGURES = [
  'drained',
  'overSurface',
  'inSaucer',
  'airAtEnd',
  'hoursFootShort',
  'hoursShortOfAir',
  'hoursThirsty',
  'firstThirst',
] as const
export type WateredFigure = (typeof WATERED_FIGURES)[number]

export interface Watered {
  moved: Moved
  figures: Record<WateredFigure, number>
  /** From a tenth to nine tenths of the draws; empty until drawn. */
  ranges: Partial<Record<WateredFigure, LikelyRange>>
}

export interface WatchRequest {
  cases: readonly WateringCase[]
  draws?: number
  seed?: number
  learning?: Learning | null
}

/** Draws of the mix, each a run of its own on a coarser grid. */
const USUAL_DRAWS = 16
const DRAW_CELLS = 48
const BEST_CELLS = 120

/** Mean of a value over the mix, layers below left out, each cell by its litres. `floor` in cm. */
export function overMix({ course }: Moved, floor: number, of: (cell: number) => number): number {
  let [sum, litres] = [0, 0]
  course.heights.forEach((height, i) => {
    if (height < floor) return
    sum += of(i) * course.litres[i]!
    litres += course.litres[i]!
  })
  return sum / litres
}

/** Share of the mix's depth that is its foot. */
const FOOT = 0.2

/** Hours the lowest fifth of a mix had too little air, each part by its litres. `floor` in cm. */
export function footShortOfAir({ course }: Moved, floor: number): number {
  const top = course.heights.at(-1)!
  let [sum, litres] = [0, 0]
  course.heights.forEach((height, i) => {
    if (height < floor || height > floor + FOOT * (top - floor)) return
    sum += course.hoursShortOfAir[i]! * course.litres[i]!
    litres += course.litres[i]!
  })
  return sum / litres
}

/**
 * Height the mix stands on, cm: its layers below.
 *
 * @example
 * floorOf({ bottomLayers: [{ thickness: 3 }, { thickness: 2 }] }) // 5
 */
export const floorOf = ({ bottomLayers }: Pick<MixInContainer, 'bottomLayers'>): number =>
  (bottomLayers ?? []).reduce((sum, l) => sum + l.thickness, 0)

/** The figures of a run. First thirst of one that never came is its end. */
function figuresOf(moved: Moved, { input, days }: WateringCase): Record<WateredFigure, number> {
  const { book, course } = moved
  const last = course.times.length - 1
  return {
    drained: book.drained,
    overSurface: book.overSurface,
    inSaucer: book.standing,
    airAtEnd: overMix(moved, floorOf(input), (i) => course.pores[i]! - waterIn(course, last, i)),
    hoursFootShort: footShortOfAir(moved, floorOf(input)),
    hoursShortOfAir: moved.hoursShortOfAir,
    hoursThirsty: moved.hoursThirsty,
    firstThirst: moved.firstThirst ?? 24 * days,
  }
}

/**
 * Follows the water of one case or of several side by side, then of each again with the mix drawn within its ranges:
 * what a blend lets through is known within a factor of ten at best. The same draws for all, so that what they differ
 * by is theirs.
 *
 * A generator: yields the share done; returns the answers in order.
 * Errors: those of `movingProblem` and `moveWater` for the mix itself; a draw that cannot be followed is left out.
 * Source: Monte Carlo.
 */
export function* watchWater(request: WatchRequest): Generator<number, Outcome<Watered[]>> {
  const { cases, draws = USUAL_DRAWS } = request
  const rounds = cases.length * (1 + draws / 4)
  let done = 0
  const answers: Watered[] = []
  for (const one of cases) {
    const problem = movingProblem(one, BEST_CELLS)
    if (!problem.ok) return problem
    const run = yield* portion(moveWater(problem.value), done, 1 / rounds)
    if (!run.ok) return run
    answers.push({ moved: run.value, figures: figuresOf(run.value, one), ranges: {} })
    done += 1 / rounds
  }
  // Each case draws from its own stream of one seed: the same numbers for the same rows.
  const next = cases.map(() => deviatesWith(request.learning ?? null, request.seed ?? 1))
  const columns = cases.map(() => Object.fromEntries(WATERED_FIGURES.map((f) => [f, [] as number[]])))
  for (let d = 0; d < draws; d++) {
    for (const [k, one] of cases.entries()) {
      const drawn = { ...one, input: drawMix(one.input, next[k]!()) }
      const problem = movingProblem(drawn, DRAW_CELLS, [0, 24 * one.days])
      const run = problem.ok && (yield* portion(moveWater(problem.value), done, 0.25 / rounds))
      if (run && run.ok)
        for (const [name, value] of Object.entries(figuresOf(run.value, drawn)))
          columns[k]![name]!.push(value)
      done += 0.25 / rounds
    }
  }
  for (const [k, answer] of answers.entries())
    for (const name of WATERED_FIGURES)
      if (columns[k]![name]!.length > 1) answer.ranges[name] = likelyRange(columns[k]![name]!)
  return succeed(answers)
}

/** A run as a part of a longer one: its share of progress from where the longer one stands. */
export function* portion<R>(run: Generator<number, R>, from: number, share: number): Generator<number, R> {
  for (;;) {
    const turn = run.next()
    if (turn.done) return turn.value
    yield from + share * turn.value
  }
}
