import { choleskyOf, solveBy } from './cholesky'
import { dot } from './law'

/**
 * Readings against the tables and each other: residuals from the tables' own values, slopes of each reading on each
 * deviate, errors of readings (`noise`), all in the terms of `ERRORS`.
 */
export interface ReadAgainst {
  residual: readonly number[]
  slopes: readonly (readonly number[])[]
  noise: readonly (readonly number[])[]
  /** Readings that count whatever they say. */
  trusted: readonly boolean[]
}

/** Why nothing is learned from a reading: the tables cannot explain it, or the other readings contradict it. */
export type WhyOdd = 'tables' | 'others'

export interface Robust {
  /** Of each reading: null where it counts. */
  odd: (WhyOdd | null)[]
  /** Times the tables' own spread that the readings speak for, 1 or more. */
  spread: number
  /** Errors of the readings that count, each larger the less it agrees with the rest. */
  noise: number[][]
}

/** Beyond so many deviations a reading is questioned. Source: our assumption; one sound reading in 370. */
const ODD = 3
/**
 * Degrees of freedom of Student's law for errors of readings: a reading t deviations off what the rest predicts counts
 * (v + 1) / (v + t2) as much, never more than in full. Source: Lange, Little & Taylor 1989, J. Am. Stat. Assoc. 84:881,
 * where 4 is usual; from memory.
 */
const DEGREES = 4
/**
 * The tables' spread may truly be wider: likeliest as they say, one deviation of its logarithm so much. Never narrower.
 * Source: our assumption.
 */
const WIDER = 0.45
/**
 * A range too narrow misleads more than one too wide: the spread is taken so much farther than it is likeliest, less
 * where readings are few and say little of it: n of n + 2.
 */
const PRUDENT = { times: 2, few: 2 }
const SPREADS = Array.from({ length: 31 }, (_, i) => 1 + 0.05 * i)

const only = <T>(list: readonly T[], at: readonly number[]): T[] => at.map((i) => list[i]!)

/** Residuals with what tables and hand leave open of each pair of them. */
interface Spreads extends Pick<ReadAgainst, 'residual' | 'noise'> {
  /** J J'. */
  tables: readonly (readonly number[])[]
}

/** `s2 J J' + N` of the readings at these places. */
const coverOf = ({ tables, noise }: Spreads, at: readonly number[], spread: number): number[][] =>
  at.map((i) => at.map((j) => spread ** 2 * tables[i]![j]! + noise[i]![j]!))

/** How far each reading lies from what the tables and all the others predict of it, in deviations. */
function apart(of: Spreads, at: readonly number[], spread: number): number[] {
  const root = choleskyOf(coverOf(of, at, spread))
  const solved = solveBy(root, only(of.residual, at))
  return at.map((_, k) => {
    const unit = at.map((__, j) => (j === k ? 1 : 0))
    return solved[k]! / Math.sqrt(solveBy(root, unit)[k]!)
  })
}

/** The spread that makes these readings likeliest, with what is assumed of it before. */
function likeliestSpread(of: Spreads, at: readonly number[]): number {
  const residual = only(of.residual, at)
  const score = (spread: number) => {
    const root = choleskyOf(coverOf(of, at, spread))
    const chi2 = dot(residual, solveBy(root, residual))
    const volume = root.reduce((sum, line, i) => sum + Math.log(line[i]!), 0)
    const before = (Math.log(spread) / WIDER) ** 2 / 2
    return -chi2 / 2 - volume - before
  }
  return SPREADS.reduce((best, s) => (score(s) > score(best) ? s : best), 1)
}

/**
 * Which readings to learn from, and how far to trust them and the tables. The reading that agrees least with the
 * tables and all the others is left out until none is off by more than three deviations; of the rest each counts less
 * the farther off it is; and where they stray more than the tables say, the tables are given a wider spread.
 * Errors: none; no readings give a spread of 1.
 * Source: leave-one-out residuals (Rasmussen & Williams 2006, eq. 5.12); Student's law by reweighting; spread by
 * marginal likelihood.
 *
 * @example
 * robustly({ residual: [0], slopes: [[1]], noise: [[1]], trusted: [false] }).odd // [null]
 */
export function robustly({ residual, slopes, noise, trusted }: ReadAgainst): Robust {
  const tables = slopes.map((a) => slopes.map((b) => dot(a, b)))
  const of = { residual, noise, tables }
  const odd = residual.map((): WhyOdd | null => null)
  const counted = () => [...odd.keys()].filter((i) => odd[i] === null)
  for (let at = counted(); at.length > 0; at = counted()) {
    const off = apart(of, at, 1).map((x, k) => (trusted[at[k]!] ? 0 : Math.abs(x)))
    const worst = off.indexOf(Math.max(...off))
    if (off[worst]! <= ODD) break
    const i = at[worst]!
    const alone = residual[i]! / Math.sqrt(tables[i]![i]! + noise[i]![i]!)
    odd[i] = Math.abs(alone) > ODD ? 'tables' : 'others'
  }
  const at = counted()
  if (at.length === 0) return { odd, spread: 1, noise: [] }
  const farther = (PRUDENT.times * at.length) / (at.length + PRUDENT.few)
  const spread = 1 + farther * (likeliestSpread(of, at) - 1)
  const errorOf = apart(of, at, spread).map((off, k) =>
    trusted[at[k]!] ? 1 : Math.max(1, (DEGREES + off ** 2) / (DEGREES + 1)),
  )
  return {
    odd,
    spread,
    noise: at.map((i, k) => at.map((j, l) => noise[i]![j]! * (k === l ? errorOf[k]! : 1))),
  }
}
