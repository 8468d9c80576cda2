export {
  METAL_FIELD,
  METAL_GRADES,
  METAL_STEPS,
  METALS,
  PUBLISHED_LIMITS,
  readMetals,
  type Metal,
  type MetalGrade,
  type MetalReading,
  type PublishedLimit,
} from './metals'
