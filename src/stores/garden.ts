import { store as words } from '@/text/composables/store'
import { defaultDocument, defaultWindow, useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { changesOf, mergeKeyOf, type Change, type Command } from '@/model/garden/commands'
import { firstRefusal, type Refusal } from '@/model/garden/commands/refusal'
import { jobsOf, ownNames, recordsOf, settingsOf, SETTINGS_KEY } from '@/model/garden/garden'
import {
  EMPTY_HISTORY,
  redo as redoStep,
  remember,
  undo as undoStep,
  type History,
} from '@/model/garden/history'
import { sameData } from '@/model/garden/same'
import type { AnyData, Settings } from '@/model/garden/schemas'
import { readEnvelope } from '@/storage/envelope'
import { exportFile, exportRaw } from '@/storage/exportFile'
import { foragePort, tabLock, type GardenName } from '@/storage/forage'
import { localLock, memoryPort } from '@/storage/memory'
import { openGarden, peekGarden, stuckOn, type Opening } from '@/storage/openGarden'
import type { Lock, StoragePort } from '@/storage/port'
import { createSaver, type Conflict, type Saver, type SaveStatus, type Stored } from '@/storage/saver'
import { isSetAsideKey, listSetAside, putBack, type SetAside } from '@/storage/setAside'
import { Silence, withTimeLimit } from '@/storage/timeLimit'
import { commandText } from '@/text/base/commands'
import { setOwnNames } from '@/text/shelf/ownNames'

const READ_ONLY: Refusal = { key: '', path: [], problem: { code: 'read-only' } }

/** What one tab tells the others: what it has stored. */
type TabMessage = readonly Stored[]

/**
 * The garden on screen: its records, the history of what was done to them, and how saving stands. One garden is open
 * for the life of a page; changing gardens loads the page anew, so that nothing of one can reach the other.
 */
export const useGarden = defineStore('garden', () => {
  const name = ref<GardenName>('my')
  const records = shallowRef<ReadonlyMap<string, AnyData>>(new Map())
  const history = shallowRef<History>(EMPTY_HISTORY)
  const status = shallowRef<SaveStatus>({ state: 'saved' })
  const conflicts = shallowRef<readonly Conflict[]>([])
  const setAside = shallowRef<readonly SetAside[]>([])
  /** Sentence about the last undo that could not be done, for a moment. */
  const undoTrouble = ref<string | null>(null)
  /** Why the last change was not taken; null once another one is. */
  const refused = shallowRef<Refusal | null>(null)
  const opening = shallowRef<Opening>({ state: 'opening' })
  const ready = computed(() => opening.value.state === 'open' || opening.value.state === 'readOnly')

  let port: StoragePort
  let lock: Lock
  let saver: Saver | null = null
  /** The browser refuses its database: what is done here lives as long as the page. */
  let inMemory = false
  /** What fills it when it is empty, and when it is begun afresh. */
  let seed: Seed | undefined
  let channel: BroadcastChannel | null = null
  let askedToPersist = false
  /** Since when a pointer has been down: what it does until it is let go is one step. */
  let heldSince: number | null = null
  useEventListener(defaultWindow, 'pointerdown', () => (heldSince = Date.now()), { capture: true })
  useEventListener(defaultWindow, ['pointerup', 'pointercancel'], () => (heldSince = null), {
    capture: true,
  })
  const hasUnsaved = () => (inMemory ? history.value.past.length > 0 : saver !== null && saver.hasUnsaved())
  useEventListener(defaultWindow, 'pagehide', () => void saver?.flush())
  useEventListener(defaultDocument, 'visibilitychange', () => {
    if (document.visibilityState === 'hidden') void saver?.flush()
  })
  useEventListener(defaultWindow, 'beforeunload', (event: BeforeUnloadEvent) => {
    if (!hasUnsaved()) return
    void saver?.flush()
    event.preventDefault()
  })

  function close() {
    channel?.close()
    channel = null
    saver?.stop()
    saver = null
  }
  onScopeDispose(close)

  const jobs = computed(() => jobsOf(records.value))
  const mixRecords = computed(() => recordsOf(records.value))
  const settings = computed(() => settingsOf(records.value))
  const undoLabel = computed(() => history.value.past.at(-1)?.label ?? null)
  const redoLabel = computed(() => history.value.future[0]?.label ?? null)

  /** Puts records on screen; sentences learn what the grower's own things are called. */
  function show(next: ReadonlyMap<string, AnyData>) {
    setOwnNames(ownNames(next))
    records.value = next
  }
  function replaceRecords(changes: readonly { key: string; after: AnyData | null }[]) {
    const next = new Map(records.value)
    for (const { key, after } of changes) {
      if (after === null) next.delete(key)
      else next.set(key, after)
    }
    show(next)
  }

  function apply(changes: readonly Change[]) {
    replaceRecords(changes)
    for (const { key, after } of changes) saver?.stage(key, after)
    if (!askedToPersist) {
      askedToPersist = true
      // A browser may clear unasked-for data when space runs short; a refusal is no error.
      void globalThis.navigator?.storage?.persist?.().catch(() => false)
    }
  }

  /**
   * Does a command: the records change at once, are saved within moments, and can be undone. What the reader would
   * not take at the next opening is not done: the answer says why, and the page does.
   */
  function run(command: Command): Refusal | null {
    if (opening.value.state === 'readOnly') return (refused.value = READ_ONLY)
    const changes = changesOf(records.value, command)
    // What comes from a file has been through the reader already.
    refused.value = command.type === 'garden/import' ? null : firstRefusal(changes)
    if (refused.value || changes.length === 0) return refused.value
    history.value = remember(history.value, {
      label: commandText(command),
      changes,
      mergeKey: mergeKeyOf(command),
      at: Date.now(),
      heldSince,
    })
    undoTrouble.value = null
    apply(changes)
    return null
  }

  function travel(move: typeof undoStep, word: string) {
    const moved = move(history.value)
    if (!moved) return
    history.value = moved.history
    refused.value = null
    const stale = moved.changes.some((c) => !sameData(records.value.get(c.key) ?? null, c.before))
    undoTrouble.value = stale ? words.couldNotItHasBeen(word, moved.step.label) : null
    if (!stale) apply(moved.changes)
  }
  const undo = () => travel(undoStep, 'undo')
  const redo = () => travel(redoStep, 'redo')

  function setSettings(change: Partial<Settings>) {
    if (opening.value.state === 'readOnly') {
      refused.value = READ_ONLY
      return
    }
    apply([
      {
        key: SETTINGS_KEY,
        before: records.value.get(SETTINGS_KEY) ?? null,
        after: { ...settings.value, ...change },
      },
    ])
  }

  async function onOtherTab(stored: TabMessage) {
    const raws = await port.getMany(stored.map(([key]) => key))
    const changes: { key: string; after: AnyData | null }[] = []
    for (const [i, [key]] of stored.entries()) {
      // What is being edited here too: our own write will find out, and ask.
      if (!saver || saver.isDirty(key)) continue
      const read = raws[i] === null ? null : readEnvelope(key, raws[i])
      if (read && !read.ok) continue
      saver.accept(key, read?.revision ?? null)
      changes.push({ key, after: read?.data ?? null })
    }
    replaceRecords(changes)
  }

  /**
   * Fills a garden that was never opened before. Settings go in last, so that a filling cut short is done again;
   * nothing that is there already is touched.
   */
  async function fillEmpty(seed: () => Promise<Map<string, AnyData>>) {
    const seeded = [...(await seed())].filter(([key]) => !records.value.has(key))
    replaceRecords(seeded.map(([key, after]) => ({ key, after })))
    for (const [key, data] of seeded) if (key !== SETTINGS_KEY) saver?.stage(key, data)
    void saver?.flush().then(() => saver?.stage(SETTINGS_KEY, settings.value))
  }

  type Seed = () => Promise<Map<string, AnyData>>
  type Connect = (garden: GardenName) => Promise<StoragePort>

  /**
   * Opens a garden by `connect`. `fill` fills an empty one. When the browser refuses its database from the start the
   * garden lives in memory and the status says so; when the database is there but throws or does not answer, the
   * opening is stuck and says so: nothing is changed until somebody chooses.
   */
  async function open(garden: GardenName, fill?: Seed, connect: Connect = foragePort) {
    close()
    seed = fill
    name.value = garden
    opening.value = { state: 'opening' }
    inMemory = false
    let refusal: string | null = null
    try {
      port = await withTimeLimit(connect(garden))
      lock = tabLock(garden)
    } catch (error) {
      if (error instanceof Silence) {
        opening.value = stuckOn(error)
        return
      }
      refusal = error instanceof Error ? error.message : String(error)
      inMemory = true
      port = memoryPort()
      lock = localLock()
    }
    const opened = await openGarden(port, lock, () => new Date()).catch((error: unknown) => {
      opening.value = stuckOn(error)
      return null
    })
    if (!opened) return
    show(opened.records)
    setAside.value = opened.setAside
    channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(`open-bed-${garden}`) : null
    channel?.addEventListener('message', (event) => void onOtherTab(event.data as TabMessage))
    const inMemoryOnly: SaveStatus | null =
      refusal === null ? null : { state: 'failing', reason: 'refused', message: refusal }
    status.value = inMemoryOnly ?? { state: 'saved' }
    saver = createSaver({
      port,
      lock,
      revisions: opened.revisions,
      now: () => new Date(),
      onStatus: (next) => {
        status.value = inMemoryOnly ?? next
      },
      onConflict: (conflict) => {
        conflicts.value = [...conflicts.value.filter((c) => c.key !== conflict.key), conflict]
      },
      onStored: (stored) => channel?.postMessage(stored satisfies TabMessage),
    })
    if (fill && !records.value.has(SETTINGS_KEY)) await fillEmpty(fill)
    opening.value = { state: 'open' }
  }

  /** Shows what can be read of a garden that is stuck, and changes nothing. */
  async function openReadOnly() {
    try {
      port ??= await withTimeLimit(foragePort(name.value))
      const read = await peekGarden(port)
      show(read)
      opening.value = { state: 'readOnly' }
    } catch (error) {
      opening.value = stuckOn(error)
    }
  }

  /** Everything a stuck garden's database gives, as it lies there, for a file; null where it gives nothing. */
  async function rawText(): Promise<string | null> {
    try {
      port ??= await withTimeLimit(foragePort(name.value))
      return exportRaw(await withTimeLimit(port.entries()), new Date().toISOString())
    } catch (error) {
      opening.value = stuckOn(error)
      return null
    }
  }

  async function settle(conflict: Conflict, mineWins: boolean) {
    if (!saver) return
    try {
      if (mineWins) await saver.keepMine(conflict.key)
      else replaceRecords([{ key: conflict.key, after: await saver.takeTheirs(conflict.key) }])
    } catch {
      // Nothing was decided: the question stays, and saving says what is wrong.
      await saver.flush()
      return
    }
    conflicts.value = conflicts.value.filter((c) => c.key !== conflict.key)
    await saver.flush()
    await refreshSetAside()
  }

  async function refreshSetAside() {
    // What could not be moved lies in its own place and is listed all the same.
    const inPlace = setAside.value.filter((item) => !isSetAsideKey(item.id))
    setAside.value = [...listSetAside(await port.entries()), ...inPlace]
  }

  /** Tries a set-aside record again; true when it is back in use. */
  async function tryAgain(item: SetAside): Promise<boolean> {
    const back = await lock(() => putBack(port, item))
    if (back) {
      const read = readEnvelope(item.key, await port.get(item.key))
      if (read.ok) {
        saver?.accept(item.key, read.revision)
        replaceRecords([{ key: item.key, after: read.data }])
      }
    }
    await refreshSetAside()
    return back
  }

  /** Lets a set-aside record go for good. */
  async function letGo(item: SetAside) {
    await lock(() => port.remove(item.id))
    setAside.value = setAside.value.filter((other) => other.id !== item.id)
  }

  const exportText = () => exportFile(records.value, setAside.value, new Date().toISOString())
  const flush = async () => saver?.flush()

  /** Empties the garden and fills it anew, as one step that undo takes back. For the demo garden. */
  async function startAfresh() {
    const fresh = (await seed?.()) ?? new Map<string, AnyData>()
    const changes: Change[] = []
    for (const [key, before] of records.value) if (!fresh.has(key)) changes.push({ key, before, after: null })
    for (const [key, after] of fresh) changes.push({ key, before: records.value.get(key) ?? null, after })
    history.value = remember(history.value, {
      label: words.startingTheDemoAfresh,
      changes,
      mergeKey: null,
      at: Date.now(),
      heldSince: null,
    })
    apply(changes)
  }

  return {
    name,
    records,
    jobs,
    mixRecords,
    settings,
    history,
    status,
    conflicts,
    setAside,
    undoTrouble,
    refused,
    undoLabel,
    redoLabel,
    ready,
    opening,
    hasUnsaved,
    run,
    undo,
    redo,
    setSettings,
    open,
    openReadOnly,
    rawText,
    settle,
    tryAgain,
    letGo,
    exportText,
    flush,
    startAfresh,
  }
})
