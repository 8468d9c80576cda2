/**
 * How many cases a random test tries. `npm test` tries an eighth; `npm run test:long` (LONG=1) all of them. Every run
 * begins at the same seed unless SEED names another; a failure prints the seed and the path that replay it.
 */
const env = (globalThis as { process?: { env: Record<string, string | undefined> } }).process?.env ?? {}
const SEED = Number(env.SEED ?? 20261124)
export const isLong = env.LONG === '1'

/** The cases of a long run, or an eighth of them and ten at the least. */
export const cases = (long: number): number =>
  isLong ? long : Math.min(long, Math.max(10, Math.ceil(long / 8)))

/** Parameters of a property test: so many cases in a long run. */
export const draws = (long = 200): { seed: number; numRuns: number } => ({ seed: SEED, numRuns: cases(long) })
