import type { Entry, EntryKind, Job } from '../../garden/schemas'

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
