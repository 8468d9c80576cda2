import crops from './crops.json'
import materials from './materials.json'
import { ownRows } from './ownRows'
import type { Crop, Material } from './types'

// The files are checked against their Zod schemas when the app is built and by a test, so their shape can be trusted
// here.
export const MATERIALS = materials as unknown as readonly Material[]
export const CROPS = crops as unknown as readonly Crop[]

/**
 * A material by its id, the grower's own before those of the tables; undefined where there is none.
 *
 * @example
 * materialById('peat_medium')?.family // 'peat'
 */
export const materialById = (id: string): Material | undefined =>
  ownRows().materials.find((m) => m.id === id) ?? MATERIALS.find((m) => m.id === id)
/**
 * A crop of the tables by its id; undefined for null and where the tables have none.
 *
 * @example
 * cropById('pepper_sweet')?.perennial // false
 */
export const cropById = (id: string | null | undefined): Crop | undefined => CROPS.find((c) => c.id === id)

export { limeById, LIMES, LIME_DRESSINGS, limingMaterial } from './limes'
export { isOwn, keepOwnRows, ownRows, type OwnRows } from './ownRows'
export type * from './types'
export { DRESSING_FAMILIES, ELEMENTS, MATERIAL_FAMILIES } from './types'
