import type { Learning } from './learned'
import type { Dressing, Material } from './types'

/**
 * The rows a question is worked out with, beside those published with the app: what a grower has added, and rows that
 * readings have changed, which go before their published selves. A value: made once for a garden, part of the
 * question, cloned to workers. The published rows are constants of the code and need not travel.
 */
export interface Tables {
  materials: readonly Material[]
  dressings: readonly Dressing[]
  /** What readings have taught of all of them together, for drawing ranges. */
  learning: Learning | null
}

/** The published rows alone. */
export const PUBLISHED: Tables = { materials: [], dressings: [], learning: null }

/** Is it the id of a row that a grower has added? Those published have no colon. */
export const isOwn = (id: string): boolean => id.startsWith('own:')
