import { z } from 'zod/mini'

/** Place, version 2 to 3: water comes from no softener until the grower says so. */
export function placeV3(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), waterSoftened: false }
}
