import type { Evaluation } from '../evaluate'
import { verdictsOf } from '../judgement'
import type { Bands } from '../targets'

/** Draws a chance is counted over: the first of every run, so that the same mix has the same chance everywhere. */
export const CHANCE_DRAWS = 100

/** Figures that have a band; feed and lasting have none. */
const BANDED = ['air', 'water', 'pH', 'salts', 'days', 'weight'] as const

/**
 * Does every figure that has a band lie in it, as the bench sees it?
 * Errors: none. Source: verdicts as `verdictsOf`.
 */
export function meetsBands(e: Evaluation, bands: Bands): boolean {
  const verdicts = verdictsOf(e, bands, false)
  return BANDED.every((figure) => verdicts[figure] === 'good' || verdicts[figure] === 'plain')
}
