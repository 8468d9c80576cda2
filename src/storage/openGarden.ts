import type { AnyData } from '@/model/garden/schemas'
import { inStretches } from '@/model/stretches'
import { readEnvelope } from './envelope'
import type { Lock, Part, StoragePort } from './port'
import { isSetAsideKey, listSetAside, putAside, putBack, type SetAside } from './setAside'
import { Silence, withTimeLimit } from './timeLimit'

/** The garden does not open: its database throws, or it or the tab that holds the lock does not answer. */
export interface Stuck {
  state: 'stuck'
  reason: 'silent' | 'refused'
  message: string
}
/** How far the opening of a garden has come. `readOnly`: looked at without its database being touched. */
export type Opening = { state: 'opening' } | Stuck | { state: 'open' } | { state: 'readOnly' }

export const stuckOn = (error: unknown): Stuck => ({
  state: 'stuck',
  reason: error instanceof Silence ? 'silent' : 'refused',
  message: error instanceof Error ? error.message || error.name : String(error),
})

export interface OpenedGarden {
  records: Map<string, AnyData>
  /** Revision of each key as read. */
  revisions: Map<string, number>
  setAside: SetAside[]
}

/**
 * Reads a garden, all of it or a part. A record that fails its check is put aside whole, never dropped; one made by a
 * newer Open Bed is listed and left as it is, and one that was put aside comes back by itself once it can be read. If
 * putting aside fails (full disk), the record stays where it was and is still listed. The later part is read while
 * other tabs and this one write: only what is put aside waits for the lock. Errors: those of the store; `Silence`
 * where it or the tab that holds the lock does not answer.
 */
export const openGarden = (
  port: StoragePort,
  lock: Lock,
  now: () => Date,
  part?: Part,
): Promise<OpenedGarden> =>
  part === 'later'
    ? readPart({ port, lock, now, part })
    : lock(() => readPart({ port, lock: null, now, part }))

interface PartReading {
  port: StoragePort
  /** Null where it is held already. */
  lock: Lock | null
  now: () => Date
  part: Part | undefined
}
async function readPart({ port, lock, now, part }: PartReading): Promise<OpenedGarden> {
  const entries = await entriesWithThoseBack(port, part)
  const stuck: SetAside[] = []
  const records = new Map<string, AnyData>()
  const revisions = new Map<string, number>()
  const at = now().toISOString()
  const aside: [string, unknown][] = entries.filter(([key]) => isSetAsideKey(key))
  const take = (key: string, raw: unknown) => {
    const read = readEnvelope(key, raw, { isOwn: true })
    if (!read.ok) return read.why
    records.set(key, read.data)
    revisions.set(key, read.revision)
    return null
  }
  async function putAsideUnlessMended(key: string, seen: unknown) {
    const raw = lock ? await withTimeLimit(port.get(key)) : seen
    const why = raw === null ? null : take(key, raw)
    if (!why) return
    const { id, ...item } = await withTimeLimit(putAside(port, { key, at, why, raw }, true))
    aside.push([id, item])
  }
  // A garden of years takes long to check: the page may draw between.
  const rest = inStretches()
  for (const [key, raw] of entries) {
    await rest()
    const why = isSetAsideKey(key) ? null : take(key, raw)
    if (!why) continue
    try {
      // A page older than what it reads writes nothing there.
      if (why.code === 'newer-version') stuck.push({ id: key, key, at, why, raw })
      else if (lock) await lock(() => putAsideUnlessMended(key, raw))
      else await putAsideUnlessMended(key, raw)
    } catch {
      stuck.push({ id: key, key, at, why, raw })
    }
  }
  return { records, revisions, setAside: [...listSetAside(aside), ...stuck] }
}

/** What is stored, after what was put aside for a newer Open Bed than this one is has come back. */
async function entriesWithThoseBack(port: StoragePort, part: Part | undefined) {
  const entries = await withTimeLimit(port.entries(part))
  const newer = listSetAside(entries).filter((item) => item.why.code === 'newer-version')
  const back = await Promise.all(newer.map((item) => withTimeLimit(putBack(port, item)).catch(() => false)))
  return back.includes(true) ? withTimeLimit(port.entries(part)) : entries
}

/** What can be read of a garden without writing to it or waiting for other tabs; what cannot is left where it is. */
export async function peekGarden(port: StoragePort): Promise<Map<string, AnyData>> {
  const records = new Map<string, AnyData>()
  for (const [key, raw] of await withTimeLimit(port.entries())) {
    const read = isSetAsideKey(key) ? null : readEnvelope(key, raw, { isOwn: true })
    if (read?.ok) records.set(key, read.data)
  }
  return records
}
