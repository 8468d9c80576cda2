import { isIn, type Lock, type Part, type StoragePort } from './port'

/** A store in memory that copies what goes in and out, as a real one does. `failing` makes every write refuse. */
export function memoryPort(initial: Record<string, unknown> = {}): StoragePort & {
  failing: Error | null
  contents: Map<string, unknown>
} {
  const contents = new Map(Object.entries(structuredClone(initial)))
  const port = {
    contents,
    failing: null as Error | null,
    entries: async (part?: Part) => [...structuredClone(contents)].filter(([key]) => isIn(part, key)),
    get: async (key: string) => structuredClone(contents.get(key) ?? null),
    getMany: async (keys: readonly string[]) => Promise.all(keys.map((key) => port.get(key))),
    set: async (key: string, value: unknown) => {
      if (port.failing) throw port.failing
      contents.set(key, structuredClone(value))
    },
    remove: async (key: string) => {
      if (port.failing) throw port.failing
      contents.delete(key)
    },
    setMany: async (writes: readonly (readonly [string, unknown])[]) => {
      const copies = writes.map(([key, value]) => [key, structuredClone(value)] as const)
      if (port.failing) throw port.failing
      for (const [key, value] of copies)
        if (value === null) contents.delete(key)
        else contents.set(key, value)
    },
  }
  return port
}

/** A lock for one tab alone: work runs in turn. */
export function localLock(): Lock {
  let last: Promise<unknown> = Promise.resolve()
  return (work) => {
    const run = last.then(work, work)
    last = run.catch(() => undefined)
    return run
  }
}
