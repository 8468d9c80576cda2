/** Kinds that come by the thousand and are seen on few pages. */
export const LATER_KINDS = ['entry', 'photo'] as const
/** What most pages show, and what is read when they are there: the lines of the log and the photos. */
export type Part = 'first' | 'later'
/** Does a key lie in a part of what is stored? */
export const isIn = (part: Part | undefined, key: string): boolean =>
  part === undefined || LATER_KINDS.some((kind) => key.startsWith(`${kind}/`)) === (part === 'later')

/** Where records are kept. The browser's database in the app, a plain map in tests and when all else fails. */
export interface StoragePort {
  /** What there is, in one go: all of it, or one of its two parts. */
  entries(part?: Part): Promise<[key: string, value: unknown][]>
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
