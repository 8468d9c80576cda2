import { averaged, measurementsOf } from '@/core/fieldTests'
import { materialIn } from '@/core/data'
import { pipeOf } from '@/core/fieldTests'
import { evaluate, type Evaluation, type MixInContainer } from '@/core/evaluate'
import { EXTRACT_WATER } from '@/core/laboratory'
import { preparedMaterial } from '@/core/mixing'
import { expectedReading } from '@/core/ranges'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { jobOf, placeOf, recordOf, type Garden } from '../garden/garden'
import { asDosed } from '../amounts/asDosed'
import type { Test } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { evaluateJob } from '../mix/evaluateJob'
import { answer } from '../mix/prepare'
import { questionOfRecord } from './batches'

/** The mix or material a test is of as it was at a moment, worked out; null where it cannot be. */
function evaluationOf(garden: Garden, test: Test, at: string) {
  if (test.materialId) {
    const row = materialIn(tablesOf(garden), test.materialId)
    if (!row) return null
    const alone: MixInContainer = {
      container: pipeOf(test.repeats[0]?.depth ?? 20),
      parts: [{ material: preparedMaterial(row), parts: 1 }],
      limes: [],
      limeGramsPerLitre: 0,
    }
    const found = evaluate(alone, { slices: 60, years: [] })
    return found.ok ? found.value : null
  }
  const stored = test.jobId ? jobOf(garden, test.jobId) : undefined
  if (!stored) return null
  const job = asDosed(garden, stored)
  const record = job.recordId ? recordOf(garden, job.recordId) : undefined
  const found = record
    ? answer(questionOfRecord(garden, record, job, { before: at }))
    : evaluateJob(job, placeOf(garden), tablesOf(garden))
  return found.ok ? found.value : null
}

/** Days from mixing to a moment, 0 where it is not mixed yet or is a material. */
export function dayOfTest(garden: Garden, test: Test, at: string): number {
  const job = test.jobId ? jobOf(garden, test.jobId) : undefined
  const record = job?.recordId ? recordOf(garden, job.recordId) : undefined
  const from = record?.madeOn ?? job?.plantedOn
  return from ? Math.max(0, differenceInCalendarDays(parseISO(at), parseISO(from))) : 0
}

/**
 * What a test was to read, by kind of measurement and in core units: of the mix as it was made where a record says so,
 * else as it is planned. Empty where it speaks to no figure of the model or the mix cannot be worked out.
 */
export function expectedOfTest(garden: Garden, test: Test, at: string): Record<string, number> {
  const figures = averaged(test.test, test.repeats)
  const e = figures.ok ? evaluationOf(garden, test, at) : null
  if (!figures.ok || !e) return {}
  const measurements = measurementsOf(test.test, figures.value, {
    day: dayOfTest(garden, test, at),
    depth: test.repeats[0]?.depth,
    strips: test.strips,
  })
  const nitrogen =
    test.test === 'laboratory' && figures.value.nitrogen ? nitrogenOn(garden, test, at, e) : null
  return {
    ...Object.fromEntries(measurements.map((m) => [m.kind, expectedReading(m, e)])),
    ...(nitrogen === null ? {} : { nitrogen }),
  }
}

/**
 * Mineral nitrogen a report was to find, mg/L of a saturated extract: what is in reach in that week, all of it
 * dissolved. Null before planting, without a crop, and once its season is over. Range: as `feedingSeason`, a factor
 * of 1.5. Source: mass balance.
 */
function nitrogenOn(garden: Garden, test: Test, at: string, e: Evaluation): number | null {
  const planted = test.jobId ? jobOf(garden, test.jobId)?.plantedOn : null
  const day = planted ? differenceInCalendarDays(parseISO(at), parseISO(planted)) : -1
  const weeks = e.growing?.feeding.weeks.nitrogen ?? []
  const then = day < 0 ? undefined : weeks.findIndex((w) => w.day >= day)
  if (then === undefined || then < 0) return null
  const [before, after] = [weeks[then - 1], weeks[then]!]
  if (!before) return after.pool / EXTRACT_WATER
  const share = (day - before.day) / (after.day - before.day)
  return (before.pool + share * (after.pool - before.pool)) / EXTRACT_WATER
}
