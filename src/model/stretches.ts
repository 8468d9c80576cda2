/** Longest stretch of work before the page may draw again, ms. */
const STRETCH = 20

/** Lets the page draw, at once. */
export const drawn = () => new Promise<void>((done) => setTimeout(done))

/** Long work in stretches: what comes back is awaited after every piece, and lets the page draw when it is time. */
export function inStretches(longest = STRETCH): () => Promise<void> | undefined {
  let since = performance.now()
  const rest = async () => {
    await drawn()
    since = performance.now()
  }
  return () => (performance.now() - since < longest ? undefined : rest())
}
