import type { Learning } from '../data/learned'
import { evaluate, type Evaluation, type MixInContainer } from '../evaluate'
import { USUAL_LEACHING } from '../growing'
import { fail, succeed, type Outcome } from '../outcome'
import { deviatesWith } from '../ranges/posterior'
import { likelyRange, type LikelyRange } from '../ranges/quantiles'
import { drawMix } from '../ranges/rowsOf'
import type { Fraction, Kilograms, Litres } from '../units'
import { moveWater, type Below, type DayDemand, type Moved, type Pulse } from '../water/moving'
import { changed, CHANGES, type PlanChange } from './changes'
import { plantOf } from './plant'
import { movingProblem, type Plant, type WateringCase } from './problem'
import { portion } from './watch'

/** How often and how much, in one month. */
export interface MonthPlan {
  /** 1 to 12. */
  month: number
  /** Litres it uses in a day of a mean month, no rain counted. */
  use: Litres
  /** Days from one watering to the next; less than one where it is watered several times a day. */
  interval: number
  /** Waterings on a day it is watered. */
  timesADay: number
  /** Each time, what drains away included. */
  litres: Litres
  /** Days until it is thirsty, and until it hangs its leaves, from a good watering on. */
  untilThirst: number
  untilWilting: number
  /** Was it dry again within the days followed? If not, it lasts longer than told. */
  within: boolean
}

/** One change and what it does to the days between waterings. */
export interface PlanOption {
  change: PlanChange
  untilThirst: number
  hoursShortOfAir: number
}

export interface WateringPlan {
  months: MonthPlan[]
  /** The month looked at closely. */
  month: MonthPlan
  /** Days until thirst in it, by draws of the mix. */
  range: LikelyRange | null
  /** Weight just drained and when it is time to water, kg, the empty container left out. */
  heavy: Kilograms
  light: Kilograms
  /** Two weeks of it, followed: what drains away, as a share of what is given, and hours of thirst and of little air. */
  drainedShare: number
  drainedAWeek: Litres
  overSurface: Litres
  hoursThirsty: number
  hoursShortOfAir: number
  /** Salts that leave with what drains, g a week, by the EC of the mix as it is mixed. */
  saltsAWeek: number
  /** The same month with nothing changed but this, best first. */
  options: PlanOption[]
}

export interface PlanRequest {
  input: MixInContainer
  below: Below
  /** Looked at closely, 1 to 12; the thirstiest where left out. */
  month?: number
  draws?: number
  seed?: number
  learning?: Learning | null
}

/** Longest a pot is followed without water, days. */
const LONGEST = 45
/** A pouring takes so long, hours. */
const POURING = 0.1
const CELLS = 50
const FOLLOWED = 14
const MOST_A_DAY = 4
/** First watering of the day, hours from the start at six in the morning. */
const MORNING = 1
const USUAL_DRAWS = 12
/** Grams of salts in a litre of water of 1 dS/m. Source: common practice, 640 mg/L. */
const GRAMS_PER_DS = 0.64
const sumOf = (d: DayDemand) => d.uptake + d.evaporation + d.wall

/** A pot left without water from a good watering on, followed until well after it is thirsty. */
function* dryDown(input: MixInContainer, below: Below, plant: Plant): Generator<number, Outcome<Moved>> {
  for (let days = 6; ; days = Math.min(LONGEST, days * 2.5)) {
    const of: WateringCase = { input, below, begin: 'drained', days, pulses: [], plant }
    const problem = movingProblem(of, CELLS, [0, 24 * days])
    if (!problem.ok) return problem
    const run = yield* moveWater(problem.value)
    if (!run.ok || run.value.firstWilting !== null || days >= LONGEST) return run
  }
}

/** Days from one watering to the next that keep it from thirst, and waterings a day where it is less than one. */
function rhythm(untilThirst: number): { interval: number; timesADay: number } {
  if (untilThirst >= 1) return { interval: Math.floor(untilThirst), timesADay: 1 }
  const timesADay = Math.min(MOST_A_DAY, Math.ceil(1 / Math.max(untilThirst, 0.1)))
  return { interval: 1 / timesADay, timesADay }
}

const NEVER = 24 * LONGEST
/** Days until it is thirsty, as far as it was followed. */
const daysUntilThirst = ({ firstThirst }: Moved) => (firstThirst ?? NEVER) / 24

/** What a month asks, from a pot left without water in it. `drains`: the share of a watering that runs out. */
function monthPlan(month: number, day: DayDemand, run: Moved, drains: Fraction): MonthPlan {
  const untilThirst = daysUntilThirst(run)
  const { interval, timesADay } = rhythm(untilThirst)
  const use = sumOf(day)
  return {
    month,
    use,
    interval,
    timesADay,
    litres: (use * interval) / (1 - drains),
    untilThirst,
    untilWilting: (run.firstWilting ?? NEVER) / 24,
    within: run.firstThirst !== null,
  }
}

/**
 * Pourings of a plan over some days: in the morning, spread over the day where there are several.
 *
 * @example
 * pouringsOf({ interval: 0.5, timesADay: 2, litres: 1 }, 1)
 * // [{ start: 1, hours: 0.1, litres: 1 }, { start: 7, hours: 0.1, litres: 1 }]
 */
export function pouringsOf(
  { interval, timesADay, litres }: Pick<MonthPlan, 'interval' | 'timesADay' | 'litres'>,
  days: number,
): Pulse[] {
  const pulses: Pulse[] = []
  for (let day = interval >= 1 ? interval : 0; day < days; day += Math.max(1, interval))
    for (let k = 0; k < timesADay; k++)
      pulses.push({ start: 24 * day + MORNING + (k * 12) / timesADay, hours: POURING, litres })
  return pulses
}

/**
 * The fewest waterings that keep a crop in its container from thirst, month by month: how often, how much, what drains
 * away, how long it stands alone, and which change helps most. Found by following the water of the mix itself, layers
 * and saucer counted, in the weather of a mean month without rain.
 *
 * A generator: yields the share done; returns the plan.
 * Units: days, litres, kg. Range: crops and places the tables know. Errors: those of `evaluate`; no crop or no place.
 * Source: `moveWater`; the part that drains as `USUAL_LEACHING`.
 */
export function* wateringPlan(request: PlanRequest): Generator<number, Outcome<WateringPlan>> {
  const { input } = request
  const answer = evaluate(input, { slices: 60, years: [] })
  if (!answer.ok) return answer
  const { growing } = answer.value
  if (!growing || growing.watering.length === 0) return fail({ code: 'no-place' })
  const chosen = request.month ?? growing.thirstiestMonth ?? growing.standing[0]!
  const plant = plantOf(answer.value, input, chosen)
  const season = yield* portion(monthsOf(request, answer.value, growing.standing, chosen), 0, 0.4)
  if (!season.ok) return season
  const { months, first, dried } = season.value
  const kept = yield* portion(followed(request, first, plant), 0.4, 0.2)
  if (!kept.ok) return kept
  const { plan, moved } = kept.value
  const options = yield* portion(optionsOf(request, plant), 0.6, 0.2)
  const range = yield* portion(rangeOf(request, plant), 0.8, 0.2)
  const { weights, salts } = answer.value
  return succeed(
    {
      months: months.map((m) => (m.month === chosen ? plan : m)),
      month: plan,
      range,
      heavy: weights.drained,
      light: weights.drained - dried.usedByThirst,
      ...drainedOf(moved, salts.mix.electricalConductivity.pourThrough),
      overSurface: moved.book.overSurface,
      hoursThirsty: moved.hoursThirsty,
      hoursShortOfAir: moved.hoursShortOfAir,
      options: options.sort((a, b) => b.untilThirst - a.untilThirst),
    },
    ...answer.notes,
  )
}

/** Every month it stands in, and the one that is looked at closely. */
function* monthsOf(
  { input, below }: PlanRequest,
  answer: Evaluation,
  standing: readonly number[],
  chosen: number,
): Generator<number, Outcome<{ months: MonthPlan[]; first: MonthPlan; dried: Moved }>> {
  const keeps = below.kind !== 'free' || input.container.base.kind === 'closed'
  const drains = keeps ? 0 : (input.growing?.leachingFraction ?? USUAL_LEACHING)
  const wanted = [...new Set([...standing, chosen])]
  const months: MonthPlan[] = []
  let dried: Moved | null = null
  for (const [k, month] of wanted.entries()) {
    const plant = plantOf(answer, input, month)
    const run = yield* portion(dryDown(input, below, plant), k / wanted.length, 1 / wanted.length)
    if (!run.ok) return run
    months.push(monthPlan(month, plant.day, run.value, drains))
    if (month === chosen) dried = run.value
  }
  return succeed({ months, first: months.find((m) => m.month === chosen)!, dried: dried! })
}

/** What each change brings, where it can be made. */
function* optionsOf({ input, below }: PlanRequest, plant: Plant): Generator<number, PlanOption[]> {
  const options: PlanOption[] = []
  const each = 1 / CHANGES.length
  for (const [k, change] of CHANGES.entries()) {
    const other = changed(change, { input, below, plant })
    const run = other && (yield* portion(dryDown(other.input, other.below, other.plant), k * each, each))
    if (run?.ok) {
      const { hoursShortOfAir } = run.value
      options.push({ change, untilThirst: daysUntilThirst(run.value), hoursShortOfAir })
    }
  }
  return options
}

/** Days until thirst of as many mixes as this one may be; null where too few could be followed. */
function* rangeOf(request: PlanRequest, plant: Plant): Generator<number, WateringPlan['range']> {
  const { input, below, draws = USUAL_DRAWS, seed = 1, learning = null } = request
  const next = deviatesWith(learning, seed)
  const drawn: number[] = []
  for (let d = 0; d < draws; d++) {
    const run = yield* portion(dryDown(drawMix(input, next()), below, plant), d / draws, 1 / draws)
    if (run.ok) drawn.push(daysUntilThirst(run.value))
  }
  return drawn.length > 1 ? likelyRange(drawn) : null
}

/** What runs out of it, and the salts in that, grams a week; dS/m of what drains. */
function drainedOf({ book }: Moved, ec: number) {
  const drainedAWeek = book.drained / (FOLLOWED / 7)
  return {
    drainedShare: book.given > 0 ? book.drained / book.given : 0,
    drainedAWeek,
    saltsAWeek: drainedAWeek * ec * GRAMS_PER_DS,
  }
}

/**
 * A plan a day shorter, or one watering a day more: as much water in all, in smaller helpings.
 *
 * @example
 * moreOften({ interval: 3, timesADay: 1, litres: 6 }) // { interval: 2, timesADay: 1, litres: 4 }
 */
export function moreOften<P extends Pick<MonthPlan, 'interval' | 'timesADay' | 'litres'>>(plan: P): P {
  const timesADay = plan.interval > 1 ? 1 : plan.timesADay + 1
  const interval = plan.interval > 1 ? plan.interval - 1 : 1 / timesADay
  return { ...plan, interval, timesADay, litres: (plan.litres * interval) / plan.interval }
}

/** Two weeks of a plan; where it leaves the plant thirsty, of one a day shorter. */
function* followed(
  { input, below }: PlanRequest,
  first: MonthPlan,
  plant: Plant,
): Generator<number, Outcome<{ plan: MonthPlan; moved: Moved }>> {
  for (let chosen = first; ;) {
    const pulses = pouringsOf(chosen, FOLLOWED)
    const of: WateringCase = { input, below, begin: 'drained', days: FOLLOWED, pulses, plant }
    const problem = movingProblem(of, CELLS, [0, 24 * FOLLOWED])
    if (!problem.ok) return problem
    const run = yield* moveWater(problem.value)
    if (!run.ok) return run
    if (run.value.hoursThirsty < 1 || chosen.timesADay >= MOST_A_DAY)
      return succeed({ plan: chosen, moved: run.value })
    chosen = moreOften(chosen)
  }
}
