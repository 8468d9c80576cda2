import { plantingDay } from '../../calendar/plantingDay'
import type { Entry, EntryKind, Job } from '../../garden/schemas'
import type { JobDates } from '../jobDates'

/** Lines of a log for tests, so many days after a day; each called by its kind and day. */
export function linesOf(job: Pick<Job, 'id'>, from: string) {
  const on = (days: number) => new Date(Date.parse(`${from}T10:00:00Z`) + days * 86_400_000).toISOString()
  return {
    on,
    entry: (kind: EntryKind, days: number, value: number | null = null): Entry => ({
      id: `${kind}${days}`,
      jobId: job.id,
      fillId: null,
      at: on(days),
      kind,
      value,
      count: null,
      expected: null,
      note: '',
    }),
  }
}

/** The days of a job for tests: planted as it says, or as soon as may be after the first of April 2026. */
export const daysOf = (job: Job, mixOn: string | null = null): Pick<JobDates, 'mixOn' | 'planted'> => ({
  mixOn,
  planted: plantingDay(job, undefined, mixOn ?? '2026-04-01'),
})
