import { expect, test } from 'vitest'
import { PUBLISHED } from '@/core/data'
import { isLong } from '@/core/testing/draws'
import { toEnd } from '@/core/toEnd'
import { demoGarden } from '@/demo/demoGarden'
import type { WateringPlan } from '@/core/watering'
import { jobsOf } from '../garden/garden'
import { startingSpec } from '../garden/starting'
import { awayAnswer, awayBeds, awayRequest, daysOf, monthOf } from './away'
import { judgedPlan } from './plan'

const garden = demoGarden()
const week = { from: '2027-07-10', to: '2027-07-17' }

test('a stay is counted from night to night, and judged by the month in its middle', () => {
  expect(daysOf(week)).toBe(7)
  expect(monthOf(week)).toBe(7)
  expect(monthOf({ from: '2027-07-28', to: '2027-08-12' })).toBe(8)
  // Four weeks from 10 July have their middle on the 24th.
  expect(monthOf({ from: '2027-07-10', to: '2027-08-07' })).toBe(7)
})

test('every bed of what is planted and in hand is asked about, each in its own container', () => {
  const beds = awayBeds(jobsOf(garden))
  expect(beds.length).toBeGreaterThan(0)
  for (const { job, fill } of beds) {
    expect(job.plantedOn).not.toBeNull()
    const request = awayRequest(garden, { job, fill }, { month: 7, tables: PUBLISHED })
    if (request) expect(request.plan.question.bed.container).toBeDefined()
  }
  expect(awayBeds(jobsOf(garden).map((job) => ({ ...job, plantedOn: null })))).toEqual([])
})

test('what a grower can carry into the shade may be moved: a pot, not a bed', () => {
  const { job, fill } = awayBeds(jobsOf(garden)).find((b) =>
    awayRequest(garden, b, { month: 7, tables: PUBLISHED }),
  )!
  const inIts = (kind: 'roundPot' | 'raisedBed') => {
    const own = { ...fill, bedId: null, spec: startingSpec(kind, 'metric') }
    return awayRequest(garden, { job: { ...job, fills: [own] }, fill: own }, { month: 7, tables: PUBLISHED })!
  }
  expect(inIts('roundPot').movable).toBe(true)
  expect(inIts('raisedBed').movable).toBe(false)
})

test('nothing is asked of a bed in a month in which nothing stands in it', () => {
  const planted = jobsOf(garden).find(
    (job) => job.plantedOn !== null && !job.archived && job.cropId !== null,
  )!
  const bed = { job: planted, fill: planted.fills[0]! }
  const asked = Array.from({ length: 12 }, (_, i) =>
    awayRequest(garden, bed, { month: i + 1, tables: PUBLISHED }),
  )
  const some = asked.find((a) => a !== null)!
  const standing = some.plan.question.crops[0]!.perennial ? 12 : 11
  expect(asked.filter((a) => a !== null).length).toBeLessThanOrEqual(standing)
})

test('a plan as a sheet says it: days from the first night on, weights with the container', () => {
  const request = awayRequest(
    garden,
    awayBeds(jobsOf(garden)).find((b) => awayRequest(garden, b, { month: 7, tables: PUBLISHED }))!,
    { month: 7, tables: PUBLISHED },
  )!
  const month = { untilThirst: 2.4, within: true, interval: 2, timesADay: 1, litres: 3, use: 1 }
  const plan = { month, months: [month], options: [], light: 6, heavy: 9 } as unknown as WateringPlan
  const pot = { ...request, empty: 1.5, movable: false }
  const { needs, waterOn, lookOn, light, heavy } = awayAnswer(pot, week, plan)
  // Every second day of the seven nights, none on the day of coming home; a hot week halves what lasts.
  expect(waterOn).toEqual(['2027-07-12', '2027-07-14', '2027-07-16'])
  expect(lookOn).toBe('2027-07-11')
  expect(needs.inAll).toBe(9)
  expect([light, heavy]).toEqual([7.5, 10.5])
})

test('of a garden whose place nobody named nothing is asked', () => {
  const nowhere = new Map([...garden].filter(([key]) => key !== 'place'))
  for (const bed of awayBeds(jobsOf(garden)))
    expect(awayRequest(nowhere, bed, { month: 7, tables: PUBLISHED })).toBeNull()
})

test.runIf(isLong)(
  'the answer is that of the watering plan: its litres, its weights with the container, its days',
  () => {
    const bed = awayBeds(jobsOf(garden)).find((b) => awayRequest(garden, b, { month: 7, tables: PUBLISHED }))!
    const request = awayRequest(garden, bed, { month: 7, tables: PUBLISHED })!
    const plan = toEnd(judgedPlan(request.plan))
    if (!plan.ok) throw new Error(plan.problem.code)
    const { needs, waterOn, light, heavy } = awayAnswer(request, week, plan.value)
    expect(needs.litres).toBe(plan.value.month.litres)
    expect(needs.lasts).toBe(plan.value.month.untilThirst)
    expect(heavy - plan.value.heavy).toBeCloseTo(request.empty, 12)
    expect(light).toBeLessThan(heavy)
    for (const day of waterOn) {
      expect(day > week.from).toBe(true)
      expect(day < week.to).toBe(true)
    }
  },
)
