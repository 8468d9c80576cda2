import { sameData } from '@/model/garden/same'
import type { AnyData } from '@/model/garden/schemas'
import { envelopeSchema, readEnvelope, writeEnvelope, type Envelope } from './envelope'
import type { Lock, StoragePort } from './port'
import { putAside } from './setAside'
import { PATIENCE, Silence, withTimeLimit } from './timeLimit'

/** `older`: what is stored was written by a newer Open Bed than this page. */
export type SaveFailure = { reason: 'full' | 'refused' | 'silent' | 'older'; message: string }

/** A record was stored by a newer Open Bed: what this page knows of it is less, and is never written over it. */
class OlderPage extends Error {
  constructor(readonly key: string) {
    super(key)
  }
}

/**
 * How saving stands. `failing` keeps the work in memory, goes on trying, and stands until a write succeeds. `waiting`:
 * another tab changed the same record; the grower has to choose, and until then the edit lies set aside.
 */
export type SaveStatus =
  { state: 'saved' } | { state: 'saving' } | { state: 'waiting' } | ({ state: 'failing' } & SaveFailure)

/** Another tab wrote the record after we read it. `theirs` is null when they removed it. */
export interface Conflict {
  key: string
  mine: AnyData | null
  theirs: AnyData | null
}

/** A key and the revision it is stored at; null where it was removed. */
export type Stored = readonly [key: string, revision: number | null]

export interface SaverHooks {
  onStatus(status: SaveStatus): void
  onConflict(conflict: Conflict): void
  /** Keys are safely stored, each at a revision (null: removed), for telling other tabs. */
  onStored(stored: readonly Stored[]): void
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
  /** How long one answer of the store may take, ms. */
  patience?: number
}

export interface Saver {
  /** Marks a record to be written (null: removed) soon. */
  stage(key: string, data: AnyData | null): void
  /** Writes all that is marked, now. */
  flush(): Promise<void>
  isDirty(key: string): boolean
  /** Is there an edit that is not in the store? One that waits for the grower counts. */
  hasUnsaved(): boolean
  /** Notes that another tab stored a key and we have read it. */
  accept(key: string, revision: number | null): void
  /** Settles a conflict: ours is written over theirs, which is put aside first. */
  keepMine(key: string): Promise<void>
  /** Settles a conflict: ours stays set aside; answers with what is stored now, null where there is nothing. */
  takeTheirs(key: string): Promise<AnyData | null>
  stop(): void
}

/** Records to a transaction: more would hold up the page while they are copied. */
const AT_ONCE = 1000

/** Our side of a conflict as it lies set aside; `id` null until it does. */
interface Waiting {
  id: string | null
  copy: AnyData | null
}

function failureOf(error: unknown): SaveFailure {
  const message = error instanceof Error ? error.message || error.name : String(error)
  if (error instanceof Silence) return { reason: 'silent', message }
  if (error instanceof OlderPage) return { reason: 'older', message }
  const full = error instanceof Error && /quota|full|space/i.test(`${error.name} ${error.message}`)
  return { reason: full ? 'full' : 'refused', message }
}

/**
 * Writes edits to the store: each within `delay` of being made, all under one lock over all tabs, and never over a
 * revision this tab has not seen. Nothing waits for ever: a store that does not answer within `patience` counts as
 * failing and is tried again.
 */
export function createSaver(options: SaverOptions): Saver {
  const { port, lock, revisions, now, delay = 15, retryAfter = 4000, patience = PATIENCE } = options
  const dirty = new Map<string, AnyData | null>()
  const waiting = new Map<string, Waiting>()
  /** What was last sent for a key: a write that was given up may have arrived all the same. */
  const sent = new Map<string, Envelope>()
  let failure: SaveFailure | null = null
  let told: SaveStatus['state'] = 'saved'
  let timer: ReturnType<typeof setTimeout> | null = null
  let stopped = false

  const hasToWrite = () => {
    for (const key of dirty.keys()) if (!waiting.has(key)) return true
    return false
  }
  function publish() {
    const status: SaveStatus = failure
      ? { state: 'failing', ...failure }
      : hasToWrite()
        ? { state: 'saving' }
        : { state: waiting.size > 0 ? 'waiting' : 'saved' }
    if (status.state === told && status.state !== 'failing') return
    told = status.state
    options.onStatus(status)
  }

  const schedule = (wait: number) => {
    if (timer !== null || stopped) return
    timer = setTimeout(() => {
      timer = null
      void flush()
    }, wait)
  }

  function refuseNewer(key: string, raw: unknown) {
    const read = raw === null ? null : readEnvelope(key, raw)
    if (read && !read.ok && read.why.code === 'newer-version') throw new OlderPage(key)
  }
  /** The revision a raw value stands at; null where there is none that can be read. */
  const revisionIn = (raw: unknown): number | null => {
    if (raw === null) return null
    const envelope = envelopeSchema.safeParse(raw)
    return envelope.success ? envelope.data.revision : null
  }
  const settled = (key: string, data: AnyData | null, revision: number | null) => {
    if (revision === null) revisions.delete(key)
    else revisions.set(key, revision)
    sent.delete(key)
    // A newer edit may have come meanwhile: then the key stays dirty.
    if (dirty.get(key) === data) dirty.delete(key)
  }

  /** What one edit asks of the store, once it is known what stands there; null where there is nothing to write. */
  type Write = { key: string; data: AnyData | null; envelope: Envelope | null }

  function written(writes: readonly Write[]) {
    for (const { key, data, envelope } of writes) settled(key, data, envelope?.revision ?? null)
    options.onStored(writes.map(({ key, envelope }) => [key, envelope?.revision ?? null]))
  }
  const writeOf = (key: string, data: AnyData | null, base: number | null): Write => {
    const envelope = data === null ? null : writeEnvelope(key, data, (base ?? 0) + 1, now().toISOString())
    if (envelope) sent.set(key, envelope)
    return { key, data, envelope }
  }

  /** Our side is kept under a key of its own until the grower has chosen. */
  async function keepAside(key: string, data: AnyData | null, mine: Waiting) {
    if (data === null || (mine.id !== null && mine.copy === data)) return
    const at = now().toISOString()
    const raw = writeEnvelope(key, data, revisions.get(key) ?? 0, at)
    const why = { code: 'overwritten', key } as const
    if (mine.id === null) mine.id = (await putAside(port, key, raw, why, at)).id
    else await port.set(mine.id, { key, at, why, raw })
    mine.copy = data
  }

  /** What an edit asks of the store, where `raw` stands; null where another tab was there first. */
  function writeFor(key: string, data: AnyData | null, raw: unknown): Write | null {
    refuseNewer(key, raw)
    const known = revisions.get(key) ?? null
    const ours = sent.get(key)
    const stands = revisionIn(raw)
    // What stands there but cannot be read is somebody's work too.
    const unread = raw !== null && stands === null
    if ((stands === known && !unread) || (ours && sameData(ours, raw))) return writeOf(key, data, stands)
    const read = readEnvelope(key, raw)
    const theirs = read.ok ? read.data : null
    // Both did the same: nothing to ask.
    if (!unread && sameData(theirs, data)) {
      settled(key, data, stands)
      return null
    }
    waiting.set(key, { id: null, copy: null })
    options.onConflict({ key, mine: data, theirs })
    return null
  }

  /** Writes some edits in one go; where that fails, one by one, so that one of them does not keep the others. */
  async function writeSome(edits: readonly [string, AnyData | null][], raws: readonly unknown[]) {
    const found: Write[] = []
    let older: unknown = null
    for (const [i, [key, data]] of edits.entries())
      try {
        const write = writeFor(key, data, raws[i])
        if (write) found.push(write)
      } catch (error) {
        older = error
      }
    const all = found.map(({ key, envelope }) => [key, envelope] as const)
    try {
      await withTimeLimit(port.setMany(all), patience)
      written(found)
    } catch (error) {
      if (error instanceof Silence || found.length === 1) throw error
      let last: unknown = null
      for (const write of found)
        try {
          await withTimeLimit(port.setMany([[write.key, write.envelope]]), patience)
          written([write])
        } catch (one) {
          last = one
        }
      if (last !== null) throw last
    }
    // The others are written; this one stays in the page.
    if (older !== null) throw older
  }

  async function flush(): Promise<void> {
    if (dirty.size === 0) return
    if (timer !== null) {
      clearTimeout(timer)
      timer = null
    }
    try {
      await lock(async () => {
        const edits = [...dirty].filter(([key]) => !waiting.has(key))
        const raws = await withTimeLimit(port.getMany(edits.map(([key]) => key)), patience)
        for (let from = 0; from < edits.length; from += AT_ONCE)
          await writeSome(edits.slice(from, from + AT_ONCE), raws.slice(from, from + AT_ONCE))
        for (const [key, mine] of waiting)
          if (dirty.has(key)) await withTimeLimit(keepAside(key, dirty.get(key)!, mine), patience)
      })
      failure = null
      if (hasToWrite()) schedule(delay)
    } catch (error) {
      failure = failureOf(error)
      schedule(retryAfter)
    }
    publish()
  }

  async function settle<T>(key: string, work: (raw: unknown, mine: Waiting) => Promise<T>): Promise<T> {
    const answer = await lock(() =>
      withTimeLimit(
        (async () => {
          const done = await work(await port.get(key), waiting.get(key) ?? { id: null, copy: null })
          waiting.delete(key)
          return done
        })(),
        patience,
      ),
    )
    publish()
    return answer
  }

  return {
    stage(key, data) {
      dirty.set(key, data)
      publish()
      schedule(delay)
    },
    flush,
    isDirty: (key) => dirty.has(key),
    hasUnsaved: () => dirty.size > 0,
    accept(key, revision) {
      if (revision === null) revisions.delete(key)
      else revisions.set(key, revision)
    },
    keepMine: (key) =>
      settle(key, async (raw, mine) => {
        refuseNewer(key, raw)
        if (raw !== null) await putAside(port, key, raw, { code: 'overwritten', key }, now().toISOString())
        const write = writeOf(key, dirty.get(key) ?? null, revisionIn(raw))
        const mineAside = mine.id === null ? [] : [[mine.id, null] as const]
        await port.setMany([[key, write.envelope], ...mineAside])
        written([write])
      }),
    takeTheirs: (key) =>
      settle(key, async (raw, mine) => {
        await keepAside(key, dirty.get(key) ?? null, mine)
        const read = readEnvelope(key, raw)
        if (read.ok) revisions.set(key, read.revision)
        else revisions.delete(key)
        dirty.delete(key)
        return read.ok ? read.data : null
      }),
    stop() {
      stopped = true
      if (timer !== null) clearTimeout(timer)
      timer = null
    },
  }
}
