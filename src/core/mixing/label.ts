import { fail, succeed, type Outcome } from '../outcome'
import type { Fraction } from '../units'

/** What a bag's list of ingredients says of their shares. */
export interface LabelShares {
  /** The mean of all mixes that fit the list, in its order; sums to 1. */
  middle: Fraction[]
  /** Mixes at the corners of what the list leaves open, one where it leaves nothing open. */
  corners: Fraction[][]
}

/** Labels round: shares that add up to within this of the whole are taken as the whole. */
const ROUNDED = 0.02

/**
 * Shares of a bagged mix from its label: ingredients in falling order, some with a share, most without (null).
 *
 * Those with a share are taken at it. The n others share what is left, R, each no more than the one before:
 *
 *   mean of the k-th   R / n * sum over j = k .. n of 1 / j
 *   corners            R shared evenly among the first k, k = 1 .. n
 *
 * Fractions 0 to 1. Errors: no ingredients; a share outside 0 to 1; shares above the whole; all given and short of
 * the whole, or nothing left for those without. Source: mean lengths of a stick broken at random, in order
 * (Whitworth, Choice and Chance).
 *
 * @example
 * labelShares([null]) // { ok: true, value: { middle: [1], corners: [[1]] }, notes: [] }
 */
export function labelShares(given: readonly (Fraction | null)[]): Outcome<LabelShares> {
  if (given.length === 0) return fail({ code: 'no-parts' })
  for (const share of given)
    if (share !== null && !(share > 0 && share <= 1))
      return fail({ code: 'value-out-of-range', field: 'share', value: share, low: 0, high: 1 })
  const said = given.reduce<number>((sum, share) => sum + (share ?? 0), 0)
  const open = given.filter((share) => share === null).length
  const left = 1 - said
  const wrong = open === 0 ? Math.abs(left) > ROUNDED : left <= 0
  if (wrong) return fail({ code: 'shares-do-not-add-up', sum: said, open })
  const fill = (of: (k: number) => Fraction) => {
    let k = 0
    return given.map((share) => share ?? of(k++))
  }
  if (open === 0) {
    const whole = given.map((share) => share! / said)
    return succeed({ middle: whole, corners: [whole] })
  }
  const mean = (k: number) => {
    let sum = 0
    for (let j = k + 1; j <= open; j++) sum += 1 / j
    return (left * sum) / open
  }
  return succeed({
    middle: fill(mean),
    corners: Array.from({ length: open }, (_, last) => fill((k) => (k <= last ? left / (last + 1) : 0))),
  })
}
