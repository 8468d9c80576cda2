import { placeOf, recordOf, type Garden } from '../garden/garden'
import { likesOf } from '../garden/likes'
import { isoDay } from '../calendar/isoDay'
import { plantingDay, type Planted } from '../calendar/plantingDay'
import type { Job } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { doseTotals } from '../make/doseTotals'
import { quantitiesOf, type Quantities } from '../make/quantities'
import { shoppingList } from '../make/shoppingList'
import { lostOnPreparing, timetable, type Timetable } from '../make/timetable'
import { prepareJob } from '../mix/evaluateJob'
import type { Outcome } from '@/core/outcome'

/** The days of a job, the same on every page, in its calendar file and on Today. */
export interface JobDates {
  /** The day it was or is to be mixed; null where that cannot be worked out. */
  mixOn: string | null
  planted: Planted
  /** Everything before and after mixing; null where the mix cannot be measured yet. */
  table: Timetable | null
}

/**
 * Mixing, resting and planting of a job. What a record says of the mixing outranks what was planned. `today` is an ISO
 * day; `known` are its quantities where the caller has them.
 */
export function jobDates(garden: Garden, job: Job, today: string, known?: Outcome<Quantities>): JobDates {
  const place = placeOf(garden)
  const record = job.recordId ? recordOf(garden, job.recordId) : undefined
  const quantities = known ?? quantitiesOf(job, prepareJob(job, place, tablesOf(garden)))
  if (!quantities.ok) {
    const mixOn = record?.madeOn ?? job.mixOn
    return { mixOn, planted: plantingDay(job, place, mixOn ?? isoDay(new Date(job.createdAt))), table: null }
  }
  const table = timetable({
    job: record ? { ...job, mixOn: record.madeOn } : job,
    place,
    list: shoppingList(garden, quantities.value, { lost: lostOnPreparing(job), bought: job.bought }),
    doses: doseTotals(job, quantities.value),
    likes: likesOf(garden),
    today,
  })
  return { mixOn: table.mixOn, planted: table.planted, table }
}
