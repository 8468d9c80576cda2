import { describe, expect, test } from 'vitest'
import { materialIn } from '@/core/data'
import { heapOf, heapYield, ripeness } from '@/core/heap'
import { heapKey, ownMaterialKey } from '../garden/garden'
import { changesOf } from '../garden/commands'
import { heapSchema, ownMaterialSchema } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { compostOf, heapAnswer, startingHeap } from './heaps'

const heap = {
  ...startingHeap('h', '2027-03-01T09:00:00.000Z', '2027-03-01'),
  name: 'Corner heap',
  loads: [
    { id: 'grass_clippings', litres: 400 },
    { id: 'leaves_autumn_dry', litres: 500 },
  ],
  readings: [
    { on: '2027-03-03', temperature: 60, turned: false },
    { on: '2027-03-07', temperature: 60, turned: true },
  ],
}

describe('a heap of the garden', () => {
  test('is as ripe as its flask and its cress say, each by itself', () => {
    expect(heapAnswer(heap).ripe).toEqual(ripeness({}))
    expect(heapAnswer({ ...heap, rise: 3 }).ripe).toEqual(ripeness({ rise: 3 }))
    expect(heapAnswer({ ...heap, cress: 95 }).ripe).toEqual(ripeness({ cress: 95 }))
    expect(heapAnswer({ ...heap, rise: 3 }).ripe).not.toEqual(heapAnswer({ ...heap, rise: 30 }).ripe)
  })
  test('what is neither heavy nor rotten yet has no ratio of carbon to nitrogen to give a material', () => {
    const named = (of: typeof heap) =>
      compostOf(of, heapAnswer(of), { id: 'c', createdAt: '2027-09-01T00:00:00.000Z' }).figures.map(
        (f) => f.name,
      )
    expect(named(heap)).toEqual(['nitrogen', 'carbonToNitrogen'])
    expect(named({ ...heap, loads: [] })).toEqual(['nitrogen'])
  })
  test('can be kept, changed and removed', () => {
    expect(heapSchema.safeParse(heap).success).toBe(true)
    const [change] = changesOf(new Map(), { type: 'heap/set', heap, what: 'a heap' })
    expect(change).toMatchObject({ key: heapKey('h'), before: null, after: heap })
    const garden = new Map([[heapKey('h'), heap]])
    expect(changesOf(garden, { type: 'heap/remove', heapId: 'h' })[0]).toMatchObject({ after: null })
  })
  test('is worked out from its loads and its readings, days from when it was built', () => {
    const { heap: built, heat, comesTo, ripe } = heapAnswer(heap)
    expect(built).toEqual(heapOf(heap.loads, 0))
    expect(comesTo).toEqual(heapYield(built))
    expect(heat.hotDays).toBe(4)
    expect(heat.sanitised.closed).toBe(true)
    expect(ripe).toBeNull()
    expect(heapAnswer({ ...heap, rise: 5, cress: 0.9 }).ripe).toBe('ripe')
  })
  test('goes onto the shelf as compost with the nitrogen of what went on it', () => {
    const answer = heapAnswer(heap)
    const own = compostOf(heap, answer, { id: 'own:heap', createdAt: heap.createdAt })
    expect(ownMaterialSchema.safeParse(own).success).toBe(true)
    const garden = new Map([[ownMaterialKey(own.id), own]])
    const row = materialIn(tablesOf(garden), own.id)!
    expect(row.family).toBe('compost')
    expect(row.properties.nitrogen.value).toBeCloseTo(answer.comesTo.nitrogen.value, 6)
  })
})
