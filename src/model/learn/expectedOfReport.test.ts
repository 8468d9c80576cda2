import { expect, test } from 'vitest'
import { EXTRACT_WATER } from '@/core/laboratory'
import { demoGarden } from '@/demo/demoGarden'
import { jobOf, recordOf, testKey } from '../garden/garden'
import { questionOfRecord } from './batches'
import { answer } from '../mix/prepare'
import { expectedOfTest } from './expected'
import { newReadings } from './readings'
import { startingTest } from './startingTest'

const garden = demoGarden()
const job = jobOf(garden, 'peppers-26')!
const at = (days: number) =>
  new Date(Date.parse(`${job.plantedOn!}T10:00:00Z`) + days * 86_400_000).toISOString()
const report = (days: number, read: Record<string, number>) => ({
  ...startingTest('lab', 'laboratory', { jobId: job.id }, at(days)),
  repeats: [{ method: 0, ...read }],
})

test('nitrogen of a report is expected as the pool of its week, dissolved in the water of the extract', () => {
  const expectedOn = (days: number) =>
    expectedOfTest(garden, report(days, { nitrogen: 80 }), at(days)).nitrogen
  const record = recordOf(garden, job.recordId!)!
  const e = answer(questionOfRecord(garden, record, job, { before: at(28) }))
  if (!e.ok) throw new Error(e.problem.code)
  const weeks = e.value.growing!.feeding.weeks.nitrogen
  const pool = weeks.find((w) => w.day === 28)!.pool
  // mg in a litre of mix over the litres of water that the extract of that litre has.
  expect(expectedOn(28)).toBeCloseTo(pool / EXTRACT_WATER, 9)
  const [low, high] = [weeks.find((w) => w.day === 21)!.pool, pool].sort((a, b) => a - b)
  expect(expectedOn(25)! * EXTRACT_WATER).toBeGreaterThanOrEqual(low!)
  expect(expectedOn(25)! * EXTRACT_WATER).toBeLessThanOrEqual(high!)
  // Before planting, and after the season, nothing is predicted.
  expect(expectedOn(-3)).toBeUndefined()
  expect(expectedOn(400)).toBeUndefined()
  expect(expectedOfTest(garden, report(28, { pH: 6 }), at(28))).not.toHaveProperty('nitrogen')
})

test('the pH of a soil report of a material teaches as that of a slurry does', () => {
  const soil = {
    ...startingTest('soil', 'soilReport', { materialId: 'soil_loam' }, at(0)),
    repeats: [{ soilMethod: 0, pH: 7.6, phosphorusByWeight: 40 }],
    finishedAt: at(0),
  }
  const taught = newReadings(new Map(garden).set(testKey('soil'), soil)).filter((r) =>
    r.id.startsWith('soil:'),
  )
  expect(taught.map((r) => [r.of, r.measurement.kind])).toEqual([[{ materialId: 'soil_loam' }, 'pH']])
})

test('a report for a job that is gone expects nothing of it', () => {
  const without = new Map(garden)
  without.delete(`job/${job.id}`)
  expect(expectedOfTest(without, report(28, { nitrogen: 80 }), at(28))).toEqual({})
})
test('within a week nitrogen goes straight from the pool before to the one after', () => {
  const on = (days: number) => expectedOfTest(garden, report(days, { nitrogen: 80 }), at(days)).nitrogen!
  for (const part of [1, 2, 3, 4, 5, 6])
    expect(on(21 + part)).toBeCloseTo(on(21) + (part / 7) * (on(28) - on(21)), 9)
})
test('a mix into which no lime went is asked about without lime, whatever its recipe says now', () => {
  const record = recordOf(garden, job.recordId!)!
  const { lime } = questionOfRecord(garden, { ...record, limes: [], corrections: [] }, job).recipe
  expect(lime.aim).toEqual({ kind: 'none' })
  expect(lime.dolomite).toEqual({ kind: 'share', share: 0 })
  // A hundred grams in fifty litres are two to the litre.
  const [one] = record.limes
  if (!one) throw new Error('the record has no lime')
  const limed = {
    ...record,
    blendLitres: 50,
    limes: [{ ...one, grams: 100 }],
    corrections: [],
    dressings: [],
  }
  expect(questionOfRecord(garden, limed, job).recipe.lime.aim).toEqual({ kind: 'dose', gramsPerLitre: 2 })
})
