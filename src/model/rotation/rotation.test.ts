import { describe, expect, test } from 'vitest'
import { materialById } from '@/core/data'
import { CROP_PHOSPHORUS } from '@/core/rotation'
import { demoGarden } from '@/demo/demoGarden'
import { bedKey, bedsOf, bedYearsKey, jobKey, jobsOf, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import { bedYearsSchema, type Bed, type Job } from '../garden/schemas'
import { startingBed, startingJob, startingJobBed } from '../garden/starting'
import { tablesOf } from '../garden/tables'
import { bedHistory, phosphorusIn } from './bedHistory'
import { winterGreen } from './greenManures'
import { hasRoom, withYear, yearsAhead } from './yearsAhead'

const AT = '2026-03-01T09:00:00.000Z'
const box = (id: string, base: 'onSoil' | 'drainHoles' = 'onSoil'): Bed => {
  const bed = startingBed(id, AT, 'raisedBed', 'metric')
  return { ...bed, vessel: { ...bed.vessel, base: { kind: base } } as Bed['vessel'] }
}
const filled = (bed: Bed, year: number, cropId: string, change: Partial<Job> = {}): Job => ({
  ...startingJob(`job ${bed.id} ${year}`, `${year}-03-01T09:00:00.000Z`, [
    { ...startingJobBed(`fill ${year}`, bed, bed.id), sunkBy: null },
  ]),
  cropId,
  plantedOn: `${year}-05-10`,
  parts: [
    { materialId: 'soil_loam', twelfths: 36 },
    { materialId: 'compost_green', twelfths: 12 },
  ],
  ...change,
})
const gardenOf = (beds: Bed[], jobs: Job[], years: Record<string, object[]> = {}): Garden =>
  new Map<string, never>([
    ...beds.map((b) => [bedKey(b.id), b] as never),
    ...jobs.map((j) => [jobKey(j.id), j] as never),
    ...Object.entries(years).map(([id, list]) => [bedYearsKey(id), { id, years: list }] as never),
  ])

describe('what is known of a bed', () => {
  test('its jobs and what the grower says; what is said outranks', () => {
    const bed = box('a')
    const garden = gardenOf([bed], [filled(bed, 2025, 'kale'), filled(bed, 2026, 'pea')], {
      a: [
        { year: 2024, cropId: 'carrot', compost: 0 },
        { year: 2026, cropId: 'leek', compost: 0 },
      ],
    })
    expect(bedHistory(garden, bed).grown).toEqual([
      { year: 2024, cropId: 'carrot' },
      { year: 2025, cropId: 'kale' },
      { year: 2026, cropId: 'leek' },
    ])
  })
  test('a container filled anew begins anew; a bed on soil does not', () => {
    const years = { a: [{ year: 2024, cropId: 'kale', compost: 3 }] }
    const trough = box('a', 'drainHoles')
    const anew = bedHistory(gardenOf([trough], [filled(trough, 2026, 'pea')], years), trough)
    expect(anew.freshIn).toBe(2026)
    expect(anew.grown).toEqual([{ year: 2026, cropId: 'pea' }])
    expect([...anew.phosphorus.keys()]).toEqual([2026])
    // What was grown and spread from the year of the new mix on counts.
    const since = {
      a: [...years.a, { year: 2026, cropId: 'leek', compost: 1 }, { year: 2027, cropId: 'kale', compost: 0 }],
    }
    const later = bedHistory(gardenOf([trough], [filled(trough, 2026, 'pea')], since), trough)
    expect(later.grown.map((g) => g.cropId)).toEqual(['leek', 'kale'])
    expect(later.phosphorus.get(2026)).toBeGreaterThan(anew.phosphorus.get(2026)!)
    const ground = box('a')
    expect(bedHistory(gardenOf([ground], [filled(ground, 2026, 'pea')], years), ground).grown).toHaveLength(2)
    // Topping up keeps what was there.
    const [fill] = filled(trough, 2026, 'pea').fills
    const topped = filled(trough, 2026, 'pea', { fills: [{ ...fill!, sunkBy: 4 }] })
    expect(bedHistory(gardenOf([trough], [topped], years), trough).grown).toHaveLength(2)
  })
  test('phosphorus: the compost of a fill over its ground, and 1 cm of compost is 10 L on a square metre', () => {
    const bed = box('a')
    const garden = gardenOf([bed], [filled(bed, 2026, 'pea')], {
      a: [{ year: 2027, cropId: null, compost: 2 }],
    })
    const { phosphorus: share, dryBulkDensity } = materialById('compost_green')!.properties
    const gramsPerLitre = 1000 * share.value * dryBulkDensity.value
    const needed = mixNeededFor({ spec: bed, sunkBy: null }, tablesOf(garden))
    if (!needed.ok) throw new Error(needed.problem.code)
    const history = bedHistory(garden, bed)
    const litresOfCompost = needed.value.net / 4
    expect(history.phosphorus.get(2026)).toBeCloseTo(
      (litresOfCompost * gramsPerLitre) / (needed.value.surface / 10_000),
      9,
    )
    expect(history.phosphorus.get(2027)).toBeCloseTo(20 * gramsPerLitre, 9)
    // Each year a crop takes its share, in years that brought none too.
    const [then, later] = [phosphorusIn(history, 2027)!, phosphorusIn(history, 2029)!]
    expect(then.surplus.value - later.surplus.value).toBeCloseTo(2 * CROP_PHOSPHORUS.value, 9)
    // From the first year on, whatever came later: both years' compost, less what crops took.
    const sum = history.phosphorus.get(2026)! + history.phosphorus.get(2027)!
    expect(then.surplus.value).toBeGreaterThan(history.phosphorus.get(2027)!)
    expect(then.surplus.value).toBeLessThan(sum)
    expect(phosphorusIn(history, 2025)).toBeNull()
  })
})

describe('three years of a garden', () => {
  test('crops of this year move on among beds that keep their soil; what is decided stays', () => {
    const beds = ['a', 'b', 'c'].map((id) => box(id))
    const pot = startingBed('pot', AT, 'roundPot', 'metric')
    const garden = gardenOf(
      [...beds, pot],
      [filled(beds[0]!, 2026, 'kale'), filled(beds[1]!, 2026, 'pea'), filled(beds[2]!, 2026, 'carrot')],
      { b: [{ year: 2027, cropId: 'leek', compost: 0 }] },
    )
    const { steps, crops, leftOut } = yearsAhead(garden, 2026)
    expect(leftOut).toBe(1)
    expect([...crops].sort()).toEqual(['carrot', 'kale', 'pea'])
    expect(steps.filter((s) => s.year === 2027).map((s) => s.bedId)).toEqual(['a', 'b', 'c'])
    expect(steps.find((s) => s.bedId === 'b' && s.year === 2027)).toMatchObject({
      cropId: 'leek',
      isFixed: true,
    })
    for (const s of steps) expect(s.cropId === null || s.wait!.state !== 'tooEarly').toBe(true)
    // The beds have room for what they grow now, so that they are given crops.
    expect(steps.filter((s) => s.cropId !== null && !s.isFixed).length).toBeGreaterThan(3)
  })
  test('in the demo no bed is planned a crop without room, and no family too soon', () => {
    const garden = demoGarden()
    const { steps, beds } = yearsAhead(garden, 2026)
    expect(beds.length).toBeGreaterThan(2)
    for (const { bedId, cropId, isFixed, wait } of steps) {
      if (cropId === null || isFixed || wait!.state === 'stays') continue
      const bed = bedsOf(garden).find((b) => b.id === bedId)!
      expect(hasRoom(bed, cropId, garden), `${bedId} ${cropId}`).toBe(true)
    }
    expect(jobsOf(garden).length).toBeGreaterThan(0)
  })
  test('a crop has room where its roots do: a lettuce in a shallow small pot, a vine tomato not', () => {
    const garden = demoGarden()
    const vessel = { ...bedsOf(garden)[0]!.vessel }
    const pot = (size: { topDiameter: number; baseDiameter: number; height: number }) => ({
      ...bedsOf(garden)[0]!,
      layers: [],
      vessel: { ...vessel, shape: { kind: 'roundPot' as const, ...size }, headspace: 1 },
    })
    const small = pot({ topDiameter: 20, baseDiameter: 16, height: 18 })
    // Wide and low: room enough, but not for roots that go deep.
    const tray = pot({ topDiameter: 120, baseDiameter: 120, height: 9 })
    const tub = pot({ topDiameter: 60, baseDiameter: 50, height: 50 })
    const tomato = 'tomato_indeterminate'
    expect([small, tray, tub].map((bed) => hasRoom(bed, tomato, garden))).toEqual([false, false, true])
    expect(hasRoom(small, 'lettuce', garden)).toBe(true)
  })
  test('a year that says nothing any more is not kept, and years stay in order', () => {
    const one = withYear([], 2027, { cropId: 'kale' })
    expect(one).toEqual([{ year: 2027, cropId: 'kale', compost: 0 }])
    const two = withYear(one, 2025, { compost: 2 })
    expect(two.map((y) => y.year)).toEqual([2025, 2027])
    expect(withYear(two, 2027, { cropId: null })).toEqual([{ year: 2025, cropId: null, compost: 2 }])
    expect(withYear(two, 2025, { cropId: 'pea' })[0]).toEqual({ year: 2025, cropId: 'pea', compost: 2 })
    expect(bedYearsSchema.safeParse({ id: 'a', years: two }).success).toBe(true)
  })
  test('green manure by the place: hardy where it freezes, any where it does not', () => {
    const cold = winterGreen(demoGarden(), [], { year: 2026, next: null })
    expect(cold.every((g) => g.isHardy)).toBe(true)
    const garden = demoGarden()
    const place = garden.get('place') as { months: { tMin: number }[] }
    garden.set('place', { ...place, months: place.months.map((m) => ({ ...m, tMin: 12 })) } as never)
    expect(winterGreen(garden, [], { year: 2026, next: null }).some((g) => !g.isHardy)).toBe(true)
    // South of the line beds are cleared half a year later, and the same is sown.
    const north = winterGreen(garden, [], { year: 2026, next: null })
    garden.set('place', { ...(garden.get('place') as object), latitude: -43 } as never)
    expect(winterGreen(garden, [], { year: 2026, next: null })).toEqual(north)
    // September is in time for both.
    expect(north.map((g) => g.id)).toEqual(expect.arrayContaining(['winter_tares', 'field_bean']))
    // Where nobody said where the garden is, it may freeze.
    garden.delete('place')
    expect(winterGreen(garden, [], { year: 2026, next: null }).every((g) => g.isHardy)).toBe(true)
  })
})
