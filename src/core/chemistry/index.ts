export {
  alkalinityPerGram,
  finenessEfficiency,
  limedState,
  MMOLC_PER_GRAM_CACO3,
  type BufferedMix,
  type LimeDose,
} from './lime'
export { JUDGED_AFTER, limeAt, limeForTarget, type LimeChoice, type LimePlan } from './limeDose'
