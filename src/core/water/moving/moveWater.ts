import { toEnd } from '../../toEnd'
import type { Container } from '../../geometry'
import { shapeHeight } from '../../geometry'
import { fail, succeed, type Outcome } from '../../outcome'
import type { Centimetres, Fraction } from '../../units'
import { containerProfile, dryingLimits } from '../containerProfile'
import { DRY_END } from '../retention'
import { columnOf, type Below, type MovingLayer } from './column'
import { entryTensionOf } from './hydraulics'
import { MOVING_LIMITS } from './limits'
import { picturesEvery, type Moved } from './moved'
import { Recorder } from './recorder'
import { Stepper } from './stepper'
import { breaksOf, demandBetween, type DayDemand, type Demand, type Pulse } from './weather'

/** How wet it is at the start. */
export type Beginning =
  /** Watered well and drained. */
  | { kind: 'drained' }
  /** The same tension everywhere, cm. */
  | { kind: 'even'; tension: Centimetres }

/** One container, what is poured and what the days take. */
export interface MovingProblem {
  container: Container
  /** From the base up; the topmost is what roots live in. */
  layers: readonly MovingLayer[]
  below: Below
  begin: Beginning
  /** Hours followed. */
  hours: number
  /** Hour of the day it starts at; six in the morning where left out. */
  clock?: number
  pulses: readonly Pulse[]
  day: DayDemand
  /** Share of the depth of the topmost layer that roots reach, from the surface down; all of it where left out. */
  rooted?: Fraction
  /** Tension to which roots drink with ease, cm; that of `dryingLimits` where left out. */
  easy?: Centimetres
  /** About so many cells of depth; 170 where left out. */
  cells?: number
  /** Hours at which pictures are kept, zero first; every quarter of an hour where left out. */
  pictures?: readonly number[]
}

const USUAL_CELLS = 170
const MORNING = 6
/** Longest stretch followed, hours: a year. */
export const LONGEST_RUN = 24 * 366

/** Steps of time, hours: the first after a change, the longest, and the shortest before it gives up. */
const STEP = { first: 0.002, longest: 2, shortest: 1e-9 } as const
/** Change of water in a step that is not as the step before predicted, volume fraction: what the step is chosen by. */
const STEP_ERROR = 0.0006
/** Steps between two looks of whoever waits. */
const STEPS_A_TURN = 200

/** The roots' shares of a column: even over the volume they reach. */
function rootShares(column: ReturnType<typeof columnOf>, layers: number, rooted: Fraction): Float64Array {
  const share = new Float64Array(column.count)
  const cells = [...column.cells].filter((_, c) => column.cellLayer[c] === layers - 1)
  const low = cells.length > 0 ? column.height[cells[0]!]! : 0
  const high = cells.length > 0 ? column.height[cells.at(-1)!]! : 0
  const reach = high - rooted * (high - low)
  let sum = 0
  for (const i of cells) if (column.height[i]! >= reach - 1e-9) sum += share[i] = column.volume[i]!
  for (const i of cells) share[i]! /= sum
  return share
}

/** What is wrong with a problem as typed; null where nothing is. */
function problemIn({ hours, pulses, layers, container }: MovingProblem) {
  if (!(hours > 0 && hours <= LONGEST_RUN))
    return fail({ code: 'size-too-large', field: 'hours', value: hours, limit: LONGEST_RUN })
  for (const { start, hours: long, litres } of pulses) {
    if (!(litres >= 0 && Number.isFinite(litres)))
      return fail({ code: 'amount-negative', field: 'litres', value: litres })
    if (!(long > 0 && start >= 0 && Number.isFinite(start + long)))
      return fail({ code: 'size-not-positive', field: 'hours', value: long })
  }
  if (layers.length === 0) return fail({ code: 'no-parts' })
  const mixHeight = shapeHeight(container.shape) - container.headspace
  return mixHeight > 0 ? null : fail({ code: 'size-not-positive', field: 'height', value: mixHeight })
}

/** Tensions at the start: drained, on layers as 24 hours after watering, or the same everywhere. */
function startOf(problem: MovingProblem): (height: Centimetres) => Centimetres {
  const { begin, container, layers } = problem
  if (begin.kind === 'even') return () => begin.tension
  const { slices } = containerProfile(
    container,
    layers.map(({ top, hydraulics }) => ({
      top,
      ...hydraulics,
      entryTension: layers.length > 1 ? entryTensionOf(hydraulics) : undefined,
    })),
  )
  const kept = problem.below.kind === 'keptWater' ? problem.below.height : 0
  return (height) => {
    const { height: middle, tension } = slices.find((s) => s.height >= height) ?? slices.at(-1)!
    return tension + height - middle - kept
  }
}

/**
 * Follows water through a container: poured on, running through, drained, drunk, given to the air. One dimension,
 * depth; taper counts. A generator: yields the share of the time done, for progress and for cancelling between; returns
 * the answer.
 *
 * Units: cm, hours, litres. Errors: hours not above zero or beyond a year; a watering below zero. It gives up, as
 * our own mistake, where no step of time however short can be solved.
 * Leaves out: water that runs down the wall or through cracks of a mix gone dry, a dry surface that sheds water,
 * hysteresis, vapour, water that spreads sideways from one dripper.
 * Source: as `Stepper`; step of time by the change of the rates (Kavetski, Binning & Sloan 2001, from memory).
 */
export function* moveWater(problem: MovingProblem): Generator<number, Outcome<Moved>> {
  const wrong = problemIn(problem)
  if (wrong) return wrong
  const { container, layers, pulses, hours, day, clock = MORNING } = problem
  const column = columnOf(container, layers, problem.cells ?? USUAL_CELLS)
  const roots = {
    share: rootShares(column, layers.length, problem.rooted ?? 1),
    easy: problem.easy ?? dryingLimits(container).easy,
    driest: container.base.kind === 'onSoil' ? DRY_END.wilting : MOVING_LIMITS.driestInPots.value,
  }
  const stepper = new Stepper(column, problem.below, roots)
  stepper.begin(startOf(problem))
  const recorder = new Recorder(stepper, problem.pictures ?? picturesEvery(0.25, hours))
  const breaks = breaksOf(pulses, hours, clock)
  const demand: Demand = { arriving: 0, evaporation: 0, uptake: 0, wall: 0, saucer: 0 }
  const before = Float64Array.from(stepper.water)
  const rate = new Float64Array(column.count)
  let [now, step, steps, given] = [0, STEP.first as number, 0, 0]
  for (const stop of breaks) {
    let fresh = true
    step = Math.min(step, STEP.first)
    while (now < stop - 1e-12) {
      const left = stop - now
      const tried = Math.min(step, left, STEP.longest)
      // Two even steps rather than a long one and a sliver.
      const by = tried < left && tried > left / 2 ? left / 2 : tried
      demandBetween(demand, { from: now, to: now + by, clock }, day, pulses)
      before.set(stepper.water)
      const solved = stepper.step(by, demand, fresh)
      const error = solved ? errorOf({ water: stepper.water, before, rate }, by, fresh) : Infinity
      if (!solved) {
        fresh = true
        step = by / 4
        if (step < STEP.shortest) throw new Error('Open Bed is at fault: water could not be moved on')
        continue
      }
      fresh = false
      now += by
      steps++
      given += demand.arriving * by
      recorder.note(now, by, demand, before)
      step = by * Math.min(2.5, Math.max(0.3, 0.9 * Math.sqrt(STEP_ERROR / Math.max(error, 1e-9))))
      if (steps % STEPS_A_TURN === 0) yield now / hours
    }
  }
  return succeed(recorder.finish(given, steps))
}

/** Half the change of the rates of change over a step, root of the mean square over nodes; keeps the new rates. */
function errorOf(
  { water, before, rate }: Record<'water' | 'before' | 'rate', Float64Array>,
  by: number,
  fresh: boolean,
): number {
  let sum = 0
  for (let i = 0; i < water.length; i++) {
    const now = (water[i]! - before[i]!) / by
    sum += (fresh ? now : now - rate[i]!) ** 2
    rate[i] = now
  }
  return (Math.sqrt(sum / water.length) * by) / 2
}

/**
 * Runs `moveWater` to its end in one go.
 * Errors: those of `moveWater`.
 */
export function moveWaterAtOnce(problem: MovingProblem): Outcome<Moved> {
  return toEnd(moveWater(problem))
}
