import type { AnyData } from '@/model/garden/schemas'
import { inStretches } from '@/model/stretches'
import { readEnvelope } from './envelope'
import type { Lock, StoragePort } from './port'
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
 * Reads a whole garden. A record that fails its check is put aside whole, never dropped; one made by a newer Open Bed
 * is listed and left as it is, and one that was put aside comes back by itself once it can be read. If putting aside
 * fails (full disk), the record stays where it was and is still listed. Errors: those of the store; `Silence` where
 * it or the tab that holds the lock does not answer.
 */
export async function openGarden(port: StoragePort, lock: Lock, now: () => Date): Promise<OpenedGarden> {
  return lock(async () => {
    const stuck: SetAside[] = []
    let entries = await withTimeLimit(port.entries())
    const newer = listSetAside(entries).filter((item) => item.why.code === 'newer-version')
    const back = await Promise.all(newer.map((item) => withTimeLimit(putBack(port, item)).catch(() => false)))
    if (back.includes(true)) entries = await withTimeLimit(port.entries())
    const records = new Map<string, AnyData>()
    const revisions = new Map<string, number>()
    const at = now().toISOString()
    const aside: [string, unknown][] = entries.filter(([key]) => isSetAsideKey(key))
    // A garden of years takes long to check: the page may draw between.
    const rest = inStretches()
    for (const [key, raw] of entries) {
      await rest()
      if (isSetAsideKey(key)) continue
      const read = readEnvelope(key, raw, { isOwn: true })
      if (read.ok) {
        records.set(key, read.data)
        revisions.set(key, read.revision)
        continue
      }
      // A page older than what it reads writes nothing there.
      if (read.why.code === 'newer-version') {
        stuck.push({ id: key, key, at, why: read.why, raw })
        continue
      }
      try {
        const { id, ...item } = await withTimeLimit(putAside(port, { key, at, why: read.why, raw }, true))
        aside.push([id, item])
      } catch {
        stuck.push({ id: key, key, at, why: read.why, raw })
      }
    }
    return { records, revisions, setAside: [...listSetAside(aside), ...stuck] }
  })
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
