import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draws } from '../testing/draws'
import { outsideCheck } from '../testing/outsideCheck'
import {
  HEAP_INPUTS,
  HEAP_LIMITS,
  heapFaults,
  heapInput,
  heapOf,
  heapYield,
  heatLog,
  litresForCarbon,
  ripeness,
  waterForMoisture,
} from '.'

test('a heap with nothing on it has no ratio of carbon to nitrogen to come to', () => {
  expect(heapYield(heapOf([], 0)).carbonToNitrogen).toBeNull()
  expect(heapYield(heapOf([{ id: 'grass_clippings', litres: 1 }], 0)).carbonToNitrogen).not.toBeNull()
})

const loads = fc.array(
  fc.record({
    id: fc.constantFrom(...HEAP_INPUTS.map((r) => r.id)),
    litres: fc.double({ min: 1, max: 2000, noNaN: true }),
  }),
  { minLength: 1, maxLength: 6 },
)

describe('a heap from what goes on it', () => {
  outsideCheck({
    module: 'heap',
    what: 'two barrows of grass to one of straw, C:N',
    source: 'mass balance of the NRAES-54 tables by hand: 2 x 0.3 x 0.2 x 0.034 x 17 and so on',
    basis: 'closed form',
    unit: 'C:N',
    expected: (() => {
      const [g, s] = [heapInput('grass_clippings')!, heapInput('straw_wheat')!]
      const n = (r: typeof g, litres: number) =>
        litres * r.bulkDensity.value * (1 - r.moisture.value) * r.nitrogen.value
      return (n(g, 2) * g.carbonToNitrogen.value + n(s, 1) * s.carbonToNitrogen.value) / (n(g, 2) + n(s, 1))
    })(),
    tolerance: 1e-9,
    computed: () =>
      heapOf([
        { id: 'grass_clippings', litres: 200 },
        { id: 'straw_wheat', litres: 100 },
      ]).carbonToNitrogen!,
  })
  test('a mixture lies between its parts, by weight; twice as much of all is the same heap twice', () => {
    fc.assert(
      fc.property(loads, (list) => {
        const heap = heapOf(list)
        const alone = list.map((l) => heapOf([l]))
        const ratios = alone.map((h) => h.carbonToNitrogen!)
        expect(heap.carbonToNitrogen!).toBeGreaterThanOrEqual(Math.min(...ratios) - 1e-9)
        expect(heap.carbonToNitrogen!).toBeLessThanOrEqual(Math.max(...ratios) + 1e-9)
        expect(heap.moisture).toBeGreaterThanOrEqual(Math.min(...alone.map((h) => h.moisture)) - 1e-12)
        expect(heap.moisture).toBeLessThanOrEqual(Math.max(...alone.map((h) => h.moisture)) + 1e-12)
        const twice = heapOf(list.map((l) => ({ ...l, litres: 2 * l.litres })))
        expect(twice.weight).toBeCloseTo(2 * heap.weight, 6)
        expect(twice.carbonToNitrogen!).toBeCloseTo(heap.carbonToNitrogen!, 9)
      }),
      draws(200),
    )
  })
  test('what is asked for to bring it right does so, to the figure', () => {
    fc.assert(
      fc.property(loads, fc.constantFrom(...HEAP_INPUTS.map((r) => r.id)), (list, id) => {
        const heap = heapOf(list)
        const litres = litresForCarbon(heap, { id })
        if (litres !== null && litres < 1e7)
          expect(heapOf([...list, { id, litres }]).carbonToNitrogen!).toBeCloseTo(
            HEAP_LIMITS.bestCarbon.value,
            6,
          )
        const water = waterForMoisture(heap)
        if (water > 0) expect(heapOf(list, water).moisture).toBeCloseTo(HEAP_LIMITS.bestMoisture.value, 9)
        else expect(heap.moisture).toBeGreaterThanOrEqual(HEAP_LIMITS.bestMoisture.value - 1e-12)
      }),
      draws(200),
    )
    expect(
      litresForCarbon(heapOf([{ id: 'grass_clippings', litres: 10 }]), { id: 'kitchen_scraps' }),
    ).toBeNull()
  })
  test('grass alone is too green and wet, straw alone too brown and dry, a bucketful too small', () => {
    const faults = (id: string, litres: number) => heapFaults(heapOf([{ id, litres }]))
    expect(faults('grass_clippings', 1000)).toEqual(['too-green', 'too-wet'])
    expect(faults('straw_wheat', 1000)).toEqual(['too-brown', 'too-dry'])
    expect(faults('straw_wheat', 10)).toContain('too-small')
    expect(heapFaults(heapOf([]))).toEqual([])
  })
  test('each limit counts beyond it and not on it', () => {
    const L = HEAP_LIMITS
    const sound = {
      litres: 1000,
      weight: 500,
      dry: 225,
      carbon: 90,
      nitrogen: 3,
      carbonToNitrogen: 30,
      moisture: 0.55,
      bulkDensity: 0.5,
    }
    const at = (change: Partial<typeof sound>) => heapFaults({ ...sound, ...change })
    expect(at({})).toEqual([])
    for (const [field, limit, beyond, fault] of [
      ['carbonToNitrogen', L.leastCarbon.value, -0.01, 'too-green'],
      ['carbonToNitrogen', L.mostCarbon.value, 0.01, 'too-brown'],
      ['moisture', L.wettest.value, 0.001, 'too-wet'],
      ['moisture', L.driest.value, -0.001, 'too-dry'],
      ['bulkDensity', L.densest.value, 0.001, 'too-dense'],
      ['litres', L.leastVolume.value, -1, 'too-small'],
    ] as const) {
      expect(at({ [field]: limit }), fault).toEqual([])
      expect(at({ [field]: limit + beyond }), fault).toEqual([fault])
    }
  })
})

describe('what a heap leaves', () => {
  test('half of its volume; more nitrogen in what is left than in what went on; ranges hold the figure', () => {
    fc.assert(
      fc.property(loads, (list) => {
        const heap = heapOf(list)
        const { litres, nitrogen, carbonToNitrogen } = heapYield(heap)
        expect(litres.value).toBeCloseTo(heap.litres / 2, 9)
        for (const s of [litres, nitrogen, carbonToNitrogen!]) {
          expect(s.low).toBeLessThanOrEqual(s.value + 1e-12)
          expect(s.value).toBeLessThanOrEqual(s.high + 1e-12)
        }
        expect(nitrogen.value).toBeGreaterThan(heap.nitrogen / heap.dry)
        // Carbon leaves faster than nitrogen: no heap gets browner than what went on, but for what is least of all.
        expect(carbonToNitrogen!.high).toBeLessThanOrEqual(
          Math.max(carbonToNitrogen!.value, heap.carbon / heap.nitrogen) + 1e-9,
        )
      }),
      draws(200),
    )
  })
  outsideCheck({
    module: 'heap',
    what: 'C:N of the compost of a heap built at 30',
    source: 'TMECC: ripe compost 12 to 25 (from memory)',
    basis: 'published',
    unit: 'C:N',
    expected: { low: 12, high: 25 },
    tolerance: 0,
    computed: () => {
      const list = [{ id: 'grass_clippings', litres: 500 }]
      const litres = litresForCarbon(heapOf(list), { id: 'leaves_autumn_dry' })!
      return heapYield(heapOf([...list, { id: 'leaves_autumn_dry', litres }])).carbonToNitrogen!.value
    },
  })
})

describe('how hot it was', () => {
  test('days at 55 C, straight between readings', () => {
    expect(
      heatLog([
        { day: 0, temperature: 55 },
        { day: 4, temperature: 55 },
      ]).hotDays,
    ).toBe(4)
    expect(
      heatLog([
        { day: 0, temperature: 45 },
        { day: 4, temperature: 65 },
      ]).hotDays,
    ).toBe(2)
    expect(
      heatLog([
        { day: 4, temperature: 65 },
        { day: 0, temperature: 45 },
      ]).hotDays,
    ).toBe(2)
    expect(
      heatLog([
        { day: 0, temperature: 20 },
        { day: 4, temperature: 54.9 },
      ]).hotDays,
    ).toBe(0)
    expect(heatLog([])).toMatchObject({ hotDays: 0, peak: null, next: null })
  })
  test('three days are enough in a closed vessel; an open heap wants fifteen and five turns', () => {
    const days = (n: number, turns = 0) =>
      Array.from({ length: n + 1 }, (_, day) => ({ day, temperature: 60, turned: day > 0 && day <= turns }))
    expect(heatLog(days(2)).sanitised.closed).toBe(false)
    expect(heatLog(days(3)).sanitised).toEqual({ closed: true, open: false })
    expect(heatLog(days(15, 4)).sanitised.open).toBe(false)
    expect(heatLog(days(14, 5)).sanitised.open).toBe(false)
    expect(heatLog(days(15, 5)).sanitised.open).toBe(true)
    // A turn counts where the heap is hot: at 55 C, not at 54.9.
    const turnedAt = (temperature: number) =>
      Array.from({ length: 31 }, (_, day) => {
        const turned = day > 0 && day <= 5
        return { day, temperature: turned ? temperature : 60, turned }
      })
    expect(heatLog(turnedAt(55)).sanitised.open).toBe(true)
    expect(heatLog(turnedAt(54.9)).sanitised.open).toBe(false)
  })
  test('it is turned when it is too hot, and when it has cooled after it was hot', () => {
    const L = HEAP_LIMITS
    const next = (...t: number[]) => heatLog(t.map((temperature, day) => ({ day, temperature }))).next
    expect(next(20, L.tooHot.value)).toBe('wait')
    expect(next(20, L.tooHot.value + 1)).toBe('turn-it-is-hot')
    expect(next(L.hot.value, L.cooled.value)).toBe('wait')
    expect(next(L.hot.value, L.cooled.value - 1)).toBe('turn-it-has-cooled')
    expect(next(20, 30)).toBe('wait')
  })
})

test('ripe by flask and cress; the less ripe of the two counts', () => {
  const L = HEAP_LIMITS
  expect(
    [L.ripeRise.value - 0.1, L.ripeRise.value, L.nearlyRise.value, L.nearlyRise.value + 0.1].map((rise) =>
      ripeness({ rise }),
    ),
  ).toEqual(['ripe', 'nearly', 'nearly', 'unripe'])
  expect(
    [L.ripeCress.value + 0.01, L.ripeCress.value, L.poorCress.value, L.poorCress.value - 0.01].map((cress) =>
      ripeness({ cress }),
    ),
  ).toEqual(['ripe', 'nearly', 'nearly', 'unripe'])
  expect(ripeness({ rise: 5, cress: 0.5 })).toBe('unripe')
  expect(ripeness({})).toBeNull()
})

test('every row of what goes on a heap is in order', () => {
  for (const r of HEAP_INPUTS)
    for (const s of [r.carbonToNitrogen, r.moisture, r.bulkDensity, r.nitrogen, r.days])
      expect([s.low, s.value, s.high], r.id).toEqual([s.low, s.value, s.high].sort((a, b) => a - b))
})
