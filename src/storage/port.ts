/** Where records are kept. The browser's database in the app, a plain map in tests and when all else fails. */
export interface StoragePort {
  /** Everything there is, in one go. */
  entries(): Promise<[key: string, value: unknown][]>
  get(key: string): Promise<unknown>
  /** The values of some keys, in their order; null where there is none. */
  getMany(keys: readonly string[]): Promise<unknown[]>
  set(key: string, value: unknown): Promise<void>
  remove(key: string): Promise<void>
  /** All of some writes or none of them; null removes. */
  setMany(writes: readonly (readonly [key: string, value: unknown])[]): Promise<void>
}

/** Runs work that no other tab may interleave with. */
export type Lock = <T>(work: () => Promise<T>) => Promise<T>
