import { z } from 'zod/mini'

/** Shelf, version 1 to 2: several packs of a material, where and when a price was seen, delivery. */
export function shelfV2(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), place: '', seenOn: null, delivery: 0, others: [] }
}
