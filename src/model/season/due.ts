import { tablesOf } from '../garden/tables'
import { evaluatePrepared } from '@/model/mix/prepare'
import { prepareJob } from '@/model/mix/evaluateJob'
import { placeOf, type Garden } from '@/model/garden/garden'
import { asDosed } from '@/model/amounts/asDosed'
import type { Job } from '@/model/garden/schemas'
import { nextStep, type TimedStep } from '../make/timetable'
import { jobDates, type JobDates } from './jobDates'
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
function nextReady({ table }: JobDates): NextUp | null {
  const step = table && nextStep(table)
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
    const dates = jobDates(garden, job, today)
    if (!job.plantedOn) {
      yield [job.id, nextReady(dates)]
      continue
    }
    const prepared = prepareJob(job, place, tablesOf(garden))
    const answer = prepared.ok ? evaluatePrepared(prepared.value) : prepared
    const evaluation = answer.ok ? answer.value : null
    const plan = seasonPlan(job, dates, evaluation, place)
    const due = nextDue({
      ...plan,
      due: reactTo(plan.due, { job, evaluation, log: seasonLog(garden, job), today }),
    })
    yield [job.id, due && { kind: 'due', ...due }]
  }
}
