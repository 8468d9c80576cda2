import { defaultWindow, useEventListener } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { changesOf, mergeKeyOf, type Change, type Command } from '@/model/garden/commands'
import { firstRefusal, type Refusal } from '@/model/garden/commands/refusal'
import { SETTINGS_KEY } from '@/model/garden/garden'
import {
  EMPTY_HISTORY,
  redo as redoStep,
  remember,
  undo as undoStep,
  type History,
  type Step,
} from '@/model/garden/history'
import { sameData } from '@/model/garden/same'
import type { AnyData, Settings } from '@/model/garden/schemas'
import { commandText } from '@/text/base/commands'
import { store as words } from '@/text/composables/store'
import type { Connection } from './connection'
import type { Records } from './records'

const refusalFor = (code: 'read-only' | 'still-reading'): Refusal => ({
  key: '',
  path: [],
  problem: { code },
})
/** What asks for every line of the log, and every photo. */
const OF_ALL: ReadonlySet<Command['type']> = new Set<Command['type']>(['garden/import', 'job/remove'])

/** Since when a pointer has been down: what it does until it is let go is one step. */
function useHeld() {
  const held = { since: null as number | null }
  useEventListener(defaultWindow, 'pointerdown', () => (held.since = Date.now()), { capture: true })
  useEventListener(defaultWindow, ['pointerup', 'pointercancel'], () => (held.since = null), {
    capture: true,
  })
  return held
}

/** What was done, and what undo and redo would take back. */
function useHistory() {
  const history = shallowRef<History>(EMPTY_HISTORY)
  return {
    history,
    noted: (step: Omit<Step, 'at'>) => {
      history.value = remember(history.value, { ...step, at: Date.now() })
    },
    undoLabel: computed(() => history.value.past.at(-1)?.label ?? null),
    redoLabel: computed(() => history.value.future[0]?.label ?? null),
  }
}

/** A browser may clear unasked-for data when space runs short; a refusal is no error. */
const askToPersist = () => void globalThis.navigator?.storage?.persist?.().catch(() => false)

/** Shows changes and hands them to the saver; the first asks the browser to keep the data. */
function useApplying(replace: Records['replace'], held: Connection['held']) {
  let asked = false
  return (changes: readonly Change[]) => {
    replace(changes)
    held.saver?.stage(changes.map(({ key, after }) => [key, after] as const))
    if (!asked) askToPersist()
    asked = true
  }
}

/** Commands on the records, each saved within moments, and the history of what was done. */
export function useEditing({ records, replace, settings }: Records, { held, opening, isWhole }: Connection) {
  const { history, noted, undoLabel, redoLabel } = useHistory()
  /** Sentence about the last undo that could not be done, for a moment. */
  const undoTrouble = ref<string | null>(null)
  /** Why the last change was not taken; null once another one is. */
  const refused = shallowRef<Refusal | null>(null)
  const pointer = useHeld()

  const apply = useApplying(replace, held)
  /**
   * Does a command: the records change at once, are saved within moments, and can be undone. What the reader would
   * not take at the next opening is not done: the answer says why, and the page does.
   */
  function run(command: Command): Refusal | null {
    if (opening.value.state === 'readOnly') return (refused.value = refusalFor('read-only'))
    if (!isWhole.value && OF_ALL.has(command.type)) return (refused.value = refusalFor('still-reading'))
    const changes = changesOf(records.value, command)
    // What comes from a file has been through the reader already.
    refused.value = command.type === 'garden/import' ? null : firstRefusal(changes)
    if (refused.value || changes.length === 0) return refused.value
    const mergeKey = mergeKeyOf(command)
    noted({ label: commandText(command), changes, mergeKey, heldSince: pointer.since })
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

  return {
    history,
    undoTrouble,
    refused,
    undoLabel,
    redoLabel,
    run,
    undo: () => travel(undoStep, 'undo'),
    redo: () => travel(redoStep, 'redo'),
    setSettings(change: Partial<Settings>) {
      if (opening.value.state === 'readOnly') refused.value = refusalFor('read-only')
      else apply([settingsChange(records.value, { ...settings.value, ...change })])
    },
    /** Empties the garden and fills it anew, as one step that undo takes back. For the demo garden. */
    async startAfresh() {
      await held.whole
      const changes = anew(records.value, (await held.seed?.()) ?? new Map<string, AnyData>())
      noted({ label: words.startingTheDemoAfresh, changes, mergeKey: null, heldSince: null })
      apply(changes)
    },
  }
}

const settingsChange = (records: ReadonlyMap<string, AnyData>, after: Settings): Change => ({
  key: SETTINGS_KEY,
  before: records.get(SETTINGS_KEY) ?? null,
  after,
})

/** What turns a garden into another. */
function anew(now: ReadonlyMap<string, AnyData>, fresh: ReadonlyMap<string, AnyData>): Change[] {
  const gone = [...now]
    .filter(([key]) => !fresh.has(key))
    .map(([key, before]) => ({ key, before, after: null }))
  const there = [...fresh].map(([key, after]) => ({ key, before: now.get(key) ?? null, after }))
  return [...gone, ...there]
}
