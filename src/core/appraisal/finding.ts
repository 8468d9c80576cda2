import type { BottomLayer } from '../column'
import type { Evaluation } from '../evaluate'
import type { Judgement, JudgementQuestion } from '../judgement'
import type { Bands } from '../targets'
import { REMEDIES, type Remedy } from './remedies'
import { SEVERITIES, type Severity } from './severity'
import type { Situation } from './situation'
import { CONCERNS, TOPICS, type Concern, type Topic } from './topics'

export { SEVERITIES, type Severity }

/** One thing found, as plain data. */
export interface Finding {
  topic: Topic
  severity: Severity
  /** What it comes to here, where that is worse than the topic as a rule. */
  harms?: Concern
  /** The figure that decides and the end of its band, where one does, in the core's units. */
  value?: number
  limit?: number
  /** What to do about it besides changing the parts, the first to try first. */
  remedies?: readonly Remedy[]
}

/** All that is known of a mix in its container, crop and place. */
export interface AppraisalQuestion {
  evaluation: Evaluation
  judged: JudgementQuestion
  judgements: readonly Judgement[]
  bands: Bands
  bottomLayers: readonly BottomLayer[]
  waterEc: number
  situation: Situation
}

/**
 * A finding, with the figure and the limit that decide where there are such.
 *
 * @example
 * found('ph-low', 'watch', 5, 5.5).limit // 5.5
 */
export const found = (topic: Topic, severity: Severity, value?: number, limit?: number): Finding => ({
  topic,
  severity,
  ...(value === undefined || !Number.isFinite(value) ? {} : { value }),
  ...(limit === undefined ? {} : { limit }),
})

/**
 * One finding a topic, the gravest first; of two that weigh the same harm to people first, then what kills a crop, what
 * stunts it, what costs work. The order within is that in which they were found.
 */
export function ranked(findings: readonly Finding[]): Finding[] {
  const rank = ({ topic, severity, harms }: Finding) =>
    SEVERITIES.indexOf(severity) * CONCERNS.length + CONCERNS.indexOf(harms ?? TOPICS[topic])
  const best = new Map<Topic, Finding>()
  for (const f of findings) {
    const there = best.get(f.topic)
    if (!there || rank(f) < rank(there)) best.set(f.topic, f)
  }
  return [...best.values()]
    .sort((a, b) => rank(a) - rank(b))
    .map((f) => (REMEDIES[f.topic] ? { ...f, remedies: REMEDIES[f.topic] } : f))
}
