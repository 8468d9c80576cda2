export { fillPlan, type FillPlan, type FillRequest } from './fillPlan'
export { LAYER_KINDS, LAYERS, sinkingOf, type FillerLayer, type LayerKind, type LayerNature } from './layers'
export { TRADE_SIZES, type TradeSize } from './tradeSizes'
export { plantsIn, type PlantRoom } from './plantsIn'
