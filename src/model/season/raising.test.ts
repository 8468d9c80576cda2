import { describe, expect, test } from 'vitest'
import { containerVolumes } from '@/core/geometry'
import { TRAYS } from '@/core/raising'
import { demoGarden } from '@/demo/demoGarden'
import { containerOf, jobsOf } from '../garden/garden'
import { jobSchema } from '../garden/schemas'
import { plantsWanted, raisedOf, raisingOf, stageJob, usualRaising } from './raising'

const garden = demoGarden()
const peppers = jobsOf(garden).find((j) => j.cropId === 'pepper_sweet' && j.plantedOn === null)!

describe('raising the plants of a job', () => {
  test('crops that are sown where they grow, and none, are not raised', () => {
    for (const id of ['carrot', 'potato', 'apple_dwarf', null, 'no_such_crop'])
      expect(raisedOf(id)).toBeNull()
    expect(raisedOf('pepper_sweet')!.weeks).toBe(9)
  })
  test('in their own warmth: long ones in a tray first, short ones in modules alone', () => {
    for (const [crop, first, second] of [
      ['celery', 'seedTray', 'modules24'],
      ['tomato_cherry', 'plugs72', 'pots9cm'],
      ['lettuce', 'modules24', null],
    ] as const) {
      const raised = raisedOf(crop)!
      const usual = usualRaising(raised)
      expect(usual, crop).toMatchObject({ first, second })
      expect(usual.warmthOfSeed).toBeGreaterThanOrEqual(raised.emergence.bestLow)
      expect(usual.warmthOfSeed).toBeLessThanOrEqual(raised.emergence.bestHigh)
    }
  })
  test('the last day is the day of planting; days follow one another; seed is more than plants', () => {
    const answer = raisingOf(garden, peppers, '2027-01-10')!
    if (!answer.ok) throw new Error(answer.problem.code)
    const { days, plan, plants, sowFrom, sowTo } = answer.value
    expect(plants).toBe(plantsWanted(garden, peppers))
    expect(days.map((d) => d.on)).toEqual([...days.map((d) => d.on)].sort())
    expect(days.at(-1)!.step).toBe('plantOut')
    expect(plan.seeds).toBeGreaterThan(plants)
    expect(sowFrom <= days[0]!.on && days[0]!.on <= sowTo).toBe(true)
  })
  test('plants are counted in the beds of the leading crop, each container for itself', () => {
    const [fill] = peppers.fills
    const of = (...fills: Partial<(typeof peppers.fills)[number]>[]) =>
      plantsWanted(garden, { ...peppers, fills: fills.map((f, i) => ({ ...fill!, id: String(i), ...f })) })
    // Three pots of two plants, and four of one; what grows something else is not counted.
    const two = { cropId: null, plants: 2, count: 3 }
    expect(of(two)).toBe(6)
    expect(of(two, { cropId: peppers.cropId, plants: 1, count: 4 })).toBe(10)
    expect(of(two, { cropId: 'basil', plants: 9, count: 5 })).toBe(6)
    // Where nobody said, as many as fit: twice the containers, twice the plants.
    expect(of({ plants: null, count: 4 })).toBe(2 * of({ plants: null, count: 2 }))
    expect(plantsWanted(garden, { ...peppers, cropId: null })).toBe(0)
  })
  test('once the last day to sow is past, it says when plants sown today can go out', () => {
    const on = (today: string) => {
      const answer = raisingOf(garden, { ...peppers, mixOn: '2027-05-20' }, today)!
      if (!answer.ok) throw new Error(answer.problem.code)
      return answer.value
    }
    const { sowTo, plan } = on('2027-01-10')
    expect(on(sowTo).earliest).toBeNull()
    const nextDay = new Date(Date.parse(sowTo) + 86_400_000).toISOString().slice(0, 10)
    const { earliest } = on(nextDay)
    // As many days after sowing as the plan has.
    expect(Date.parse(earliest!) - Date.parse(nextDay)).toBe(plan.dates[0]!.before * 86_400_000)
  })
  test('a stage as a job holds the mix of its cells, and is a job that can be kept', () => {
    for (const tray of TRAYS) {
      const stage = { tray, cells: tray.cells === 1 ? 1 : 30, trays: 2, litres: 1, litresForHundred: 1 }
      const names = {
        id: 'x',
        fillId: 'f',
        createdAt: '2027-01-10T09:00:00.000Z',
        name: 'Peppers: sowing',
        isFirst: true,
      }
      const job = stageJob(peppers, stage, names)
      expect(jobSchema.safeParse(job).success, tray.id).toBe(true)
      expect(job.stage).toBe('seed')
      expect(stageJob(peppers, stage, { ...names, isFirst: false }).stage).toBe('transplant')
      const volumes = containerVolumes(containerOf(job.fills[0]!.spec.vessel))
      if (!volumes.ok) throw new Error(volumes.problem.code)
      expect(volumes.value.mixVolume * 1000, tray.id).toBeCloseTo(tray.millilitres, 3)
      expect(job.fills[0]!.count).toBe(tray.cells === 1 ? 2 : 30)
    }
  })
})
