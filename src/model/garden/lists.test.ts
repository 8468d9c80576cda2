import { expect, test } from 'vitest'
import { MATERIALS, type Tables } from '@/core/data'
import { DRESSINGS } from '@/core/data/dressings'
import { startingHeap } from '@/model/heap/heaps'
import { startingTest } from '@/model/learn/startingTest'
import {
  bagKey,
  bagsOf,
  heapKey,
  heapsOf,
  ownDressingKey,
  ownDressingsOf,
  ownMaterialKey,
  ownMaterialsOf,
  ownNames,
  photoCount,
  photoKey,
  photosOf,
  testKey,
  testOf,
  testsOf,
  type Garden,
} from './garden'
import { likesOf } from './likes'
import { offerOf, sizeOf } from './offerDraft'
import type { AnyData, Photo } from './schemas'
import { startingAmount, startingBag, startingOwnDressing, startingOwnMaterial } from './starting'
import { sameTables } from './tables'
import { baseOf, outletOf, OUTLETS, tradeSizeOf } from './vessel'

const at = (day: number) => `2027-03-${String(day).padStart(2, '0')}T09:00:00.000Z`
const gardenOf = (...list: [string, AnyData][]): Garden => new Map(list)

test('bags, materials and feeds of one’s own are in the order of their names, as people read them', () => {
  const named = ['Zinnia', 'apple', 'Éclair', 'banana']
  const sorted = ['apple', 'banana', 'Éclair', 'Zinnia']
  const garden = gardenOf(
    ...named.flatMap((name, i): [string, AnyData][] => {
      const id = String(i)
      return [
        [bagKey(id), { ...startingBag(id, at(1)), name }],
        [ownMaterialKey(id), { ...startingOwnMaterial(id, at(1)), name }],
        [ownDressingKey(id), { ...startingOwnDressing(id, at(1)), name }],
      ]
    }),
  )
  for (const list of [bagsOf, ownMaterialsOf, ownDressingsOf])
    expect(list(garden).map((one) => one.name)).toEqual(sorted)
  // Of one name, by their ids.
  const two = gardenOf(
    ...['b', 'a'].map((id): [string, AnyData] => [bagKey(id), { ...startingBag(id, at(1)), name: 'Same' }]),
  )
  expect(bagsOf(two).map((b) => b.id)).toEqual(['a', 'b'])
})

test('what was given no name is called what it is', () => {
  const garden = gardenOf(
    [ownMaterialKey('m'), { ...startingOwnMaterial('m', at(1)), name: '  ' }],
    [ownDressingKey('d'), { ...startingOwnDressing('d', at(1)), name: ' Nettle tea ' }],
  )
  expect([...ownNames(garden)]).toEqual([
    ['m', 'My material'],
    ['d', 'Nettle tea'],
  ])
})

test('heaps and tests come newest first, photos of a job oldest first', () => {
  const heap = (id: string, builtOn: string, made: number) => ({
    ...startingHeap(id, at(made), builtOn),
    name: id,
  })
  const garden = gardenOf(
    ...[heap('a', '2027-01-01', 1), heap('b', '2027-02-01', 1), heap('c', '2027-02-01', 2)].map(
      (h): [string, AnyData] => [heapKey(h.id), h],
    ),
    ...[3, 1, 2].map((d): [string, AnyData] => [
      testKey(`t${d}`),
      startingTest(`t${d}`, 'slurry', { jobId: 'j' }, at(d)),
    ]),
    ...[3, 1, 2].map((d): [string, AnyData] => [
      photoKey(`p${d}`),
      { id: `p${d}`, jobId: d === 2 ? 'k' : 'j', takenAt: at(d) } as unknown as Photo,
    ]),
  )
  expect(heapsOf(garden).map((h) => h.id)).toEqual(['c', 'b', 'a'])
  expect(testsOf(garden).map((t) => t.id)).toEqual(['t3', 't2', 't1'])
  expect(testOf(garden, 't2')!.startedAt).toBe(at(2))
  expect(testOf(garden, 'none')).toBeUndefined()
  expect(photosOf(garden, 'j').map((p) => p.id)).toEqual(['p1', 'p3'])
  expect(photosOf(garden, 'none')).toEqual([])
  expect(photoCount(garden)).toBe(3)
})

test('a row of one’s own is like the row it was made from; a feed that is no lime is like none', () => {
  const garden = gardenOf(
    [ownMaterialKey('m'), { ...startingOwnMaterial('m', at(1)), likeId: 'peat_medium' }],
    [ownMaterialKey('n'), { ...startingOwnMaterial('n', at(1)), likeId: null }],
    [ownDressingKey('l'), { ...startingOwnDressing('l', at(1)), kind: 'lime', limeLike: 'lime_calcitic' }],
    [ownDressingKey('f'), { ...startingOwnDressing('f', at(1)), kind: 'organic' }],
  )
  expect([...likesOf(garden)]).toEqual([
    ['m', 'peat_medium'],
    ['l', 'lime_calcitic'],
  ])
})

test('tables are the same where every row is, wherever the lists were made', () => {
  const tables: Tables = {
    materials: MATERIALS.slice(0, 3),
    dressings: DRESSINGS.slice(0, 3),
    learning: null,
  }
  const same = (change: Partial<Tables>) => sameTables(tables, { ...tables, ...change })
  expect(same({ materials: [...tables.materials], dressings: [...tables.dressings] })).toBe(true)
  expect(same({ materials: tables.materials.slice(1) })).toBe(false)
  expect(same({ dressings: tables.dressings.toReversed() })).toBe(false)
  expect(same({ materials: [{ ...tables.materials[0]! }, ...tables.materials.slice(1)] })).toBe(false)
})

test('each way out for water is one choice, and the choice is that way out', () => {
  for (const outlet of OUTLETS) expect(outletOf({ base: baseOf(outlet) })).toBe(outlet)
})

test('a nursery pot is known by its trade size; a centimetre wider it is none', () => {
  const shape = { kind: 'roundPot', topDiameter: 31.4, baseDiameter: 3, height: 3 } as const
  expect(tradeSizeOf(shape)).toBeNull()
})

test('a barrowful, or ten US gallons of 3.785 L', () => {
  expect(startingAmount('metric')).toBe(40)
  expect(startingAmount('us')).toBeCloseTo(37.85, 2)
})

test('an offer: own costs nothing, a price not given is none, and only a load of bulk is delivered for money', () => {
  const draft = {
    kind: 'loose',
    litres: 50,
    kg: NaN,
    loose: NaN,
    price: 12,
    place: ' the shop ',
    seenOn: '',
    delivery: 30,
  } as unknown as Parameters<typeof offerOf>[0]
  expect(offerOf(draft)).toMatchObject({ price: 12, place: 'the shop', seenOn: null, delivery: 0 })
  expect(offerOf({ ...draft, kind: 'bulk' }).delivery).toBe(30)
  expect(offerOf({ ...draft, kind: 'own' }).price).toBe(0)
  expect(offerOf({ ...draft, price: NaN }).price).toBeNull()
  expect((['own', 'block', 'mass', 'loose', 'compressed', 'bulk'] as const).map(sizeOf)).toEqual([
    null,
    'kg',
    'kg',
    'litres',
    'litres',
    'litres',
  ])
})
