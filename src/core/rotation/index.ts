export { assign } from './assign'
export {
  ROTATION,
  rotationOf,
  waitOf,
  type Grown,
  type Leaves,
  type RotationRow,
  type Wait,
} from './families'
export { GREEN_MANURES, greenManuresFor, type Gap, type GreenManure } from './greenManures'
export { CROP_PHOSPHORUS, ROTATION_LIMITS, SEEN_BY_TEST, SOIL_A_SQUARE_METRE } from './limits'
export { phosphorusStore, type PhosphorusStore } from './phosphorus'
export { costOfBed } from './improve'
export { rotationPlan, type RotationStep } from './plan'
export { stepCost, type RotationBed } from './stepCost'
