import { z } from 'zod/mini'

/** Pack of a dressing, version 1 to 2: several packs, where and when a price was seen. */
export function dressingPackV2(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), place: '', seenOn: null, others: [] }
}
