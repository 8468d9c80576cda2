import type { Learning } from './learned'
import type { Dressing, Material } from './types'

/** Rows beside the tables, each complete: what a grower has added, and rows that readings have changed. */
export interface OwnRows {
  materials: readonly Material[]
  dressings: readonly Dressing[]
  /** What readings have taught of all of them together, for drawing ranges. */
  learning?: Learning | null
}

const NONE: OwnRows = { materials: [], dressings: [] }
let kept = NONE

/**
 * The rows that `materialById`, `dressingById` and `limeById` of this thread look at before the tables, in place of
 * those kept before. A worker keeps those that come with the question.
 */
export function keepOwnRows(rows: OwnRows | undefined): void {
  kept = rows ?? NONE
}

/** The rows kept last. */
export const ownRows = (): OwnRows => kept

/** Is it the id of a row that a grower has added? Those of the tables have no colon. */
export const isOwn = (id: string): boolean => id.startsWith('own:')
