import { describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { startingHeap } from '@/model/heap/heaps'
import { startingTest } from '@/model/learn/startingTest'
import {
  bagKey,
  bedYearsKey,
  dressingPackKey,
  entryKey,
  heapKey,
  jobKey,
  ownDressingKey,
  ownMaterialKey,
  photoKey,
  PLACE_KEY,
  shelfKey,
  testKey,
  type Garden,
} from '../garden'
import type { AnyData, DressingPack, Entry, Job, Photo, Place } from '../schemas'
import { shelfItem } from '../shelfEntry'
import {
  startingBag,
  startingJob,
  startingJobBed,
  startingOwnDressing,
  startingOwnMaterial,
  startingSpec,
} from '../starting'
import { changesOf, type Command } from '.'

const NOW = '2027-03-01T09:00:00.000Z'
const job: Job = startingJob('j', NOW, [startingJobBed('f', startingSpec('roundPot'), null)])
const heap = startingHeap('h', NOW, '2027-03-01')
const test1 = startingTest('t', 'slurry', { jobId: 'j' }, NOW)
const photo: Photo = { id: 'p', jobId: 't', takenAt: NOW, data: '' } as unknown as Photo
const entry: Entry = {
  id: 'e',
  jobId: 't',
  fillId: null,
  at: NOW,
  kind: 'note',
  value: null,
  count: null,
  expected: null,
  note: 'dry',
}
const item = shelfItem('peat_medium', { kind: 'loose', litres: 50 }, 12, 0)
const pack = { dressingId: 'bone_meal', packs: [], stock: 900 } as unknown as DressingPack
const place = demoGarden().get(PLACE_KEY) as Place
const years = { id: 'bed', years: [{ year: 2026, cropId: 'kale', compost: 0 }] }

/** Commands that set one record, with its key. */
const SETS: [Command, string, AnyData][] = [
  [{ type: 'place/set', place }, PLACE_KEY, place],
  [{ type: 'shelf/set', item }, shelfKey('peat_medium'), item],
  [{ type: 'photo/add', photo }, photoKey('p'), photo],
  [{ type: 'entries/put', entries: [entry], what: '' }, entryKey('e'), entry],
  [{ type: 'bed/years', years, what: '' }, bedYearsKey('bed'), years],
  [{ type: 'heap/set', heap, what: 'a heap' }, heapKey('h'), heap],
  [{ type: 'test/set', test: test1, what: 'a test' }, testKey('t'), test1],
  [{ type: 'dressingPack/set', item: pack }, dressingPackKey('bone_meal'), pack],
  ...(['a', 'b'] as const).flatMap((id): [Command, string, AnyData][] => {
    const [material, dressing, bag] = [
      startingOwnMaterial(id, NOW),
      startingOwnDressing(id, NOW),
      startingBag(id, NOW),
    ]
    return [
      [{ type: 'ownMaterial/set', material }, ownMaterialKey(id), material],
      [{ type: 'ownDressing/set', dressing }, ownDressingKey(id), dressing],
      [{ type: 'bag/set', bag }, bagKey(id), bag],
    ]
  }),
]
/** Commands that take one away. */
const REMOVES: [Command, string, AnyData][] = [
  [{ type: 'photo/remove', photoId: 'p' }, photoKey('p'), photo],
  [{ type: 'entry/remove', entryId: 'e' }, entryKey('e'), entry],
  [{ type: 'heap/remove', heapId: 'h' }, heapKey('h'), heap],
  [{ type: 'test/remove', testId: 't' }, testKey('t'), test1],
  [{ type: 'bag/remove', bagId: 'a' }, bagKey('a'), startingBag('a', NOW)],
]

describe('commands of one record', () => {
  test.each(SETS)('%o sets it, and what it is already is no change', (command, key, data) => {
    expect(changesOf(new Map(), command)).toEqual([{ key, before: null, after: data }])
    expect(changesOf(new Map([[key, data]]), command)).toEqual([])
    const other = { ...data, of: 'before' } as unknown as AnyData
    expect(changesOf(new Map([[key, other]]), command)).toEqual([{ key, before: other, after: data }])
  })
  test.each(REMOVES)('%o takes it away, and nothing where it is not', (command, key, data) => {
    expect(changesOf(new Map([[key, data]]), command)).toEqual([{ key, before: data, after: null }])
    expect(changesOf(new Map(), command)).toEqual([])
  })
  test('a field test takes its log and its photos with it, and no others', () => {
    const garden: Garden = new Map<string, AnyData>([
      [testKey('t'), test1],
      [photoKey('p'), photo],
      [entryKey('e'), entry],
      [entryKey('of another'), { ...entry, id: 'of another', jobId: 'j' }],
    ])
    const keys = changesOf(garden, { type: 'test/remove', testId: 't' }).map((c) => c.key)
    expect(keys.sort()).toEqual([entryKey('e'), photoKey('p'), testKey('t')].sort())
  })
  test('what is put on the shelf is no longer on the way for its job', () => {
    const shelf = { materials: [item], dressings: [pack] }
    const bought = { ...job, bought: [{ id: 'peat_medium', amount: 50, paid: 12, lot: '' }] } as Job
    const garden = (of: Job): Garden => new Map<string, AnyData>([[jobKey('j'), of]])
    expect(changesOf(garden(bought), { type: 'shelf/put', jobId: 'j', shelf, what: '' })).toEqual([
      { key: shelfKey('peat_medium'), before: null, after: item },
      { key: dressingPackKey('bone_meal'), before: null, after: pack },
      { key: jobKey('j'), before: bought, after: { ...bought, bought: [] } },
    ])
    // Of a job that had bought nothing, and of no job at all, the shelf alone changes.
    for (const jobId of ['j', undefined])
      expect(changesOf(garden(job), { type: 'shelf/put', jobId, shelf, what: '' })).toHaveLength(2)
  })
})

describe('commands of one job', () => {
  const after = (command: Command, from: Job = job): Job =>
    (changesOf(new Map([[jobKey('j'), from]]), command)[0]?.after as Job | undefined) ?? from
  test('amount, water, feeds and raising change themselves alone', () => {
    expect(after({ type: 'job/amount', jobId: 'j', litres: 75 })).toEqual({ ...job, amount: 75 })
    const water = { rain: 0.5, acid: null }
    expect(after({ type: 'job/water', jobId: 'j', water, what: '' })).toEqual({ ...job, water })
    const feeds: Job['liquidFeeds'] = [
      {
        id: 'l',
        dressingId: 'tomato_feed_liquid',
        gramsPerLitre: 2,
        litres: 1,
        everyDays: 7,
        fromDay: 30,
        untilDay: null,
      },
    ]
    expect(after({ type: 'job/feeds', jobId: 'j', feeds, what: '' }).liquidFeeds).toEqual(feeds)
    const raising = { first: 'plugs72', second: null } as unknown as NonNullable<Job['raising']>
    expect(after({ type: 'job/raising', jobId: 'j', raising, what: '' })).toEqual({ ...job, raising })
  })
  test('a step is moved to one day, moved again, and back to its own', () => {
    const move = (on: string | null, from: Job) =>
      after({ type: 'step/move', jobId: 'j', step: 'feed', on }, from)
    const other = { ...job, movedDays: [{ step: 'shade', on: '2027-06-01' }] } as Job
    const once = move('2027-06-10', other)
    expect(once.movedDays).toEqual([
      { step: 'shade', on: '2027-06-01' },
      { step: 'feed', on: '2027-06-10' },
    ])
    expect(move('2027-06-12', once).movedDays.filter((m) => m.step === 'feed')).toEqual([
      { step: 'feed', on: '2027-06-12' },
    ])
    expect(move(null, once).movedDays).toEqual([{ step: 'shade', on: '2027-06-01' }])
  })
  test('a dressing is set in its place, added at the end, and taken out by its own id', () => {
    const line = (id: string, gramsPerLitre: number): Job['dressings'][number] => ({
      id,
      dressingId: 'bone_meal',
      gramsPerLitre,
      place: { kind: 'throughout' },
      share: 1,
    })
    const two = { ...job, dressings: [line('a', 1), line('b', 2)] }
    const set = (of: Job['dressings'][number]) => after({ type: 'dressing/set', jobId: 'j', line: of }, two)
    expect(set(line('a', 3)).dressings).toEqual([line('a', 3), line('b', 2)])
    expect(set(line('c', 3)).dressings).toEqual([line('a', 1), line('b', 2), line('c', 3)])
    expect(after({ type: 'dressing/remove', jobId: 'j', lineId: 'a' }, two).dressings).toEqual([line('b', 2)])
  })
  test('where a finished mix comes from is said of that mix alone', () => {
    const mix = (id: string) =>
      ({
        id,
        name: id,
        parts: [],
        lime: {},
        dressings: [],
        origin: { kind: 'made' },
      }) as unknown as Job['mixes'][number]
    const two = {
      ...job,
      mixes: [mix('mix:a'), mix('mix:b')],
      parts: ['mix:a', 'mix:b'].map((materialId) => ({ materialId, twelfths: 12 })),
    }
    const changed = after({ type: 'mix/origin', jobId: 'j', mixId: 'mix:b', origin: { kind: 'ready' } }, two)
    expect(changed.mixes.map((m) => m.origin.kind)).toEqual(['made', 'ready'])
  })
  test('a version removed leaves what was made from it to what it was made from', () => {
    const version = (id: string, from: string | null) =>
      ({ id, from, name: id }) as unknown as Job['versions'][number]
    const three = {
      ...job,
      versions: [version('a', null), version('b', 'a'), version('c', 'b')],
      versionId: 'b',
    }
    const gone = after({ type: 'version/remove', jobId: 'j', versionId: 'b' }, three)
    expect(gone.versions).toEqual([version('a', null), version('c', 'a')])
    // The bench goes back to that too; on another version it stays where it is.
    expect(gone.versionId).toBe('a')
    expect(
      after({ type: 'version/remove', jobId: 'j', versionId: 'b' }, { ...three, versionId: 'c' }).versionId,
    ).toBe('c')
    expect(after({ type: 'version/remove', jobId: 'j', versionId: 'a' }, three).versions[0]!.from).toBeNull()
    const named = after({ type: 'version/edit', jobId: 'j', versionId: 'b', change: { name: 'B' } }, three)
    expect(named.versions.map((v) => v.name)).toEqual(['a', 'B', 'c'])
  })
  test('a version kept beside leaves the bench on its own; kept on the bench it is the bench’s', () => {
    const version = { id: 'v', from: null, name: 'V' } as unknown as Job['versions'][number]
    const keep = (beside: boolean) =>
      after({ type: 'version/keep', jobId: 'j', version, beside }, { ...job, versionId: 'old' })
    expect(keep(true)).toMatchObject({ versionId: 'old', versions: [{ id: 'v' }] })
    expect(keep(false)).toMatchObject({ versionId: 'v', versions: [{ id: 'v' }] })
  })
  test('a recipe put in place of another takes its amount and its roundings only where they are said', () => {
    const recipe = { parts: [], mixes: [], lime: job.lime, dressings: [] }
    const was = { ...job, amount: 50, versionId: 'old' }
    const plain = after({ type: 'recipe/replace', jobId: 'j', recipe } as unknown as Command, was)
    expect(plain).toMatchObject({ amount: 50, versionId: 'old', plan: was.plan })
    const all = after(
      {
        type: 'recipe/replace',
        jobId: 'j',
        recipe,
        amount: null,
        exact: true,
        versionId: null,
      } as unknown as Command,
      was,
    )
    expect(all).toMatchObject({ amount: null, versionId: null, plan: { ...was.plan, rounding: 'exact' } })
  })
})
