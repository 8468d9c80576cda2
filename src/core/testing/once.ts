import type { Outcome } from '../outcome'

/**
 * A value that tests share, worked out by the first of them that asks. What is worked out while tests are collected
 * belongs to none of them: a mutant that spoils it would live.
 */
export function once<T>(make: () => T): () => T {
  let made: { value: T } | undefined
  return () => (made ??= { value: make() }).value
}

/** What an outcome that has to be good holds. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.problem.code)
  return outcome.value
}
