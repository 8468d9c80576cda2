export { mixNeeded, type MixNeeded, type MixNeededRequest } from './mixNeeded'
export {
  LAYER_KINDS,
  LAYERS,
  natureOfMaterial,
  sinkingOf,
  type FillerLayer,
  type LayerKind,
  type LayerNature,
} from './layers'
export { FIRMNESSES, pressedLoss, type Firmness } from './firmness'
export { FILLING_LIMITS } from './limits'
export { TRADE_SIZES, type TradeSize } from './tradeSizes'
export { plantsIn, type PlantRoom } from './plantsIn'
export { liftsOf, type Lift } from './lifts'
export { cropFit, type CropFit } from './cropFit'
