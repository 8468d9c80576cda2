import { evaluateJob } from '@/model/mix/evaluateJob'
import { liveJob, placeOf, recordOf, type Garden } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import { nextDue, seasonPlan, type Due } from './season'

/**
 * What each planted job asks for next: its id, and what is due; null where nothing is. A generator, for each costs an
 * evaluation and there may be hundreds.
 */
export function* duesOf(garden: Garden, jobs: readonly Job[]): Generator<[jobId: string, due: Due | null]> {
  const place = placeOf(garden)
  for (const stored of jobs) {
    if (!stored.plantedOn) continue
    const job = liveJob(garden, stored)
    const answer = evaluateJob(job, place)
    const record = job.recordId ? recordOf(garden, job.recordId) : undefined
    yield [job.id, nextDue(seasonPlan(job, record, answer.ok ? answer.value : null, place))]
  }
}
