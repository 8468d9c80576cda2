import type { Learning } from '../data/learned'
import { evaluate, FULL_EFFORT, type Evaluation, type MixInContainer } from '../evaluate'
import { USUAL_LEACHING } from '../growing'
import { leachingFor, MOST_LEACHED, saltLimit } from '../nutrients'
import { fail, succeed, type Outcome } from '../outcome'
import type { LikelyRange } from '../ranges/quantiles'
import { withRanges } from '../ranges/withRanges'
import type { Days, Fraction, Kilograms, Litres } from '../units'
import { moveWater, type Below, type DayDemand, type Moved, type Pulse } from '../water/moving'
import { CELLS, daysUntilThirst, daysUntilWilting, dryDown, LONGEST } from './dryDown'
import { planOptions, type MayOffer, type PlanOption } from './options'
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
  /** Days until it is thirsty, as the bench has it, and until it wilts, after a good watering. */
  untilThirst: number
  untilWilting: number
  /** Is it thirsty within the days that are followed? If not, it lasts longer than this. */
  within: boolean
}

/**
 * Waterings in a week of a month, one at the least. Errors: none.
 *
 * @example
 * wateringsAWeek({ interval: 2 }) // 4
 */
export const wateringsAWeek = ({ interval }: Pick<MonthPlan, 'interval'>): number =>
  Math.max(1, Math.round(7 / interval))

export interface WateringPlan {
  months: MonthPlan[]
  /** The month looked at closely. */
  month: MonthPlan
  /** Days until thirst in it: the bench's own range. */
  range: LikelyRange | null
  /** Weight just drained and when it is time to water, kg, the empty container left out. */
  heavy: Kilograms
  light: Kilograms
  /**
   * Two weeks of it, followed: what drains away, as a share of what is given, and hours of thirst and of little air.
   */
  drainedShare: number
  /** Share of each watering that has to drain so that salts stay below the crop's limit; above a half none does. */
  leachingNeeded: Fraction
  drainedAWeek: Litres
  overSurface: Litres
  hoursThirsty: number
  hoursShortOfAir: number
  /** Salts that leave with what drains, g a week, by the EC of the mix as it is mixed. */
  saltsAWeek: number
  /** The same month with nothing changed but this, best first: changes that help, and leave the mix no worse. */
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

/** A pouring takes so long, hours. */
const POURING = 0.1
const FOLLOWED = 14
const DAYS_A_WEEK = 7
const MOST_A_DAY = 4
/** First watering of the day, hours from the start at six in the morning. */
const MORNING = 1
/** Grams of salts in a litre of water of 1 dS/m. Source: common practice, 640 mg/L. */
const GRAMS_PER_DS = 0.64
const sumOf = (d: DayDemand) => d.uptake + d.evaporation + d.wall

/** Days from one watering to the next that keep it from thirst, and waterings a day where it is less than one. */
function rhythm(untilThirst: number): { interval: number; timesADay: number } {
  if (untilThirst >= 1) return { interval: Math.floor(untilThirst), timesADay: 1 }
  const timesADay = Math.min(MOST_A_DAY, Math.ceil(1 / untilThirst))
  return { interval: 1 / timesADay, timesADay }
}

/** A month as the bench has it, beside the same pot left without water in it. */
interface Followed {
  month: number
  /** Days between waterings on the bench. */
  days: Days
  /** As it stands. */
  run: Moved
  /** Standing free, as the bench takes it. */
  free: Moved
}

/** Times as long it lasts by what stands below it. */
const lastsLonger = ({ run, free }: Pick<Followed, 'run' | 'free'>) =>
  daysUntilThirst(run) / daysUntilThirst(free)

/** What a month asks. `drains`: the share of a watering that runs out; `use`: litres a day. */
function monthPlan(of: Followed, use: Litres, drains: Fraction): MonthPlan {
  const { month, run } = of
  const untilThirst = Math.min(LONGEST, of.days * lastsLonger(of))
  const { interval, timesADay } = rhythm(untilThirst)
  const wilts = daysUntilWilting(run) / daysUntilThirst(run)
  return {
    month,
    use,
    interval,
    timesADay,
    litres: (use * interval) / (1 - drains),
    untilThirst,
    untilWilting: Math.min(LONGEST, untilThirst * wilts),
    within: untilThirst < LONGEST && run.firstThirst !== null,
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
 * Waterings that keep a crop in its container from thirst, month by month: how often, how much, what drains away, how
 * long it can be left, and which change helps most. How often is the bench's own interval and range; the water of the
 * mix is then followed by the hour through two weeks of it, layers and saucer counted, in the weather of a mean month
 * without rain.
 *
 * `mayOffer` judges the mix each change leads to: what it refuses is not offered.
 *
 * A generator: yields the share done; returns the plan.
 * Units: days, litres, kg. Range: crops and places the tables know. Errors: those of `evaluate`; no crop or no place.
 * Source: `wateringInterval`, `moveWater`; the part that drains as `USUAL_LEACHING`.
 */
export function* wateringPlan(
  request: PlanRequest,
  mayOffer: MayOffer = () => true,
): Generator<number, Outcome<WateringPlan>> {
  const { input } = request
  const answer = evaluate(input, { ...FULL_EFFORT, years: [] })
  if (!answer.ok) return answer
  const { growing } = answer.value
  if (!growing || growing.watering.length === 0) return fail({ code: 'no-place' })
  const chosen = request.month ?? growing.thirstiestMonth ?? growing.standing[0]!
  const plant = plantOf(answer.value, input, chosen)
  const leaching = leachingNeeded(answer.value)
  const drains = drainsOf(request, leaching)
  const season = yield* portion(monthsOf(request, answer.value, { chosen, drains }), 0, 0.4)
  if (!season.ok) return season
  const { months, looked, plan } = season.value
  const kept = yield* portion(followed(request, { ...plan, drains }, plant), 0.4, 0.2)
  if (!kept.ok) return kept
  const options = yield* portion(
    planOptions({ ...request, plant }, { untilThirst: plan.untilThirst, run: looked.run }, mayOffer),
    0.6,
    0.2,
  )
  const range = yield* portion(rangeOf(request, looked), 0.8, 0.2)
  const { weights, salts } = answer.value
  return succeed(
    {
      months,
      month: plan,
      range,
      heavy: weights.drained,
      light: weights.drained - looked.run.usedByThirst,
      ...drainedOf(kept.value, plan, salts.mix.electricalConductivity.pourThrough),
      leachingNeeded: leaching,
      overSurface: kept.value.book.overSurface,
      hoursThirsty: kept.value.hoursThirsty,
      hoursShortOfAir: kept.value.hoursShortOfAir,
      options,
    },
    ...answer.notes,
  )
}

/** Share that has to drain for the salts of the water; 0 where nothing is known of it. */
function leachingNeeded({ salts, blend, growing }: Evaluation): Fraction {
  if (!salts.water || !growing) return 0
  return leachingFor(saltLimit(growing.crop.properties), salts.water, blend.totalPorosity)
}

/** Share of a watering that runs out: none where what stands below keeps it, more where salts ask for it. */
const drainsOf = ({ input, below }: PlanRequest, needed: Fraction): Fraction =>
  below.kind !== 'free' || input.container.base.kind === 'closed'
    ? 0
    : Math.min(MOST_LEACHED, Math.max(input.growing?.leachingFraction ?? USUAL_LEACHING, needed))

/** Every month it stands in, and the one that is looked at closely. */
function* monthsOf(
  request: PlanRequest,
  answer: Evaluation,
  { chosen, drains }: { chosen: number; drains: Fraction },
): Generator<number, Outcome<{ months: MonthPlan[]; looked: Followed; plan: MonthPlan }>> {
  const { input, below } = request
  const { standing, watering } = answer.growing!
  const wanted = [...new Set([...standing, chosen])]
  const months: MonthPlan[] = []
  let looked: Followed | null = null
  for (const [k, month] of wanted.entries()) {
    const plant = plantOf(answer, input, month)
    const part = [k / wanted.length, 1 / wanted.length] as const
    const run = yield* portion(dryDown(input, below, plant), ...part)
    if (!run.ok) return run
    const free =
      below.kind === 'free' ? run : yield* portion(dryDown(input, { kind: 'free' }, plant), ...part)
    if (!free.ok) return free
    const { days, use } = watering[month - 1]!
    const of = { month, days: days.value, run: run.value, free: free.value }
    months.push(monthPlan(of, use.value, drains))
    if (month === chosen) looked = of
  }
  return succeed({ months, looked: looked!, plan: months.find((m) => m.month === chosen)! })
}

/** Days until thirst as the bench draws them; null where too few could be drawn. */
function* rangeOf(request: PlanRequest, looked: Followed): Generator<number, WateringPlan['range']> {
  const { input, draws, seed, learning } = request
  if (draws === 0) return null
  const ranged = yield* withRanges({ input, draws, seed, learning, years: [] })
  const range = ranged.ok ? ranged.value.ranges[`daysBetweenWaterings${looked.month}`] : undefined
  if (!range) return null
  const times = lastsLonger(looked)
  return { low: range.low * times, middle: range.middle * times, high: range.high * times }
}

/** What runs out of it, and the salts in that, grams a week; dS/m of what drains. */
function drainedOf({ book }: Moved, { litres, interval }: MonthPlan, ec: number) {
  const drainedShare = book.given > 0 ? book.drained / book.given : 0
  const drainedAWeek = (drainedShare * litres * DAYS_A_WEEK) / interval
  return { drainedShare, drainedAWeek, saltsAWeek: drainedAWeek * ec * GRAMS_PER_DS }
}

/** Two weeks of a plan, poured on the mix above the roots at the rate they draw it. */
function* followed(
  request: PlanRequest,
  { interval, timesADay, drains }: MonthPlan & { drains: Fraction },
  plant: Plant,
): Generator<number, Outcome<Moved>> {
  const { input, below } = request
  const litres = (sumOf(plant.day) * interval) / (1 - drains)
  const pulses = pouringsOf({ interval, timesADay, litres }, FOLLOWED)
  const of: WateringCase = { input, below, begin: 'drained', days: FOLLOWED, pulses, plant }
  const problem = movingProblem(of, CELLS, [0, 24 * FOLLOWED])
  return problem.ok ? yield* moveWater(problem.value) : problem
}
