import { addDays, differenceInCalendarDays, getMonth, parseISO } from 'date-fns'
import { USUAL_SALT_LIMIT } from '@/core/nutrients'
import type { Evaluation } from '@/core/evaluate'
import { isoDay } from '../calendar/isoDay'
import { daysAfter, daysBetween, movedDay } from '../calendar/movedDay'
import type { Job } from '../garden/schemas'
import type { Correction } from './correction'
import { readingsOf, type Noted } from './readings'
import type { Due } from './season'

/** What a season's tasks answer to. */
export interface SeasonLog extends Noted {
  /** What a pH read on a day asks for; null where that cannot be worked out. */
  correct: (pH: number, at: string) => Correction | null
  /** dS/m in the saturated extract from which the crop suffers; null where no crop is chosen. */
  saltLimit: number | null
  /** Litres that fill the beds up again where a mix has sunk by so many cm. */
  topUp: (sunk: number) => number
}

/** A pH read so many days before its task, or at any time after, answers it. Source: our assumption. */
const EARLY = 5
/** Weeks of days a correction takes to show. Source: common practice. */
const LOOK_AGAIN = 14
/** Liquid feed is given so often. Source: common practice. */
const FEED_EVERY = 14
const FLUSHED_AFTER = 7
/** Sunk by less than this nobody tops up, cm. Source: our assumption. */
const WORTH_TOPPING = 2.5
/** A reading or a watering older than this asks for nothing any more, days. */
const STALE = 45

const later = (at: string, days: number) => isoDay(addDays(parseISO(at), days))

/** What the log is read against: the job, its figures, its lines, and the day it is, ISO. */
export interface Reacting {
  job: Pick<Job, 'followedSteps' | 'movedDays' | 'liquidFeeds'>
  evaluation: Evaluation | null
  log: SeasonLog
  today: string
}

/**
 * A season's tasks as the log has moved them: a pH that was read answers its task and, where it is off, asks for a
 * correction now and a look in two weeks; feed follows what was given; water follows what was noted; salts ask for a
 * flush, sinking for topping up.
 */
export function reactTo(due: readonly Due[], reacting: Reacting): Due[] {
  const more = [afterPH, afterSalts, afterSinking, afterWatering].flatMap((asks) => asks(reacting))
  return [...moved(due, reacting), ...more]
    .map((d) => onItsDay(d, reacting.job))
    .sort((a, b) => a.on.localeCompare(b.on))
}

/** A task on the day the grower put it on. A harvest keeps its own, and what was done since goes by that. */
function onItsDay(due: Due, job: Pick<Job, 'movedDays'>): Due {
  const on = movedDay(job, due.id)
  if (on === undefined || on === due.on || due.code === 'harvest' || (due.lastOn && on <= due.lastOn))
    return due
  const until = due.until && daysAfter(due.until, daysBetween(due.on, on))
  return { ...due, on, until, movedFrom: due.on }
}

function isFresh(at: string, today: string): boolean {
  const days = differenceInCalendarDays(parseISO(today), parseISO(at))
  return days >= 0 && days <= STALE
}
/** The last reading of a kind and its day, where it is not too old. */
function freshReading(kind: Parameters<typeof readingsOf>[0], { log, today }: Reacting) {
  const last = readingsOf(kind, log).at(-1)
  return last && isFresh(last.at, today) ? { ...last, day: isoDay(parseISO(last.at)) } : null
}
const asked = (
  { job }: Reacting,
  due: Pick<Due, 'id' | 'code' | 'on'> & Partial<Pick<Due, 'correction' | 'read' | 'litres' | 'lastOn'>>,
): Due => ({ ...due, until: null, done: job.followedSteps.includes(due.id) })
const daysOf = (log: SeasonLog, kind: 'fed' | 'watered') =>
  log.entries.flatMap((e) => (e.kind === kind ? [e.at] : [])).sort()

/** Feed after it was given: again so many days later, and done where that is past its last day. */
function afterFeed(due: Due, lastFed: string, every: number): Due {
  const on = later(lastFed, every)
  if (on <= due.on) return due
  const lastOn = isoDay(parseISO(lastFed))
  return { ...due, on, lastOn, done: due.feedId !== undefined && due.until !== null && on > due.until }
}

/** Tasks that the log answers or puts off. */
function moved(due: readonly Due[], { log, job }: Reacting): Due[] {
  const every = ({ feedId }: Due) =>
    job.liquidFeeds.find((line) => line.id === feedId)?.everyDays ?? FEED_EVERY
  const pHs = readingsOf('pH', log)
  const lastFed = daysOf(log, 'fed').at(-1)
  return due.map((d): Due => {
    if (d.code === 'test-ph-first' || d.code === 'test-ph-again') {
      const isRead = pHs.some(({ at }) => differenceInCalendarDays(parseISO(at), parseISO(d.on)) >= -EARLY)
      return isRead ? { ...d, done: true } : d
    }
    if (d.code === 'feed' && lastFed) return afterFeed(d, lastFed, every(d))
    return d
  })
}

function afterPH(reacting: Reacting): Due[] {
  const last = freshReading('pH', reacting)
  const correction = last && reacting.log.correct(last.value, last.at)
  if (!correction?.add) return []
  const { day, at, value } = last!
  return [
    asked(reacting, { id: `correct-ph-${day}`, code: 'correct-ph', on: day, correction, read: value }),
    asked(reacting, { id: `test-ph-after-${day}`, code: 'test-ph-again', on: later(at, LOOK_AGAIN) }),
  ]
}

function afterSalts(reacting: Reacting): Due[] {
  const last = freshReading('salts', reacting)
  if (!last || last.value <= (reacting.log.saltLimit ?? USUAL_SALT_LIMIT)) return []
  const { day, at } = last
  return [
    asked(reacting, { id: `flush-${day}`, code: 'flush', on: day }),
    asked(reacting, { id: `check-salts-after-${day}`, code: 'check-salts', on: later(at, FLUSHED_AFTER) }),
  ]
}

function afterSinking(reacting: Reacting): Due[] {
  const last = freshReading('sunk', reacting)
  if (!last || last.value < WORTH_TOPPING) return []
  const litres = reacting.log.topUp(last.value)
  return [asked(reacting, { id: `top-up-${last.day}`, code: 'top-up', on: last.day, litres })]
}

function afterWatering(reacting: Reacting): Due[] {
  const { evaluation, log, today } = reacting
  const last = daysOf(log, 'watered').at(-1)
  const interval = evaluation?.growing?.watering[getMonth(parseISO(today))]?.days.value
  if (!last || !isFresh(last, today) || interval === undefined) return []
  const on = later(last, Math.max(1, Math.round(interval)))
  return [asked(reacting, { id: 'water', code: 'water', on, lastOn: isoDay(parseISO(last)) })]
}
