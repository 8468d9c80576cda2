import type { AnyData } from '@/model/garden/schemas'
import { readEnvelope } from './envelope'
import type { Lock, StoragePort } from './port'
import { isSetAsideKey, listSetAside, putAside, putBack, type SetAside } from './setAside'

export interface OpenedGarden {
  records: Map<string, AnyData>
  /** Revision of each key as read. */
  revisions: Map<string, number>
  setAside: SetAside[]
}

/**
 * Reads a whole garden. A record that fails its check is put aside whole, never dropped; one made by a newer Open Bed
 * comes back by itself once this one can read it. If putting aside fails (full disk), the record stays where it was
 * and is still listed.
 */
export async function openGarden(port: StoragePort, lock: Lock, now: () => Date): Promise<OpenedGarden> {
  return lock(async () => {
    const stuck: SetAside[] = []
    for (const item of await listSetAside(port))
      if (item.why.code === 'newer-version') await putBack(port, item).catch(() => false)
    const records = new Map<string, AnyData>()
    const revisions = new Map<string, number>()
    const at = now().toISOString()
    const keys = (await port.keys()).filter((key) => !isSetAsideKey(key))
    const raws = await Promise.all(keys.map((key) => port.get(key)))
    for (const [i, key] of keys.entries()) {
      const raw = raws[i]
      const read = readEnvelope(key, raw)
      if (read.ok) {
        records.set(key, read.data)
        revisions.set(key, read.revision)
        continue
      }
      try {
        await putAside(port, key, raw, read.why, at)
        await port.remove(key)
      } catch {
        stuck.push({ id: key, key, at, why: read.why, raw })
      }
    }
    return { records, revisions, setAside: [...(await listSetAside(port)), ...stuck] }
  })
}
