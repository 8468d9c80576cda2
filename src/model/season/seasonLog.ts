import { tablesOf } from '../garden/tables'
import { cropById } from '@/core/data'
import { saltLimit } from '@/core/nutrients'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { asJudged, entriesOf, recordOf, testsOf, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { Job } from '../garden/schemas'
import { correctionFor } from './correction'
import type { SeasonLog } from './react'

/** The log of a job as its season's tasks answer to it. */
export function seasonLog(garden: Garden, job: Job): SeasonLog {
  const record = job.recordId ? recordOf(garden, job.recordId) : undefined
  const crop = cropById(asJudged(job).cropId)
  const from = record?.madeOn ?? job.plantedOn
  return {
    entries: entriesOf(garden, job.id),
    tests: testsOf(garden).filter((t) => t.jobId === job.id),
    correct(pH, at) {
      const day = from ? Math.max(0, differenceInCalendarDays(parseISO(at), parseISO(from))) : 0
      const found = correctionFor(garden, job.id, { value: pH, day })
      return found?.ok ? found.value : null
    },
    saltLimit: crop ? saltLimit(crop.properties) : null,
    topUp: (sunk) =>
      job.fills.reduce((sum, f) => {
        const needed = mixNeededFor({ spec: f.spec, sunkBy: sunk }, tablesOf(garden))
        return sum + (needed.ok ? needed.value.net * f.count : 0)
      }, 0),
  }
}
