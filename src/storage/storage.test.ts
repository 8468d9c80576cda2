import { SCHEMA_VERSIONS } from '@/model/garden/schemas'
import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import type { Pack } from '@/core/data'
import { DEFAULT_SETTINGS, jobKey, SETTINGS_KEY } from '@/model/garden/garden'
import { startingJobBed, startingJob, startingSpec } from '@/model/garden/starting'
import type { AnyData, Job } from '@/model/garden/schemas'
import { dressingItem, shelfItem } from '@/model/garden/shelfEntry'
import { envelopeSchema, isNewer, readEnvelope, writeEnvelope, type Envelope } from './envelope'
import { isStale } from '@/model/garden/isStale'
import { exportFile, exportRaw } from './exportFile'
import { previewImport } from './importFile'
import { foragePort, tabLock } from './forage'
import { localLock, memoryPort } from './memory'
import jobV1 from './migrations/job.v1.json'
import jobV2 from './migrations/job.v2.json'
import jobV3 from './migrations/job.v3.json'
import jobV4 from './migrations/job.v4.json'
import jobV5 from './migrations/job.v5.json'
import jobV6 from './migrations/job.v6.json'
import jobV7 from './migrations/job.v7.json'
import recordV3 from './migrations/record.v3.json'
import shelfV1 from './migrations/shelf.v1.json'
import dressingPackV1 from './migrations/dressingPack.v1.json'
import materialV1 from './migrations/material.v1.json'
import settingsV1 from './migrations/settings.v1.json'
import settingsV2 from './migrations/settings.v2.json'
import recordV2 from './migrations/record.v2.json'
import placeV1 from './migrations/place.v1.json'
import placeV2 from './migrations/place.v2.json'
import recordV1 from './migrations/record.v1.json'
import { BED_FIELDS, BED_FIELD_NAMES } from '@/model/garden/schemas/bedFields'
import { unreadableText } from '@/text/base/problems.en'
import { STEPS, withAdded } from './migrations'
import { openGarden, peekGarden } from './openGarden'
import type { Part } from './port'
import { createSaver, type Conflict, type SaverOptions, type SaveStatus } from './saver'
import { Gone } from './timeLimit'
import { listSetAside, putAside, putBack } from './setAside'

const NOW = new Date('2026-03-01T09:00:00.000Z')
const now = () => NOW
const job: Job = {
  ...startingJob('j', NOW.toISOString(), [startingJobBed('f', startingSpec('roundPot'), null)]),
  name: 'Fig',
}
const KEY = jobKey('j')
const stored = (data: AnyData = job, revision = 1): Envelope =>
  writeEnvelope(KEY, data, revision, NOW.toISOString())

/** What a job of today has that older ones had not. */
const NOTHING_DONE = {
  mixOn: null,
  readySteps: [],
  readyAdded: [],
  readyLeft: [],
  boughtWith: [],
  bought: [],
  otherwise: [],
  tally: null,
  readings: [],
  corrections: [],
  timers: [],
}
const FRESH = { mixes: [], dressings: [], versions: [], versionId: null, dismissed: [] }

describe('reading a record', () => {
  test('every version that ever was has a saved file beside its step, and that file opens as it is today', () => {
    const files = import.meta.glob<{ data: { id?: string; materialId?: string; dressingId?: string } }>(
      './migrations/*.json',
      {
        eager: true,
        import: 'default',
      },
    )
    const steps = Object.entries(STEPS).flatMap(([kind, of]) => Object.keys(of).map((v) => `${kind}.v${v}`))
    expect(
      Object.keys(files)
        .map((f) => f.slice('./migrations/'.length, -'.json'.length))
        .sort(),
    ).toEqual(steps.sort())
    for (const [name, file] of Object.entries(files)) {
      const kind = name.match(/\/(\w+)\.v/)![1]!
      const { id, materialId, dressingId } = file.data
      const alone = kind === 'place' || kind === 'settings'
      const read = readEnvelope(alone ? kind : `${kind}/${id ?? materialId ?? dressingId}`, file)
      expect(read, name).toMatchObject({ ok: true, migrated: true })
    }
  })
  test('a version that only added something reads the one before as it is, and no other', () => {
    const added = withAdded({ bed: { 1: () => 'changed' } }, { bed: [3], job: [2] })
    expect(added.bed![2]!(job)).toBe(job)
    expect(added.job![1]!(job)).toBe(job)
    expect(added.bed![1]!(job)).toBe('changed')
    expect(added.bed![3]).toBeUndefined()
  })
  test('gives back what was written', () => {
    expect(readEnvelope(KEY, stored())).toEqual({ ok: true, data: job, revision: 1, migrated: false })
  })
  const kept = { ...job, parts: [{ materialId: 'x', twelfths: 'two' }] } as unknown as Job
  const broken: [what: string, raw: unknown, text: string][] = [
    ['nothing', null, 'damaged at the record itself: it is not a record'],
    ['a text', 'job', 'damaged at the record itself: it is not a record'],
    ['a record under the key of another', stored({ ...job, id: 'k' }), 'at data.id: it calls itself “k”'],
    ['an envelope without data', { ...stored(), data: undefined }, 'damaged at data: it is missing'],
    [
      'a job without parts',
      stored({ ...job, parts: undefined } as unknown as Job),
      'at data.parts: it is missing',
    ],
    ['a part that is no number', stored(kept), 'at data.parts.0.twelfths: it is not a number'],
    [
      'a size that is not finite',
      stored({ ...job, plan: { ...job.plan, bucket: NaN } }),
      'at data.plan.bucket: it is not a number',
    ],
    [
      'a record under a job’s key',
      { ...stored(), kind: 'record' },
      'at kind: it is of the kind “record” under the key of a job',
    ],
    ['a kind there is none of', { ...stored(), kind: 'jar' }, 'at kind: it must be “'],
    ['a revision below zero', { ...stored(), revision: -1 }, 'at revision: it is less than 0'],
    [
      'a name that is a number',
      stored({ ...job, name: 7 } as unknown as Job),
      'at data.name: it is not a text',
    ],
    ['a name too long', stored({ ...job, name: 'x'.repeat(9999) }), 'at data.name: it has more than'],
    [
      'a day of no month',
      stored({ ...job, mixOn: '2026-02-30' }),
      'at data.mixOn: it is not a day of the calendar',
    ],
    ['a later version', { ...stored(), schemaVersion: 99 }, 'made by a newer Open Bed (version 99;'],
    [
      'the very next version',
      { ...stored(), schemaVersion: SCHEMA_VERSIONS.job + 1 },
      'made by a newer Open Bed',
    ],
  ]
  test.each(broken)('says of %s where and what is wrong', (_what, raw, text) => {
    const read = readEnvelope(KEY, raw)
    expect(read.ok ? '' : unreadableText(read.why)).toContain(text)
  })
  test('does not know keys of others', () => {
    expect(readEnvelope('constructor', stored())).toEqual({
      ok: false,
      why: { code: 'not-ours', key: 'constructor' },
    })
  })
  test('reads the saved files of version 1: a job keeps its container as its one fill, a record all it had', () => {
    const old = readEnvelope('job/peppers-27', jobV1)
    if (!old.ok) throw new Error(JSON.stringify(old.why))
    expect(old.migrated).toBe(true)
    const { fills, ...rest } = old.data as Job
    expect(fills).toHaveLength(1)
    expect(fills[0]).toMatchObject({ bedId: null, count: 6, sunkBy: null })
    expect(fills[0]!.spec).toMatchObject({ vessel: jobV1.data.vessel, wall: 'fabric' })
    for (const [key, value] of Object.entries(jobV1.data))
      if (key !== 'vessel') expect(rest).toMatchObject({ [key]: value })
    const record = readEnvelope('record/made-peppers-26', recordV1)
    expect(record.ok && record.data).toEqual({ ...recordV1.data, filled: [], ...recordToday(recordV1.data) })
    const broken = readEnvelope('job/peppers-27', { ...jobV1, data: { ...jobV1.data, vessel: 'pot' } })
    expect(!broken.ok && broken.why).toMatchObject({ code: 'broken', where: 'version 1.vessel' })
  })
  const uncosted = (lines: object[] = []) => lines.map((l) => ({ ...l, cost: null, lot: '' }))
  /** What every older record gets: no dressings, no costs, no lots, nothing read or made otherwise. */
  function recordToday(data: {
    measured: object[]
    limes: object[]
    dressings?: object[]
    predicted: object
  }) {
    return {
      predicted: { ...data.predicted, verdict: null },
      measured: uncosted(data.measured),
      limes: uncosted(data.limes),
      dressings: uncosted(data.dressings),
      paid: null,
      used: null,
      readings: [],
      corrections: [],
      otherwise: [],
    }
  }
  const limed = (lime: object) => ({ limeId: 'lime_calcitic', ...lime })
  interface OldJob {
    plan: object
    lime: object
    fills: { spec: object }[]
    dressings?: { dressingId: string }[]
  }
  const lines = (dressings: { dressingId: string }[] = []) =>
    dressings.map((d) => ({ ...d, id: d.dressingId }))
  /** What an older bed has not is at the default of its row. */
  const sinceThen = (spec: object) =>
    Object.fromEntries(
      BED_FIELD_NAMES.filter((f) => !(f in spec)).map((f) => [f, BED_FIELDS[f].schema.parse(undefined)]),
    )
  /** What every older job gets: a scoop, ground limestone for its lime, its crop in every bed, ids for its doses. */
  const today = (data: OldJob) => ({
    plan: { scoop: 1, rounding: 'more', wholeVessel: false, ...data.plan },
    lime: limed(data.lime),
    fills: data.fills.map((f) => ({
      ...f,
      spec: { ...sinceThen(f.spec), ...f.spec },
      cropId: null,
      plants: null,
    })),
    dressings: lines(data.dressings),
    amount: null,
    stage: 'grown',
    years: null,
    origins: { bag: null, manure: null, vermiculite: null },
    movedDays: [],
    liquidFeeds: [],
    water: { rain: 0, acid: null },
    raising: null,
    ...NOTHING_DONE,
  })
  test('reads the saved files of version 2 of a job and 1 of a place: nothing is lost, what was done is put away', () => {
    const old = readEnvelope('job/peppers-26', jobV2)
    if (!old.ok) throw new Error(JSON.stringify(old.why))
    expect(old.data).toEqual({
      ...jobV2.data,
      ...FRESH,
      ...today(jobV2.data),
      filledSteps: [],
      plantedOn: null,
      followedSteps: [],
      archived: true,
    })
    const open = readEnvelope('job/x', { ...jobV2, data: { ...jobV2.data, recordId: null } })
    expect(open.ok && (open.data as Job).archived).toBe(false)
    const place = readEnvelope('place', placeV1)
    expect(place.ok && place.data).toEqual({ ...placeV1.data, coldestNight: null, waterSoftened: false })
    const colder = readEnvelope('place', placeV2)
    expect(colder.ok && colder.data).toEqual({ ...placeV2.data, waterSoftened: false })
  })
  test('reads the saved files of version 3 of a job and 2 of a record: dressings and versions begin empty', () => {
    const old = readEnvelope('job/herbs-26', jobV3)
    expect(old.ok && old.data).toEqual({ ...jobV3.data, ...FRESH, ...today(jobV3.data) })
    const record = readEnvelope('record/made-herbs-26', recordV2)
    expect(record.ok && record.data).toEqual({ ...recordV2.data, ...recordToday(recordV2.data) })
  })
  test('reads the saved file of version 4 of a job: no finished mixes, on the bench or in its versions', () => {
    const old = readEnvelope('job/leeks', jobV4)
    const versions = jobV4.data.versions.map((v) => ({
      ...v,
      mixes: [],
      lime: limed(v.lime),
      dressings: lines(v.dressings),
    }))
    expect(versions).toHaveLength(1)
    expect(old.ok && old.data).toEqual({ ...jobV4.data, mixes: [], ...today(jobV4.data), versions })
  })
  test('reads the saved file of version 5 of a job: a scoop of a litre beside the bucket', () => {
    const old = readEnvelope('job/leeks', jobV5)
    const versions = jobV5.data.versions.map((v) => ({
      ...v,
      lime: limed(v.lime),
      dressings: lines(v.dressings),
    }))
    expect(old.ok && old.data).toEqual({ ...jobV5.data, ...today(jobV5.data), versions })
  })
  test('reads the saved file of version 6 of a job: every dose has an id, on the bench and in its versions', () => {
    const old = readEnvelope('job/leeks', jobV6)
    const versions = jobV6.data.versions.map((v) => ({ ...v, dressings: lines(v.dressings) }))
    expect(jobV6.data.dressings.length).toBeGreaterThan(0)
    expect(old.ok && old.data).toEqual({ ...jobV6.data, ...today(jobV6.data), versions })
  })
  test('reads what was saved before packs, lots and getting ready: nothing is lost, nothing is done', () => {
    const old = readEnvelope('job/leeks', jobV7)
    expect(old.ok && old.data).toEqual({
      ...jobV7.data,
      ...today(jobV7.data),
      dressings: jobV7.data.dressings,
    })
    const record = readEnvelope('record/made-herbs-26', recordV3)
    expect(record.ok && record.data).toEqual({ ...recordV3.data, ...recordToday(recordV3.data) })
    const { pack, price, stock } = shelfV1.data
    const shelf = readEnvelope('shelf/peat_medium', shelfV1)
    expect(shelf.ok && shelf.data).toEqual(shelfItem('peat_medium', pack as Pack, price, stock))
    const dose = readEnvelope('dressingPack/urea', dressingPackV1)
    expect(dose.ok && dose.data).toEqual(dressingItem('urea', 5, 14, 1.5))
    const own = readEnvelope('material/own:heap', materialV1)
    expect(own.ok && own.data).toEqual({ ...materialV1.data, madeOf: null, figures: [], sizeShares: [] })
    const settings = readEnvelope('settings', settingsV1)
    expect(settings.ok && settings.data).toEqual({ ...DEFAULT_SETTINGS, units: 'us', theme: 'dark' })
    const later = readEnvelope('settings', settingsV2)
    expect(later.ok && later.data).toEqual({ ...settingsV2.data, lessonsSeen: [], address: '', currency: '' })
  })
  test('takes old versions forward, step by step, and says where it cannot', () => {
    const old = { ...stored(), schemaVersion: 1, data: { title: 'Fig' } }
    const versions = { ...SCHEMA_VERSIONS, job: 3 }
    const steps = {
      job: {
        1: (data: unknown) => ({ name: (data as { title: string }).title }),
        2: (data: unknown) => ({ ...job, ...(data as object) }),
      },
    }
    expect(readEnvelope(KEY, old, { migrations: steps, versions })).toEqual({
      ok: true,
      data: job,
      revision: 1,
      migrated: true,
    })
    const gap = readEnvelope(KEY, old, { migrations: { job: { 1: steps.job[1] } }, versions })
    expect(!gap.ok && gap.why).toMatchObject({ code: 'broken', where: 'version 2' })
    const throwing = () => {
      throw new Error('no title')
    }
    const broken = { job: { ...steps.job, 1: throwing } }
    const thrown = readEnvelope(KEY, old, { migrations: broken, versions })
    expect(!thrown.ok && thrown.why).toMatchObject({
      code: 'broken',
      where: 'version 1',
      misfit: { code: 'fault', words: 'no title' },
    })
  })
})

describe('opening a garden', () => {
  test('reads what is sound, sets aside what is not, drops nothing', async () => {
    const future = { ...stored(), schemaVersion: 99 }
    const port = memoryPort({
      [KEY]: stored(),
      'job/bad': { kind: 'job', junk: true },
      'job/next': future,
      stray: 42,
    })
    const opened = await openGarden(port, localLock(), now)
    expect([...opened.records.keys()]).toEqual([KEY])
    expect(opened.revisions.get(KEY)).toBe(1)
    expect(opened.setAside.map((s) => [s.key, s.why.code]).sort()).toEqual([
      ['job/bad', 'broken'],
      ['job/next', 'newer-version'],
      ['stray', 'not-ours'],
    ])
    expect(opened.setAside.find((s) => s.key === 'job/next')!.raw).toEqual(future)
    expect(await port.get('job/bad')).toBeNull()
    // What a newer Open Bed wrote is left where it is.
    expect(await port.get('job/next')).toEqual(future)
    // And again: nothing is set aside twice.
    expect((await openGarden(port, localLock(), now)).setAside).toHaveLength(3)
  })
  test('a look at a garden reads what is sound and writes nothing, what was put aside left out', async () => {
    const port = memoryPort({ [KEY]: stored(), 'job/bad': { kind: 'job', junk: true } })
    await putAside(port, {
      key: KEY,
      at: NOW.toISOString(),
      why: { code: 'overwritten', key: KEY },
      raw: stored(),
    })
    const before = await port.entries()
    expect([...(await peekGarden(port)).entries()]).toEqual([[KEY, job]])
    expect(await port.entries()).toEqual(before)
  })
  test('newer than this Open Bed is what has a higher version of its own kind, nothing else', () => {
    const version = stored().schemaVersion
    expect(isNewer(KEY, stored())).toBe(false)
    expect(isNewer(KEY, { ...stored(), schemaVersion: version + 1 })).toBe(true)
    expect(isNewer('no kind of ours', { ...stored(), schemaVersion: version + 1 })).toBe(false)
    expect(isNewer(KEY, { junk: true, schemaVersion: version + 1 })).toBe(false)
  })
  test('the later part is read beside what is written: what was mended or removed meanwhile is not set aside', async () => {
    const line = [...demoGarden()].find(([k]) => k.startsWith('entry/'))![1]
    const key = `entry/${(line as { id: string }).id}`
    const sound = writeEnvelope(key, line, 3, NOW.toISOString())
    const port = memoryPort({
      [KEY]: stored(),
      [key]: { junk: 1 },
      'entry/gone': { junk: 2 },
      'entry/bad': { junk: 3 },
    })
    const reading: typeof port = {
      ...port,
      entries: async (part) => {
        const read = await port.entries(part)
        port.contents.set(key, sound)
        port.contents.delete('entry/gone')
        return read
      },
    }
    const opened = await openGarden(reading, localLock(), now, 'later')
    expect([...opened.records]).toEqual([[key, line]])
    expect(opened.revisions.get(key)).toBe(3)
    expect(opened.setAside.map((s) => [s.key, s.raw])).toEqual([['entry/bad', { junk: 3 }]])
    expect(port.contents.get(key)).toEqual(sound)
    // The first part has the rest, and says nothing of what lies set aside twice.
    const first = await openGarden(port, localLock(), now, 'first')
    expect([...first.records.keys()]).toEqual([KEY])
    expect(first.setAside).toHaveLength(1)
  })
  test('with a full disk the broken record stays where it was, and is still listed', async () => {
    const port = memoryPort({ [KEY]: stored(), 'job/bad': { junk: true } })
    port.failing = new Error('QuotaExceededError')
    const opened = await openGarden(port, localLock(), now)
    expect(opened.setAside.map((s) => s.key)).toEqual(['job/bad'])
    expect(port.contents.get('job/bad')).toEqual({ junk: true })
  })
  test('a record of a newer Open Bed comes back by itself once it can be read', async () => {
    const port = memoryPort()
    await putAside(port, {
      key: KEY,
      at: NOW.toISOString(),
      why: { code: 'newer-version', key: KEY, version: 2, known: 1 },
      raw: stored(),
    })
    const opened = await openGarden(port, localLock(), now)
    expect(opened.records.get(KEY)).toEqual(job)
    expect(opened.setAside).toEqual([])
  })
  test('what earlier versions put aside with words of their own still says them', async () => {
    const why = { code: 'broken', key: KEY, where: 'data.name', message: 'too long' }
    const port = memoryPort({
      'set-aside/old': { key: KEY, at: NOW.toISOString(), why, raw: 1 },
      'set-aside/odd': 2,
    })
    const texts = listSetAside(await port.entries()).map((item) => unreadableText(item.why))
    expect(texts.sort()).toEqual([
      '“job/j” is damaged at data.name: too long.',
      '“set-aside/odd” is damaged at set-aside entry: it is not a record.',
    ])
  })
  test('putting back never covers a record that is there', async () => {
    const port = memoryPort({ [KEY]: stored() })
    const item = await putAside(port, {
      key: KEY,
      at: NOW.toISOString(),
      why: { code: 'overwritten', key: KEY },
      raw: stored({ ...job, name: 'Older' }),
    })
    expect(await putBack(port, item)).toBe(false)
    await port.remove(KEY)
    expect(await putBack(port, item)).toBe(true)
    expect(listSetAside(await port.entries())).toEqual([])
  })
  test('two things set aside in one moment are both kept, and a broken entry is still listed', async () => {
    const port = memoryPort()
    for (const raw of [1, 2])
      await putAside(port, { key: KEY, at: NOW.toISOString(), why: { code: 'overwritten', key: KEY }, raw })
    await port.set('set-aside/odd', 'scribble')
    const items = listSetAside(await port.entries())
    expect(items.map((i) => i.raw).sort()).toEqual([1, 2, 'scribble'])
  })
})

describe('saving', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  function tab(
    port = memoryPort(),
    lock = localLock(),
    revisions = new Map<string, number>(),
    renew?: SaverOptions['renew'],
  ) {
    const statuses: SaveStatus[] = []
    const conflicts: Conflict[] = []
    const told: [string, number | null][] = []
    const saver = createSaver({
      port,
      lock,
      revisions,
      renew,
      now,
      onStatus: (s) => statuses.push(s),
      onConflict: (c) => conflicts.push(c),
      onStored: (stored) =>
        told.push(...stored.map(([key, revision]): [string, number | null] => [key, revision])),
    })
    return { port, saver, statuses, conflicts, told, revisions }
  }
  const named = (name: string): Job => ({ ...job, name })
  const nameIn = async (port: ReturnType<typeof memoryPort>) =>
    (envelopeSchema.parse(await port.get(KEY)).data as Job).name

  test('2026-11-29: a page older than what is stored never writes over it, and says so; other edits are kept', async () => {
    const newer = {
      ...stored({ ...job, name: 'Newer' }),
      schemaVersion: SCHEMA_VERSIONS.job + 1,
      revision: 2,
    }
    const t = tab()
    t.port.contents.set(KEY, newer)
    const other = 'job/other'
    t.saver.stage([[KEY, named('From the old page')]])
    t.saver.stage([[other, { ...named('Beside it'), id: 'other' }]])
    await vi.advanceTimersByTimeAsync(300)
    expect(await t.port.get(KEY)).toEqual(newer)
    expect(t.statuses.at(-1)).toMatchObject({ state: 'failing', reason: 'older' })
    expect(t.saver.isDirty(KEY)).toBe(true)
    expect(t.conflicts).toEqual([])
    expect(await t.port.get(other)).not.toBeNull()
    await expect(t.saver.keepMine(KEY)).rejects.toThrow()
    expect(await t.port.get(KEY)).toEqual(newer)
  })
  test('writes within 300 ms of an edit, a burst as one', async () => {
    const t = tab()
    const set = vi.spyOn(t.port, 'setMany')
    for (const name of ['F', 'Fi', 'Fig']) t.saver.stage([[KEY, named(name)]])
    expect(t.saver.isDirty(KEY)).toBe(true)
    await vi.advanceTimersByTimeAsync(299)
    expect(await nameIn(t.port)).toBe('Fig')
    expect(set).toHaveBeenCalledTimes(1)
    expect(t.saver.isDirty(KEY)).toBe(false)
    expect(t.statuses.at(-1)).toEqual({ state: 'saved' })
    expect(t.told).toEqual([[KEY, 1]])
  })
  test('steady typing does not put the write off', async () => {
    const t = tab()
    for (let i = 0; i < 6; i++) {
      t.saver.stage([[KEY, named(`n${i}`)]])
      await vi.advanceTimersByTimeAsync(60)
    }
    expect(t.told.length).toBeGreaterThanOrEqual(2)
  })
  test('an edit made while another is being written is written too', async () => {
    const port = memoryPort()
    const t = tab(port)
    const set = port.setMany
    vi.spyOn(port, 'setMany').mockImplementationOnce(async (writes) => {
      t.saver.stage([[KEY, named('second')]])
      await set(writes)
    })
    t.saver.stage([[KEY, named('first')]])
    await vi.advanceTimersByTimeAsync(600)
    expect(await nameIn(port)).toBe('second')
    expect(t.conflicts).toEqual([])
  })
  test('removes, and tells it', async () => {
    const t = tab()
    t.saver.stage([[KEY, job]])
    await t.saver.flush()
    t.saver.stage([[KEY, null]])
    await t.saver.flush()
    expect(await t.port.get(KEY)).toBeNull()
    expect(t.told.at(-1)).toEqual([KEY, null])
  })
  test.each([
    ['full', new DOMException('no room', 'QuotaExceededError')],
    ['refused', new DOMException('denied', 'InvalidStateError')],
  ] as const)(
    'a disk that is %s is reported; the work waits and is written when it can be',
    async (reason, error) => {
      const t = tab()
      t.port.failing = error as unknown as Error
      t.saver.stage([[KEY, job]])
      await vi.advanceTimersByTimeAsync(300)
      expect(t.statuses.at(-1)).toMatchObject({ state: 'failing', reason })
      expect(t.saver.isDirty(KEY)).toBe(true)
      t.port.failing = null
      await vi.advanceTimersByTimeAsync(5000)
      expect(await nameIn(t.port)).toBe('Fig')
      expect(t.statuses.at(-1)).toEqual({ state: 'saved' })
    },
  )

  /** Two tabs that have both read revision 1, and the second one writes after the first. */
  async function twoTabs() {
    const port = memoryPort({ [KEY]: stored() })
    const lock = localLock()
    const first = tab(port, lock, new Map([[KEY, 1]]))
    const second = tab(port, lock, new Map([[KEY, 1]]))
    first.saver.stage([[KEY, named('first')]])
    second.saver.stage([[KEY, named('second')]])
    await vi.advanceTimersByTimeAsync(400)
    return { port, first, second }
  }
  test('two tabs do not overwrite each other; the later one is warned', async () => {
    const { port, first, second } = await twoTabs()
    expect(await nameIn(port)).toBe('first')
    expect(first.conflicts).toEqual([])
    expect(second.conflicts).toEqual([{ key: KEY, mine: named('second'), theirs: named('first') }])
    expect(second.saver.isDirty(KEY)).toBe(true)
  })
  test('keeping mine puts theirs aside', async () => {
    const { port, second } = await twoTabs()
    await second.saver.keepMine(KEY)
    expect(await nameIn(port)).toBe('second')
    const [aside] = listSetAside(await port.entries())
    expect(aside).toMatchObject({ key: KEY, why: { code: 'overwritten' } })
    expect((aside!.raw as Envelope).data).toEqual(named('first'))
    second.saver.stage([[KEY, named('third')]])
    await vi.advanceTimersByTimeAsync(400)
    expect(await nameIn(port)).toBe('third')
  })
  test('taking theirs puts mine aside', async () => {
    const { port, second } = await twoTabs()
    await second.saver.takeTheirs(KEY)
    expect(await nameIn(port)).toBe('first')
    expect((listSetAside(await port.entries())[0]!.raw as Envelope).data).toEqual(named('second'))
    expect(second.saver.isDirty(KEY)).toBe(false)
  })
  test('an edit to what another tab removed is a conflict too', async () => {
    const port = memoryPort({ [KEY]: stored() })
    const t = tab(port, localLock(), new Map([[KEY, 1]]))
    await port.remove(KEY)
    t.saver.stage([[KEY, named('mine')]])
    await vi.advanceTimersByTimeAsync(400)
    expect(t.conflicts).toEqual([{ key: KEY, mine: named('mine'), theirs: null }])
    await t.saver.keepMine(KEY)
    expect(await nameIn(port)).toBe('mine')
  })
  test('once another tab’s write has been read, writing goes on from there', async () => {
    const port = memoryPort({ [KEY]: stored(job, 5) })
    const t = tab(port, localLock(), new Map([[KEY, 4]]))
    t.saver.accept(KEY, 5)
    t.saver.stage([[KEY, named('next')]])
    await vi.advanceTimersByTimeAsync(400)
    expect(t.conflicts).toEqual([])
    expect(envelopeSchema.parse(await port.get(KEY)).revision).toBe(6)
  })
  test('while an edit waits for a choice nothing says saved, and the edit lies set aside', async () => {
    const { port, second } = await twoTabs()
    expect(second.statuses.at(-1)).toEqual({ state: 'waiting' })
    expect(second.saver.hasUnsaved()).toBe(true)
    const aside = async () => listSetAside(await port.entries()).map((i) => (i.raw as Envelope).data)
    expect(await aside()).toEqual([named('second')])
    // Typing goes on: the copy follows, and is one.
    second.saver.stage([[KEY, named('second thoughts')]])
    await vi.advanceTimersByTimeAsync(400)
    expect(await aside()).toEqual([named('second thoughts')])
    expect(second.statuses.at(-1)).toEqual({ state: 'waiting' })
    await second.saver.keepMine(KEY)
    expect(await nameIn(port)).toBe('second thoughts')
    expect(await aside()).toEqual([named('first')])
    expect(second.statuses.at(-1)).toEqual({ state: 'saved' })
    expect(second.saver.hasUnsaved()).toBe(false)
  })
  test('taking theirs takes what is stored by then, and goes on from there', async () => {
    const { port, first, second } = await twoTabs()
    first.saver.stage([[KEY, named('first again')]])
    await vi.advanceTimersByTimeAsync(400)
    expect(await second.saver.takeTheirs(KEY)).toEqual(named('first again'))
    second.saver.stage([[KEY, named('after')]])
    await vi.advanceTimersByTimeAsync(400)
    expect(second.conflicts).toHaveLength(1)
    expect(await nameIn(port)).toBe('after')
  })
  test('the same edit in two tabs is no conflict', async () => {
    const port = memoryPort({ [KEY]: stored() })
    const [first, second] = [1, 2].map(() => tab(port, localLock(), new Map([[KEY, 1]])))
    for (const t of [first!, second!]) {
      t.saver.stage([[KEY, named('both')]])
      await vi.advanceTimersByTimeAsync(400)
    }
    expect(second!.conflicts).toEqual([])
    expect(second!.statuses.at(-1)).toEqual({ state: 'saved' })
  })
  test('a failing disk stays told, whatever is edited meanwhile, until a write succeeds', async () => {
    const t = tab()
    t.port.failing = new DOMException('no room', 'QuotaExceededError') as unknown as Error
    t.saver.stage([[KEY, job]])
    await vi.advanceTimersByTimeAsync(300)
    const before = t.statuses.length
    for (const name of ['a', 'b', 'c']) {
      t.saver.stage([[KEY, named(name)]])
      await vi.advanceTimersByTimeAsync(1500)
    }
    expect(t.statuses.slice(before).map((s) => s.state)).not.toContain('saving')
    expect(t.statuses.slice(before).map((s) => s.state)).not.toContain('saved')
    t.port.failing = null
    await vi.advanceTimersByTimeAsync(5000)
    expect(t.statuses.at(-1)).toEqual({ state: 'saved' })
    expect(await nameIn(t.port)).toBe('c')
  })
  test('one record that cannot be written does not keep the others', async () => {
    const t = tab()
    const set = t.port.setMany
    vi.spyOn(t.port, 'setMany').mockImplementation((writes) =>
      writes.some(([key]) => key === KEY) ? Promise.reject(new Error('not this one')) : set(writes),
    )
    t.saver.stage([[KEY, job]])
    t.saver.stage([[SETTINGS_KEY, { ...DEFAULT_SETTINGS, units: 'us', theme: 'dark' }]])
    await vi.advanceTimersByTimeAsync(300)
    expect(await t.port.get(SETTINGS_KEY)).not.toBeNull()
    expect(t.statuses.at(-1)).toMatchObject({ state: 'failing', message: 'not this one' })
  })
  test('K12: a store that was removed is made again once, with everything; if it goes again at once, that is said', async () => {
    let isThere = false
    let made = 0
    const port = memoryPort()
    const { getMany } = port
    port.getMany = (keys) => (isThere ? getMany(keys) : Promise.reject(new Gone('the database was removed')))
    const all = [[KEY, job] as const, [SETTINGS_KEY, DEFAULT_SETTINGS] as const]
    const renew = (works: boolean) => async () => {
      made++
      isThere = works
      return all
    }
    const lost = tab(port, localLock(), new Map([[KEY, 7]]), renew(false))
    lost.saver.stage([[KEY, job]])
    await vi.advanceTimersByTimeAsync(300)
    expect([made, lost.statuses.at(-1)!.state]).toEqual([1, 'failing'])
    lost.saver.stop()
    const found = tab(port, localLock(), new Map([[KEY, 7]]), renew(true))
    found.saver.stage([[KEY, job]])
    await vi.advanceTimersByTimeAsync(300)
    expect(found.statuses.at(-1)).toEqual({ state: 'saved' })
    expect([...port.contents.keys()].sort()).toEqual([KEY, SETTINGS_KEY].sort())
    // Revisions begin again: what was known of the old store counts for nothing.
    expect(envelopeSchema.parse(await port.get(KEY)).revision).toBe(1)
  })
  test('a conflict alone, with nothing else to write, is no failure of a store that takes its time', async () => {
    const port = memoryPort({ [KEY]: stored() })
    for (const ask of ['getMany', 'setMany'] as const) {
      const answer = port[ask].bind(port) as (...given: unknown[]) => Promise<never>
      port[ask] = async (...given: unknown[]) => {
        await new Promise((done) => setTimeout(done, 20))
        return answer(...given)
      }
    }
    const [first, second] = [1, 2].map(() => tab(port, localLock(), new Map([[KEY, 1]])))
    first!.saver.stage([[KEY, named('first')]])
    await vi.advanceTimersByTimeAsync(400)
    second!.saver.stage([[KEY, named('second')]])
    await vi.advanceTimersByTimeAsync(400)
    expect(second!.conflicts).toHaveLength(1)
    expect(second!.statuses.map((s) => s.state)).not.toContain('failing')
    expect(second!.statuses.at(-1)).toEqual({ state: 'waiting' })
  })
  test('an edit that waits for a choice is not tried again until there is one', async () => {
    const port = memoryPort()
    await port.set(KEY, stored(named('theirs'), 5))
    let times = 0
    const lock = localLock()
    const t = tab(port, (work) => {
      times++
      return lock(work)
    })
    t.saver.stage([[KEY, named('mine')]])
    await vi.advanceTimersByTimeAsync(300)
    expect(t.conflicts).toHaveLength(1)
    const before = times
    await vi.advanceTimersByTimeAsync(60_000)
    expect(times).toBe(before)
  })
  test('K2: an act of thousands of records is stored whole or not at all, also where it is refused', async () => {
    const t = tab()
    const set = t.port.setMany
    const sizes: number[] = []
    let broken = true
    vi.spyOn(t.port, 'setMany').mockImplementation((writes) => {
      sizes.push(writes.length)
      return broken && writes.some(([key]) => key === 'job/n1200')
        ? Promise.reject(new DOMException('no room', 'QuotaExceededError'))
        : set(writes)
    })
    const act = Array.from({ length: 2500 }, (_, i) => [`job/n${i}`, { ...job, id: `n${i}` }] as const)
    t.saver.stage(act)
    t.saver.stage([[SETTINGS_KEY, { ...DEFAULT_SETTINGS, units: 'us' }]])
    await vi.advanceTimersByTimeAsync(300)
    // The settings are an act of their own: they are stored, of the import not one record.
    expect([...t.port.contents.keys()]).toEqual([SETTINGS_KEY])
    expect(t.statuses.at(-1)).toMatchObject({ state: 'failing', reason: 'full' })
    // An edit of one of them now goes with the whole of it.
    t.saver.stage([['job/n7', { ...job, id: 'n7', name: 'Edited meanwhile' }]])
    broken = false
    await vi.advanceTimersByTimeAsync(5000)
    expect(t.port.contents.size).toBe(2501)
    expect(sizes.at(-1)).toBe(2500)
    expect((envelopeSchema.parse(await t.port.get('job/n7')).data as Job).name).toBe('Edited meanwhile')
    expect(t.statuses.at(-1)).toEqual({ state: 'saved' })
  })
  test('K2: an act with a record that a newer Open Bed wrote waits whole', async () => {
    const t = tab()
    t.port.contents.set(KEY, { ...stored(job), schemaVersion: SCHEMA_VERSIONS.job + 1, revision: 2 })
    t.saver.stage([
      [KEY, named('Mine')],
      ['job/other', { ...named('With it'), id: 'other' }],
    ])
    await vi.advanceTimersByTimeAsync(300)
    expect(await t.port.get('job/other')).toBeNull()
    expect(t.saver.isDirty('job/other')).toBe(true)
  })
  test('a store that never answers is reported within seconds; what arrived late is no conflict', async () => {
    const t = tab()
    const set = t.port.setMany
    vi.spyOn(t.port, 'setMany').mockImplementationOnce(async (writes) => {
      await set(writes)
      return new Promise(() => undefined)
    })
    t.saver.stage([[KEY, named('heard late')]])
    await vi.advanceTimersByTimeAsync(5100)
    expect(t.statuses.at(-1)).toMatchObject({ state: 'failing', reason: 'silent' })
    expect(t.saver.hasUnsaved()).toBe(true)
    await vi.advanceTimersByTimeAsync(5000)
    expect(t.conflicts).toEqual([])
    expect(t.statuses.at(-1)).toEqual({ state: 'saved' })
    expect(await nameIn(t.port)).toBe('heard late')
  })
  test('what stands in the way and cannot be read is put aside, not written over', async () => {
    const port = memoryPort({ [KEY]: 'scribble' })
    const t = tab(port)
    t.saver.stage([[KEY, named('mine')]])
    await vi.advanceTimersByTimeAsync(400)
    expect(t.conflicts).toHaveLength(1)
    await t.saver.keepMine(KEY)
    expect(listSetAside(await port.entries()).map((i) => i.raw)).toEqual(['scribble'])
    expect(await nameIn(port)).toBe('mine')
  })
  test('after stop nothing more is written by itself', async () => {
    const t = tab()
    t.saver.stage([[KEY, job]])
    t.saver.stop()
    await vi.advanceTimersByTimeAsync(1000)
    expect(await t.port.get(KEY)).toBeNull()
  })
})

describe('a database that is in trouble', () => {
  test('a lock another tab never gives back is given up after a while', async () => {
    vi.useFakeTimers()
    const locks = {
      request: (_n: string, { signal }: { signal: AbortSignal }) =>
        new Promise((_, reject) => signal.addEventListener('abort', () => reject(signal.reason as Error))),
    }
    vi.stubGlobal('navigator', { locks })
    const waiting = expect(tabLock('my')(async () => 1)).rejects.toThrow('held the garden for 5 s')
    await vi.advanceTimersByTimeAsync(5000)
    await waiting
    vi.unstubAllGlobals()
    vi.useRealTimers()
  })
  test('one deleted under the page is not made anew by looking at it', async () => {
    const port = await foragePort('demo')
    await new Promise((done) => {
      const gone = indexedDB.deleteDatabase('open-bed-demo')
      gone.onsuccess = done
    })
    await expect(port.entries()).rejects.toThrow()
    expect((await indexedDB.databases()).map((d) => d.name)).not.toContain('open-bed-demo')
  })
})

describe('the browser’s database', () => {
  test('its two parts are all of it, each key in one, at the edges of their ranges and over many slices', async () => {
    const port = await foragePort('my')
    const edges = [
      'entr',
      'entry',
      'entry.',
      'entry/',
      'entry/a',
      'entry/é',
      'entry0',
      'entryx/a',
      'phot',
      'photo',
    ]
    const keys = [
      ...edges,
      'photo/',
      'photo/z',
      'photo0',
      'photos/a',
      'bag/a',
      'settings',
      'set-aside/entry/a',
      '',
    ]
    const many = Array.from({ length: 1200 }, (_, i) => `entry/line-${i}`)
    await port.setMany([...keys, ...many].map((key) => [key, { key }]))
    const read = async (part?: Part) => (await port.entries(part)).map(([key]) => key)
    const [all, first, later] = [await read(), await read('first'), await read('later')]
    expect(new Set(all).size).toBe(keys.length + many.length)
    expect([...first, ...later].sort()).toEqual([...all].sort())
    const isLater = (key: string) => /^(entry|photo)\//.test(key)
    expect(later.filter((key) => !isLater(key))).toEqual([])
    expect(first.filter(isLater)).toEqual([])
    // The store in memory, which other tests use, divides them alike.
    const memory = memoryPort(Object.fromEntries(all.map((key) => [key, 1])))
    expect((await memory.entries('later')).map(([key]) => key).sort()).toEqual([...later].sort())
    for (const [key, value] of await port.entries()) expect(value).toEqual({ key })
    await port.setMany(all.map((key) => [key, null]))
  })
  test('keeps records apart by garden and gives back what it was given', async () => {
    const my = await foragePort('my')
    const demo = await foragePort('demo')
    await my.set(KEY, stored())
    expect(await my.get(KEY)).toEqual(stored())
    expect(await demo.get(KEY)).toBeNull()
    expect(await my.entries()).toEqual([[KEY, stored()]])
    await my.setMany([
      ['settings', { a: 1 }],
      [KEY, null],
    ])
    expect(await my.getMany([KEY, 'settings'])).toEqual([null, { a: 1 }])
    // All or nothing: what cannot be copied keeps the rest out too.
    await expect(
      my.setMany([
        ['place', 1],
        ['settings', () => 1],
      ]),
    ).rejects.toThrow()
    expect(await my.getMany(['place', 'settings'])).toEqual([null, { a: 1 }])
    await my.setMany([[KEY, stored()]])
    await my.remove('settings')
    await my.remove(KEY)
    expect(await my.entries()).toEqual([])
  })
})

describe('a garden in a file', () => {
  const garden = new Map<string, AnyData>([
    [KEY, job],
    [SETTINGS_KEY, { ...DEFAULT_SETTINGS, units: 'us', theme: 'dark' }],
  ])
  const file = exportFile(garden, [], NOW.toISOString())
  const look = (text: string, into: Map<string, AnyData> = new Map()) => {
    const steps = previewImport(text, into)
    let step = steps.next()
    while (!step.done) step = steps.next()
    return step.value
  }
  const preview = (text: string, into: Map<string, AnyData> = new Map()) => {
    const result = look(text, into)
    if (!result.ok) throw new Error(result.problem.code)
    return result.preview
  }
  test('goes out and comes in the same', () => {
    const p = preview(file)
    expect(p.added.map((c) => [c.key, c.after])).toEqual([...garden].sort(([a], [b]) => a.localeCompare(b)))
    expect(p.unreadable).toEqual([])
  })
  test('shows what would change before anything does', () => {
    const into = new Map(garden)
    into.set(KEY, { ...job, name: 'Other' })
    const p = preview(file, into)
    expect(p).toMatchObject({ added: [], unchanged: 1 })
    expect(p.changed[0]).toEqual({ key: KEY, before: { ...job, name: 'Other' }, after: job })
    expect((into.get(KEY) as Job).name).toBe('Other')
  })
  test('carries what was set aside', () => {
    const aside = [
      { id: 'set-aside/x', key: KEY, at: '', why: { code: 'not-ours' as const, key: KEY }, raw: { junk: 1 } },
    ]
    expect(JSON.parse(exportFile(garden, aside, '')).setAside[0].raw).toEqual({ junk: 1 })
  })
  test('leaves out single records it cannot read, and names them', () => {
    const json = JSON.parse(file)
    json.records[0].schemaVersion = 50
    json.records.push({ key: 'job/odd', kind: 'job', schemaVersion: 1, revision: 0, savedAt: '', data: {} })
    const p = preview(JSON.stringify(json))
    expect(p.unreadable.map((u) => u.code)).toEqual(['newer-version', 'broken'])
    expect(p.added).toHaveLength(1)
  })
  test('a key that occurs twice is named, and the last is taken; the same twice is nothing', () => {
    const json = JSON.parse(file)
    const again = structuredClone(json.records.find((r: { key: string }) => r.key === KEY))
    json.records.push(again)
    expect(preview(JSON.stringify(json)).repeated).toEqual([])
    again.data.name = 'Another'
    const p = preview(JSON.stringify(json))
    expect(p.repeated).toEqual([KEY])
    expect((p.added.find((c) => c.key === KEY)!.after as Job).name).toBe('Another')
  })
  test('a record under the key of another is left out and says what it calls itself', () => {
    const json = JSON.parse(file)
    json.records.find((r: { key: string }) => r.key === KEY).key = 'job/other'
    expect(preview(JSON.stringify(json)).unreadable).toEqual([
      { code: 'broken', key: 'job/other', where: 'data.id', misfit: { code: 'other-name', name: 'j' } },
    ])
  })
  test('what was edited since the look makes it stale', () => {
    const into = new Map(garden)
    into.set(KEY, { ...job, name: 'Other' })
    const p = preview(file, into)
    expect(isStale(p, into, new Map(into))).toBe(false)
    expect(isStale(p, into, new Map(into).set(KEY, { ...job, name: 'Edited since' }))).toBe(true)
  })
  test('of twenty thousand broken records the first hundred are named, and progress is shown', () => {
    const broken = Array.from({ length: 20_000 }, (_, i) => ({ key: `job/${i}`, kind: 'job' }))
    const steps = previewImport(JSON.stringify({ ...JSON.parse(file), records: broken }), new Map())
    let told = 0
    let step = steps.next()
    for (; !step.done; step = steps.next()) told = step.value
    expect(told).toBeGreaterThan(0.99)
    expect(step.value).toMatchObject({ ok: true, preview: { unreadableCount: 20_000 } })
    expect(step.value.ok && step.value.preview.unreadable).toHaveLength(100)
  })
  test.each([
    ['half a file', file.slice(0, file.length / 2), 'file-not-json'],
    ['a picture', '\u0089PNG', 'file-not-json'],
    ['another program’s file', '{"format":"recipes","rows":[]}', 'file-not-ours'],
    ['a list', '[]', 'file-not-ours'],
    ['records that are none', file.replace('"records": [', '"records": [7, '), 'file-not-ours'],
    ['a file of the future', file.replace('"formatVersion": 1', '"formatVersion": 2'), 'file-newer'],
  ])('refuses %s whole', (_what, text, code) => {
    const result = look(text)
    expect(!result.ok && result.problem.code).toBe(code)
  })
})

describe('a garden that does not open', () => {
  test('goes into a file as it lies there: every field of a record, and what is no record at all', () => {
    const file = JSON.parse(
      exportRaw(
        [
          [KEY, { kind: 'job', schemaVersion: 99, odd: true }],
          ['job/text', 'scribble'],
          ['job/none', null],
        ],
        NOW.toISOString(),
      ),
    )
    expect(file.records).toEqual([
      { key: KEY, kind: 'job', schemaVersion: 99, odd: true },
      { key: 'job/text', raw: 'scribble' },
      { key: 'job/none', raw: null },
    ])
  })
})
