export { nitrogenTakenBy, PERENNIAL_SEASON, seasonDays, uptakeShare } from './demand'
export {
  conductivityOf,
  convertExtract,
  EC_CLASSES,
  ecClass,
  GYPSUM_SOLUBILITY,
  type EcClass,
  type ExtractMethod,
} from './electricalConductivity'
export { dosesForCharge, type FeedPlan, type FeedTarget } from './feedDose'
export { feedFlags, type DoseKind, type FeedFlag } from './flags'
export { ionsOf, mgPerGram, noCharge, type Charge, type Ions } from './ions'
export {
  chargeOfLabel,
  doseOfLabel,
  elementsOfLabel,
  labelOfElements,
  PHOSPHORUS_IN_P2O5,
  POTASSIUM_IN_K2O,
  type MacroCharge,
} from './labels'
export {
  leachingRequirement,
  relativeYield,
  saltBand,
  saltLimit,
  saltsOf,
  saltZones,
  USUAL_SALT_LIMIT,
  type SaltState,
} from './salts'
export { feedingSeason, type Feeding, type FeedingInput, type FeedingWeek } from './season'
export { cropNeeds, FED, TRACES, type Fed, type Trace } from '../data/nutrition'
export {
  ionConcerns,
  WATER_ION_LIMITS,
  WATER_IONS,
  type IonConcern,
  type WaterIon,
  type WaterIons,
} from './waterIons'
export { traceShareAt, tracesOf, type TraceState } from './traces'
export type { GivenWater } from './waterNutrients'
export {
  acidityOfDoses,
  averagedDose,
  IMMEDIATE,
  type DressingDose,
  type Place,
  supplyOf,
  supplyOfDressings,
  supplyOfLimes,
  supplyOfParts,
  type Released,
  type Supply,
} from './supply'
export { FLAG_LIMITS } from './limits'
export {
  lastingConductivity,
  leachingFor,
  MOST_LEACHED,
  saltsCourse,
  type WaterAmounts,
  type WaterSalts,
} from './saltsCourse'
