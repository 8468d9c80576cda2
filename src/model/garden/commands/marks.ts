import { jobKey, jobsOf, type Garden } from '../garden'
import type { BedSpec, Job } from '../schemas'
import { BED_FIELDS, BED_FIELD_NAMES } from '../schemas/bedFields'
import type { Change, Command } from './command'

/** Mark on a measure that is in: which batch, which material. */
export const tickOf = (batch: number, materialId: string) => `${batch}:${materialId}`

// What the measures are counted from: change it, and marks already made mean something else.
const CHANGES_MEASURES = new Set<Command['type']>([
  'jobBed/add',
  'jobBed/change',
  'jobBed/remove',
  'job/amount',
  'job/plan',
  'part/add',
  'part/change',
  'part/remove',
  'dressing/set',
  'dressing/remove',
  'recipe/replace',
])

/** Whether a change of a bed alters what it takes; its name or what it stands on does not. */
const changesAmount = (change: Partial<BedSpec>) =>
  BED_FIELD_NAMES.some((f) => f in change && BED_FIELDS[f].takesMix)
export const changesMeasures = (command: Command) =>
  command.type === 'jobBed/spec' ? changesAmount(command.change) : CHANGES_MEASURES.has(command.type)

/** A job with nothing ticked, counted or made otherwise: its measures are no longer those that were. */
export const withoutTicks = (job: Job): Job =>
  job.ticks.length + job.otherwise.length > 0 || job.tally
    ? { ...job, ticks: [], otherwise: [], tally: null }
    : job

/** Jobs under way that fill a bed too: marks made in them mean something else once it is changed. */
export const ticksElsewhere = (
  garden: Garden,
  bedId: string,
  change: Partial<BedSpec>,
  but?: string,
): Change[] =>
  changesAmount(change)
    ? jobsOf(garden)
        .filter(
          (j) =>
            j.id !== but &&
            j.recordId === null &&
            j.ticks.length > 0 &&
            j.fills.some((f) => f.bedId === bedId),
        )
        .map((j) => ({ key: jobKey(j.id), before: j, after: withoutTicks(j) }))
    : []
