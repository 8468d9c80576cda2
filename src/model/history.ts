import type { Change } from './commands'

/** One step that undo takes back: what was done, in words, and the records it touched. */
export interface Step {
  label: string
  changes: Change[]
  mergeKey: string | null
  at: number
}

export interface History {
  past: readonly Step[]
  future: readonly Step[]
}

export const EMPTY_HISTORY: History = { past: [], future: [] }

const MOST_STEPS = 300
const MERGE_WITHIN_MS = 1000

/** Where two values differ, as paths; ticks go with any change of a mix and do not count. */
function differences(before: unknown, after: unknown, path = ''): string[] {
  if (Object.is(before, after) || path.endsWith('.ticks')) return []
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

/** Adds a step; quick repeats of the same kind in the same field grow the last one instead. Whatever was undone is let go. */
export function remember(history: History, step: Step): History {
  const last = history.past.at(-1)
  if (
    last &&
    step.mergeKey !== null &&
    last.mergeKey === step.mergeKey &&
    step.at - last.at <= MERGE_WITHIN_MS &&
    fieldsOf(last) === fieldsOf(step)
  ) {
    const merged: Step = {
      ...step,
      changes: step.changes.map((c) => {
        const earlier = last.changes.find((e) => e.key === c.key)
        return earlier ? { ...c, before: earlier.before } : c
      }),
    }
    return { past: [...history.past.slice(0, -1), merged], future: [] }
  }
  return { past: [...history.past, step].slice(-MOST_STEPS), future: [] }
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
