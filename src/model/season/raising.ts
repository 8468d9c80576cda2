import { addDays, formatISO, parseISO } from 'date-fns'
import { cropById } from '@/core/data'
import { emergenceOf, type Emergence } from '@/core/data/emergence'
import { growthOf } from '@/core/data/growth'
import { cropFit } from '@/core/filling'
import type { Outcome } from '@/core/outcome'
import { raisingPlan, type RaisingPlan, type RaisingStage, type RaisingStep } from '@/core/raising'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { Garden } from '../garden/garden'
import type { Job, JobBed, Raising } from '../garden/schemas'
import { startingJob, startingJobBed, startingSpec } from '../garden/starting'
import { tablesOf } from '../garden/tables'
import { jobDates } from './jobDates'

/** What a crop is raised from, and the weeks it takes; null for one that is sown where it grows or bought. */
export interface Raised {
  emergence: Emergence
  weeks: number
}
export function raisedOf(cropId: string | null): Raised | null {
  const emergence = cropId === null ? undefined : emergenceOf(cropId)
  const weeks = cropId === null ? 0 : (growthOf(cropId)?.weeksAsTransplant ?? 0)
  return emergence && weeks > 0 ? { emergence, weeks } : null
}

/**
 * From so many weeks on plants are potted on once, and from more on they begin in an open tray. Source: common
 * practice.
 */
const POTTED_ON_FROM = 6
const IN_TRAY_FROM = 8

/** How a crop is usually raised, in the warmth that suits it. */
export const usualRaising = ({ emergence, weeks }: Raised): Raising => ({
  warmthOfSeed: Math.round((emergence.bestLow + emergence.bestHigh) / 2),
  warmth: 18,
  ...(weeks >= IN_TRAY_FROM
    ? { first: 'seedTray' as const, second: 'modules24' as const }
    : weeks >= POTTED_ON_FROM
      ? { first: 'plugs72' as const, second: 'pots9cm' as const }
      : { first: 'modules24' as const, second: null }),
})

/** Plants of the leading crop in all beds of a job. */
export function plantsWanted(garden: Garden, job: Job): number {
  const crop = cropById(job.cropId)
  if (!crop) return 0
  return job.fills
    .filter((fill) => fill.cropId === null || fill.cropId === job.cropId)
    .reduce((sum, fill) => {
      const needed = mixNeededFor({ spec: fill.spec, sunkBy: null }, tablesOf(garden))
      const each = fill.plants ?? (needed.ok ? cropFit(crop, needed.value, job.plants).plants : 1)
      return sum + each * fill.count
    }, 0)
}

/** A plan with its days. */
export interface DatedRaising {
  plan: RaisingPlan
  plants: number
  /** ISO; each step, and between which days the seed may be sown. */
  days: { step: RaisingStep; on: string }[]
  sowFrom: string
  sowTo: string
  /** The day plants sown today can go out; null while they can still be sown for the day planned. */
  earliest: string | null
}

/**
 * Raising the plants of a job for the day they are planted. Null where its crop is not raised, or nothing is to be
 * planted. Errors: those of `raisingPlan`. `today` is an ISO day.
 */
export function raisingOf(garden: Garden, job: Job, today: string): Outcome<DatedRaising> | null {
  const raised = raisedOf(job.cropId)
  const plants = plantsWanted(garden, job)
  if (!raised || plants < 1) return null
  const plan = raisingPlan({ ...raised, plants, ...(job.raising ?? usualRaising(raised)) })
  if (!plan.ok) return plan
  const planted = parseISO(jobDates(garden, job, today).planted.day)
  const before = (days: number) => formatISO(addDays(planted, -days), { representation: 'date' })
  return {
    ...plan,
    value: {
      plan: plan.value,
      plants,
      days: plan.value.dates.map(({ step, before: days }) => ({ step, on: before(days) })),
      sowFrom: before(plan.value.sowBetween.early),
      sowTo: before(plan.value.sowBetween.late),
      earliest:
        before(plan.value.sowBetween.late) < today
          ? formatISO(addDays(parseISO(today), plan.value.dates[0]!.before), { representation: 'date' })
          : null,
    },
  }
}

/** A job for the mix of one stage: its cells as pots of the same depth and volume, its crop, sown or planted in it. */
export function stageJob(
  job: Job,
  { tray, cells, trays }: RaisingStage,
  {
    id,
    fillId,
    createdAt,
    name,
    isFirst,
  }: { id: string; fillId: string; createdAt: string; name: string; isFirst: boolean },
): Job {
  const isOpen = tray.cells === 1
  const area = tray.millilitres / tray.height
  const spec = startingSpec(isOpen ? 'box' : 'roundPot')
  const across = Math.sqrt((4 * area) / Math.PI)
  const shape = isOpen
    ? {
        kind: 'box' as const,
        topLength: area / TRAY_WIDTH,
        topWidth: TRAY_WIDTH,
        baseLength: area / TRAY_WIDTH,
        baseWidth: TRAY_WIDTH,
        height: tray.height,
      }
    : { kind: 'roundPot' as const, topDiameter: across, baseDiameter: across, height: tray.height }
  const count = isOpen ? trays : cells
  const fill: JobBed = {
    ...startingJobBed(
      fillId,
      { ...spec, name, vessel: { ...spec.vessel, shape, headspace: 0, count } },
      null,
    ),
    count,
    plants: 1,
  }
  return {
    ...startingJob(id, createdAt, [fill]),
    name,
    cropId: job.cropId,
    plants: 1,
    stage: isFirst ? 'seed' : 'transplant',
  }
}
/** Width of an open seed tray, cm. Source: common practice. */
const TRAY_WIDTH = 22
