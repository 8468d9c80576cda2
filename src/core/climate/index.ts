export { canopyOver, OUTSTANDING_LEAF, type Exposure } from './canopy'
export {
  hargreaves,
  mixTemperature,
  monthlyReference,
  penmanMonteith,
  type Climate,
  type MonthClimate,
  type Weather,
} from './referenceEvapotranspiration'
export {
  clearSkyRadiation,
  daylightHours,
  extraterrestrialRadiation,
  midMonthDay,
  netLongwave,
  netRadiation,
  radiationFromSunshine,
  radiationFromTemperature,
  sunOn,
} from './solar'
export {
  airPressure,
  meanSaturationVapour,
  psychrometricConstant,
  saturationSlope,
  saturationVapour,
  vapourFromHumidity,
  windAtTwoMetres,
} from './vapour'
export {
  isWetMonth,
  rainCaught,
  dailyUse,
  usesOfDay,
  type DayUses,
  depletionFraction,
  usableWater,
  WALL_EVAPORATION,
  waterNeeded,
  wateringInterval,
  type RootWater,
  type WallKind,
  type WateringInterval,
  type WaterUseInput,
} from './watering'
export { asRaised, FULL_LEAF, leafInMonth, leafOn, stageDays, type Leaf, type Raised } from './stages'
export { coverSaving } from './cover'
export { WATERING_LIMITS } from './limits'
export { risesTo, rootedAreaOf, rootedVolume } from './roots'
export { inRootRoom, LEAST_ROOM, sizeInRoom } from './rootRoom'
