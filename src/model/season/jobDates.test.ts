import fc from 'fast-check'
import { addDays, parseISO } from 'date-fns'
import { describe, expect, test } from 'vitest'
import { draws } from '@/core/testing/draws'
import { randomJob } from '@/text/testing/randomJob'
import { isoDay } from '../calendar/isoDay'
import { DEFAULT_SETTINGS, jobKey, PLACE_KEY, recordKey, type Garden } from '../garden/garden'
import { startingJob, startingJobBed, startingSpec } from '../garden/starting'
import type { AnyData, Job, MixRecord } from '../garden/schemas'
import { prepareTasks } from '../make/prepareTasks'
import { lineOf } from '../mix/doses'
import { duesOf } from './due'
import { jobDates } from './jobDates'
import { nextDue, seasonPlan } from './season'

const TODAY = '2027-02-10'
const gardenWith = (job: Job, ...others: (readonly [string, AnyData])[]): Garden =>
  new Map<string, AnyData>([['settings', DEFAULT_SETTINGS], [jobKey(job.id), job], ...others])

describe('one calendar', () => {
  test('T2: sulfur in a mix of 1 June is not planted through before it has worked, on any page', () => {
    const job: Job = {
      ...startingJob('j', '2027-05-01T09:00:00.000Z', [startingJobBed('f', startingSpec('roundPot'), null)]),
      parts: [{ materialId: 'peat_medium', twelfths: 12 }],
      lime: { ...startingJob('j', '2027-05-01T09:00:00.000Z', []).lime, mode: 'none' },
      dressings: [lineOf('sulfur_elemental', 1)],
      mixOn: '2027-06-01',
    }
    const dates = jobDates(gardenWith(job), job, '2027-05-02')
    const rests = dates.table!.after.find((s) => s.prep.id === 'sulfur_react')!
    expect(rests.begin).toBe('2027-06-01')
    expect(dates.planted.day >= rests.ready).toBe(true)
    const plan = seasonPlan({ ...job, lime: { ...job.lime, mode: 'toTarget' } }, dates, null, undefined)
    expect(plan.planted).toEqual(dates.planted)
    for (const due of plan.due) expect(due.on > '2027-06-01').toBe(true)
  })
  test('a record says when it was mixed, whatever was planned', () => {
    const job: Job = {
      ...startingJob('j', '2027-05-01T09:00:00.000Z', [startingJobBed('f', startingSpec('roundPot'), null)]),
      parts: [{ materialId: 'peat_medium', twelfths: 12 }],
      mixOn: '2027-06-01',
      recordId: 'r',
    }
    const record = { id: 'r', madeOn: '2027-05-20' } as MixRecord
    expect(jobDates(gardenWith(job, [recordKey('r'), record]), job, TODAY).mixOn).toBe('2027-05-20')
    // Nothing in it yet: the day said is all there is to say.
    const empty = { ...job, parts: [], recordId: null }
    expect(jobDates(gardenWith(empty), empty, TODAY)).toMatchObject({ mixOn: '2027-06-01', table: null })
  })
  test('no two pages disagree, over random jobs', () => {
    let measured = 0
    fc.assert(
      fc.property(
        fc.nat(1e6),
        fc.option(fc.integer({ min: 0, max: 300 })),
        fc.option(fc.integer({ min: 0, max: 300 })),
        (seed, mixIn, plantIn) => {
          const random = randomJob(seed)
          const inDays = (days: number | null) =>
            days === null ? null : isoDay(addDays(parseISO(TODAY), days))
          const job = { ...random.job, mixOn: inDays(mixIn), plantedOn: inDays(plantIn) }
          const garden = gardenWith(job, ...(random.place ? [[PLACE_KEY, random.place] as const] : []))
          const dates = jobDates(garden, job, TODAY)
          const { table } = dates
          if (!table) return
          measured++
          expect([table.mixOn, table.planted]).toEqual([dates.mixOn, dates.planted])
          if (job.mixOn) expect(dates.mixOn).toBe(job.mixOn)
          if (job.plantedOn) expect(dates.planted).toEqual({ day: job.plantedOn, said: true, from: 'told' })
          // Each step before mixing ends by then, each after it begins then.
          for (const s of table.before) expect(s.begin <= s.ready && s.ready <= table.mixOn).toBe(true)
          for (const s of table.after) {
            expect(s.begin).toBe(table.mixOn)
            // What is planted through is said.
            if (!s.done && s.ready > dates.planted.day)
              expect(table.clashes).toContainEqual(
                expect.objectContaining({ code: 'planted-too-soon', plantOn: dates.planted.day }),
              )
          }
          if (
            dates.planted.from === 'ready' ||
            dates.planted.from === 'place' ||
            dates.planted.from === 'usual' ||
            dates.planted.from === 'unsuited'
          )
            expect(dates.planted.day >= dates.mixOn!).toBe(true)
          // The calendar file has the same days.
          const tasks = prepareTasks({ jobId: job.id, name: '' }, table, () => ({ title: '', text: '' }), {
            title: '',
            text: '',
          })
          expect(tasks.find((t) => t.title === ': mixing day')!.on).toBe(dates.mixOn)
          const plan = seasonPlan(job, dates, null, random.place)
          expect(plan.planted).toEqual(dates.planted)
          for (const line of job.dressings)
            if (line.place.kind === 'heldBack')
              expect(plan.due.find((d) => d.lineId === line.id)!.on).toBe(
                isoDay(addDays(parseISO(dates.planted.day), line.place.from)),
              )
          // Nothing is tested before it is mixed, where planting follows mixing.
          if (dates.planted.day >= dates.mixOn!)
            for (const due of plan.due.filter((d) => d.code.startsWith('test-ph')))
              expect(due.on > dates.mixOn!).toBe(true)
          // A job that has no day yet has nothing due.
          expect([...duesOf(garden, [{ ...job, plantedOn: null, mixOn: null }], TODAY)]).toEqual([])
          // Today says what the pages say.
          const dues = [...duesOf(garden, [job], TODAY)]
          expect(dues).toHaveLength(job.plantedOn || (job.mixOn && !job.recordId) ? 1 : 0)
          const [[, next] = [null, null]] = dues
          if (job.plantedOn && next?.kind === 'due' && next.code === nextDue(plan)?.code)
            expect(next.on).toBe(nextDue(plan)!.on)
          if (!job.plantedOn && job.mixOn && next?.kind === 'ready')
            expect(table.before.some((s) => s.begin === next.on && s.about === next.about)).toBe(true)
        },
      ),
      draws(500),
    )
    expect(measured).toBeGreaterThan(40)
  })
})
