export {
  acidityCourse,
  acidityOn,
  acidPerGram,
  MMOLC_PER_GRAM_SULFUR,
  type AcidDose,
  type AcidityInput,
  type AcidityState,
} from './acidity'
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
export { JUDGED_AFTER, limeAt, limeForTarget, type LimeChoice, type LimePlan } from './limeDose'
export {
  coatedLife,
  DAYS_PER_MONTH,
  q10Factor,
  releaseCurve,
  releasedFraction,
  type ReleaseCurve,
} from './release'
export { solveDose, solveRising } from './solveDose'
export { equivalentAcidity } from './pierre'
export { CHEMISTRY_LIMITS } from './limits'
