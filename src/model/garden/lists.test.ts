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
import { draftOf, ofKind, offerOf, packOf, sizeOf } from './offerDraft'
import { dressingOfOwn } from './ownRows'
import type { AnyData, OwnDressingRecord, Photo } from './schemas'
import { startingAmount, startingBag, startingOwnDressing, startingOwnMaterial } from './starting'
import { TRADE_SIZES } from '@/core/filling/tradeSizes'
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

test('each trade size is known by its shape; half a centimetre wider it is none', () => {
  for (const { id, shape } of TRADE_SIZES) {
    expect(tradeSizeOf(shape), id).toBe(id)
    if (shape.kind === 'roundPot')
      expect(tradeSizeOf({ ...shape, topDiameter: shape.topDiameter + 0.5 }), id).toBeNull()
  }
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

test('a pack as fields is that pack again, whatever it is', () => {
  const packs = [
    { kind: 'loose', litres: 40 },
    { kind: 'bulk', litres: 2500 },
    { kind: 'compressed', litres: 107 },
    { kind: 'compressed', litres: 100, swell: 2 },
    { kind: 'block', kg: 5 },
    { kind: 'block', kg: 5, litresPerKg: 14 },
    { kind: 'mass', kg: 20 },
    { kind: 'own' },
  ] as const
  for (const pack of packs) {
    const offer = { pack, price: 7, place: 'shop', seenOn: null, delivery: 0 }
    expect(packOf(draftOf(offer)), JSON.stringify(pack)).toEqual(pack)
  }
  expect(
    draftOf({ pack: packs[3], price: null, place: '', seenOn: '2027-01-02', delivery: 5 }),
  ).toMatchObject({
    gives: 200,
    price: NaN,
    seenOn: '2027-01-02',
    delivery: 5,
  })
})

test('a bag that becomes a load is a cubic metre, a load that becomes a bag a bag; all else keeps its litres', () => {
  const draft = draftOf({
    pack: { kind: 'loose', litres: 40 },
    price: null,
    place: '',
    seenOn: null,
    delivery: 0,
  })
  expect(ofKind(draft, 'bulk')).toMatchObject({ kind: 'bulk', litres: 1000 })
  expect(ofKind({ ...draft, litres: 100 }, 'bulk').litres).toBe(100)
  const load = { ...draft, kind: 'bulk' as const, litres: 2500 }
  expect(ofKind(load, 'loose')).toMatchObject({ kind: 'loose', litres: 50 })
  expect(ofKind({ ...load, litres: 99 }, 'loose').litres).toBe(99)
  expect(ofKind(draft, 'compressed').litres).toBe(40)
})

test('a feed of one’s own is like the rows that have most of what it has most of', () => {
  const family = (kind: OwnDressingRecord['kind'], nitrogen: number, phosphate: number, potash: number) => {
    const made = dressingOfOwn({
      ...startingOwnDressing('f', at(1)),
      name: 'Feed',
      kind,
      label: { ...startingOwnDressing('f', at(1)).label, nitrogen, phosphate, potash },
    })
    return made.ok ? made.value.family : made.problem.code
  }
  expect(family('organic', 0.1, 0.02, 0.01)).toBe('organic_N')
  expect(family('organic', 0.03, 0.15, 0.01)).toBe('organic_P')
  expect(family('organic', 0.03, 0.02, 0.1)).toBe('organic_K')
  expect(family('mineral', 0.01, 0.02, 0.4)).toBe('mineral_K')
  expect(family('mineral', 0.01, 0.2, 0.02)).toBe('phosphate')
  expect(family('mineral', 0.3, 0.02, 0.02)).toBe('soluble')
  expect(family('soluble', 0.02, 0.02, 0.3)).toBe('soluble')
  expect(family('coated', 0.15, 0.09, 0.12)).toBe('crf')
})
