import { defaultDocument, defaultWindow, useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { changesOf, mergeKeyOf, type Change, type Command } from '@/model/garden/commands'
import { jobsOf, recordsOf, settingsOf, SETTINGS_KEY } from '@/model/garden/garden'
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
import { exportFile, previewImport } from '@/storage/exportFile'
import { foragePort, tabLock, type GardenName } from '@/storage/forage'
import { localLock, memoryPort } from '@/storage/memory'
import { openGarden } from '@/storage/openGarden'
import type { Lock, StoragePort } from '@/storage/port'
import { createSaver, type Conflict, type Saver, type SaveStatus } from '@/storage/saver'
import { putBack, type SetAside } from '@/storage/setAside'
import { commandText } from '@/text/labels'

interface TabMessage {
  key: string
  revision: number | null
}

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
  const ready = ref(false)

  let port: StoragePort
  let lock: Lock
  let saver: Saver
  let channel: BroadcastChannel | null = null
  let askedToPersist = false
  /** Since when a pointer has been down: what it does until it is let go is one step. */
  let heldSince: number | null = null
  useEventListener(defaultWindow, 'pointerdown', () => (heldSince = Date.now()), { capture: true })
  useEventListener(defaultWindow, ['pointerup', 'pointercancel'], () => (heldSince = null), {
    capture: true,
  })
  useEventListener(defaultWindow, 'pagehide', () => ready.value && void saver.flush())
  useEventListener(defaultDocument, 'visibilitychange', () => {
    if (ready.value && document.visibilityState === 'hidden') void saver.flush()
  })

  onScopeDispose(() => {
    channel?.close()
    if (ready.value) saver.stop()
  })

  const jobs = computed(() => jobsOf(records.value))
  const mixRecords = computed(() => recordsOf(records.value))
  const settings = computed(() => settingsOf(records.value))
  const undoLabel = computed(() => history.value.past.at(-1)?.label ?? null)
  const redoLabel = computed(() => history.value.future[0]?.label ?? null)

  function replaceRecords(changes: readonly { key: string; after: AnyData | null }[]) {
    const next = new Map(records.value)
    for (const { key, after } of changes) {
      if (after === null) next.delete(key)
      else next.set(key, after)
    }
    records.value = next
  }

  function apply(changes: readonly Change[]) {
    replaceRecords(changes)
    for (const { key, after } of changes) saver.stage(key, after)
    if (!askedToPersist) {
      askedToPersist = true
      // A browser may clear unasked-for data when space runs short; a refusal is no error.
      void globalThis.navigator?.storage?.persist?.().catch(() => false)
    }
  }

  /** Does a command: the records change at once, are saved within moments, and can be undone. */
  function run(command: Command) {
    const changes = changesOf(records.value, command)
    if (changes.length === 0) return
    history.value = remember(history.value, {
      label: commandText(command),
      changes,
      mergeKey: mergeKeyOf(command),
      at: Date.now(),
      heldSince,
    })
    undoTrouble.value = null
    apply(changes)
  }

  function travel(move: typeof undoStep, word: string) {
    const moved = move(history.value)
    if (!moved) return
    history.value = moved.history
    const stale = moved.changes.some((c) => !sameData(records.value.get(c.key) ?? null, c.before))
    undoTrouble.value = stale
      ? `Could not ${word} “${moved.step.label}”: it has been changed since, in another tab.`
      : null
    if (!stale) apply(moved.changes)
  }
  const undo = () => travel(undoStep, 'undo')
  const redo = () => travel(redoStep, 'redo')

  function setSettings(change: Partial<Settings>) {
    apply([
      {
        key: SETTINGS_KEY,
        before: records.value.get(SETTINGS_KEY) ?? null,
        after: { ...settings.value, ...change },
      },
    ])
  }

  async function onOtherTab({ key, revision }: TabMessage) {
    if (saver.isDirty(key)) return // our own write will find out, and ask
    if (revision === null) {
      saver.accept(key, null)
      replaceRecords([{ key, after: null }])
      return
    }
    const read = readEnvelope(key, await port.get(key))
    if (!read.ok || saver.isDirty(key)) return
    saver.accept(key, read.revision)
    replaceRecords([{ key, after: read.data }])
  }

  /**
   * Fills a garden that was never opened before. Settings go in last, so that a filling cut short is done again;
   * nothing that is there already is touched.
   */
  async function fillEmpty(seed: () => Promise<Map<string, AnyData>>) {
    const seeded = [...(await seed())].filter(([key]) => !records.value.has(key))
    replaceRecords(seeded.map(([key, after]) => ({ key, after })))
    for (const [key, data] of seeded) if (key !== SETTINGS_KEY) saver.stage(key, data)
    void saver.flush().then(() => saver.stage(SETTINGS_KEY, settings.value))
  }

  /**
   * Opens a garden by `connect`. `seed` fills an empty one. When the browser refuses its database the garden lives in
   * memory and the status says so.
   */
  async function open(
    garden: GardenName,
    seed?: () => Promise<Map<string, AnyData>>,
    connect: (garden: GardenName) => Promise<StoragePort> = foragePort,
  ) {
    name.value = garden
    let refused: string | null = null
    try {
      port = await connect(garden)
      lock = tabLock(garden)
    } catch (error) {
      refused = error instanceof Error ? error.message : String(error)
      port = memoryPort()
      lock = localLock()
    }
    const opened = await openGarden(port, lock, () => new Date())
    records.value = opened.records
    setAside.value = opened.setAside
    channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(`open-bed-${garden}`) : null
    channel?.addEventListener('message', (event) => void onOtherTab(event.data as TabMessage))
    saver = createSaver({
      port,
      lock,
      revisions: opened.revisions,
      now: () => new Date(),
      onStatus: (next) => {
        status.value = refused ? { state: 'failing', reason: 'refused', message: refused } : next
      },
      onConflict: (conflict) => {
        conflicts.value = [...conflicts.value.filter((c) => c.key !== conflict.key), conflict]
      },
      onStored: (key, revision) => channel?.postMessage({ key, revision } satisfies TabMessage),
    })
    if (refused) status.value = { state: 'failing', reason: 'refused', message: refused }
    if (seed && !records.value.has(SETTINGS_KEY)) await fillEmpty(seed)
    ready.value = true
  }

  async function settle(conflict: Conflict, mineWins: boolean) {
    if (mineWins) await saver.keepMine(conflict)
    else {
      await saver.takeTheirs(conflict)
      replaceRecords([{ key: conflict.key, after: conflict.theirs }])
    }
    conflicts.value = conflicts.value.filter((c) => c.key !== conflict.key)
    await refreshSetAside()
    await saver.flush()
    if (conflicts.value.length === 0 && status.value.state === 'saving') status.value = { state: 'saved' }
  }

  async function refreshSetAside() {
    setAside.value = (await openGarden(port, lock, () => new Date())).setAside
  }

  /** Tries a set-aside record again; true when it is back in use. */
  async function tryAgain(item: SetAside): Promise<boolean> {
    const back = await lock(() => putBack(port, item))
    if (back) {
      const read = readEnvelope(item.key, await port.get(item.key))
      if (read.ok) {
        saver.accept(item.key, read.revision)
        replaceRecords([{ key: item.key, after: read.data }])
      }
    }
    await refreshSetAside()
    return back
  }

  /** Lets a set-aside record go for good. */
  async function letGo(item: SetAside) {
    await lock(() => port.remove(item.id))
    await refreshSetAside()
  }

  const exportText = () => exportFile(records.value, setAside.value, new Date().toISOString())
  const preview = (text: string) => previewImport(text, records.value)
  const flush = () => saver.flush()

  /** Empties the garden and fills it anew, as one step that undo takes back. For the demo garden. */
  async function startAfresh(seed: () => Promise<Map<string, AnyData>>) {
    const fresh = await seed()
    const changes: Change[] = []
    for (const [key, before] of records.value) if (!fresh.has(key)) changes.push({ key, before, after: null })
    for (const [key, after] of fresh) changes.push({ key, before: records.value.get(key) ?? null, after })
    history.value = remember(history.value, {
      label: 'starting the demo afresh',
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
    undoLabel,
    redoLabel,
    ready,
    run,
    undo,
    redo,
    setSettings,
    open,
    settle,
    tryAgain,
    letGo,
    exportText,
    preview,
    flush,
    startAfresh,
  }
})
