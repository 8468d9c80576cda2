import type { Sentence } from './problems.en'

/** What is wrong with a number below zero in a field that must have one. */
export const BELOW_NOTHING: Sentence = { why: 'It cannot be less than 0.', fix: 'Type 0 or more.' }

/**
 * The same for a field that may stay empty: a price, a stock, an amount not known. Nothing where the number is sound.
 */
export const belowNothing = (x: number): Sentence | null =>
  x < 0 ? { ...BELOW_NOTHING, fix: 'Type 0 or more, or leave it empty.' } : null
