export { tapShare, waterAim, type Blended, type WaterAim } from './aim'
export {
  barrelFor,
  rainYear,
  ROOF_LIMITS,
  type RainMonth,
  type RainStoreQuestion,
  type RainYear,
} from './rainStore'
export {
  ALKALINITY_UNIT_IDS,
  ALKALINITY_UNITS,
  alkalinityFrom,
  CONDUCTIVITY_UNIT_IDS,
  CONDUCTIVITY_UNITS,
  conductivityFrom,
  type AlkalinityUnit,
  type ConductivityUnit,
} from './reportUnits'
export { RAIN, treatedWater, UNTREATED, type IrrigationWater, type WaterTreatment } from './treated'
export { WATER_TREATMENT_LIMITS } from './limits'
