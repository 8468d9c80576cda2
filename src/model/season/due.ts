import { tablesOf } from '../garden/tables'
import { evaluatePrepared } from '@/model/mix/prepare'
import { prepareJob } from '@/model/mix/evaluateJob'
import { placeOf, recordOf, type Garden } from '@/model/garden/garden'
import { asDosed } from '@/model/amounts/asDosed'
import type { Job } from '@/model/garden/schemas'
import { likesOf } from '../garden/likes'
import { doseTotals } from '../make/doseTotals'
import { quantitiesOf } from '../make/quantities'
import { shoppingList } from '../make/shoppingList'
import { nextStep, timetable, type TimedStep } from '../make/timetable'
import { reactTo } from './react'
import { seasonLog } from './seasonLog'
import { nextDue, seasonPlan, type Due } from './season'

/** What a job asks for next: a task of its season, or a step of getting ready. */
export type NextUp =
  | ({ kind: 'due' } & Due)
  | ({ kind: 'ready' } & Pick<TimedStep, 'about' | 'prep'> & { on: string; until: string })

/** Does it ask for something by its date: planted, or with a mixing day and not made? */
const isDated = (job: Job): boolean => job.plantedOn !== null || (job.mixOn !== null && job.recordId === null)

/** The next step of getting ready; null where all is done or nothing can be worked out. */
function nextReady(garden: Garden, job: Job, today: string): NextUp | null {
  const place = placeOf(garden)
  const quantities = quantitiesOf(job, prepareJob(job, place, tablesOf(garden)))
  if (!quantities.ok) return null
  const step = nextStep(
    timetable({
      job,
      place,
      list: shoppingList(garden, quantities.value),
      doses: doseTotals(job, quantities.value),
      likes: likesOf(garden),
      today,
    }),
  )
  return step && { kind: 'ready', about: step.about, prep: step.prep, on: step.begin, until: step.begin }
}

/**
 * What each job with a date asks for next: its id, and what is due; null where nothing is. A generator, for each costs
 * an evaluation and there may be hundreds. `today` is an ISO day.
 */
export function* duesOf(
  garden: Garden,
  jobs: readonly Job[],
  today: string,
): Generator<[jobId: string, due: NextUp | null]> {
  const place = placeOf(garden)
  for (const stored of jobs) {
    if (!isDated(stored)) continue
    const job = asDosed(garden, stored)
    if (!job.plantedOn) {
      yield [job.id, nextReady(garden, job, today)]
      continue
    }
    const prepared = prepareJob(job, place, tablesOf(garden))
    const answer = prepared.ok ? evaluatePrepared(prepared.value) : prepared
    const record = job.recordId ? recordOf(garden, job.recordId) : undefined
    const evaluation = answer.ok ? answer.value : null
    const plan = seasonPlan(job, record, evaluation, place)
    const due = nextDue({
      ...plan,
      due: reactTo(plan.due, { job, evaluation, log: seasonLog(garden, job), today }),
    })
    yield [job.id, due && { kind: 'due', ...due }]
  }
}
