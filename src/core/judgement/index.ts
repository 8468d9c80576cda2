export { judge, judgementKey, severityOf } from './judge'
export type { Judgement, JudgementCode, JudgementQuestion } from './judgement'
export { JUDGEMENT_LIMITS, SEEDLING_VOLUME, WIND_MET, type WindExposure } from './limits'
export { verdictsOf, type Verdict, type Verdicts } from './verdicts'
