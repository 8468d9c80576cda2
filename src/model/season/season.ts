import { waterOfJob } from '../mix/jobWater'
import { cropById, type Crop } from '@/core/data'
import { addDays, differenceInCalendarDays, getDayOfYear, parseISO } from 'date-fns'
import { APPRAISAL_LIMITS } from '@/core/appraisal'
import { dressingById } from '@/core/data/dressings'
import { growthOf } from '@/core/data/growth'
import { seasonOf } from '@/core/data/seasons'
import type { Evaluation } from '@/core/evaluate'
import { firstShort } from '@/core/judgement'
import { seasonDays } from '@/core/nutrients'
import {
  coldestNightOf,
  daysToHarvest,
  followUp,
  monthsFor,
  perennialHarvest,
  plantingMonths,
  restsFor,
  SEASON_LIMITS,
  winterMargin,
  type DaysToHarvest,
  type FollowUpCode,
  type MonthSuits,
  type WinterMargin,
} from '@/core/season'
import { asJudged, judgedBed } from '@/model/garden/garden'
import { isoDay } from '@/model/calendar/isoDay'
import type { JobDates } from './jobDates'
import type { Job, Place } from '@/model/garden/schemas'
import type { Correction } from './correction'

export interface Outdoors {
  suits: MonthSuits[]
  /** Months it can be planted in outside, 1 to 12. */
  planting: number[]
}
/** How the months of a place suit the leading crop; null where either is unknown. */
export function outdoorsOf(job: Job, place: Place | undefined): Outdoors | null {
  const crop = cropById(asJudged(job).cropId)
  const season = crop && seasonOf(crop.id)
  if (!season || !place) return null
  return { suits: monthsFor(season, place), planting: plantingMonths(crop, season, place) }
}

/** What a winter out of doors leaves the leading crop to spare; null for what does not stay, or without a place. */
export function winterOf(job: Job, place: Place | undefined): (WinterMargin & { inPot: boolean }) | null {
  const crop = cropById(asJudged(job).cropId)
  const standsTo = crop && seasonOf(crop.id)?.standsTo
  if (!standsTo || !place) return null
  const inPot = judgedBed(job).spec.vessel.base.kind !== 'onSoil'
  return { ...winterMargin(standsTo, place.coldestNight ?? coldestNightOf(place), inPot), inPot }
}

/** Sown where it stays, so there is nothing to shade. Source: common practice. */
const SOWN = new Set(['root veg', 'legume'])

export interface Due {
  id: string
  code: FollowUpCode | 'dress' | 'correct-ph' | 'flush' | 'water'
  /** The dressing to put on, and its line in the recipe. */
  dressingId?: string
  lineId?: string
  /** A harvest that comes only under glass: cold nights come before it outside. */
  underGlass?: boolean
  /** A harvest that manure comes too soon before: the first safe day. */
  safeFrom?: string
  /** A liquid feed of the job's own, by its id. */
  feedId?: string
  /** What a pH that was read asks for. */
  correction?: Correction
  read?: number
  /** The day it was done last. */
  lastOn?: string
  /** Litres that fill it up again. */
  litres?: number
  /** The day worked out, where the grower has put it on another. */
  movedFrom?: string
  /** ISO dates. */
  on: string
  until: string | null
  done: boolean
}

export interface SeasonPlan {
  planted: JobDates['planted']
  harvest: DaysToHarvest | null
  due: Due[]
}

/** Lime or dressing that moves pH less within six weeks asks for no test. Source: our assumption: meters show 0.1. */
const WORTH_A_TEST = 0.2
const movesPH = ({ lime }: Evaluation) => lime.movers.some((m) => Math.abs(m.by) >= WORTH_A_TEST)

/** Day from which the mix alone no longer feeds the crop; null where it gives enough all season. */
function hungryFrom(evaluation: Evaluation | null) {
  const feeding = evaluation?.growing?.feeding
  return (feeding && firstShort(feeding)?.day) ?? null
}

/**
 * Mean lowest of a month, C, under which some nights freeze: a night in six lies 2 C and more below the mean of its
 * month. Source: common practice.
 */
const FROST_LIKELY = 2
/** Latitude where nobody said: north. */
const NORTH = 50

function restDays(start: Date, perennial: boolean, place: Place | undefined): number {
  const months = perennial && place ? restsFor(place.latitude, start.getMonth() + 1) : 0
  return (
    months && differenceInCalendarDays(new Date(start.getFullYear(), start.getMonth() + months, 1), start)
  )
}

/** What a job asks for after planting, by date. Without an evaluation feed is left out, without a crop the harvest. */
export function seasonPlan(
  job: Job,
  { mixOn, planted }: Pick<JobDates, 'mixOn' | 'planted'>,
  evaluation: Evaluation | null,
  place: Place | undefined,
): SeasonPlan {
  const start = parseISO(planted.day)
  const crop = cropById(asJudged(job).cropId)
  const grown: Grown = { start, crop, place, season: crop && seasonOf(crop.id) }
  const coldFrom = coldDays(grown)
  const { harvest, underGlass } = harvestOf(grown, coldFrom)
  const due = followUp({
    mixedBefore: mixOn ? Math.max(0, differenceInCalendarDays(start, parseISO(mixOn))) : 0,
    limed: evaluation ? movesPH(evaluation) : job.lime.mode !== 'none',
    transplanted: crop !== undefined && !SOWN.has(crop.kind),
    hungryFrom: hungryFrom(evaluation),
    harvest,
    waterEc: place ? waterOfJob(place, job).conductivity : 0,
    season: grown.season,
    coldFrom,
    perennial: crop?.perennial ?? false,
    restsFor: restDays(start, crop?.perennial ?? false, place),
  })
  const done = new Set(job.followedSteps)
  return {
    planted,
    harvest,
    due: [
      ...datedTasks(asFed(due, job), { start, done, underGlass }).map((task) =>
        task.code === 'harvest'
          ? { ...task, ...safeHarvest(task, job, { evaluation, mixed: mixOn ?? planted.day }) }
          : task,
      ),
      ...heldBack(job, start, done),
      // What stays for years is fed in its first season of growth.
      ...liquidFeeds(
        job,
        start,
        crop?.perennial ? seasonDays(crop) : (harvest?.to ?? SEASON_LIMITS.season.value),
      ),
    ].sort((a, b) => a.on.localeCompare(b.on)),
  }
}

/** The first day on which what manured soil touches may be eaten raw, where the harvest would begin before it. */
function safeHarvest(
  harvest: Due,
  job: Job,
  { evaluation, mixed }: { evaluation: Evaluation | null; mixed: string },
): Pick<Due, 'safeFrom'> {
  const isManured =
    evaluation?.blend.shares.some(({ material }) => material.family === 'manure') ||
    job.dressings.some((line) => dressingById(line.dressingId)?.caution === 'manure')
  const safe = isoDay(addDays(parseISO(mixed), APPRAISAL_LIMITS.manureDays.value))
  return isManured && harvest.on < safe ? { safeFrom: safe } : {}
}

/** What grows where from which day on. */
interface Grown {
  start: Date
  crop: Crop | undefined
  season: ReturnType<typeof seasonOf>
  place: Place | undefined
}
const suitsOf = ({ season, place }: Grown) => (season && place ? monthsFor(season, place) : null)

/** Days from planting to the first month whose nights it does not stand; null where there is none. */
function coldDays(grown: Grown): number | null {
  const { start, season, place } = grown
  const suits = suitsOf(grown)
  if (!suits) return null
  for (let k = 1; k < 12; k++) {
    const at = new Date(start.getFullYear(), start.getMonth() + k, 1)
    const bad = season!.standsTo
      ? place!.months[at.getMonth()]!.tMin < FROST_LIKELY
      : suits[at.getMonth()] === 'frost'
    if (bad) return differenceInCalendarDays(at, start)
  }
  return null
}

function ripeDays(grown: Grown): SeasonPlan['harvest'] {
  const { start, crop, season, place } = grown
  if (!crop || !season) return null
  const growth = growthOf(crop.id)
  return crop.perennial && growth
    ? perennialHarvest(growth, suitsOf(grown), place?.latitude ?? NORTH, getDayOfYear(start))
    : daysToHarvest(crop, season, place, getDayOfYear(start))
}

/**
 * When it is ripe. What takes no frost comes to harvest only under glass where cold nights come before it, and bears
 * until they do, under glass some weeks longer.
 */
function harvestOf(grown: Grown, coldFrom: number | null) {
  const { start, crop, season } = grown
  const ripe = ripeDays(grown)
  const killed = suitsOf(grown)?.[start.getMonth()] === 'frost' ? 0 : coldFrom
  const isTender = Boolean(season?.leastNight) && !crop?.perennial
  if (!isTender || killed === null || !ripe) return { harvest: ripe, underGlass: false }
  const underGlass = ripe.from >= killed
  // Glass alone holds frost off for some weeks, where it is ripe by then.
  const last = underGlass ? (coldFrom ?? Infinity) + GLASS : killed
  return { harvest: last > ripe.from ? { ...ripe, to: Math.min(ripe.to, last) } : ripe, underGlass }
}

/** Days by which unheated glass lengthens a season in autumn. Source: common practice, four to six weeks. */
const GLASS = 42

/** Who has liquid feeds of their own is not asked to begin to feed. */
const asFed = (due: ReturnType<typeof followUp>, { liquidFeeds }: Job) =>
  liquidFeeds.length === 0 ? due : due.filter((d) => d.code !== 'feed')

/** The job's own liquid feeds, from their first day to their last. */
const liquidFeeds = (job: Job, start: Date, end: number): Due[] =>
  job.liquidFeeds.flatMap(({ id: feedId, dressingId, fromDay, untilDay }): Due[] => {
    const until = Math.min(untilDay ?? end, end)
    if (until < fromDay) return []
    const [on, last] = [fromDay, until].map((day) => isoDay(addDays(start, day))) as [string, string]
    return [{ id: `feed-${feedId}`, code: 'feed', feedId, dressingId, on, until: last, done: false }]
  })

/** Dressings that wait for their day. */
const heldBack = (job: Job, start: Date, done: ReadonlySet<string>): Due[] =>
  job.dressings.flatMap(({ id: lineId, dressingId, place }): Due[] => {
    if (place.kind !== 'heldBack') return []
    const id = `dress-${lineId}`
    const on = isoDay(addDays(start, place.from))
    return [{ id, code: 'dress', dressingId, lineId, on, until: null, done: done.has(id) }]
  })

/** Tasks by date; the second of a kind and those after it are numbered. */
function datedTasks(
  due: ReturnType<typeof followUp>,
  { start, done, underGlass }: { start: Date; done: ReadonlySet<string>; underGlass: boolean },
): Due[] {
  const seen = new Map<FollowUpCode, number>()
  return due.map(({ code, day, until }): Due => {
    const n = (seen.get(code) ?? 0) + 1
    seen.set(code, n)
    const id = n === 1 ? code : `${code}-${n}`
    return {
      id,
      code,
      on: isoDay(addDays(start, day)),
      until: until === null ? null : isoDay(addDays(start, until)),
      done: done.has(id),
      ...(code === 'harvest' && underGlass ? { underGlass } : {}),
    }
  })
}

/** The first thing of a season not done yet. */
export const nextDue = (plan: SeasonPlan): Due | null => plan.due.find((d) => !d.done) ?? null
