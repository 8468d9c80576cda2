import localforage from 'localforage'
import { localLock } from './memory'
import { LATER_KINDS, type Lock, type Part, type StoragePort } from './port'
import { Gone, PATIENCE, Silence } from './timeLimit'

/** The gardens kept in this browser; each is a database of its own, so that demo and own records never mix. */
export type GardenName = 'my' | 'demo'

const STORE = 'records'
/** So many keys at once are many. */
const MANY = 100

/** A connection of our own to a database that localForage has made; opened anew after it was closed from outside. */
function connectionTo(name: string): () => Promise<IDBDatabase> {
  let open: Promise<IDBDatabase> | null = null
  return () =>
    (open ??= new Promise<IDBDatabase>((resolve, reject) => {
      const opening = indexedDB.open(name)
      let isGone = false
      // Deleted meanwhile: to open it now would make an empty one in its place.
      opening.onupgradeneeded = () => {
        isGone = true
        opening.transaction?.abort()
      }
      opening.onerror = () => {
        open = null
        reject(
          isGone
            ? new Gone('the database was removed')
            : (opening.error ?? new Error('the database cannot be opened')),
        )
      }
      opening.onsuccess = () => {
        const database = opening.result
        database.onclose = () => (open = null)
        // Somebody wants to delete it, or a newer version to change it: we make way.
        database.onversionchange = () => {
          open = null
          database.close()
        }
        resolve(database)
      }
    }))
}

/**
 * Asks many things of a store in one transaction: one by one, a garden of thousands takes minutes. `ask` makes the
 * requests, and breaks all of it off where a later one fails; `answer` reads them once all are done.
 */
const inOneGo = <R, T>(
  database: IDBDatabase,
  mode: IDBTransactionMode,
  ask: (store: IDBObjectStore, breakOff: (error: unknown) => void) => R,
  answer: (asked: R) => T,
): Promise<T> =>
  new Promise((resolve, reject) => {
    const transaction = database.transaction(STORE, mode)
    transaction.onabort = () => reject(transaction.error ?? new Error('the database broke off'))
    // What was asked before it must not be done without the rest.
    const breakOff = (error: unknown) => {
      transaction.abort()
      reject(error as Error)
    }
    try {
      const asked = ask(transaction.objectStore(STORE), breakOff)
      transaction.oncomplete = () => resolve(answer(asked))
    } catch (error) {
      breakOff(error)
    }
  })

/** Records copied for the store before the page may draw again. */
const SLICE = 200
/** Records copied from the store before the page may draw again. */
const READ_SLICE = 500

/** Keys of a kind lie between these two: the slash, and what comes after it. */
const [FROM, UNTIL] = ['/', '0']
/** Ranges of keys of each part, in order. */
function rangesOf(part: Part | undefined): (IDBKeyRange | null)[] {
  if (part === undefined) return [null]
  const kinds = LATER_KINDS.map((kind) => [`${kind}${FROM}`, `${kind}${UNTIL}`] as const)
  if (part === 'later') return kinds.map(([from, until]) => IDBKeyRange.bound(from, until, false, true))
  const ends = kinds.map(([, until]) => until)
  return [
    ...kinds.map(([from], i) =>
      i === 0 ? IDBKeyRange.upperBound(from, true) : IDBKeyRange.bound(ends[i - 1]!, from, false, true),
    ),
    IDBKeyRange.lowerBound(ends.at(-1)!),
  ]
}
/** The rest of a range, after a key. */
const after = (key: IDBValidKey, range: IDBKeyRange | null) =>
  range?.upper === undefined
    ? IDBKeyRange.lowerBound(key, true)
    : IDBKeyRange.bound(key, range.upper, true, range.upperOpen)

/** Reads in one transaction, a slice at a time: the next is asked for when the one before is there. */
function readInSlices(database: IDBDatabase, part: Part | undefined) {
  const all: [key: string, value: unknown][] = []
  const readFrom = (store: IDBObjectStore, [range, ...later]: readonly (IDBKeyRange | null)[]) => {
    if (range === undefined) return
    const keys = store.getAllKeys(range, READ_SLICE)
    const values = store.getAll(range, READ_SLICE) as IDBRequest<unknown[]>
    values.onsuccess = () => {
      for (const [i, value] of values.result.entries()) all.push([String(keys.result[i]), value])
      const isWhole = keys.result.length < READ_SLICE
      readFrom(store, isWhole ? later : [after(keys.result.at(-1)!, range), ...later])
    }
  }
  return inOneGo(
    database,
    'readonly',
    (store) => readFrom(store, rangesOf(part)),
    () => all,
  )
}

/** Writes all of it in one transaction, a slice at a time: the next is asked for when the one before is done. */
function writeInSlices(
  store: IDBObjectStore,
  writes: readonly (readonly [key: string, value: unknown])[],
  breakOff: (error: unknown) => void,
  from = 0,
): void {
  const to = Math.min(from + SLICE, writes.length)
  for (let i = from; i < to; i++) {
    const [key, value] = writes[i]!
    const asked = value === null ? store.delete(key) : store.put(value, key)
    if (i === to - 1 && to < writes.length)
      asked.onsuccess = () => {
        try {
          writeInSlices(store, writes, breakOff, to)
        } catch (error) {
          breakOff(error)
        }
      }
  }
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
  // Opened before and removed since, localForage takes it for open still.
  await makeAgain(garden)
  const connection = connectionTo(name)
  const port: StoragePort = {
    entries: async (part) => readInSlices(await connection(), part),
    get: async (key) => (await port.getMany([key]))[0] ?? null,
    async getMany(keys) {
      const database = await connection()
      // Asking for what is not there takes as long as for what is: of many keys only those that are there are read.
      const there =
        keys.length > MANY
          ? await inOneGo(
              database,
              'readonly',
              (all) => all.getAllKeys(),
              (asked) => new Set(asked.result.map(String)),
            )
          : null
      return inOneGo(
        database,
        'readonly',
        (all) => keys.map((key) => (there?.has(key) === false ? null : all.get(key))),
        (asked) => asked.map((request) => (request?.result ?? null) as unknown),
      )
    },
    set: (key, value) => port.setMany([[key, value]]),
    remove: (key) => port.setMany([[key, null]]),
    setMany: async (writes) =>
      inOneGo(
        await connection(),
        'readwrite',
        (all, breakOff) => writeInSlices(all, writes, breakOff),
        () => undefined,
      ),
  }
  return port
}

/** Makes the database of a garden again where it was removed: empty, as localForage would. */
export const makeAgain = (garden: GardenName): Promise<void> =>
  new Promise((resolve, reject) => {
    const opening = indexedDB.open(`open-bed-${garden}`)
    opening.onupgradeneeded = () => {
      if (!opening.result.objectStoreNames.contains(STORE)) opening.result.createObjectStore(STORE)
    }
    opening.onerror = () => reject(opening.error)
    opening.onsuccess = () => {
      opening.result.close()
      resolve()
    }
  })

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
