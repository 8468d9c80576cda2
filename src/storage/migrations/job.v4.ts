import { z } from 'zod/mini'

/** Job, version 3 to 4: dressings besides lime, kept versions of the recipe, answered warnings; none of them yet. */
export function jobV4(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), dressings: [], versions: [], versionId: null, dismissed: [] }
}
