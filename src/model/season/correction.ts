import { tablesOf } from '../garden/tables'
import type { Outcome } from '@/core/outcome'
import { recordOf, jobOf, placeOf, type Garden } from '../garden/garden'
import { asDosed } from '../amounts/asDosed'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { Job } from '../garden/schemas'
import { questionOfRecord } from '../learn/batches'
import { phCheck, type PHCheck } from '../make/tubChecks'
import { evaluatePrepared, prepare } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'

/** What a pH read in a mix asks for, over all of it. */
export interface Correction extends PHCheck {
  /** Litres of mix the grams are for. */
  litres: number
  /** It is planted: what is given goes on top. */
  planted: boolean
}

/** Litres of mix in all beds of a job, firmed and settled as they stand. */
export const litresInBeds = (garden: Garden, job: Job): number =>
  job.fills.reduce((sum, f) => {
    const needed = mixNeededFor({ spec: f.spec, sunkBy: null }, tablesOf(garden))
    return sum + (needed.ok ? needed.value.net * f.count : 0)
  }, 0)

/**
 * What a pH read so many days after mixing asks for, in the mix as a record has it or as it is planned. Null where the
 * job is no more or its mix cannot be worked out. Errors: those of `phCheck`.
 */
export function correctionFor(
  garden: Garden,
  jobId: string,
  reading: { value: number; day: number },
): Outcome<Correction> | null {
  const stored = jobOf(garden, jobId)
  if (!stored) return null
  const job = asDosed(garden, stored)
  const record = job.recordId ? recordOf(garden, job.recordId) : undefined
  const prepared = prepare(
    record ? questionOfRecord(garden, record, job) : questionOfJob(job, placeOf(garden), tablesOf(garden)),
  )
  const evaluation = prepared.ok ? evaluatePrepared(prepared.value) : prepared
  if (!prepared.ok || !evaluation.ok) return null
  const litres = record?.blendLitres ?? litresInBeds(garden, job)
  const check = phCheck(
    {
      job,
      bands: prepared.value.bands,
      evaluation: evaluation.value,
      blendLitres: litres,
      tables: tablesOf(garden),
    },
    [reading],
  )
  if (!check.ok) return check
  return { ...check, value: { ...check.value, litres, planted: job.plantedOn !== null } }
}
