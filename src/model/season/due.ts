import { evaluateJob } from '@/model/mix/evaluateJob'
import { liveJob, placeOf, recordOf, type Garden } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import { nextDue, seasonPlan, type Due } from './season'

/** What each planted job asks for next, by the job's id. */
export function duesOf(garden: Garden, jobs: readonly Job[]): Map<string, Due> {
  const place = placeOf(garden)
  const dues = new Map<string, Due>()
  for (const stored of jobs) {
    if (!stored.plantedOn) continue
    const job = liveJob(garden, stored)
    const answer = evaluateJob(job, place)
    const record = job.recordId ? recordOf(garden, job.recordId) : undefined
    const due = nextDue(seasonPlan(job, record, answer.ok ? answer.value : null, place))
    if (due) dues.set(job.id, due)
  }
  return dues
}
