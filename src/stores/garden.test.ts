import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { jobKey, jobsOf, SETTINGS_KEY } from '@/model/garden/garden'
import type { Entry, Job } from '@/model/garden/schemas'
import { previewImport } from '@/storage/importFile'
import { memoryPort } from '@/storage/memory'
import type { StoragePort } from '@/storage/port'
import { useGarden } from './garden'

beforeEach(() => setActivePinia(createPinia()))
const open: ReturnType<typeof useGarden>[] = []
afterEach(() => {
  for (const garden of open.splice(0)) garden.$dispose()
})
const seed = async () => demoGarden()

/** A garden opened on a store in memory. */
async function opened(port = memoryPort(), filled = true) {
  const garden = useGarden()
  open.push(garden)
  await garden.open('my', filled ? seed : undefined, async () => port)
  await garden.untilWhole()
  await garden.flush()
  if (filled) await expect.poll(() => port.contents.has(SETTINGS_KEY)).toBe(true)
  return { garden, port }
}
const renamed = (garden: ReturnType<typeof useGarden>, name: string) => {
  const jobId = jobsOf(garden.records)[0]!.id
  garden.run({ type: 'job/rename', jobId, name })
  return { key: jobKey(jobId), name: () => jobsOf(garden.records).find((j) => j.id === jobId)!.name }
}

describe('the garden on screen', () => {
  test('an empty one is filled once, settings last; what is stored is read again', async () => {
    const { garden, port } = await opened()
    expect(garden.ready).toBe(true)
    expect([...port.contents.keys()].sort()).toEqual([...demoGarden().keys()].sort())
    setActivePinia(createPinia())
    const second = useGarden()
    open.push(second)
    await second.open(
      'my',
      async () => {
        throw new Error('filled twice')
      },
      async () => port,
    )
    expect(second.jobs).toEqual(garden.jobs)
  })
  test('a command is done at once, saved, undone and done again', async () => {
    const { garden, port } = await opened()
    const { key, name } = renamed(garden, 'Figs of the test')
    expect(name()).toBe('Figs of the test')
    expect(garden.undoLabel).toMatch(/\w/)
    await garden.flush()
    expect((port.contents.get(key) as { data: { name: string } }).data.name).toBe('Figs of the test')
    garden.undo()
    expect(name()).not.toBe('Figs of the test')
    expect(garden.redoLabel).toMatch(/\w/)
    garden.redo()
    expect(name()).toBe('Figs of the test')
    garden.redo()
    expect(garden.undoTrouble).toBeNull()
  })
  test('settings are kept without a step to undo', async () => {
    const { garden, port } = await opened()
    const steps = garden.history.past.length
    garden.setSettings({ units: 'us' })
    await garden.flush()
    expect(garden.settings.units).toBe('us')
    expect((port.contents.get(SETTINGS_KEY) as { data: { units: string } }).data.units).toBe('us')
    expect(garden.history.past).toHaveLength(steps)
  })
  test('the demo begins afresh in one step that can be undone', async () => {
    const { garden } = await opened()
    const jobId = garden.jobs[0]!.id
    garden.run({ type: 'job/remove', jobId })
    await garden.startAfresh()
    expect(garden.jobs.map((j) => j.id)).toContain(jobId)
    garden.undo()
    expect(garden.jobs.map((j) => j.id)).not.toContain(jobId)
  })
  test('a browser that refuses its database leaves the garden in memory, and says so', async () => {
    const garden = useGarden()
    open.push(garden)
    await garden.open('my', seed, async () => {
      throw new Error('no database')
    })
    expect(garden.status).toEqual({ state: 'failing', reason: 'refused', message: 'no database' })
    expect(renamed(garden, 'Still here').name()).toBe('Still here')
    await garden.flush()
    expect(garden.status.state).toBe('failing')
  })
  test('all of it goes into a file and comes back', async () => {
    const { garden } = await opened()
    const text = await garden.exportText()
    const steps = previewImport(text, garden.records)
    let step = steps.next()
    while (!step.done) step = steps.next()
    expect(step.value).toMatchObject({ ok: true, preview: { added: [], changed: [], unreadableCount: 0 } })
  })
})

describe('a garden that does not open', () => {
  afterEach(() => void vi.useRealTimers())
  const never = <T>() => new Promise<T>(() => undefined)
  function closed() {
    const garden = useGarden()
    open.push(garden)
    return garden
  }
  test('a database that never answers is reported within seconds, and opens when it does', async () => {
    vi.useFakeTimers()
    const garden = closed()
    const ports = [never<StoragePort>(), Promise.resolve(memoryPort())]
    const opening = garden.open('my', seed, () => ports.shift()!)
    expect(garden.opening.state).toBe('opening')
    await vi.advanceTimersByTimeAsync(5000)
    await opening
    expect(garden.opening).toMatchObject({ state: 'stuck', reason: 'silent' })
    expect(garden.ready).toBe(false)
    vi.useRealTimers()
    await garden.open('my', seed, () => ports.shift()!)
    expect(garden.opening.state).toBe('open')
    expect(garden.jobs.length).toBeGreaterThan(5)
  })
  test('one that throws on reading says what it threw; nothing is filled or changed', async () => {
    const port = memoryPort()
    port.entries = () => Promise.reject(new Error('the index is broken'))
    const garden = closed()
    await garden.open('my', seed, async () => port)
    expect(garden.opening).toEqual({ state: 'stuck', reason: 'refused', message: 'the index is broken' })
    expect(port.contents.size).toBe(0)
    await garden.openReadOnly()
    expect(garden.opening.state).toBe('stuck')
    expect(await garden.rawText()).toBeNull()
  })
  test('one that another tab holds can be looked at, refuses changes, and goes out to a file', async () => {
    const { garden: first, port } = await opened()
    first.$dispose()
    open.splice(0)
    setActivePinia(createPinia())
    vi.useFakeTimers()
    vi.stubGlobal('navigator', {
      locks: {
        request: (_name: string, { signal }: { signal: AbortSignal }) =>
          new Promise((_, reject) => signal.addEventListener('abort', () => reject(signal.reason as Error))),
      },
    })
    const garden = closed()
    const opening = garden.open('my', undefined, async () => port)
    await vi.advanceTimersByTimeAsync(5000)
    await opening
    vi.unstubAllGlobals()
    expect(garden.opening).toMatchObject({ state: 'stuck', reason: 'silent' })
    const before = JSON.stringify([...port.contents])
    expect(JSON.parse((await garden.rawText())!).records).toHaveLength(port.contents.size)
    await garden.openReadOnly()
    expect(garden.opening.state).toBe('readOnly')
    const jobId = garden.jobs[0]!.id
    const refusal = garden.run({ type: 'job/rename', jobId, name: 'Not kept' })
    garden.setSettings({ units: 'us' })
    expect(refusal?.problem).toEqual({ code: 'read-only' })
    expect(garden.jobs[0]!.name).not.toBe('Not kept')
    expect(garden.settings.units).not.toBe('us')
    expect(JSON.stringify([...port.contents])).toBe(before)
  })
})

describe('what is refused', () => {
  test('says so, changes nothing, and is forgotten with the next change that is taken', async () => {
    const { garden } = await opened()
    const steps = garden.history.past.length
    renamed(garden, 'x'.repeat(121))
    expect(garden.refused).toMatchObject({ problem: { code: 'too-much', limit: 120 } })
    expect(garden.history.past).toHaveLength(steps)
    expect(garden.hasUnsaved()).toBe(false)
    renamed(garden, 'x')
    expect(garden.refused).toBeNull()
    expect(garden.hasUnsaved()).toBe(true)
  })
})

describe('two tabs', () => {
  /** Somebody else writes a newer revision of the first job. */
  async function theirs() {
    const { garden, port } = await opened()
    const jobId = garden.jobs[0]!.id
    const key = jobKey(jobId)
    const stored = structuredClone(port.contents.get(key)) as { revision: number; data: { name: string } }
    port.contents.set(key, {
      ...stored,
      revision: stored.revision + 1,
      data: { ...stored.data, name: 'Theirs' },
    })
    garden.run({ type: 'job/rename', jobId, name: 'Mine' })
    await garden.flush()
    const name = () => garden.jobs.find((j) => j.id === jobId)!.name
    return { garden, port, key, name }
  }
  test('who writes over what another wrote is asked; mine wins, theirs is set aside', async () => {
    const { garden, key, name } = await theirs()
    expect(garden.conflicts.map((c) => c.key)).toEqual([key])
    await garden.settle(garden.conflicts[0]!, true)
    expect([name(), garden.conflicts.length]).toEqual(['Mine', 0])
    expect(garden.setAside).toHaveLength(1)
    expect(garden.status.state).toBe('saved')
  })
  test('or theirs wins and mine is set aside, can be tried again, and let go', async () => {
    const { garden, name } = await theirs()
    await garden.settle(garden.conflicts[0]!, false)
    expect(name()).toBe('Theirs')
    expect(garden.setAside).toHaveLength(1)
    await garden.tryAgain(garden.setAside[0]!)
    for (const item of garden.setAside) await garden.letGo(item)
    expect(garden.setAside).toEqual([])
  })
  test('what another tab stored is shown here; what it removed goes', async () => {
    const { garden, port } = await opened()
    const other = new BroadcastChannel('open-bed-my')
    const jobId = garden.jobs[0]!.id
    const key = jobKey(jobId)
    const stored = structuredClone(port.contents.get(key)) as { revision: number; data: { name: string } }
    port.contents.set(key, { ...stored, revision: 9, data: { ...stored.data, name: 'From the other tab' } })
    other.postMessage([[key, 9]])
    await expect.poll(() => garden.jobs.find((j) => j.id === jobId)?.name).toBe('From the other tab')
    port.contents.delete(key)
    other.postMessage([[key, null]])
    await expect.poll(() => garden.jobs.some((j) => j.id === jobId)).toBe(false)
    other.close()
    // An undo of what another tab has changed since is refused with a sentence.
    const { name } = renamed(garden, 'One')
    expect(name()).toBe('One')
  })
})

describe('a garden whose log is read after the page is there', () => {
  /** Opened on a store that keeps its second part back until it is let go, or breaks. */
  async function half(break_?: Error) {
    const first = await opened()
    await first.garden.flush()
    first.garden.$dispose()
    setActivePinia(createPinia())
    let letGo = () => {}
    const held = new Promise<void>((go) => (letGo = go))
    const { port } = first
    const slow: StoragePort = {
      ...port,
      entries: async (part) => {
        const read = await port.entries(part)
        if (part === 'later') await held
        if (part === 'later' && break_) throw break_
        return read
      },
    }
    const garden = useGarden()
    open.push(garden)
    await garden.open('my', seed, async () => slow)
    return { garden, port, letGo }
  }
  const lines = (port: { contents: Map<string, unknown> }) =>
    [...port.contents.keys()].filter((k) => k.startsWith('entry/'))

  test('its jobs are there before, the lines and photos after; what was done meanwhile stays', async () => {
    const { garden, port, letGo } = await half()
    expect([garden.ready, garden.isWhole]).toEqual([true, false])
    expect(garden.jobs.length).toBe(jobsOf(demoGarden()).length)
    expect([...garden.records.keys()].filter((k) => k.startsWith('entry/'))).toEqual([])
    const { key, name } = renamed(garden, 'Renamed meanwhile')
    const line: Entry = {
      ...(demoGarden().get(lines(port)[0]!) as Entry),
      id: 'meanwhile',
      note: 'written meanwhile',
    }
    garden.run({ type: 'entries/put', entries: [line], what: 'a line' })
    await garden.flush()
    letGo()
    await garden.untilWhole()
    expect(garden.isWhole).toBe(true)
    expect(new Set(garden.records.keys())).toEqual(new Set(port.contents.keys()))
    expect(garden.records.get('entry/meanwhile')).toEqual(line)
    expect(name()).toBe('Renamed meanwhile')
    // And what was read later is written over without a question.
    const [old] = lines(port)
    garden.run({ type: 'entry/remove', entryId: old!.slice('entry/'.length) })
    await garden.flush()
    expect([port.contents.has(old!), garden.conflicts.length]).toEqual([false, 0])
    expect((port.contents.get(key) as { data: Job }).data.name).toBe('Renamed meanwhile')
  })
  test('until then nothing is done that asks for all of it: the answer says so, and a file waits', async () => {
    const { garden, port, letGo } = await half()
    const jobId = garden.jobs[0]!.id
    expect(garden.run({ type: 'job/remove', jobId })?.problem).toEqual({ code: 'still-reading' })
    expect(garden.refused?.problem).toEqual({ code: 'still-reading' })
    expect(garden.run({ type: 'garden/import', changes: [] })?.problem).toEqual({ code: 'still-reading' })
    expect(garden.jobs.some((j) => j.id === jobId)).toBe(true)
    const text = garden.exportText()
    letGo()
    const { records } = JSON.parse(await text) as { records: { key: string }[] }
    expect(records.map((r) => r.key).sort()).toEqual([...port.contents.keys()].sort())
    expect(garden.run({ type: 'job/remove', jobId })).toBeNull()
    await garden.flush()
    for (const key of lines(port))
      expect((port.contents.get(key) as { data: Entry }).data.jobId).not.toBe(jobId)
  })
  test('what another tab stores meanwhile is shown when it is whole, as it is then', async () => {
    const { garden, port, letGo } = await half()
    const [gone, changed] = lines(port)
    port.contents.delete(gone!)
    const stored = structuredClone(port.contents.get(changed!)) as { revision: number; data: Entry }
    port.contents.set(changed!, { ...stored, revision: 9, data: { ...stored.data, note: 'from there' } })
    const other = new BroadcastChannel('open-bed-my')
    other.postMessage([
      [gone, null],
      [changed, 9],
    ])
    await new Promise((done) => setTimeout(done, 20))
    letGo()
    await expect.poll(() => (garden.records.get(changed!) as Entry | undefined)?.note).toBe('from there')
    expect(garden.records.has(gone!)).toBe(false)
    other.close()
  })
  test('a log that cannot be read stops the page, as any part that cannot', async () => {
    const { garden, letGo } = await half(new Error('the index is broken'))
    letGo()
    await garden.untilWhole()
    expect(garden.opening).toMatchObject({ state: 'stuck', message: 'the index is broken' })
  })
})
