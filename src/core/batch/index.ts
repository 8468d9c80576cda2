export { exactly } from './exactly'
export { byBucket } from './measuring'
export { cheapestOrder, type Order, type OrderLine } from './order'
export { shedsWaterWhenDry, waterToWorkable, WETTING_AGENT_ML_PER_LITRE, WORKABLE_SHARE } from './hydration'
export {
  cheapestPacks,
  looseLitresOfPack,
  packWeight,
  PACK_LIMITS,
  type PackOffer,
  type Purchase,
} from './packs'
export { isByMark, isRounded, planBatches, type Batch, type BatchPlan } from './planBatches'
export {
  levelSpoons,
  METRIC_SPOONS,
  SPOON_LIMITS,
  US_SPOONS,
  type SpoonMeasure,
  type SpoonSet,
} from './spoons'
export { BATCH_LIMITS } from './limits'
export { TURN_FRACTION, type BatchRequest } from './sizing'
