import { dressingIn } from '@/core/data/dressings'
import type { Dressing } from '@/core/data'
import { jobsOf, judgedBed, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { BedSpec, Job, LiquidFeedLine } from '../garden/schemas'
import { tablesOf } from '../garden/tables'

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

/** One feed on a round through the garden. */
export interface RoundLine {
  job: Job
  line: LiquidFeedLine
  dressing: Dressing
  litres: number
}

/** Every liquid feed of the jobs in hand, those of one feed and strength beside each other. */
export const feedRound = (garden: Garden): RoundLine[] =>
  jobsOf(garden)
    .filter((job) => !job.archived)
    .flatMap((job) =>
      job.liquidFeeds.flatMap((line): RoundLine[] => {
        const dressing = dressingIn(tablesOf(garden), line.dressingId)
        return dressing ? [{ job, line, dressing, litres: litresOfRound(fedBeds(garden, job, line)) }] : []
      }),
    )
    .sort(
      (a, b) => a.dressing.name.localeCompare(b.dressing.name) || a.line.gramsPerLitre - b.line.gramsPerLitre,
    )
