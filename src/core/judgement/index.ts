export {
  judge,
  judgementKey,
  MOST_COMPOST,
  SEEDLING_SALTS,
  WIND_MET,
  type Judgement,
  type JudgementCode,
  type JudgementQuestion,
} from './judge'
export { SEEDLING_VOLUME } from './limits'
