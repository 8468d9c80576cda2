import type { AnyData } from '@/model/garden/schemas'
import { envelopeSchema, readEnvelope, writeEnvelope } from './envelope'
import type { Lock, StoragePort } from './port'
import { putAside } from './setAside'

/** How saving stands. `failing` keeps the work in memory and goes on trying. */
export type SaveStatus =
  { state: 'saved' } | { state: 'saving' } | { state: 'failing'; reason: 'full' | 'refused'; message: string }

/** Another tab wrote the record after we read it. `theirs` is null when they removed it. */
export interface Conflict {
  key: string
  mine: AnyData | null
  theirs: AnyData | null
}

export interface SaverHooks {
  onStatus(status: SaveStatus): void
  onConflict(conflict: Conflict): void
  /** A key is safely stored at a revision (null: removed), for telling other tabs. */
  onStored(key: string, revision: number | null): void
}

export interface SaverOptions extends SaverHooks {
  port: StoragePort
  lock: Lock
  revisions: Map<string, number>
  now: () => Date
  /** Wait after an edit, ms, so that a burst is one write. */
  delay?: number
  /** Wait before trying again after a failure, ms. */
  retryAfter?: number
}

export interface Saver {
  /** Marks a record to be written (null: removed) soon. */
  stage(key: string, data: AnyData | null): void
  /** Writes all that is marked, now. */
  flush(): Promise<void>
  isDirty(key: string): boolean
  /** Notes that another tab stored a key and we have read it. */
  accept(key: string, revision: number | null): void
  /** Settles a conflict: ours is written over theirs, which is put aside first. */
  keepMine(conflict: Conflict): Promise<void>
  /** Settles a conflict: ours is put aside and theirs stays. */
  takeTheirs(conflict: Conflict): Promise<void>
  stop(): void
}

const reasonOf = (error: unknown): 'full' | 'refused' =>
  error instanceof Error && /quota|full|space/i.test(`${error.name} ${error.message}`) ? 'full' : 'refused'

/**
 * Writes edits to the store: each within `delay` of being made, all under one lock over all tabs, and never over a
 * revision this tab has not seen.
 */
export function createSaver(options: SaverOptions): Saver {
  const { port, lock, revisions, now, delay = 15, retryAfter = 4000 } = options
  const dirty = new Map<string, AnyData | null>()
  const conflicts = new Set<string>()
  let timer: ReturnType<typeof setTimeout> | null = null
  let stopped = false

  const schedule = (wait: number) => {
    if (timer !== null || stopped) return
    timer = setTimeout(() => {
      timer = null
      void flush()
    }, wait)
  }

  async function write(key: string, data: AnyData | null, base: number | null) {
    if (data === null) {
      await port.remove(key)
      revisions.delete(key)
      options.onStored(key, null)
    } else {
      const revision = (base ?? 0) + 1
      await port.set(key, writeEnvelope(key, data, revision, now().toISOString()))
      revisions.set(key, revision)
      options.onStored(key, revision)
    }
  }

  async function writeOne(key: string, data: AnyData | null) {
    if (conflicts.has(key)) return
    const raw = await port.get(key)
    const envelope = envelopeSchema.safeParse(raw)
    const known = revisions.get(key) ?? null
    if ((envelope.success ? envelope.data.revision : null) !== known) {
      const read = readEnvelope(key, raw)
      conflicts.add(key)
      options.onConflict({ key, mine: data, theirs: read.ok ? read.data : null })
      return
    }
    await write(key, data, known)
    // A newer edit may have come while this one was being written: then the key stays dirty.
    if (dirty.get(key) === data) dirty.delete(key)
  }

  async function flush(): Promise<void> {
    if (dirty.size === 0) return
    if (timer !== null) {
      clearTimeout(timer)
      timer = null
    }
    options.onStatus({ state: 'saving' })
    try {
      await lock(async () => {
        await Promise.all([...dirty].map(([key, data]) => writeOne(key, data)))
      })
      const waiting = [...dirty.keys()].filter((k) => !conflicts.has(k))
      if (waiting.length > 0) schedule(delay)
      else options.onStatus({ state: 'saved' })
    } catch (error) {
      const message = error instanceof Error ? error.message || error.name : String(error)
      options.onStatus({ state: 'failing', reason: reasonOf(error), message })
      schedule(retryAfter)
    }
  }

  async function settle(conflict: Conflict, mineWins: boolean) {
    await lock(async () => {
      const { key } = conflict
      const raw = await port.get(key)
      const envelope = envelopeSchema.safeParse(raw)
      const stored = envelope.success ? envelope.data.revision : null
      const mine = dirty.has(key) ? dirty.get(key)! : conflict.mine
      const at = now().toISOString()
      if (mineWins) {
        if (raw !== null) await putAside(port, key, raw, { code: 'overwritten', key }, at)
        await write(key, mine, stored)
      } else {
        if (mine !== null)
          await putAside(
            port,
            key,
            writeEnvelope(key, mine, stored ?? 0, at),
            { code: 'overwritten', key },
            at,
          )
        if (stored === null) revisions.delete(key)
        else revisions.set(key, stored)
      }
      dirty.delete(key)
      conflicts.delete(key)
    })
  }

  return {
    stage(key, data) {
      dirty.set(key, data)
      options.onStatus({ state: 'saving' })
      schedule(delay)
    },
    flush,
    isDirty: (key) => dirty.has(key),
    accept(key, revision) {
      if (revision === null) revisions.delete(key)
      else revisions.set(key, revision)
    },
    keepMine: (conflict) => settle(conflict, true),
    takeTheirs: (conflict) => settle(conflict, false),
    stop() {
      stopped = true
      if (timer !== null) clearTimeout(timer)
      timer = null
    },
  }
}
