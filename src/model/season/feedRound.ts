import { dressingIn } from '@/core/data/dressings'
import type { Dressing } from '@/core/data'
import { feedDays } from '@/core/liquid'
import { daysAfter } from '../calendar/movedDay'
import { jobsOf, judgedBed, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { BedSpec, Job, LiquidFeedLine } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { dosePrices } from '../mix/doseCost'
import { jobDates } from './jobDates'

/** What a bed of a job gets at one feeding. */
export interface FedBed {
  spec: BedSpec
  count: number
  /** Litres for one container: as much for a litre of mix as in the bed the feed is worked out in. */
  litres: number
}

/** What each bed of a job gets of a feed. Beds that cannot be worked out get as much as the judged one. */
export function fedBeds(garden: Garden, job: Job, { litres }: Pick<LiquidFeedLine, 'litres'>): FedBed[] {
  const tables = tablesOf(garden)
  const spaceOf = (spec: BedSpec) => {
    const needed = mixNeededFor({ spec, sunkBy: null }, tables)
    return needed.ok ? needed.value.space : 0
  }
  const judged = spaceOf(judgedBed(job).spec)
  return job.fills.map(({ spec, count }) => {
    const share = judged > 0 ? spaceOf(spec) / judged : 0
    return { spec, count, litres: litres * (share || 1) }
  })
}

/** Litres for all beds of a job at one feeding. */
export const litresOfRound = (beds: readonly FedBed[]): number =>
  beds.reduce((sum, b) => sum + b.count * b.litres, 0)

/** A feed with what a season of it takes for all beds of a job. */
export interface SeasonOfFeed {
  dressing: Dressing
  grams: number
  /** Null where no price is known. */
  money: number | null
}

type Given = Pick<
  LiquidFeedLine,
  'dressingId' | 'gramsPerLitre' | 'litres' | 'everyDays' | 'fromDay' | 'untilDay'
>

/**
 * What feeds take in a season of so many days, one entry for each product. Source: arithmetic; price of the cheapest
 * pack.
 */
export function seasonOfFeeds(
  garden: Garden,
  job: Job,
  feeds: readonly Given[],
  end: number,
): SeasonOfFeed[] {
  const prices = dosePrices(garden)
  const byProduct = new Map<string, SeasonOfFeed>()
  for (const feed of feeds) {
    const dressing = dressingIn(tablesOf(garden), feed.dressingId)
    if (!dressing) continue
    const days = feedDays({ from: feed.fromDay, until: feed.untilDay ?? end, every: feed.everyDays })
    const grams =
      (byProduct.get(dressing.id)?.grams ?? 0) +
      feed.gramsPerLitre * litresOfRound(fedBeds(garden, job, feed)) * days.length
    const price = prices[dressing.id]
    byProduct.set(dressing.id, { dressing, grams, money: price === undefined ? null : grams * price })
  }
  return [...byProduct.values()]
}

/** The first and the last day of a feed, ISO; the last is null where it goes on to the end. `planted` is an ISO day. */
export function daysOfFeed(
  { fromDay, untilDay }: Pick<LiquidFeedLine, 'fromDay' | 'untilDay'>,
  planted: string,
): { from: string; to: string | null } {
  return { from: daysAfter(planted, fromDay), to: untilDay === null ? null : daysAfter(planted, untilDay) }
}

/** One feed on a round through the garden. */
export interface RoundLine {
  job: Job
  line: LiquidFeedLine
  dressing: Dressing
  litres: number
  /** Its first and last day, ISO; null to the end. */
  from: string
  to: string | null
}

/**
 * Every liquid feed of the jobs in hand that is not over, those of one feed and strength beside each other. `today` is
 * an ISO day.
 */
export const feedRound = (garden: Garden, today: string): RoundLine[] =>
  jobsOf(garden)
    .filter((job) => !job.archived && job.liquidFeeds.length > 0)
    .flatMap((job) => {
      const planted = jobDates(garden, job, today).planted.day
      return job.liquidFeeds.flatMap((line): RoundLine[] => {
        const dressing = dressingIn(tablesOf(garden), line.dressingId)
        const days = daysOfFeed(line, planted)
        if (!dressing || (days.to !== null && days.to < today)) return []
        return [{ job, line, dressing, litres: litresOfRound(fedBeds(garden, job, line)), ...days }]
      })
    })
    .sort(
      (a, b) =>
        a.dressing.name.localeCompare(b.dressing.name) ||
        a.line.gramsPerLitre - b.line.gramsPerLitre ||
        a.from.localeCompare(b.from),
    )
