import { kindOfKey, type AnyData, type Kind } from './schemas'

type OfKind = ReadonlyMap<string, AnyData>
const NONE: OfKind = new Map()

/** A record as it is from now on; null where it is gone. */
export interface Put {
  key: string
  after: AnyData | null
}

/**
 * The records of a garden, kind by kind, never changed in place. A change makes another garden that shares every kind
 * it does not touch, so that what follows from one kind alone is the same for as long as the kind is.
 */
export class KeptGarden implements ReadonlyMap<string, AnyData> {
  private constructor(private readonly kinds: ReadonlyMap<Kind, OfKind>) {}

  /** Throws where a key is not one of ours. */
  static of(records: Iterable<readonly [string, AnyData]>): KeptGarden {
    return new KeptGarden(new Map()).with([...records].map(([key, after]) => ({ key, after })))
  }
  /** With some records put or taken away. Throws where a key is not one of ours. */
  with(changes: readonly Put[]): KeptGarden {
    const kinds = new Map(this.kinds)
    const anew = new Map<Kind, Map<string, AnyData>>()
    for (const { key, after } of changes) {
      const kind = kindOf(key)
      let records = anew.get(kind)
      if (!records) {
        records = new Map(kinds.get(kind))
        anew.set(kind, records)
        kinds.set(kind, records)
      }
      if (after === null) records.delete(key)
      else records.set(key, after)
    }
    return new KeptGarden(kinds)
  }

  /** The records of a kind by key: the same value as long as none of them changes. */
  ofKind(kind: Kind): OfKind {
    return this.kinds.get(kind) ?? NONE
  }
  private recordsBeside(key: string): OfKind {
    const kind = kindOfKey(key)
    return kind ? this.ofKind(kind) : NONE
  }
  get(key: string) {
    return this.recordsBeside(key).get(key)
  }
  has(key: string) {
    return this.recordsBeside(key).has(key)
  }
  get size() {
    let size = 0
    for (const records of this.kinds.values()) size += records.size
    return size
  }
  *entries(): MapIterator<[string, AnyData]> {
    for (const records of this.kinds.values()) yield* records.entries()
  }
  *keys(): MapIterator<string> {
    for (const records of this.kinds.values()) yield* records.keys()
  }
  *values(): MapIterator<AnyData> {
    for (const records of this.kinds.values()) yield* records.values()
  }
  [Symbol.iterator]() {
    return this.entries()
  }
  forEach(tell: (data: AnyData, key: string, garden: ReadonlyMap<string, AnyData>) => void) {
    for (const [key, data] of this) tell(data, key, this)
  }
}

function kindOf(key: string): Kind {
  const kind = kindOfKey(key)
  if (!kind) throw new Error(`Open Bed is at fault: no kind for key ${key}`)
  return kind
}
