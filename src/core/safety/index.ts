export { METAL_FIELD, METALS, type Metal } from './metalFields'
export {
  METAL_GRADES,
  METAL_STEPS,
  PUBLISHED_LIMITS,
  readMetals,
  type MetalGrade,
  type MetalReading,
  type PublishedLimit,
} from './metals'
