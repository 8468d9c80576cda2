export { AWAY_LIMITS, needsWhileAway, type AwayHelp, type AwayNeeds } from './away'
export { MULCH, USUAL_SAUCER, usualSaucer, type PlanChange } from './changes'
export {
  pouringsOf,
  wateringPlan,
  wateringsAWeek,
  type MonthPlan,
  type PlanRequest,
  type WateringPlan,
} from './plan'
export { PLAN_LIMITS } from './limits'
export { isWorthOffering, type PlanOption } from './options'
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
