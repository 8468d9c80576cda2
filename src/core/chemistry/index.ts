export { acidityCourse, acidityOn } from './acidity'
export type { AcidityInput, AcidityState, WaterStretch } from './acidityState'
export { acidForTarget, SULFUR_JUDGED_AFTER, type AcidPlan } from './acidDose'
export {
  dolomiteShare,
  limeForTargetAndRatio,
  USUAL_CALCIUM_TO_MAGNESIUM,
  type BalancedLime,
  type CationsAlready,
} from './calciumMagnesium'
export {
  alkalinityPerGram,
  finenessEfficiency,
  MMOLC_PER_GRAM_CACO3,
  type BufferedMix,
  type LimeDose,
} from './lime'
export {
  JUDGED_AFTER,
  limeAt,
  limeForTarget,
  rainShareFor,
  withRain,
  type LimeChoice,
  type LimePlan,
  type PHMover,
} from './limeDose'
export { limeForReading, mixAsRead, READING_TELLS, type PHCorrection, type PHReading } from './reading'
export { calciteEquilibrium, chargeBalance, type ChargeBalance } from './charge'
export { q10Factor } from './q10'
export { coatedLife, releaseCurve, releasedBy, releasedFraction, type ReleaseCurve } from './release'
export { temperatureCourse, type Temperature, type TemperatureCourse } from './temperature'
export { solveDose, solveRising } from './solveDose'
export { equivalentAcidity } from './pierre'
export { CHEMISTRY_LIMITS } from './limits'
export {
  acidPerGram,
  MMOLC_PER_GRAM_SULFUR,
  NITROGEN_ACID,
  nitrifierLag,
  type AcidDose,
} from './fertilizerAcid'
export { ATOMIC_MASS, formulaMass, massFraction, neutralisingValue } from './stoichiometry'
export {
  acidForWater,
  equivalentsAt,
  WATER_ACIDS,
  type Acidified,
  type WaterAcidDose,
  type WaterAcid,
} from './waterAcid'
