import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import {
  allEntriesOf,
  belongingsOf,
  entriesOf,
  entryKey,
  jobsOf,
  photoKey,
  recordsOf,
  testsOf,
} from './garden'
import { KeptGarden } from './keptGarden'
import type { AnyData, Entry, Kind, Photo } from './schemas'

const records = (): [string, AnyData][] => [...demoGarden()]
const entry = (id: string, jobId: string, at: string) => ({ id, jobId, at }) as Entry

describe('a garden kind by kind', () => {
  test('after any changes it holds what a plain map would', () => {
    const all = records()
    const step = fc.record({ at: fc.nat(all.length - 1), isGone: fc.boolean() })
    fc.assert(
      fc.property(fc.array(fc.array(step, { maxLength: 5 }), { maxLength: 12 }), (acts) => {
        const plain = new Map<string, AnyData>()
        let kept = KeptGarden.of([])
        for (const act of acts) {
          const before = [...kept]
          const puts = act.map(({ at, isGone }) => ({ key: all[at]![0], after: isGone ? null : all[at]![1] }))
          const next = kept.with(puts)
          for (const { key, after } of puts)
            if (after === null) plain.delete(key)
            else plain.set(key, after)
          // The garden before the change is as it was: undo and other tabs look at it.
          expect([...kept]).toEqual(before)
          kept = next
        }
        expect(new Map(kept)).toEqual(plain)
        expect(kept.size).toBe(plain.size)
        expect(new Set(kept.keys())).toEqual(new Set(plain.keys()))
        expect(new Set(kept.values())).toEqual(new Set(plain.values()))
        for (const [key, data] of all) {
          expect(kept.get(key)).toBe(plain.get(key))
          expect(kept.has(key)).toBe(plain.has(key) && data === plain.get(key))
        }
        const told: unknown[] = []
        kept.forEach((data, key) => told.push([key, data]))
        expect(told).toEqual([...kept])
      }),
      { numRuns: 40 },
    )
  })
  test('kinds that a change does not touch are the same, and so is what follows from them', () => {
    const before = KeptGarden.of(records())
    const [key, job] = records().find(([k]) => k.startsWith('job/'))!
    const after = before.with([{ key, after: { ...job, name: 'Renamed' } as AnyData }])
    for (const kind of ['bed', 'entry', 'record', 'shelf', 'test'] as Kind[])
      expect(after.ofKind(kind)).toBe(before.ofKind(kind))
    expect(after.ofKind('job')).not.toBe(before.ofKind('job'))
    expect(recordsOf(after)).toBe(recordsOf(before))
    expect(testsOf(after)).toBe(testsOf(before))
    expect(allEntriesOf(after)).toBe(allEntriesOf(before))
    expect(jobsOf(after)).not.toBe(jobsOf(before))
    expect(jobsOf(after).some((j) => j.name === 'Renamed')).toBe(true)
  })
  test('lists are the same whatever the garden is kept as, and a plain map is looked through anew', () => {
    const plain = new Map(records())
    const kept = KeptGarden.of(plain)
    expect(jobsOf(kept)).toEqual(jobsOf(plain))
    expect(recordsOf(kept)).toEqual(recordsOf(plain))
    const { id } = jobsOf(plain)[0]!
    plain.delete(`job/${id}`)
    expect(jobsOf(plain).some((j) => j.id === id)).toBe(false)
  })
  test('lines of a log: its own, newest first; what belongs to a job is its lines and photos', () => {
    const lines = [
      entry('a', 'x', '2026-05-01'),
      entry('b', 'y', '2026-05-02'),
      entry('c', 'x', '2026-05-03'),
    ]
    const photo = { id: 'p', jobId: 'x', takenAt: '2026-05-01' } as Photo
    const garden = KeptGarden.of([
      ...lines.map((e): [string, AnyData] => [entryKey(e.id), e]),
      [photoKey('p'), photo],
    ])
    expect(entriesOf(garden, 'x').map((e) => e.id)).toEqual(['c', 'a'])
    expect(entriesOf(garden, 'nobody')).toEqual([])
    expect(belongingsOf(garden, 'x').sort()).toEqual(['entry/a', 'entry/c', 'photo/p'])
  })
  test('a key of no kind is a fault of ours', () => {
    expect(() => KeptGarden.of([['constructor', {} as AnyData]])).toThrow('no kind for key constructor')
    expect(KeptGarden.of([]).get('constructor')).toBeUndefined()
    expect(KeptGarden.of([]).has('__proto__')).toBe(false)
  })
})
