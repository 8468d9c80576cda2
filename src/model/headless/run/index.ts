import type { z } from 'zod'
import type { Outcome } from '../../../core/outcome'
import { misfitIn, type Misfit } from '../../garden/schemas/misfit'
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
export type CaseOutcome = Outcome<object> | { ok: false; misfit: CaseMisfit }

/** The field of a case that does not fit, and why: a misfit of its own kind, or words of the schema. */
export interface CaseMisfit {
  where: string
  why: Misfit | { code: 'fault'; words: string }
}

export const isCaseName = (name: string): name is CaseName => Object.hasOwn(CASES, name)

function said(given: unknown, issues: readonly z.core.$ZodIssue[]): CaseMisfit {
  const { path, misfit } = misfitIn(given, issues)
  const [{ code, message }] = issues as [z.core.$ZodIssue]
  // What our own schemas refuse, two fields against each other, has a sentence there.
  return {
    where: path.join('.') || '(the whole case)',
    why: code === 'custom' ? { code: 'fault', words: message } : misfit,
  }
}

/** Checks a case against its schema and works it out; a stream of cases hands on its own rows at hand. */
export function runCase(name: CaseName, input: unknown, rows: RowsAtHand = new Map()): CaseOutcome {
  const parsed = CASES[name].safeParse(input)
  if (!parsed.success) return { ok: false, misfit: said(input, parsed.error.issues) }
  return (RUN[name] as (c: unknown, rows: RowsAtHand) => Outcome<object>)(parsed.data, rows)
}
