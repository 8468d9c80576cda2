export {
  FRAMES,
  framesFor,
  PURPOSES,
  purposeOf,
  SOIL_FROM,
  WOODY_FROM,
  takes,
  type Frame,
  type Purpose,
  type PurposeQuestion,
  type Slot,
} from './purposes'
export { isHomeMade, mayBeOffered, type WantedFor } from './uses'
export { CROPS, cropById } from './crops'
export { limeById, limeIn, LIMES, LIME_DRESSINGS, limingMaterial } from './limes'
export { MATERIALS, materialById, materialIn } from './materials'
export { isOwn, PUBLISHED, type Tables } from './tables'
export type * from './types'
export { DRESSING_FAMILIES, ELEMENTS, MATERIAL_FAMILIES } from './types'
