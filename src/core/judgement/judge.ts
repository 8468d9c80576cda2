import type { Judgement, JudgementQuestion } from './judgement'
import { RULES } from './rules'

/** The gravest first. */
const LEVELS: readonly Judgement['level'][] = ['alarm', 'warn', 'note']

/**
 * What stands out in a mix for its pot, crop and place, the gravest first: rules that read the numbers of the
 * evaluation and carry them. Fractions, cm, dS/m, mg/L, m/s, days. Errors: none. Source: beside each limit in
 * `JUDGEMENT_LIMITS`.
 */
export const judge = (question: JudgementQuestion): Judgement[] =>
  RULES.flatMap((rule) => rule(question)).sort((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level))

/**
 * What an answered warning is known by: its rule, and the thing it warns of where there can be several.
 *
 * @example
 * judgementKey({ code: 'salts-high', where: 'top' }) // 'salts-high top'
 */
export function judgementKey(j: Judgement): string {
  if (j.code === 'sand-lowers-air') return `${j.code} ${j.material}`
  if (j.code === 'dose-above-limit') return `${j.code} ${j.dressing}`
  if (j.code === 'doses-add-up') return `${j.code} ${j.of}`
  if (j.code === 'salts-high') return `${j.code} ${j.where}`
  return j.code
}

/**
 * How much is said against a mix: an alarm counts for three warnings, a note for nothing.
 * Range: 0, nothing said, and up. Source: our assumption.
 *
 * @example
 * severityOf([{ level: 'alarm' }, { level: 'warn' }, { level: 'note' }]) // 4
 */
export const severityOf = (judgements: readonly Judgement[]): number =>
  judgements.reduce((sum, { level }) => sum + (level === 'alarm' ? 3 : level === 'warn' ? 1 : 0), 0)
