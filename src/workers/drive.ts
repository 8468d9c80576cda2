/** How a long run is steered from outside. */
export interface Steering<P> {
  onProgress?: (progress: P) => void
  /** Asked between steps. */
  isCancelled?: () => boolean
  /** Lets messages and paints through; called at most every `every` ms. */
  pause: () => Promise<void>
  now: () => number
  every?: number
}

/**
 * Runs a generator of progress to its end, pausing now and then so that a cancel can be heard. Null where it was
 * cancelled. Progress is reported at each pause, not at each step.
 */
export async function drive<P, R>(run: Generator<P, R>, steering: Steering<P>): Promise<R | null> {
  const { every = 25, now } = steering
  let last = now()
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
    if (now() - last < every) continue
    steering.onProgress?.(step.value)
    await steering.pause()
    if (steering.isCancelled?.()) {
      run.return(undefined as R)
      return null
    }
    last = now()
  }
}
