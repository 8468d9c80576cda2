export { MULCH, USUAL_SAUCER, usualSaucer, type PlanChange } from './changes'
export {
  pouringsOf,
  wateringPlan,
  type MonthPlan,
  type PlanOption,
  type PlanRequest,
  type WateringPlan,
} from './plan'
export { plantOf } from './plant'
export { movingProblem, pictureTimes, type Plant, type WateringCase, type Wetness } from './problem'
export {
  floorOf,
  footShortOfAir,
  overMix,
  watchWater,
  WATERED_FIGURES,
  type Watered,
  type WateredFigure,
  type WatchRequest,
} from './watch'
