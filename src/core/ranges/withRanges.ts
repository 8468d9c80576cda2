import { toEnd } from '../toEnd'
import type { Learning } from '../data/learned'
import { evaluate, FULL_EFFORT, type Evaluation, type MixInContainer } from '../evaluate'
import { invariant, succeed, type Outcome } from '../outcome'
import type { Bands } from '../targets'
import { CHANCE_DRAWS, meetsBands } from './chance'
import { figuresOf } from './figures'
import { deviatesWith } from './posterior'
import { likelyRange, type LikelyRange } from './quantiles'
import { drawMix } from './rowsOf'

export interface RangeRequest {
  input: MixInContainer
  /** Any whole number; the same gives the same ranges. */
  seed?: number
  draws?: number
  /** What readings have taught of the rows it is made of. */
  learning?: Learning | null
  /** Bands to count the chance against; none is counted where left out. */
  bands?: Bands
  /** Later years to look into; one, two and three where left out. */
  years?: readonly number[]
}

export interface Ranged {
  best: Evaluation
  /** Figures of the tables' own values, and the range that eight draws in ten fall in, by name. */
  figures: Record<string, number>
  ranges: Record<string, LikelyRange>
  /** Share of the draws in which every band is met; null where no bands were asked. */
  chance: number | null
  draws: number
}

export const USUAL_DRAWS = 500
/** Slices of depth for a draw: a twentieth of a point off the full evaluation, far inside any range. */
const DRAW_SLICES = 24

/**
 * One mix in one container with ranges: the rows' own values, then `draws` sets of properties drawn within their
 * ranges, and the 10 to 90 % range of every figure. With a learning, rows are drawn as the readings left them, and
 * what hangs together between them stays so.
 *
 * A generator: yields the share done some fifty times, for progress and for cancelling between; returns the answer.
 * Errors: those of `evaluate` for the rows' values. A draw that cannot be evaluated is left out.
 * Source: Monte Carlo.
 */
export function* withRanges(request: RangeRequest): Generator<number, Outcome<Ranged>> {
  const { input, draws = USUAL_DRAWS, bands } = request
  const years = request.years ?? FULL_EFFORT.years
  const best = evaluate(input, { ...FULL_EFFORT, years })
  if (!best.ok) return best
  const draw = deviatesWith(request.learning ?? null, request.seed ?? 1)
  const figures = figuresOf(best.value)
  const columns = Object.fromEntries(Object.keys(figures).map((n) => [n, [] as number[]]))
  const met: boolean[] = []
  let made = 0
  for (let i = 0; i < draws; i++) {
    const answer = evaluate(drawMix(input, draw()), { slices: DRAW_SLICES, years })
    if (answer.ok) {
      made++
      for (const [name, value] of Object.entries(figuresOf(answer.value))) columns[name]?.push(value)
      if (bands && met.length < CHANCE_DRAWS) met.push(meetsBands(answer.value, bands))
    }
    if (i % Math.max(1, Math.round(draws / 50)) === 0) yield i / draws
  }
  invariant(made > 0, 'no draw could be evaluated')
  return succeed(
    {
      best: best.value,
      figures,
      ranges: Object.fromEntries(Object.entries(columns).map(([n, values]) => [n, likelyRange(values)])),
      chance: bands ? met.filter(Boolean).length / met.length : null,
      draws: made,
    },
    ...best.notes,
  )
}

/**
 * Runs `withRanges` to its end in one go.
 * Errors: those of `withRanges`.
 */
export function rangesAtOnce(request: RangeRequest): Outcome<Ranged> {
  return toEnd(withRanges(request))
}
