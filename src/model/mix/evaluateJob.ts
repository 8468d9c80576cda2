import type { Tables } from '@/core/data'
import type { Effort, Evaluation } from '@/core/evaluate'
import type { Outcome } from '@/core/outcome'
import type { Job, Place } from '../garden/schemas'
import { answer, prepare, type PreparedMix } from './prepare'
import { questionOfJob } from './questionOfJob'

/** A job's mix prepared in the bed it is judged in. Errors and notes: those of `prepare`. */
export const prepareJob = (job: Job, place: Place | undefined, tables: Tables): Outcome<PreparedMix> =>
  prepare(questionOfJob(job, place, tables))

/** A job's mix in the bed it is judged in. Errors and notes: those of `answer`. */
export const evaluateJob = (
  job: Job,
  place: Place | undefined,
  tables: Tables,
  effort?: Effort,
): Outcome<Evaluation> => answer(questionOfJob(job, place, tables), effort)
