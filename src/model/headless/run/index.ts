import type { z } from 'zod'
import type { Outcome } from '../../../core/outcome'
import { CASES, type CaseName, type CaseOf } from '../cases'
import type { RowsAtHand } from '../tablesOfCase'
import { runBatch } from './batch'
import { runDose } from './dose'
import { runEvaluate } from './evaluate'
import { runFeed } from './feed'
import { runFind } from './find'
import { runRaise } from './raise'
import { runRotate } from './rotate'
import { runTreat } from './treat'
import { runVolume } from './volume'
import { runWater } from './water'

const RUN: { [N in CaseName]: (c: CaseOf<N>, rows: RowsAtHand) => Outcome<object> } = {
  evaluate: runEvaluate,
  find: runFind,
  dose: runDose,
  batch: runBatch,
  volume: runVolume,
  water: runWater,
  feed: runFeed,
  treat: runTreat,
  raise: runRaise,
  rotate: runRotate,
}

/** What came of a case: an answer, a problem of the garden's kind, or a case that does not fit its schema. */
export type CaseOutcome = Outcome<object> | { ok: false; misfit: { where: string; message: string } }

export const isCaseName = (name: string): name is CaseName => Object.hasOwn(CASES, name)

/** The issue worth telling first: the deepest of a union's, for its own "invalid input" says nothing. */
function first(
  issues: readonly z.core.$ZodIssue[],
  path: PropertyKey[] = [],
): { where: string; message: string } {
  const issue = issues[0]!
  const where = [...path, ...issue.path]
  if (issue.code === 'invalid_union' && issue.errors.length > 0) {
    const deepest = issue.errors.reduce((a, b) => (depth(b) > depth(a) ? b : a))
    if (deepest.length > 0) return first(deepest, where)
  }
  return { where: where.map(String).join('.') || '(the whole case)', message: issue.message }
}
const depth = (issues: readonly z.core.$ZodIssue[]) => Math.max(0, ...issues.map((i) => i.path.length))

/** Checks a case against its schema and works it out; a stream of cases hands on its own rows at hand. */
export function runCase(name: CaseName, input: unknown, rows: RowsAtHand = new Map()): CaseOutcome {
  const parsed = CASES[name].safeParse(input)
  if (!parsed.success) return { ok: false, misfit: first(parsed.error.issues) }
  return (RUN[name] as (c: unknown, rows: RowsAtHand) => Outcome<object>)(parsed.data, rows)
}
