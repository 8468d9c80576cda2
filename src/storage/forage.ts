import localforage from 'localforage'
import { localLock } from './memory'
import type { Lock, StoragePort } from './port'

/** The gardens kept in this browser; each is a database of its own, so that demo and own records never mix. */
export type GardenName = 'my' | 'demo'

/**
 * Opens a garden's database. Told its driver, so that it never falls back in silence to a 5 MB store.
 * Throws what the browser throws when IndexedDB is refused (private windows, blocked site data).
 */
export async function foragePort(garden: GardenName): Promise<StoragePort> {
  const store = localforage.createInstance({
    driver: localforage.INDEXEDDB,
    name: `open-bed-${garden}`,
    storeName: 'records',
    description: 'Jobs, mixes, records and shelf, one record per key',
  })
  await store.ready()
  return {
    keys: () => store.keys(),
    get: (key) => store.getItem(key),
    set: async (key, value) => void (await store.setItem(key, value)),
    remove: (key) => store.removeItem(key),
  }
}

/** One writer at a time over all tabs of this browser, where it has Web Locks; over this tab otherwise. */
export function tabLock(garden: GardenName): Lock {
  const locks = globalThis.navigator?.locks
  return locks ? (work) => locks.request(`open-bed-${garden}`, work) as ReturnType<typeof work> : localLock()
}
