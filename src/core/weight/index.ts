export {
  FLOOR_DESIGN_LOAD,
  LIFT_LIMIT,
  SATURATED_DENSITY,
  saturatedBounds,
  weights,
  type WeighedLayer,
  type Weights,
} from './wetWeight'
export { AIR_DENSITY, CROWN_DRAG, crownArea, tippingWindSpeed, type Standing } from './tipping'
export { emptyWeight } from './emptyWeight'
export { WALL_MATERIALS, WALL_WEIGHT, type WallMaterial } from './walls'
