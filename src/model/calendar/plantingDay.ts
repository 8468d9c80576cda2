import { parseISO } from 'date-fns'
import type { Job } from '../garden/schemas'
import { isoDay } from './isoDay'

/** The day it is taken to be planted: as said, or the middle of its month next to come after the job was begun. */
export function plantingDay(job: Job): { day: string; said: boolean } {
  if (job.plantedOn) return { day: job.plantedOn, said: true }
  const begun = parseISO(job.createdAt)
  const month = job.plantMonth ?? 5
  const year = begun.getMonth() + 1 > month ? begun.getFullYear() + 1 : begun.getFullYear()
  return { day: isoDay(new Date(year, month - 1, 15)), said: false }
}
