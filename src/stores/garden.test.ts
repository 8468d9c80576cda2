import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { jobKey, jobsOf, SETTINGS_KEY } from '@/model/garden/garden'
import { memoryPort } from '@/storage/memory'
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
    await garden.startAfresh(seed)
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
    const text = garden.exportText()
    const preview = garden.preview(text)
    expect(preview.ok).toBe(true)
    expect(garden.preview('{').ok).toBe(false)
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
    other.postMessage({ key, revision: 9 })
    await expect.poll(() => garden.jobs.find((j) => j.id === jobId)?.name).toBe('From the other tab')
    other.postMessage({ key, revision: null })
    await expect.poll(() => garden.jobs.some((j) => j.id === jobId)).toBe(false)
    other.close()
    // An undo of what another tab has changed since is refused with a sentence.
    const { name } = renamed(garden, 'One')
    expect(name()).toBe('One')
  })
})
