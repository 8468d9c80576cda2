import { addDays, differenceInCalendarDays, parseISO } from 'date-fns'
import { prepLead, PREP_STEPS, prepStep, stepsFor, type PrepStep } from '@/core/preparing'
import { isoDay } from '../calendar/isoDay'
import { movedDay } from '../calendar/movedDay'
import { plannedDay, plantingDay, type Planted } from '../calendar/plantingDay'
import type { Job, Place } from '../garden/schemas'
import type { DoseTotal } from './doseTotals'
import type { ShoppingLine } from './shoppingList'

const dayBefore = (iso: string, days: number) => isoDay(addDays(parseISO(iso), -days))
const dayAfter = (iso: string, days: number) => dayBefore(iso, -days)

/** A step of getting ready with its days. */
export interface TimedStep {
  /** "step:material", by which it is ticked. */
  id: string
  prep: PrepStep
  /** The material, lime or dressing it is for. */
  about: string
  /** ISO days: when it is begun, and when it is ready. */
  begin: string
  ready: string
  /** The last day it can be begun, where the grower begins it sooner. */
  movedFrom?: string
  /** How long it takes, days. */
  days: number
  /** Water to have at hand, litres; 0 for none. */
  water: number
  done: boolean
  /** Should have been begun and is not done. */
  late: boolean
}

/** A step that may be added: what it is for, and why. */
export interface OfferedStep {
  id: string
  prep: PrepStep
  about: string
}

/** What cannot be as it is planned. */
export type Clash =
  /** A step should have been begun before today: mixing moves to `earliest`. */
  | { code: 'begun-too-late'; step: TimedStep; earliest: string }
  /** A step is not over when it is planted. */
  | { code: 'planted-too-soon'; step: TimedStep; plantOn: string }
  /** It is too cold for it. */
  | { code: 'too-cold'; step: TimedStep; temperature: number }

export interface Timetable {
  mixOn: string
  /** The grower said so; else it is the soonest that fits, or what the planting day leaves. */
  said: boolean
  planted: Planted
  /** Everything to be had before the first step; null where nothing is to be bought. */
  buyBy: string | null
  before: TimedStep[]
  after: TimedStep[]
  offered: OfferedStep[]
  clashes: Clash[]
  /** The soonest day it can be mixed. */
  earliest: string
}

/** What a timetable is made from. */
export interface ToPrepare {
  job: Job
  place: Place | undefined
  list: readonly ShoppingLine[]
  doses: readonly DoseTotal[]
  /** Rows of the tables that the grower's own materials and feeds are like, by id. */
  likes?: ReadonlyMap<string, string>
  /** ISO day. */
  today: string
}

export const readyId = (prepId: string, about: string) => `${prepId}:${about}`

/** Mean temperature of a day of the year by the months of a place, C; 15 where there is none. */
function temperatureOn(place: Place | undefined, iso: string): number {
  const month = place?.months[parseISO(iso).getMonth()]
  return month ? (month.tMin + month.tMax) / 2 : NO_PLACE
}
/** Where nobody said: a mild spring day. Source: our assumption. */
const NO_PLACE = 15
/** Things are bought so many days before they are first needed. Source: our assumption. */
const BUY_BEFORE = 1

/** Bought the day before the first step; on the very day where that is today. */
const buyingDay = (first: string, today: string) => (first === today ? today : dayBefore(first, BUY_BEFORE))

/** Whole days a step keeps one waiting: what takes a few hours is done on the day, what takes longer the day before. */
const SAME_DAY = 4 / 24
const waits = (days: number) => (days <= SAME_DAY ? 0 : Math.ceil(days - 1e-9))

/** The steps of a job, chosen and offered, each for one material or dressing. */
function stepsOf({ job, list, doses, likes }: ToPrepare) {
  const added = new Set(job.readyAdded)
  const left = new Set(job.readyLeft)
  const chosen: OfferedStep[] = []
  const offered: OfferedStep[] = []
  const kinds = new Map<string, string | undefined>()
  for (const l of list)
    kinds.set(l.material.id, (l.packs.find((p) => p.count > 0) ?? l.packs[0]!).offer.pack.kind)
  for (const mix of job.mixes) if (mix.origin.kind === 'bag') kinds.set('potting_mix_bagged', undefined)
  // What is held back is not in the mix: nothing waits for it.
  for (const d of doses) if (d.place.kind !== 'heldBack' && !kinds.has(d.id)) kinds.set(d.id, undefined)
  for (const [about, kind] of kinds)
    for (const prep of stepsFor(likes?.get(about) ?? about, kind)) {
      const id = readyId(prep.id, about)
      const isIn = added.has(id) || (prep.usual && !left.has(id))
      ;(isIn ? chosen : offered).push({ id, prep, about })
    }
  return { chosen, offered }
}

/** Share of each material that its chosen steps throw out. */
export function lostOnPreparing(job: Job): Map<string, number> {
  const left = new Set(job.readyLeft)
  const lost = new Map<string, number>()
  const add = (prep: PrepStep, about: string) => {
    if (!prep.loss) return
    lost.set(about, 1 - (1 - (lost.get(about) ?? 0)) * (1 - prep.loss.value))
  }
  for (const id of job.readyAdded) {
    const [prepId = '', ...about] = id.split(':')
    const prep = prepStep(prepId)
    if (prep && !prep.usual) add(prep, about.join(':'))
  }
  for (const prep of PREP_STEPS)
    if (prep.usual && prep.loss)
      for (const about of prep.appliesTo) if (!left.has(readyId(prep.id, about))) add(prep, about)
  return lost
}

/**
 * Steps before mixing, each ended by what comes after it for the same material; the last on the mixing day. A step may
 * be begun sooner, on a day of the grower's; never so late that it is not over.
 */
function stepsBefore(chosen: readonly OfferedStep[], mixOn: string, given: ToPrepare): TimedStep[] {
  const byAbout = new Map<string, OfferedStep[]>()
  for (const s of chosen) byAbout.set(s.about, [...(byAbout.get(s.about) ?? []), s])
  const timed: TimedStep[] = []
  for (const steps of byAbout.values()) {
    let ready = mixOn
    for (const step of [...steps].reverse()) {
      const days = prepLead(step.prep, temperatureOn(given.place, ready)).value
      const last = dayBefore(ready, waits(days))
      const own = movedDay(given.job, step.id)
      const isSooner = own !== undefined && own < last
      const begin = isSooner ? own : last
      const over = isSooner ? dayAfter(own, waits(days)) : ready
      const row = timedStep(step, { begin, ready: over, days }, given)
      timed.push(isSooner ? { ...row, movedFrom: last, late: !row.done && last < given.today } : row)
      ready = begin
    }
  }
  return timed.sort(
    (a, b) => a.begin.localeCompare(b.begin) || a.ready.localeCompare(b.ready) || a.prep.order - b.prep.order,
  )
}

function timedStep(
  { id, prep, about }: OfferedStep,
  { begin, ready, days }: Pick<TimedStep, 'begin' | 'ready' | 'days'>,
  { job, list, today }: ToPrepare,
): TimedStep {
  const done = job.readySteps.includes(id)
  const wets = WETS.has(prep.id)
  return {
    id,
    prep,
    about,
    begin,
    ready,
    days,
    water: wets ? (list.find((l) => l.material.id === about)?.water ?? 0) : 0,
    done,
    late: !done && begin < today,
  }
}
/** Steps that bring a material to where it can be mixed: the water that takes is given with them. */
const WETS: ReadonlySet<string> = new Set([
  'peat_soak',
  'coir_swell',
  'bark_soak',
  'moss_soak',
  'wood_fibre_open',
])

/** Days from the first step to the mixing day, were it mixed on a day. */
const longestBefore = (chosen: readonly OfferedStep[], mixOn: string, given: ToPrepare): number =>
  Math.max(
    0,
    ...stepsBefore(chosen, mixOn, given)
      .filter((s) => !s.done)
      .map((s) => differenceInCalendarDays(parseISO(mixOn), parseISO(s.begin))),
  )

/** The first day from today on by which every step can be over; each day has its own temperature. */
function soonest(before: readonly OfferedStep[], asked: ToPrepare): string {
  const given = { ...asked, job: { ...asked.job, movedDays: [] } }
  for (let days = 0; days < LONGEST_WAIT; days++) {
    const day = dayAfter(given.today, days)
    if (longestBefore(before, day, given) <= days) return day
  }
  return dayAfter(given.today, LONGEST_WAIT)
}
/** Two years: nothing of the table takes longer. */
const LONGEST_WAIT = 730

/**
 * Everything that has to be done before a job is mixed, worked back from its mixing day, and what has to be waited for
 * before it is planted, by the temperatures of the place. Where no day was said it is mixed so that it is ready by its
 * planting day, and not before what takes longest can be done.
 */
export function timetable(given: ToPrepare): Timetable {
  const { job, place, list, today } = given
  const { chosen, offered } = stepsOf(given)
  const before = chosen.filter((s) => s.prep.phase === 'before')
  const after = chosen.filter((s) => s.prep.phase === 'after')
  const planned = plannedDay(job)
  const earliest = soonest(before, given)
  const waitAt = (day: string) =>
    Math.max(0, ...after.map((s) => waits(prepLead(s.prep, temperatureOn(place, day)).value)))
  const wanted = planned && dayBefore(planned.day, waitAt(planned.day))
  const mixOn = job.mixOn ?? (wanted && wanted > earliest ? wanted : earliest)
  const afterSteps = after.map((s) => {
    const { value } = prepLead(s.prep, temperatureOn(place, mixOn))
    return {
      ...timedStep(s, { begin: mixOn, ready: dayAfter(mixOn, waits(value)), days: value }, given),
      late: false,
    }
  })
  const readyOn = afterSteps.reduce((last, s) => (s.ready > last ? s.ready : last), mixOn)
  const planted = plantingDay(job, place, readyOn)
  const plantOn = planted.day
  const beforeSteps = stepsBefore(before, mixOn, given)
  const clashes: Clash[] = [
    ...beforeSteps.filter((s) => s.late).map((step) => ({ code: 'begun-too-late' as const, step, earliest })),
    ...afterSteps
      .filter((s) => !s.done && s.ready > plantOn)
      .map((step) => ({ code: 'planted-too-soon' as const, step, plantOn })),
    ...[...beforeSteps, ...afterSteps].flatMap((step) => {
      const temperature = temperatureOn(place, step.ready)
      return !step.done && prepLead(step.prep, temperature).stalls
        ? [{ code: 'too-cold' as const, step, temperature }]
        : []
    }),
  ]
  const first = beforeSteps.reduce((day, s) => (s.begin < day ? s.begin : day), mixOn)
  const isToBuy = list.some((l) => l.packs.some((p) => p.count > 0))
  return {
    mixOn,
    said: job.mixOn !== null,
    planted,
    buyBy: isToBuy ? buyingDay(first, today) : null,
    before: beforeSteps,
    after: afterSteps,
    offered,
    clashes,
    earliest,
  }
}

/** The first step not done yet; null where all is ready. */
export const nextStep = ({ before }: Timetable): TimedStep | null => before.find((s) => !s.done) ?? null
