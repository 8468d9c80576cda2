export {
  judge,
  judgementKey,
  severityOf,
  MOST_COMPOST,
  SEEDLING_SALTS,
  WIND_MET,
  type Judgement,
  type JudgementCode,
  type JudgementQuestion,
  type WindExposure,
} from './judge'
export { SEEDLING_VOLUME } from './limits'
