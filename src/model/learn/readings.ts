import { differenceInCalendarDays, parseISO } from 'date-fns'
import { averaged, BODY_UNTIL, measurementsOf, SALTS_UNTIL } from '@/core/fieldTests'
import type { Measurement } from '@/core/ranges'
import { allEntriesOf, jobOf, learnedOf, recordOf, recordsOf, testsOf, type Garden } from '../garden/garden'
import type { Job, MixRecord, Test } from '../garden/schemas'

/** A reading that says something of what a mix or material is made of. */
export interface GardenReading {
  id: string
  at: string
  /** The record of the mix it was read in, or the material. */
  of: { recordId: string; batch: number | null } | { materialId: string }
  measurement: Measurement
  /** As predicted on its day; null where that was not worked out. */
  expected: number | null
}

const daysAfter = (from: string, at: string) =>
  Math.max(0, differenceInCalendarDays(parseISO(at), parseISO(from)))

/** Salts and pH as a slurry of one to two reads them. */
function ofLog(kind: 'pH' | 'salts', value: number, day: number): Measurement | null {
  if (kind === 'pH') return day <= BODY_UNTIL ? { kind, value, day } : null
  return day <= SALTS_UNTIL && value > 0
    ? { kind: 'electricalConductivity', value, method: 'oneToTwo' }
    : null
}

function ofTest(test: Test, record: MixRecord | undefined): GardenReading[] {
  const figures = averaged(test.test, test.repeats)
  const at = test.finishedAt
  if (!figures.ok || !at) return []
  const of = test.materialId
    ? { materialId: test.materialId }
    : record && { recordId: record.id, batch: null }
  if (!of) return []
  const day = record && !test.materialId ? daysAfter(record.madeOn, at) : 0
  const { strips, repeats } = test
  if (day > BODY_UNTIL) return []
  return measurementsOf(test.test, figures.value, { day, depth: repeats[0]?.depth, strips }).map(
    (measurement): GardenReading => ({
      id: `${test.id}:${measurement.kind}`,
      at,
      of,
      measurement,
      expected: test.expected[measurement.kind] ?? null,
    }),
  )
}

/**
 * Every reading of a garden that teaches: of recorded mixes, at the tub, in the log and by tests; of materials by
 * tests. Salts count for a fortnight after mixing, the rest for two months: later the season has moved them. Oldest
 * first.
 */
export function readingsOfGarden(garden: Garden): GardenReading[] {
  const records = recordsOf(garden)
  const ofJob = new Map(records.map((r) => [r.jobId, r]))
  const found: GardenReading[] = records.flatMap((record) =>
    record.readings.flatMap(({ id, at, kind, value, day, batch, expected }): GardenReading[] => {
      const measurement = ofLog(kind, value, day)
      return measurement ? [{ id, at, of: { recordId: record.id, batch }, measurement, expected }] : []
    }),
  )
  for (const { id, jobId, at, kind, value, expected } of allEntriesOf(garden)) {
    const record = ofJob.get(jobId)
    if (!record || value === null || (kind !== 'pH' && kind !== 'salts')) continue
    const measurement = ofLog(kind, value, daysAfter(record.madeOn, at))
    if (measurement) found.push({ id, at, of: { recordId: record.id, batch: null }, measurement, expected })
  }
  for (const test of testsOf(garden)) found.push(...ofTest(test, recordOfJob(garden, test.jobId)))
  return found.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
}

const recordOfJob = (garden: Garden, jobId: string | null): MixRecord | undefined => {
  const job: Job | undefined = jobId ? jobOf(garden, jobId) : undefined
  return job?.recordId ? recordOf(garden, job.recordId) : undefined
}

/** Readings nothing has been learned from yet, and that the grower has not left out. */
export function newReadings(garden: Garden): GardenReading[] {
  const learned = learnedOf(garden)
  const known = new Set([...(learned?.from ?? []), ...(learned?.without ?? [])])
  return readingsOfGarden(garden).filter((r) => !known.has(r.id))
}
