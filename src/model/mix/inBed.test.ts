import { once } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { asJudged, inBed, jobsOf } from '../garden/garden'
import type { Job } from '../garden/schemas'
import { startingJobBed, startingSpec } from '../garden/starting'
import { lineOf } from './doses'
import { jobAmounts, lineAmounts } from '../amounts/setting'
import { tablesOf } from '../garden/tables'
import { batchCount } from '../make/quantities'
import { outdoorsOf } from '../season/season'
import { prepareJob } from './evaluateJob'
import { inThatBed } from './rest'
import { mixNeededFor } from '../garden/mixNeededFor'
import { USUAL_LIMES } from './question'
import { limesOf } from './prepareRecipe'
import { askTheSame, questionOfJob } from './questionOfJob'

const garden = once(() => demoGarden())
const base = once(() => jobsOf(garden()).find((j) => j.parts.length > 1 && j.cropId !== null)!)
const pots = once(() => ({
  ...startingJobBed('berries', startingSpec('roundPot', 'metric'), null),
  cropId: 'blueberry',
  plants: 1,
}))
const tub = once(() => startingJobBed('tub', startingSpec('oval', 'metric'), null))
const job: Job = {
  ...base(),
  cropId: 'tomato_cherry',
  companionIds: ['basil'],
  plants: 2,
  fills: [tub(), pots()],
  judgedIn: 'tub',
}

describe('two crops in two beds of one job', () => {
  test('each bed is asked about with its own crop and plants, companions with the crop of the job alone', () => {
    const crops = (judged: string) =>
      questionOfJob({ ...job, judgedIn: judged }, undefined, PUBLISHED).crops.map((c) => c.id)
    expect(crops('tub')).toEqual(['tomato_cherry', 'basil'])
    expect(crops('berries')).toEqual(['blueberry'])
    expect(questionOfJob({ ...job, judgedIn: 'berries' }, undefined, PUBLISHED).care.plants).toBe(1)
    expect(questionOfJob(job, undefined, PUBLISHED).care.plants).toBe(2)
    expect(asJudged(job)).toBe(job)
    expect(inBed(job, { ...tub(), plants: 3 })).toMatchObject({ cropId: 'tomato_cherry', plants: 3 })
  })
  test('each is judged by its own bands: what tomatoes like is too limy for blueberries', () => {
    const bands = (judged: string) => {
      const prepared = prepareJob({ ...job, judgedIn: judged }, undefined, PUBLISHED)
      if (!prepared.ok) throw new Error(prepared.problem.code)
      return prepared.value.bands.pH
    }
    expect(bands('berries').high).toBeLessThan(bands('tub').low)
    expect(inThatBed(questionOfJob({ ...job, judgedIn: 'berries' }, undefined, PUBLISHED))!.verdicts.pH).toBe(
      'high',
    )
    expect(inThatBed(questionOfJob({ ...job, judgedIn: 'tub' }, undefined, PUBLISHED))!.verdicts.pH).not.toBe(
      'high',
    )
  })
  test('its months and its amounts for a plant are its own', () => {
    const place = garden().get('place') as Parameters<typeof outdoorsOf>[1]
    const suits = (judged: string) => outdoorsOf({ ...job, judgedIn: judged }, place)!.suits
    expect(suits('berries')).not.toEqual(suits('tub'))
    const of = (bed: string) => {
      const line = { ...lineOf('blood_meal', 1), beds: [bed] }
      return lineAmounts(jobAmounts(garden(), job), job, line, PUBLISHED)
    }
    // One plant to a pot of berries, two to the tub; whichever bed is looked at.
    expect(of('berries').plant).toBeCloseTo(of('berries').container!, 9)
    expect(of('tub').plant).toBeCloseTo(of('tub').container! / 2, 9)
  })
  test('a batch is all of it shared out among the batches', () => {
    const of = jobAmounts(garden(), job)
    expect(of.batch! * batchCount(job, tablesOf(garden()))!).toBeCloseTo(of.all!, 9)
    expect(of.batch!).toBeLessThanOrEqual(of.all!)
  })
  test('another crop in a bed is another question', () => {
    const other = { ...job, fills: [tub(), { ...pots(), cropId: 'mint' }] }
    expect(askTheSame(job, other)).toBe(false)
    expect(askTheSame(job, { ...job, name: 'else' })).toBe(true)
  })
})

test('what is counted by plant, container and area is so for as many containers as there are', () => {
  const fills = [
    { ...tub(), count: 2, plants: 3 },
    { ...pots(), count: 5, plants: 2 },
  ]
  const of = jobAmounts(garden(), { ...job, fills })
  const litres = fills.reduce((sum, fill) => {
    const needed = mixNeededFor(fill, PUBLISHED)
    return needed.ok ? sum + fill.count * needed.value.net : NaN
  }, 0)
  const made = litres * (1 + job.plan.settling)
  expect(of.container).toBeCloseTo(made / 7, 9)
  expect(of.plant).toBeCloseTo(made / (2 * 3 + 5 * 2), 9)
  const surface = fills.reduce((sum, fill) => {
    const needed = mixNeededFor(fill, PUBLISHED)
    return needed.ok ? sum + (fill.count * needed.value.surface) / 10_000 : NaN
  }, 0)
  expect(of.area).toBeCloseTo(made / surface, 9)
})
test('a lime that nobody knows is named, whichever of the two it is', () => {
  expect(limesOf(USUAL_LIMES, PUBLISHED).ok).toBe(true)
  for (const which of ['calcitic', 'dolomitic'] as const)
    expect(limesOf({ ...USUAL_LIMES, [which]: 'moon_lime' }, PUBLISHED)).toEqual({
      ok: false,
      problem: { code: 'unknown-dressing', dressing: 'moon_lime' },
    })
})
