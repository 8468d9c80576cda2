import { addDays, differenceInCalendarDays, parseISO } from 'date-fns'
import type { Tables } from '@/core/data'
import { needsWhileAway, type AwayNeeds, type WateringPlan } from '@/core/watering'
import { isoDay } from '../calendar/isoDay'
import { asDosed } from '../amounts/asDosed'
import { placeOf, type Garden } from '../garden/garden'
import type { Job, JobBed } from '../garden/schemas'
import { AT_REST, evaluatePrepared, prepare } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'
import type { JudgedPlanRequest } from './plan'
import { belowOf } from './pouring'

/** The longest stay that is planned for, days: longer ones see other weather. Source: our assumption. */
export const LONGEST_STAY = 60
/** What two people move without a trolley, kg. Source: common practice of lifting guidance, 25 kg each. */
const CARRIED = 50

/** The first day away and the day of coming home, ISO. */
export interface Stay {
  from: string
  to: string
}
export const daysOf = ({ from, to }: Stay): number => differenceInCalendarDays(parseISO(to), parseISO(from))
/** The month in the middle of it, 1 to 12: its weather counts. */
export const monthOf = (stay: Stay): number =>
  addDays(parseISO(stay.from), Math.floor(daysOf(stay) / 2)).getMonth() + 1

/** Something that grows, in one of its beds. */
export interface AwayBed {
  job: Job
  fill: JobBed
}
/** Every bed of those jobs that are planted. */
export const awayBeds = (jobs: readonly Job[]): AwayBed[] =>
  jobs.filter((job) => job.plantedOn !== null).flatMap((job) => job.fills.map((fill) => ({ job, fill })))

/** A bed as its watering plan is asked for. */
export interface AwayRequest {
  plan: JudgedPlanRequest
  /** kg of the empty container: a plan weighs the mix alone. */
  empty: number
  movable: boolean
}

/** Null where a bed cannot be worked out, no place is known, or nothing grows in it in that month. */
export function awayRequest(
  garden: Garden,
  { job: stored, fill }: AwayBed,
  { month, tables }: { month: number; tables: Tables },
): AwayRequest | null {
  const job = { ...asDosed(garden, stored), judgedIn: fill.id }
  const question = questionOfJob(job, placeOf(garden), tables)
  const prepared = question.crops.length > 0 ? prepare(question) : null
  const evaluation = prepared?.ok ? evaluatePrepared(prepared.value, AT_REST) : null
  if (!prepared?.ok || !evaluation?.ok) return null
  const { growing, weights } = evaluation.value
  if (!growing || growing.watering.length === 0 || !growing.standing.includes(month)) return null
  const { input } = prepared.value
  const empty = input.growing?.emptyWeight ?? 0
  return {
    empty,
    movable: !question.bed.wide && weights.saturated + empty <= CARRIED,
    plan: {
      question,
      answered: job.dismissed.map((d) => d.code),
      input,
      below: belowOf('free', input.container.shape),
      month,
      learning: tables.learning,
    },
  }
}

/** A bed with what it needs in a stay. */
export interface AwayAnswer {
  needs: AwayNeeds
  /** ISO days on which it is watered, and on which it is looked at in a hot week. */
  waterOn: string[]
  lookOn: string
  /** kg, container and all: when it wants water, and after watering. */
  light: number
  heavy: number
  /** Part of the ground: nobody lifts it. */
  wide: boolean
}

/** What a bed needs in a stay, from its watering plan. */
export function awayAnswer(
  { empty, movable, plan: { question } }: AwayRequest,
  stay: Stay,
  plan: WateringPlan,
): AwayAnswer {
  const needs = needsWhileAway(plan, plan.month, { days: daysOf(stay), movable })
  const dayOf = (day: number) => isoDay(addDays(parseISO(stay.from), day))
  return {
    needs,
    waterOn: needs.on.map(dayOf),
    lookOn: dayOf(needs.look),
    light: plan.light + empty,
    heavy: plan.heavy + empty,
    wide: question.bed.wide,
  }
}
