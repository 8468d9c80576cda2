import { z } from 'zod/mini'

/** Place, version 1 to 2: the coldest night is worked out from the months until the grower says it. */
export function placeV2(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), coldestNight: null }
}
