import type { z } from 'zod/mini'
import { sameData } from '../same'
import { idOf, idOfKey, kindOfKey, SCHEMAS } from '../schemas'
import { misfitIn, type Misfit } from '../schemas/misfit'
import type { Change } from './command'

/** Why a change is not taken: where in the record, and what is wrong there. Plain data, worded in src/text. */
export interface Refusal {
  key: string
  /** From the record down to the field. */
  path: string[]
  problem: Misfit | { code: 'other-key' | 'read-only' | 'still-reading' }
}

/**
 * Whether the reader will take what a change would store: the schema of its kind over every field that differs from
 * before. Null where it will.
 */
function refusalOf({ key, before, after }: Change): Refusal | null {
  if (after === null) return null
  const kind = kindOfKey(key)
  if (kind === null || idOfKey(key) !== idOf(after)) return { key, path: [], problem: { code: 'other-key' } }
  const { shape } = SCHEMAS[kind] as z.ZodMiniObject<Record<string, z.ZodMiniType>>
  const was = (before ?? {}) as Record<string, unknown>
  const is = after as unknown as Record<string, unknown>
  for (const field of new Set([...Object.keys(shape), ...Object.keys(is)])) {
    if (before !== null && is[field] === was[field]) continue
    const schema = shape[field]
    const read = schema?.safeParse(is[field])
    if (!read) return { key, path: [field], problem: { code: 'not-allowed' } }
    if (!read.success) {
      const { path, misfit } = misfitIn(is[field], read.error.issues)
      return { key, path: [field, ...path], problem: misfit }
    }
    // What the reader would let fall is not kept: better to say so now.
    if (!sameData(read.data, is[field])) return { key, path: [field], problem: { code: 'not-allowed' } }
  }
  return null
}

/** The first reason why the reader would not take some changes; null where it takes them all. */
export function firstRefusal(changes: readonly Change[]): Refusal | null {
  for (const change of changes) {
    const refusal = refusalOf(change)
    if (refusal) return refusal
  }
  return null
}
