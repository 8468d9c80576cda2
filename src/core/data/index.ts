import crops from './crops.json'
import limes from './limes.json'
import materials from './materials.json'
import type { Crop, LimingMaterial, Material } from './types'

// The files are checked against their Zod schema by a test, so their shape can be taken on trust here.
export const MATERIALS = materials as unknown as readonly Material[]
export const CROPS = crops as unknown as readonly Crop[]
export const LIMES = limes as unknown as readonly LimingMaterial[]

export type * from './types'
export { MATERIAL_FAMILIES } from './types'
