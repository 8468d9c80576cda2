import { computed, ref, shallowRef } from 'vue'
import { belongingsOf, SETTINGS_KEY } from '@/model/garden/garden'
import type { Put } from '@/model/garden/keptGarden'
import { idOfKey, type AnyData } from '@/model/garden/schemas'
import { readEnvelope } from '@/storage/envelope'
import { foragePort, makeAgain, tabLock, type GardenName } from '@/storage/forage'
import { localLock, memoryPort } from '@/storage/memory'
import { openGarden, peekGarden, stuckOn, type Opening } from '@/storage/openGarden'
import type { Lock, StoragePort } from '@/storage/port'
import { createSaver, type Conflict, type Saver, type SaveStatus, type Stored } from '@/storage/saver'
import type { SetAside } from '@/storage/setAside'
import { Silence, withTimeLimit } from '@/storage/timeLimit'
import type { Records } from './records'

/** What fills a garden that was never opened before. */
export type Seed = () => Promise<Map<string, AnyData>>
type Connect = (garden: GardenName) => Promise<StoragePort>

/** What holds the garden while it is open. */
interface Held {
  port: StoragePort
  lock: Lock
  saver: Saver | null
  channel: BroadcastChannel | null
  /** The browser refuses its database: what is done here lives as long as the page. */
  inMemory: boolean
  /** What fills it when it is empty, and when it is begun afresh. */
  seed: Seed | undefined
  /** Settles when the lines of the log and the photos are read too, or could not be. */
  whole: Promise<void>
}

/** What is shown of it. */
const shownState = () => ({
  status: shallowRef<SaveStatus>({ state: 'saved' }),
  conflicts: shallowRef<readonly Conflict[]>([]),
  setAside: shallowRef<readonly SetAside[]>([]),
  opening: shallowRef<Opening>({ state: 'opening' }),
  /** Its database was removed under the page, and made again from what is on it. */
  renewed: shallowRef(false),
  /** The lines of the log and the photos are read too. */
  isWhole: ref(false),
})
type ShownState = ReturnType<typeof shownState>

/** The database behind the records: opening, saving, and what other tabs store. */
export function useConnection(garden: Records) {
  const shown = shownState()
  const { opening } = shown
  const held = { saver: null, channel: null, inMemory: false, whole: Promise.resolve() } as unknown as Held

  return {
    ...shown,
    held,
    ready: computed(() => ['open', 'readOnly'].includes(opening.value.state)),
    close: () => close(held),
    /** Waits for the lines of the log and the photos. */
    untilWhole: () => held.whole,
    ...openingOf(held, garden, shown),
  }
}

/** The ways to open a garden: as usual, to look at only, and as it lies there. */
function openingOf(held: Held, garden: Records, shown: ShownState) {
  const { opening, setAside, isWhole } = shown
  return {
    /**
     * Opens a garden by `connect`. `fill` fills an empty one. When the browser refuses its database from the start
     * the garden lives in memory and the status says so; when the database is there but throws or does not answer,
     * the opening is stuck and says so: nothing is changed until somebody chooses.
     */
    async open(name: GardenName, fill?: Seed, connect: Connect = foragePort) {
      close(held)
      held.seed = fill
      garden.name.value = name
      opening.value = { state: 'opening' }
      isWhole.value = false
      try {
        const refusal = await reach(held, name, connect)
        const opened = await openGarden(held.port, held.lock, () => new Date(), 'first')
        garden.show(opened.records)
        setAside.value = opened.setAside
        follow(held, garden, name)
        save(held, garden, shown, { revisions: opened.revisions, refusal })
      } catch (error) {
        opening.value = stuckOn(error)
        return
      }
      held.whole = readLater(held, garden, shown)
      if (fill && !garden.records.value.has(SETTINGS_KEY)) {
        await held.whole
        await fillEmpty(held, garden, fill)
      }
      if (opening.value.state === 'opening') opening.value = { state: 'open' }
    },
    /** Shows what can be read of a garden that is stuck, and changes nothing. */
    async openReadOnly() {
      try {
        held.port ??= await withTimeLimit(foragePort(garden.name.value))
        garden.show(await peekGarden(held.port))
        isWhole.value = true
        opening.value = { state: 'readOnly' }
      } catch (error) {
        opening.value = stuckOn(error)
      }
    },
    /** Everything a stuck garden's database gives, as it lies there, for a file; null where it gives nothing. */
    async rawText(): Promise<string | null> {
      try {
        held.port ??= await withTimeLimit(foragePort(garden.name.value))
        const { exportRaw } = await import('@/storage/exportFile')
        return exportRaw(await withTimeLimit(held.port.entries()), new Date().toISOString())
      } catch (error) {
        opening.value = stuckOn(error)
        return null
      }
    },
  }
}
export type Connection = ReturnType<typeof useConnection>

function close(held: Held) {
  held.channel?.close()
  held.channel = null
  held.saver?.stop()
  held.saver = null
}

/** Finds the database, or memory in its place: then why. Throws where the database does not answer. */
async function reach(held: Held, name: GardenName, connect: Connect): Promise<string | null> {
  held.inMemory = false
  try {
    held.port = await withTimeLimit(connect(name))
    held.lock = tabLock(name)
    return null
  } catch (error) {
    if (error instanceof Silence) throw error
    held.inMemory = true
    held.port = memoryPort()
    held.lock = localLock()
    return error instanceof Error ? error.message : String(error)
  }
}

/** Reads the lines of the log and the photos; what was done here meanwhile is newer and stays. */
async function readLater(
  held: Held,
  garden: Records,
  { isWhole, setAside, opening }: Pick<ShownState, 'isWhole' | 'setAside' | 'opening'>,
) {
  const { saver } = held
  try {
    const opened = await openGarden(held.port, held.lock, () => new Date(), 'later')
    if (held.saver !== saver) return
    const unknown = [...opened.records].filter(([key]) => !garden.records.value.has(key))
    for (const [key] of unknown) saver?.accept(key, opened.revisions.get(key)!)
    garden.replace(unknown.map(([key, after]) => ({ key, after })))
    setAside.value = [...setAside.value, ...opened.setAside]
    isWhole.value = true
  } catch (error) {
    if (held.saver === saver) opening.value = stuckOn(error)
  }
}

/** Reads anew what another tab has stored. */
function follow(held: Held, garden: Records, name: GardenName) {
  held.channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(`open-bed-${name}`) : null
  held.channel?.addEventListener('message', (event) => {
    void onOtherTab(held, garden, event.data as readonly Stored[])
  })
}
async function onOtherTab(held: Held, garden: Records, stored: readonly Stored[]) {
  // Before, what is read later would come over it.
  await held.whole
  const { port, saver } = held
  const raws = await port.getMany(stored.map(([key]) => key))
  // A job that was removed there and edited here may come back: until that is settled its lines stay in sight.
  const disputed = new Set(
    stored.flatMap(([key, revision]) =>
      revision === null && key.startsWith('job/') && saver?.isDirty(key)
        ? belongingsOf(garden.records.value, idOfKey(key)!)
        : [],
    ),
  )
  const changes: Put[] = []
  for (const [i, [key]] of stored.entries()) {
    // What is being edited here too: our own write will find out, and ask.
    if (!saver || saver.isDirty(key)) continue
    const read = raws[i] === null ? null : readEnvelope(key, raws[i], { isOwn: true })
    if (read && !read.ok) continue
    saver.accept(key, read?.revision ?? null)
    if (!read && disputed.has(key)) continue
    changes.push({ key, after: read?.data ?? null })
  }
  garden.replace(changes)
}

function save(
  held: Held,
  garden: Records,
  { status, conflicts, renewed }: Pick<ShownState, 'status' | 'conflicts' | 'renewed'>,
  { revisions, refusal }: { revisions: Map<string, number>; refusal: string | null },
) {
  const inMemoryOnly: SaveStatus | null =
    refusal === null ? null : { state: 'failing', reason: 'refused', message: refusal }
  status.value = inMemoryOnly ?? { state: 'saved' }
  held.saver = createSaver({
    port: held.port,
    lock: held.lock,
    revisions,
    now: () => new Date(),
    renew: async () => {
      await makeAgain(garden.name.value)
      renewed.value = true
      conflicts.value = []
      return [...garden.records.value]
    },
    onStatus: (next) => {
      status.value = inMemoryOnly ?? next
    },
    onConflict: (conflict) => {
      conflicts.value = [...conflicts.value.filter((c) => c.key !== conflict.key), conflict]
    },
    onStored: (stored) => held.channel?.postMessage(stored),
  })
}

/**
 * Fills a garden that was never opened before. Settings go in last, so that a filling cut short is done again; nothing
 * that is there already is touched.
 */
async function fillEmpty(held: Held, garden: Records, seed: Seed) {
  const seeded = [...(await seed())].filter(([key]) => !garden.records.value.has(key))
  garden.replace(seeded.map(([key, after]) => ({ key, after })))
  const { saver } = held
  saver?.stage([...seeded].filter(([key]) => key !== SETTINGS_KEY))
  void saver?.flush().then(() => saver.stage([[SETTINGS_KEY, garden.settings.value]]))
}
