/**
 * The answer of a run that yields its progress, taken to its end in one go.
 *
 * @example
 * toEnd([7].values()) // undefined
 */
export function toEnd<P, R>(run: Iterator<P, R>): R {
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}
