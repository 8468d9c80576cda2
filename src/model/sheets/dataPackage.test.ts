import { once } from '@/core/testing/once'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { Package } from 'datapackage'
import { strFromU8, unzipSync } from 'fflate'
import { afterEach, describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { entryKey, jobOf, recordsOf, testKey, type Garden } from '../garden/garden'
import { startingTest } from '../learn/startingTest'
import type { AnyData, Entry } from '../garden/schemas'
import { dataPackage, dataPackageFiles } from './dataPackage'

const AT = '2026-10-01T09:00:00.000Z'
const demo = once(() => demoGarden())
const job = once(() => jobOf(demo(), 'peppers-26')!)
const entry = (id: string, of: Partial<Entry>): Entry => ({
  id,
  jobId: job().id,
  fillId: job().fills[0]!.id,
  at: '2026-07-01T10:00:00.000Z',
  kind: 'harvest',
  value: null,
  count: null,
  expected: null,
  note: '',
  ...of,
})
const garden = once<Garden>(
  () =>
    new Map<string, AnyData>([
      ...demo(),
      ...[
        entry('h', { value: 1.25, count: 9, note: '=1+1, "red"; green' }),
        entry('p', { kind: 'pH', value: 6.1, expected: 6.3 }),
        entry('w', { kind: 'watered', value: 12, fillId: null }),
        entry('gone', { kind: 'note', note: 'a bed that is no more', fillId: 'none' }),
      ].map((e) => [entryKey(e.id), e] as const),
      [
        testKey('t'),
        {
          ...startingTest('t', 'paste', { materialId: 'compost_green' }, AT),
          finishedAt: AT,
          repeats: [{ pH: 7.4, salts: 2.1 }, { pH: 7.2 }],
        },
      ],
    ]),
)
let folder = ''
afterEach(() => folder && rmSync(folder, { recursive: true, force: true }))
/** The package as it is on disk once unpacked, read by the reference library of Frictionless Data. */
async function unpacked(of: Garden): Promise<Package> {
  folder = mkdtempSync(join(tmpdir(), 'package-'))
  for (const [path, bytes] of Object.entries(unzipSync(dataPackage(of, AT)))) {
    mkdirSync(dirname(join(folder, path)), { recursive: true })
    writeFileSync(join(folder, path), strFromU8(bytes))
  }
  return Package.load(join(folder, 'datapackage.json'), { basePath: folder })
}

describe('the data package', () => {
  test('is valid for the library of Frictionless Data: descriptor, every cell, every key', async () => {
    const found = await unpacked(garden())
    expect(found.errors).toEqual([])
    expect(found.valid).toBe(true)
    expect(found.resourceNames).toEqual(['beds', 'batches', 'parts', 'readings', 'harvests', 'log'])
    for (const name of found.resourceNames) {
      const resource = found.getResource(name)!
      expect(resource.valid, name).toBe(true)
      // Reads each cell by its type and constraints, and looks every foreign key up.
      const rows = await resource.read({ keyed: true, relations: true })
      expect(rows.length, name).toBeGreaterThan(0)
    }
  })
  test('says what the garden says', async () => {
    const found = await unpacked(garden())
    const read = (name: string) => found.getResource(name)!.read({ keyed: true })
    const batches = await read('batches')
    expect(batches.map((b) => b.id).sort()).toEqual(
      recordsOf(garden())
        .map((r) => r.id)
        .sort(),
    )
    const [harvest] = (await read('harvests')).filter((h) => h.id === 'h')
    expect(harvest).toMatchObject({ kg: 1.25, pieces: 9, bed: `${job().id}/${job().fills[0]!.id}` })
    const readings = await read('readings')
    expect(readings.find((r) => r.id === 'log:p')).toMatchObject({ value: 6.1, expected: 6.3, source: 'log' })
    expect(readings.find((r) => r.id === 'test:t:pH')).toMatchObject({
      value: 7.3,
      count: 2,
      material: 'compost_green',
    })
    expect(readings.find((r) => r.id === 'test:t:electricalConductivity')!.unit).toContain('saturated')
    // A bed that is no more is written as none, so that every key is found.
    expect((await read('log')).find((l) => l.id === 'gone')).toMatchObject({ bed: null })
  })
  test('readings at the tub are of their batch, salts by their method, with what was expected; dressings by grams', async () => {
    const record = recordsOf(demo())[0]!
    const tub = (id: string, kind: 'pH' | 'salts', expected: number | null) => ({
      id,
      batch: 0,
      at: AT,
      day: 3,
      kind,
      value: 1.25,
      expected,
    })
    const fed = {
      ...record,
      readings: [tub('a', 'pH', 6.5), tub('b', 'salts', null)],
      dressings: [{ ...record.dressings[0]!, dressingId: 'bone_meal', grams: 321 }],
    }
    const found = await unpacked(
      new Map<string, AnyData>([...demo(), [`record/${record.id}`, fed as AnyData]]),
    )
    const readings = await found.getResource('readings')!.read({ keyed: true })
    expect(readings.find((r) => r.id === 'tub:a')).toMatchObject({
      batch: record.id,
      source: 'tub',
      figure: 'pH',
      value: 1.25,
      unit: null,
      expected: 6.5,
      bed: null,
      count: 1,
    })
    const salts = readings.find((r) => r.id === 'tub:b')!
    expect(salts.unit).toMatch(/dS\/m/)
    expect(salts.expected).toBeNull()
    const parts = await found.getResource('parts')!.read({ keyed: true })
    expect(parts.filter((p) => p.batch === record.id).some((p) => Object.values(p).includes(321))).toBe(true)
  })
  test('the log is in the order of its moments, however it was kept', () => {
    const at = (id: string, day: string) =>
      entry(id, { at: `2026-07-${day}T10:00:00.000Z`, kind: 'watered', value: 1 })
    const late = new Map<string, AnyData>([
      ...[...demo()].filter(([key]) => !key.startsWith('entry/')),
      ...[at('c', '03'), at('a', '01'), at('d', '04'), at('b', '02')].map(
        (e) => [entryKey(e.id), e] as const,
      ),
    ])
    const text = strFromU8(unzipSync(dataPackage(late, AT))['data/log.csv']!)
    const rows = text.trim().split(/\r?\n/).slice(1)
    expect(rows.map((r) => /2026-07-0(\d)/.exec(r)![1])).toEqual(['1', '2', '3', '4'])
  })
  test('text that a spreadsheet would run is guarded', () => {
    expect(dataPackageFiles(garden(), AT).get('data/harvests.csv')).toContain("'=1+1")
  })
  test('an empty garden makes an empty, valid package', async () => {
    const found = await unpacked(new Map())
    expect(found.valid).toBe(true)
    expect(dataPackageFiles(new Map(), AT).get('data/beds.csv')!.trim()).toMatch(/^id,job,name/)
  })
})
