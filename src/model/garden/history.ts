import type { Change } from './commands'
import { sameData } from './same'

/** One step that undo takes back: what was done, in words, and the records it touched. */
export interface Step {
  label: string
  changes: Change[]
  mergeKey: string | null
  at: number
  /** Since when the hand that did it has been down on the page, dragging; null where no hand is. */
  heldSince: number | null
}

export interface History {
  past: readonly Step[]
  future: readonly Step[]
}

export const EMPTY_HISTORY: History = { past: [], future: [] }

const MOST_STEPS = 300
const MERGE_WITHIN_MS = 1000

/** Where two values differ, as paths; marks of what is in go with any change of a mix and do not count. */
function differences(before: unknown, after: unknown, path = ''): string[] {
  if (Object.is(before, after) || /\.(ticks|otherwise|tally)$/.test(path)) return []
  if (typeof before !== 'object' || typeof after !== 'object' || !before || !after) return [path]
  const keys = new Set([...Object.keys(before), ...Object.keys(after)])
  return [...keys].flatMap((key) =>
    differences(
      (before as Record<string, unknown>)[key],
      (after as Record<string, unknown>)[key],
      `${path}.${key}`,
    ),
  )
}
/** The fields a step altered: typing on in the height of a bed is one step with it, going over to its width is not. */
const fieldsOf = (step: Step) =>
  step.changes
    .flatMap((c) => differences(c.before, c.after, c.key))
    .sort()
    .join('\n')

/**
 * Whether a step goes on with the last: all of one drag is one step, however slow the hand or the machine, and nothing
 * from before it; without a hand, quick repeats in the same field are.
 */
const goesOn = (last: Step, step: Step) =>
  step.mergeKey !== null &&
  last.mergeKey === step.mergeKey &&
  (step.heldSince !== null
    ? last.at >= step.heldSince
    : step.at - last.at <= MERGE_WITHIN_MS && fieldsOf(last) === fieldsOf(step))

/**
 * Adds a step, or lets the last one grow; one that has come back to where it began is none. What was undone is let
 * go.
 */
export function remember(history: History, step: Step): History {
  const last = history.past.at(-1)
  if (!last || !goesOn(last, step)) return { past: [...history.past, step].slice(-MOST_STEPS), future: [] }
  const earlier = history.past.slice(0, -1)
  const changes = step.changes.map((c) => ({
    ...c,
    before: (last.changes.find((e) => e.key === c.key) ?? c).before,
  }))
  const nothing = changes.every((c) => sameData(c.before, c.after))
  return { past: nothing ? earlier : [...earlier, { ...step, changes }], future: [] }
}

/** The changes that take the last step back, and the history afterwards; null when there is none. */
export function undo(history: History): { changes: Change[]; step: Step; history: History } | null {
  const step = history.past.at(-1)
  if (!step) return null
  return {
    step,
    changes: step.changes.map((c) => ({ key: c.key, before: c.after, after: c.before })).reverse(),
    // A step taken back or put forth again never grows by merging.
    history: { past: history.past.slice(0, -1), future: [{ ...step, mergeKey: null }, ...history.future] },
  }
}

/** The changes that do the last undone step again; null when there is none. */
export function redo(history: History): { changes: Change[]; step: Step; history: History } | null {
  const [step, ...future] = history.future
  if (!step) return null
  return { step, changes: step.changes, history: { past: [...history.past, step], future } }
}
