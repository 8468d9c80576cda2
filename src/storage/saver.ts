import { sameData } from '@/model/garden/same'
import type { AnyData } from '@/model/garden/schemas'
import { inStretches } from '@/model/stretches'
import { envelopeSchema, isNewer, readEnvelope, sealed, writeEnvelope, type Envelope } from './envelope'
import type { Lock, StoragePort } from './port'
import { putAside } from './setAside'
import { Gone, PATIENCE, Silence, withTimeLimit } from './timeLimit'

/** `older`: what is stored was written by a newer Open Bed than this page. */
export type SaveFailure = { reason: 'full' | 'refused' | 'silent' | 'older'; message: string }

/** A record was stored by a newer Open Bed: what this page knows of it is less, and is never written over it. */
class OlderPage extends Error {
  constructor(readonly key: string) {
    super(key)
  }
}

/**
 * How saving goes. `failing` keeps the work in memory, goes on trying, and stays until a write succeeds. `waiting`:
 * another tab changed the same record; the grower has to choose, and until then the edit lies set aside.
 */
export type SaveStatus =
  | { state: 'saved' }
  | { state: 'saving' }
  | { state: 'waiting' }
  | ({ state: 'failing' } & SaveFailure)

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
  /** Makes the store again where it was removed, empty; answers with all there is to be in it. */
  renew?: () => Promise<readonly Edit[]>
}

export interface Saver {
  /**
   * Marks the records of one act to be written (null: removed) soon: all of them or none, however many there are. What
   * is not written yet of an act before it that shares a record goes with it.
   */
  stage(edits: readonly Edit[]): void
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

/** So many records more, and the store may take its patience once again. */
const PER_PATIENCE = 1000

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

/** What one edit asks of the store, once it is known what is there; `envelope` null where the record goes. */
interface Write {
  key: string
  data: AnyData | null
  envelope: Envelope | null
}
export type Edit = readonly [key: string, data: AnyData | null]

/** The revision a raw value has; null where there is none that can be read. */
function revisionIn(raw: unknown): number | null {
  if (raw === null) return null
  const envelope = envelopeSchema.safeParse(raw)
  return envelope.success ? envelope.data.revision : null
}

function refuseNewer(key: string, raw: unknown) {
  if (raw !== null && isNewer(key, raw)) throw new OlderPage(key)
}

/**
 * Writes edits to the store: each within `delay` of being made, all under one lock over all tabs, and never over a
 * revision this tab has not seen. Nothing waits for ever: a store that does not answer within `patience` counts as
 * failing and is tried again.
 */
class RecordSaver implements Saver {
  private readonly options: SaverOptions & Required<Pick<SaverOptions, 'delay' | 'retryAfter' | 'patience'>>
  private readonly dirty = new Map<string, AnyData | null>()
  /** The keys that are written together with a key, all or none: those of its act. */
  private readonly acts = new Map<string, Set<string>>()
  private readonly waiting = new Map<string, Waiting>()
  /** What was last sent for a key: a write that was given up may have arrived all the same. */
  private readonly sent = new Map<string, Envelope>()
  private failure: SaveFailure | null = null
  private told: SaveStatus['state'] = 'saved'
  private timer: ReturnType<typeof setTimeout> | null = null
  private stopped = false
  /** The store was made again, and nothing has been written to it yet. */
  private isAnew = false

  constructor(options: SaverOptions) {
    const { delay = 15, retryAfter = 4000, patience = PATIENCE } = options
    this.options = { ...options, delay, retryAfter, patience }
  }

  stage(edits: readonly Edit[]) {
    const act = new Set(edits.flatMap(([key]) => [key, ...(this.acts.get(key) ?? [])]))
    for (const key of act) this.acts.set(key, act)
    for (const [key, data] of edits) this.dirty.set(key, data)
    this.publish()
    this.schedule(this.options.delay)
  }
  isDirty(key: string) {
    return this.dirty.has(key)
  }
  hasUnsaved() {
    return this.dirty.size > 0
  }
  accept(key: string, revision: number | null) {
    const { revisions } = this.options
    if (revision === null) revisions.delete(key)
    else revisions.set(key, revision)
  }
  stop() {
    this.stopped = true
    this.stopTimer()
  }

  async flush(): Promise<void> {
    if (this.dirty.size === 0) return
    this.stopTimer()
    try {
      await this.options.lock(() => this.writeAll())
      this.failure = null
      this.isAnew = false
      if (this.hasToWrite()) this.schedule(this.options.delay)
    } catch (error) {
      const isRenewed = error instanceof Gone && !this.isAnew && (await this.beginAnew())
      this.isAnew = isRenewed
      this.failure = failureOf(error)
      this.schedule(isRenewed ? this.options.delay : this.options.retryAfter)
    }
    this.publish()
  }

  /** An empty store in place of one that was removed: everything is to be written again. */
  private async beginAnew(): Promise<boolean> {
    if (!this.options.renew) return false
    try {
      const all = await this.inTime(this.options.renew())
      this.options.revisions.clear()
      this.sent.clear()
      this.waiting.clear()
      this.stage(all)
      return true
    } catch {
      return false
    }
  }

  keepMine(key: string) {
    return this.settle(key, async (raw, mine) => {
      refuseNewer(key, raw)
      if (raw !== null)
        await putAside(this.options.port, { key, raw, why: { code: 'overwritten', key }, at: this.time() })
      const write = this.writeOf(key, this.dirty.get(key) ?? null, revisionIn(raw))
      const mineAside = mine.id === null ? [] : [[mine.id, null] as const]
      await this.options.port.setMany([[key, write.envelope], ...mineAside])
      this.written([write])
    })
  }
  takeTheirs(key: string) {
    return this.settle(key, async (raw, mine) => {
      await this.keepAside(key, this.dirty.get(key) ?? null, mine)
      const read = readEnvelope(key, raw)
      this.accept(key, read.ok ? read.revision : null)
      this.forget(key)
      return read.ok ? read.data : null
    })
  }

  private time() {
    return this.options.now().toISOString()
  }
  private inTime<T>(work: Promise<T>, records = 1): Promise<T> {
    return withTimeLimit(work, this.options.patience * (1 + Math.floor(records / PER_PATIENCE)))
  }
  private stopTimer() {
    if (this.timer !== null) clearTimeout(this.timer)
    this.timer = null
  }
  private schedule(wait: number) {
    if (this.timer !== null || this.stopped) return
    this.timer = setTimeout(() => {
      this.timer = null
      void this.flush()
    }, wait)
  }

  private hasToWrite() {
    for (const key of this.dirty.keys()) if (!this.waiting.has(key)) return true
    return false
  }
  private publish() {
    const status: SaveStatus = this.failure
      ? { state: 'failing', ...this.failure }
      : this.hasToWrite()
        ? { state: 'saving' }
        : { state: this.waiting.size > 0 ? 'waiting' : 'saved' }
    if (status.state === this.told && status.state !== 'failing') return
    this.told = status.state
    this.options.onStatus(status)
  }

  private settled(key: string, data: AnyData | null, revision: number | null) {
    this.accept(key, revision)
    this.sent.delete(key)
    // A newer edit may have come meanwhile: then the key stays dirty.
    if (this.dirty.get(key) === data) this.forget(key)
  }
  private forget(key: string) {
    this.dirty.delete(key)
    this.acts.get(key)?.delete(key)
    this.acts.delete(key)
  }
  private written(writes: readonly Write[]) {
    for (const { key, data, envelope } of writes) this.settled(key, data, envelope?.revision ?? null)
    this.options.onStored(writes.map(({ key, envelope }) => [key, envelope?.revision ?? null]))
  }
  private writeOf(key: string, data: AnyData | null, base: number | null): Write {
    const envelope = data === null ? null : sealed(writeEnvelope(key, data, (base ?? 0) + 1, this.time()))
    if (envelope) this.sent.set(key, envelope)
    return { key, data, envelope }
  }

  /** Our side is kept under a key of its own until the grower has chosen. */
  private async keepAside(key: string, data: AnyData | null, mine: Waiting) {
    if (data === null || (mine.id !== null && mine.copy === data)) return
    const { port, revisions } = this.options
    const at = this.time()
    const raw = writeEnvelope(key, data, revisions.get(key) ?? 0, at)
    const aside = { key, raw, why: { code: 'overwritten', key } as const, at }
    if (mine.id === null) mine.id = (await putAside(port, aside)).id
    else await port.set(mine.id, { key, at, why: aside.why, raw })
    mine.copy = data
  }

  /** What an edit asks of the store, where it holds `raw`; null where another tab was there first. */
  private writeFor([key, data]: Edit, raw: unknown): Write | null {
    refuseNewer(key, raw)
    const known = this.options.revisions.get(key) ?? null
    const ours = this.sent.get(key)
    const there = revisionIn(raw)
    // What is there but cannot be read is somebody's work too.
    const unread = raw !== null && there === null
    if ((there === known && !unread) || (ours && sameData(ours, raw))) return this.writeOf(key, data, there)
    const read = readEnvelope(key, raw)
    const theirs = read.ok ? read.data : null
    // Both did the same: nothing to ask.
    if (!unread && sameData(theirs, data)) {
      this.settled(key, data, there)
      return null
    }
    this.waiting.set(key, { id: null, copy: null })
    this.options.onConflict({ key, mine: data, theirs })
    return null
  }

  private async writeAll() {
    const edits: Edit[] = [...this.dirty].filter(([key]) => !this.waiting.has(key))
    if (edits.length > 0) {
      const keys = edits.map(([key]) => key)
      const raws = await this.inTime(this.options.port.getMany(keys), keys.length)
      await this.writeSome(edits, raws)
    }
    for (const [key, mine] of this.waiting)
      if (this.dirty.has(key)) await this.inTime(this.keepAside(key, this.dirty.get(key)!, mine))
  }

  private async send(writes: readonly Write[]) {
    if (writes.length === 0) return
    const records = writes.map(({ key, envelope }) => [key, envelope] as const)
    await this.inTime(this.options.port.setMany(records), records.length)
    this.written(writes)
  }

  /** Writes some edits in one go; where that fails, act by act, so that one of them does not keep the others. */
  private async writeSome(edits: readonly Edit[], raws: readonly unknown[]) {
    let found: Write[] = []
    let older: unknown = null
    const refused = new Set<unknown>()
    const rest = inStretches()
    for (const [i, edit] of edits.entries()) {
      await rest()
      try {
        const write = this.writeFor(edit, raws[i])
        if (write) found.push(write)
      } catch (error) {
        older = error
        refused.add(this.acts.get(edit[0]))
      }
    }
    // What belongs to a refused record waits with it.
    if (refused.size > 0) found = found.filter(({ key }) => !refused.has(this.acts.get(key)))
    try {
      await this.send(found)
    } catch (error) {
      if (error instanceof Silence) throw error
      const acts = this.actsAmong(found)
      if (acts.length === 1) throw error
      await this.actByAct(acts)
    }
    // The others are written; this one stays in the page.
    if (older !== null) throw older
  }
  private actsAmong(writes: readonly Write[]): Write[][] {
    const groups = new Map<Set<string> | string, Write[]>()
    for (const write of writes) {
      const act = this.acts.get(write.key) ?? write.key
      const group = groups.get(act)
      if (group) group.push(write)
      else groups.set(act, [write])
    }
    return [...groups.values()]
  }
  private async actByAct(acts: readonly Write[][]) {
    let last: unknown = null
    for (const writes of acts)
      try {
        await this.send(writes)
      } catch (error) {
        last = error
      }
    if (last !== null) throw last
  }

  private async settle<T>(key: string, work: (raw: unknown, mine: Waiting) => Promise<T>): Promise<T> {
    const { lock, port } = this.options
    const decide = async () => {
      const done = await work(await port.get(key), this.waiting.get(key) ?? { id: null, copy: null })
      this.waiting.delete(key)
      return done
    }
    const answer = await lock(() => this.inTime(decide()))
    this.publish()
    return answer
  }
}

export const createSaver = (options: SaverOptions): Saver => new RecordSaver(options)
