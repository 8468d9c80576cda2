export { columnOf, type Below, type Column, type MovingLayer } from './column'
export { entryTensionOf, hydraulicsOf, mualemConductivity, type Hydraulics } from './hydraulics'
export { MOVING_LIMITS } from './limits'
export {
  LONGEST_RUN,
  moveWater,
  moveWaterAtOnce,
  type Beginning,
  type Moved,
  type MovingProblem,
  type WaterBook,
} from './moveWater'
export { picturesEvery, waterIn, type Course } from './recorder'
export { shareOfDay, SUN, type DayDemand, type Pulse } from './weather'
