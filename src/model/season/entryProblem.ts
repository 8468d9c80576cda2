import type { Entry, EntryKind } from '../garden/schemas'

/** Why a line of the log cannot be kept, as plain data. */
export type EntryProblem =
  | { code: 'out-of-range'; low: number; high: number }
  | { code: 'too-much' | 'below-nothing' | 'not-whole' | 'no-number' | 'no-word' | 'nothing-picked' }

/** Kinds that want a number to say anything. */
const NEEDS_VALUE: ReadonlySet<EntryKind> = new Set(['pH', 'salts', 'weight', 'sunk'])
/** Kinds that want a word. */
const NEEDS_NOTE: ReadonlySet<EntryKind> = new Set(['leaf', 'pest', 'note'])
/** More litres, grams, kilograms or centimetres than a garden's log holds. Our assumption. */
const TOO_MUCH = 1e6
const RANGE: Partial<Record<EntryKind, readonly [number, number]>> = { pH: [2.5, 9], salts: [0, 30] }

/** What is wrong with a line of the log as it is being written or read from a sheet; null where it can be kept. */
export function entryProblem({
  kind,
  value,
  count,
  note,
}: Pick<Entry, 'kind' | 'value' | 'count' | 'note'>): EntryProblem | null {
  const range = RANGE[kind]
  const [low, high] = range ?? [0, TOO_MUCH]
  if (value !== null && !(value >= low && value <= high))
    return range ? { code: 'out-of-range', low, high } : { code: value > high ? 'too-much' : 'below-nothing' }
  if (count !== null && !(Number.isInteger(count) && count >= 0)) return { code: 'not-whole' }
  if (NEEDS_VALUE.has(kind) && !(value !== null && value > 0)) return { code: 'no-number' }
  if (NEEDS_NOTE.has(kind) && note.trim() === '') return { code: 'no-word' }
  if (kind === 'harvest' && !(value ?? 0) && !(count ?? 0)) return { code: 'nothing-picked' }
  return null
}
