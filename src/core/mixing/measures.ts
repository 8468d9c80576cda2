/**
 * Parts and bucket measures as growers say them: wholes, halves, thirds and quarters. Counted in twelfths, so
 * that a third and a quarter add up exactly.
 */
export type Twelfths = number

export const STEPS = { whole: 12, half: 6, third: 4, quarter: 3 } as const
export type StepName = keyof typeof STEPS

const FRACTIONS: Record<number, string> = { 3: '¼', 4: '⅓', 6: '½', 8: '⅔', 9: '¾' }

/**
 * "2½", "⅓", "1⅚"… A twelfth nobody has a scoop for is written as a fraction, "5/12".
 *
 * @example
 * measureText(6) // '½'
 */
export function measureText(twelfths: Twelfths): string {
  const whole = Math.floor(twelfths / 12)
  const rest = twelfths - whole * 12
  if (rest === 0) return String(whole)
  const fraction = FRACTIONS[rest] ?? (rest % 2 === 0 ? `${rest / 2}/6` : `${rest}/12`)
  if (whole === 0) return fraction
  return fraction.length === 1 ? `${whole}${fraction}` : `${whole} ${fraction}`
}

/**
 * Is it a number of wholes plus a quarter, third, half, two thirds or three quarters?
 * Twelfths of a part, whole, of either sign.
 *
 * @example
 * isMeasurable(5) // false
 */
export const isMeasurable = (twelfths: Twelfths): boolean =>
  Number.isInteger(twelfths) && [0, 3, 4, 6, 8, 9].includes(((twelfths % 12) + 12) % 12)

/** What a bucket is filled to, in twelfths. */
const MEASURABLE = [0, 3, 4, 6, 8, 9, 12]

/**
 * Nearest measurable amount to any number of twelfths, ties upward.
 * Twelfths of a part, whole. Range: 0 and up.
 *
 * @example
 * nearestMeasure(7.4) // 8
 */
export function nearestMeasure(twelfths: number): Twelfths {
  const whole = Math.floor(twelfths / 12) * 12
  const rest = twelfths - whole
  let best = 0
  for (const step of MEASURABLE) if (Math.abs(step - rest) <= Math.abs(best - rest)) best = step
  return whole + best
}
