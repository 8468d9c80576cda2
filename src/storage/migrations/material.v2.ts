import { z } from 'zod/mini'

/** A material of one's own, version 1 to 2: it may be a mix that has aged, with figures of its own. */
export function materialV2(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), madeOf: null, figures: [], sizeShares: [] }
}
