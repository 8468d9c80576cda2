import { once } from '@/core/testing/once'
import { prepareJob } from '@/model/mix/evaluateJob'
import { PUBLISHED } from '@/core/data'
import { evaluateJob } from '@/model/mix/evaluateJob'
import { quantitiesOf } from '@/model/make/quantities'
import { daysOf } from './testing/lines'
import { describe, expect, test } from 'vitest'
import { plantedText } from '@/text/make/preparing'
import { CLIMATES } from '@/core/climate/climates'
import { fillingCards } from '@/model/make/filling'
import { startingJobBed, startingJob, startingPlace, startingSpec } from '@/model/garden/starting'
import type { BedSpec, Job, Place } from '@/model/garden/schemas'
import { plantingDay } from '../calendar/plantingDay'
import { dueText } from '@/text/season/seasonPlan'
import { nextDue, outdoorsOf, seasonPlan, winterOf } from './season'

const place = once(() => startingPlace(CLIMATES.find((c) => c.id === 'inland')!))
const spec = (change: Partial<BedSpec> = {}): BedSpec => ({ ...startingSpec('roundPot'), ...change })
const job = (more: Partial<Job> = {}, of = spec()): Job => ({
  ...startingJob('j', '2026-03-01T09:00:00.000Z', [startingJobBed('f', of, null)]),
  parts: [
    { materialId: 'peat_medium', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 12 },
  ],
  ...more,
})
const cardOf = (j: Job) => {
  const q = quantitiesOf(j, prepareJob(j, undefined, PUBLISHED))
  if (!q.ok) throw new Error(q.problem.code)
  return { card: fillingCards(j, q.value)[0]!, q: q.value }
}

test('a harvest within 120 days of manure says its first safe day; a later one, or one without manure, says none', () => {
  const lettuce = (...ids: string[]) =>
    job({ cropId: 'lettuce', parts: ids.map((materialId) => ({ materialId, twelfths: 12 })) })
  const harvestOf = (j: Job, mixOn: string) => {
    const answer = evaluateJob(j, place(), PUBLISHED)
    if (!answer.ok) throw new Error(answer.problem.code)
    const planted = { day: '2026-05-01', said: true, from: 'said' } as never
    return seasonPlan(j, { mixOn, planted }, answer.value, place()).due.find((d) => d.code === 'harvest')!
  }
  const manured = lettuce('soil_loam', 'manure_cattle_composted')
  // US 7 CFR 205.203: 120 days from 1 May is 29 August.
  expect(harvestOf(manured, '2026-05-01').safeFrom).toBe('2026-08-29')
  expect(dueText(harvestOf(manured, '2026-05-01'), [], '', 'metric').text).toContain('before 29 Aug 2026')
  expect(harvestOf(manured, '2025-11-01').safeFrom).toBeUndefined()
  expect(harvestOf(lettuce('soil_loam', 'compost_green'), '2026-05-01').safeFrom).toBeUndefined()
})

describe('filling', () => {
  test('the lifts of a card carry all the loose mix there is', () => {
    for (const of of [
      spec(),
      spec({ rootBalls: 3 }),
      spec({ layers: [{ kind: 'bark', thickness: 5 }] }),
      spec({ rootBalls: 10, layers: [{ kind: 'logs', thickness: 4 }] }),
    ]) {
      const { card } = cardOf(job({}, of))
      const loose = card.steps.reduce((s, { do: what }) => s + (what.code === 'lift' ? what.loose : 0), 0)
      expect(loose).toBeCloseTo(card.loose, 6)
    }
  })
  test('steps follow the bed: holes, soil, layers, root ball, old mix', () => {
    const codes = (j: Job) => cardOf(j).card.steps.map((s) => s.do.code)
    expect(codes(job())).toEqual(['stand', 'holes', 'lift', 'lift', 'lift', 'plant', 'water-in', 'finish'])
    const bed = startingSpec('raisedBed')
    expect(codes(job({}, { ...bed, rootBalls: 5 })).slice(0, 2)).toEqual(['loosen-soil', 'lift'])
    expect(codes(job({}, { ...bed, rootBalls: 5 }))).toContain('root-ball')
    expect(codes(job({}, spec({ layers: [{ kind: 'cloth', thickness: 0 }] })))).toContain('layer')
    const sunk = job()
    sunk.fills[0]!.sunkBy = 6
    expect(codes(sunk)).toEqual(['stand', 'loosen-old', 'lift', 'plant', 'water-in', 'finish'])
  })
  test('the last lift ends at the lip, and a tick is found again', () => {
    const { card } = cardOf(job({ filledSteps: ['f:stand', 'f:lift0'] }))
    const last = card.steps.flatMap((s) => (s.do.code === 'lift' ? [s.do] : [])).at(-1)!
    expect(last.belowRim).toBeCloseTo(3, 9)
    expect(card.steps.filter((s) => s.done).map((s) => s.id)).toEqual(['f:stand', 'f:lift0'])
    expect(card.left).toBe(card.steps.length - 2)
  })
})

describe('the season of a job', () => {
  test('2026-11-29: what stays outdoors is made ready for winter before the first month with likely frost', () => {
    // Every month as warm as the next, but for November: nights of 1.9 C there freeze now and then, of 2.1 C hardly.
    const nights = (november: number) => ({
      ...place(),
      months: place().months.map((m, i) => ({ ...m, tMin: i === 10 ? november : 9, tMax: 18 })),
    })
    const fig = job({ cropId: 'fig', plantedOn: '2026-05-15' })
    const wintered = (november: number) =>
      seasonPlan(fig, daysOf(fig), null, nights(november)).due.find((d) => d.code === 'winter')?.on
    expect(wintered(1.9)).toBeDefined()
    expect(wintered(1.9)! <= '2026-11-01').toBe(true)
    expect(wintered(2.1)).toBeUndefined()
  })
  test('is counted from the day said, the month chosen, or the first day that suits the crop once the mix is ready', () => {
    const on = (over: Partial<Job>, ready = '2026-04-01', where: Place | undefined = undefined) =>
      plantingDay(job(over), where, ready)
    expect(on({ plantMonth: 2, plantedOn: '2026-06-01' })).toEqual({
      day: '2026-06-01',
      said: true,
      from: 'told',
    })
    expect(on({ plantMonth: 2 })).toEqual({ day: '2027-02-15', said: false, from: 'month' })
    // T6: a tomato in November is not planted today; May where nobody says where, and that is said.
    expect(on({ cropId: 'tomato_cherry' }, '2026-11-29')).toEqual({
      day: '2027-05-01',
      said: false,
      from: 'usual',
    })
    // Where no month is warm enough for peppers they go out when others plant them, never in December.
    const cold = (latitude: number): Place => ({
      ...place(),
      latitude,
      months: place().months.map((m) => ({ ...m, tMin: 2, tMax: 9 })),
    })
    expect(on({ cropId: 'pepper_sweet' }, '2026-12-03', cold(55))).toMatchObject({
      day: '2027-05-01',
      from: 'unsuited',
    })
    // The place is known: the page does not ask for it.
    expect(plantedText(on({ cropId: 'pepper_sweet' }, '2026-12-03', cold(55)))).toBe(
      'Planted about 1 May 2027: no month here suits it outdoors.',
    )
    expect(on({ cropId: 'pepper_sweet' }, '2026-12-03', cold(-45))).toMatchObject({
      day: '2027-11-01',
      from: 'unsuited',
    })
    expect(on({ cropId: 'bean_bush' }, '2026-01-10', place())).toMatchObject({ from: 'place' })
    const months = outdoorsOf(job({ cropId: 'bean_bush' }), place())!.planting
    const day = on({ cropId: 'bean_bush' }, '2026-01-10', place()).day
    expect(day.slice(8)).toBe('01')
    expect(Number(day.slice(5, 7))).toBe(months[0])
    // Ready within a month that suits it, it is planted then; without a crop, whenever it is ready.
    expect(on({ cropId: 'bean_bush' }, `2026-0${months[0]}-20`, place())).toMatchObject({
      day: `2026-0${months[0]}-20`,
      from: 'ready',
    })
    expect(on({ cropId: null }, '2026-08-13')).toMatchObject({ day: '2026-08-13', from: 'ready' })
  })
  test('has dates in order; what was done falls out of what is next', () => {
    const j = job({ cropId: 'pepper_sweet', plantedOn: '2026-06-01', followedSteps: ['shade'] })
    const answer = evaluateJob(j, place(), PUBLISHED)
    if (!answer.ok) throw new Error(answer.problem.code)
    const plan = seasonPlan(j, daysOf(j), answer.value, place())
    const days = plan.due.map((d) => d.on)
    expect([...days].sort()).toEqual(days)
    expect(plan.due.find((d) => d.code === 'test-ph-first')!.on).toBe('2026-06-15')
    expect(plan.due.find((d) => d.code === 'feed')).toBeDefined()
    // Peat and perlite feed nothing: hungry in the first week or two.
    expect(plan.due.find((d) => d.code === 'feed')!.on < '2026-06-20').toBe(true)
    expect(plan.due.find((d) => d.code === 'bring-in')!.on).toBe('2026-09-01')
    expect(nextDue(plan)!.code).not.toBe('shade')
    expect(nextDue({ ...plan, due: plan.due.map((d) => ({ ...d, done: true })) })).toBeNull()
  })
  test('pH is tested by the day of mixing where that is known', () => {
    const j = job({ cropId: 'lettuce', plantedOn: '2026-06-11' })
    const first = seasonPlan(j, daysOf(j, '2026-06-01'), null, place()).due.find(
      (d) => d.code === 'test-ph-first',
    )!
    expect(first.on).toBe('2026-06-15')
  })
  test('a bean goes out once nights are mild; a fig in a pot has less to spare than in the ground', () => {
    expect(outdoorsOf(job({ cropId: 'bean_bush' }), place())!.planting).toContain(5)
    expect(outdoorsOf(job({ cropId: 'bean_bush' }), place())!.planting).not.toContain(3)
    expect(outdoorsOf(job(), place())).toBeNull()
    const pot = winterOf(job({ cropId: 'fig' }), place())!
    const ground = winterOf(job({ cropId: 'fig' }, startingSpec('raisedBed')), place())!
    expect(pot.inPot).toBe(true)
    expect(ground.margin - pot.margin).toBeCloseTo(100 / 9, 6)
    expect(winterOf(job({ cropId: 'fig' }), { ...place(), coldestNight: -2 })!.coldest).toBe(-2)
    expect(winterOf(job({ cropId: 'basil' }), place())).toBeNull()
  })
})
