import { addDays, differenceInCalendarDays, getMonth, parseISO } from 'date-fns'
import { USUAL_SALT_LIMIT } from '@/core/nutrients'
import type { Evaluation } from '@/core/evaluate'
import { isoDay } from '../calendar/isoDay'
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

/**
 * A season's tasks as the log has moved them: a pH that was read answers its task and, where it is off, asks for a
 * correction now and a look in two weeks; feed follows what was given; water follows what was noted; salts ask for a
 * flush, sinking for topping up. `today` is an ISO day.
 */
export function reactTo(
  due: readonly Due[],
  job: Pick<Job, 'followedSteps'>,
  evaluation: Evaluation | null,
  log: SeasonLog,
  today: string,
): Due[] {
  const done = new Set(job.followedSteps)
  const isFresh = (at: string) => {
    const days = differenceInCalendarDays(parseISO(today), parseISO(at))
    return days >= 0 && days <= STALE
  }
  const asked = (id: string, code: Due['code'], on: string, more: Partial<Due> = {}): Due => ({
    id,
    code,
    on,
    until: null,
    done: done.has(id),
    ...more,
  })
  const pHs = readingsOf('pH', log)
  const fed = log.entries.flatMap((e) => (e.kind === 'fed' ? [e.at] : [])).sort()
  const watered = log.entries.flatMap((e) => (e.kind === 'watered' ? [e.at] : [])).sort()
  const moved = due.map((d): Due => {
    if (d.code === 'test-ph-first' || d.code === 'test-ph-again') {
      const isRead = pHs.some(({ at }) => differenceInCalendarDays(parseISO(at), parseISO(d.on)) >= -EARLY)
      return isRead ? { ...d, done: true } : d
    }
    const lastFed = fed.at(-1)
    if (d.code === 'feed' && lastFed && later(lastFed, FEED_EVERY) > d.on)
      return { ...d, on: later(lastFed, FEED_EVERY), lastOn: isoDay(parseISO(lastFed)), done: false }
    return d
  })
  const more: Due[] = []
  const lastPH = pHs.at(-1)
  if (lastPH && isFresh(lastPH.at)) {
    const correction = log.correct(lastPH.value, lastPH.at)
    const day = isoDay(parseISO(lastPH.at))
    if (correction?.add)
      more.push(
        asked(`correct-ph-${day}`, 'correct-ph', day, { correction, read: lastPH.value }),
        asked(`test-ph-after-${day}`, 'test-ph-again', later(lastPH.at, LOOK_AGAIN)),
      )
  }
  const lastSalts = readingsOf('salts', log).at(-1)
  const limit = log.saltLimit ?? USUAL_SALT_LIMIT
  if (lastSalts && isFresh(lastSalts.at) && lastSalts.value > limit) {
    const day = isoDay(parseISO(lastSalts.at))
    more.push(
      asked(`flush-${day}`, 'flush', day),
      asked(`check-salts-after-${day}`, 'check-salts', later(lastSalts.at, FLUSHED_AFTER)),
    )
  }
  const lastSunk = readingsOf('sunk', log).at(-1)
  if (lastSunk && isFresh(lastSunk.at) && lastSunk.value >= WORTH_TOPPING) {
    const day = isoDay(parseISO(lastSunk.at))
    more.push(asked(`top-up-${day}`, 'top-up', day, { litres: log.topUp(lastSunk.value) }))
  }
  const lastWatered = watered.at(-1)
  const interval = evaluation?.growing?.watering[getMonth(parseISO(today))]?.days.value
  if (lastWatered && isFresh(lastWatered) && interval !== undefined)
    more.push(asked('water', 'water', later(lastWatered, Math.max(1, Math.round(interval)))))
  return [...moved, ...more].sort((a, b) => a.on.localeCompare(b.on))
}
