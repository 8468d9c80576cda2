import { ranked, type AppraisalQuestion, type Finding } from './finding'
import { fromFigures } from './fromFigures'
import { fromJudgements } from './fromJudgements'
import { fromMaterials } from './fromMaterials'

export { APPRAISAL_LIMITS } from './limits'
export { burdenOf, easedBy, isGood, leavesGraver, mendedBy, outweighs } from './compare'
export { isCarried, isTender } from './situation'
export { SEVERITIES, type AppraisalQuestion, type Finding, type Severity } from './finding'
export { TOPICS, type Topic } from './topics'
export type { Situation } from './situation'

/**
 * All there is to say of a mix in its container, crop, place and situation, the gravest first, one finding a topic.
 * Errors: none. Source: judgements, verdicts and figures of the evaluation; cautions from common practice.
 */
export const appraise = (q: AppraisalQuestion): Finding[] =>
  ranked([...fromFigures(q), ...fromMaterials(q), ...fromJudgements(q)])
