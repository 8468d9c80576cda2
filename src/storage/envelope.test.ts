import { describe, expect, test, vi } from 'vitest'
import { toEnd } from '@/core/toEnd'
import { DEFAULT_SETTINGS, jobKey } from '@/model/garden/garden'
import { startingJob, startingJobBed, startingSpec } from '@/model/garden/starting'
import { SCHEMAS, type AnyData, type Job } from '@/model/garden/schemas'
import { fnv1a, readEnvelope, sealed, writeEnvelope, type Envelope } from './envelope'
import { exportFile } from './exportFile'
import { previewImport } from './importFile'
import { localLock, memoryPort } from './memory'
import { createSaver } from './saver'

const NOW = new Date('2026-03-01T09:00:00.000Z')
const job: Job = {
  ...startingJob('j', NOW.toISOString(), [startingJobBed('f', startingSpec('roundPot'), null)]),
  name: 'Fig',
}
const KEY = jobKey('j')
const stored = (data: AnyData = job) => writeEnvelope(KEY, data, 1, NOW.toISOString())

describe('a record with the checksum of its data', () => {
  const kept = (data: AnyData = job) => sealed(stored(data))
  const own = (raw: unknown) => readEnvelope(KEY, raw, { isOwn: true })

  test('the checksum is Fowler, Noll and Vo’s 1a of 32 bits: their published values', () => {
    // draft-eastlake-fnv, appendix C: of nothing, of "a" and of "foobar".
    expect([fnv1a(''), fnv1a('a'), fnv1a('foobar')]).toEqual([0x811c9dc5, 0xe40c292c, 0xbf9cf968])
  })
  test('is as it was written, without the schema being asked', () => {
    const asked = vi.spyOn(SCHEMAS.job, 'safeParse')
    expect(own(kept())).toEqual({ ok: true, data: job, revision: 1, migrated: false })
    expect(asked).not.toHaveBeenCalled()
    expect(readEnvelope(KEY, kept())).toEqual(own(kept()))
    expect(asked).toHaveBeenCalledTimes(1)
    asked.mockRestore()
  })
  test('one that was touched since is checked: anywhere in it', () => {
    const raw = kept() as Envelope & { data: Job }
    const touched: unknown[] = [
      { ...raw, data: { ...raw.data, parts: 'none' } },
      { ...raw, data: null },
      { ...raw, data: undefined, checksum: fnv1a('') },
      { ...raw, data: null, checksum: fnv1a('null') },
      { ...raw, kind: 'bed' },
      { ...raw, revision: 'x' },
      { ...raw, schemaVersion: 99 },
      { ...raw, data: { ...raw.data, id: 'another' } },
      {
        ...raw,
        data: { ...raw.data, id: 'another' },
        checksum: sealed(stored({ ...job, id: 'another' })).checksum,
      },
    ]
    for (const one of touched) expect(own(one).ok, JSON.stringify(one).slice(0, 60)).toBe(false)
    expect(own({ ...raw, checksum: raw.checksum! ^ 1 })).toMatchObject({ ok: true })
  })
  test('what comes from a file is checked, whatever checksum it brings', () => {
    const forged = { ...job, parts: 'none' } as unknown as AnyData
    const raw = sealed(stored(forged))
    expect(own(raw).ok).toBe(true)
    expect(readEnvelope(KEY, raw).ok).toBe(false)
    const text = JSON.stringify({
      format: 'open-bed-garden',
      formatVersion: 1,
      exportedAt: NOW.toISOString(),
      records: [{ key: KEY, ...raw }],
    })
    const read = toEnd(previewImport(text, new Map()))
    expect(read.ok && [read.preview.added.length, read.preview.unreadableCount]).toEqual([0, 1])
  })
  test('the store has it of what comes by the thousand; a file has none', async () => {
    const port = memoryPort()
    const quiet = { onStatus: () => null, onConflict: () => null, onStored: () => null }
    const saver = createSaver({ port, lock: localLock(), revisions: new Map(), now: () => NOW, ...quiet })
    saver.stage([
      [KEY, job],
      ['settings', DEFAULT_SETTINGS],
    ])
    await saver.flush()
    expect(await port.get(KEY)).toMatchObject({ checksum: fnv1a(JSON.stringify(job)) })
    expect(await port.get('settings')).not.toHaveProperty('checksum')
    const file = JSON.parse(exportFile(new Map([[KEY, job]]), [], NOW.toISOString())) as { records: object[] }
    expect(file.records[0]).not.toHaveProperty('checksum')
  })
})
