import localforage from 'localforage'
import { localLock } from './memory'
import type { Lock, StoragePort } from './port'
import { PATIENCE, Silence } from './timeLimit'

/** The gardens kept in this browser; each is a database of its own, so that demo and own records never mix. */
export type GardenName = 'my' | 'demo'

const STORE = 'records'

/**
 * Asks many things of a store in one transaction: one by one, a garden of thousands takes minutes. `ask` makes the
 * requests, `answer` reads them once all are done.
 */
function inOneGo<R, T>(
  name: string,
  mode: IDBTransactionMode,
  ask: (store: IDBObjectStore) => R,
  answer: (asked: R) => T,
): Promise<T> {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open(name)
    opening.onerror = () => reject(opening.error ?? new Error('the database cannot be opened'))
    // Deleted meanwhile: to open it now would make an empty one in its place.
    opening.onupgradeneeded = () => opening.transaction?.abort()
    opening.onsuccess = () => {
      const database = opening.result
      try {
        const transaction = database.transaction(STORE, mode)
        const fail = () => {
          database.close()
          reject(transaction.error ?? new Error('the database broke off'))
        }
        transaction.onabort = fail
        transaction.onerror = fail
        let asked: R
        try {
          asked = ask(transaction.objectStore(STORE))
        } catch (error) {
          // What was asked before it must not be done without the rest.
          transaction.abort()
          throw error
        }
        transaction.oncomplete = () => {
          database.close()
          resolve(answer(asked))
        }
      } catch (error) {
        database.close()
        reject(error as Error)
      }
    }
  })
}

/**
 * Opens a garden's database. Told its driver, so that it never falls back in silence to a 5 MB store.
 * Throws what the browser throws when IndexedDB is refused (private windows, blocked site data).
 */
export async function foragePort(garden: GardenName): Promise<StoragePort> {
  const name = `open-bed-${garden}`
  const store = localforage.createInstance({
    driver: localforage.INDEXEDDB,
    name,
    storeName: STORE,
    description: 'Jobs, mixes, records and shelf, one record per key',
  })
  await store.ready()
  return {
    entries: () =>
      inOneGo(
        name,
        'readonly',
        (all) => ({ keys: all.getAllKeys(), values: all.getAll() as IDBRequest<unknown[]> }),
        ({ keys, values }) => keys.result.map((key, i) => [String(key), values.result[i]]),
      ),
    get: (key) => store.getItem(key),
    getMany: (keys) =>
      inOneGo(
        name,
        'readonly',
        (all) => keys.map((key) => all.get(key) as IDBRequest<unknown>),
        (asked) => asked.map((request) => request.result ?? null),
      ),
    set: async (key, value) => void (await store.setItem(key, value)),
    remove: (key) => store.removeItem(key),
    setMany: (writes) =>
      inOneGo(
        name,
        'readwrite',
        (all) => {
          for (const [key, value] of writes)
            if (value === null) all.delete(key)
            else all.put(value, key)
        },
        () => undefined,
      ),
  }
}

/**
 * One writer at a time over all tabs of this browser, where it has Web Locks; over this tab otherwise. A lock that
 * another tab does not give back within `patience` is a `Silence`.
 */
export function tabLock(garden: GardenName, patience: number = PATIENCE): Lock {
  const locks = globalThis.navigator?.locks
  if (!locks) return localLock()
  return async (work) => {
    const waiting = new AbortController()
    const timer = setTimeout(
      () => waiting.abort(new Silence(`another tab has held the garden for ${patience / 1000} s`)),
      patience,
    )
    const options = { signal: waiting.signal }
    return locks.request(`open-bed-${garden}`, options, () => {
      clearTimeout(timer)
      return work()
    }) as ReturnType<typeof work>
  }
}
