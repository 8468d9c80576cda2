import { fail, succeed, type Outcome } from '../outcome'
import type { Days } from '../units'
import { acidityOn } from './acidity'
import type { AcidityInput } from './acidityState'
import type { BufferedMix } from './lime'
import { CHEMISTRY_LIMITS } from './limits'
import { JUDGED_AFTER, limeForTarget, type LimeAim } from './limeDose'

/** A pH that was read so many days after mixing. */
export interface PHReading {
  pH: number
  day: Days
}

const [LOWEST, HIGHEST] = [2.5, 9]
const NEAR = 1e-3

/** A mix and what works on it, as its readings show them. */
export interface AsRead<M> {
  mix: M
  input: AcidityInput
}

/** Where a rising function is zero between two numbers; the nearer end where it is not. */
function crossing(of: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to]
  if (of(low) >= 0) return low
  if (of(high) <= 0) return high
  while (high - low > NEAR) {
    const middle = (low + high) / 2
    if (of(middle) < 0) low = middle
    else high = middle
  }
  return Number(((low + high) / 2).toFixed(3))
}

/** The same limes and acids, only so much of them at work. */
const atWork = (input: AcidityInput, limes: number, acids: number): AcidityInput => ({
  ...input,
  limes: input.limes?.map((d) => ({ ...d, gramsPerLitre: d.gramsPerLitre * limes })),
  acids: input.acids?.map((d) => ({ ...d, gramsPerLitre: d.gramsPerLitre * acids })),
})

/**
 * The mix whose course passes through what was read, one reading or the middle of several: first what it is made of has
 * another pH of its own than the tables say, with the same buffer. Where no such pH leads there, less of its lime has
 * worked than was given (coarse, damp, badly spread), or less of its acid.
 *
 * `input` is what works on it. By bisection to 0.001. Range: readings of 2.5 to 9, days of 0 and up; each gets an
 * answer, the nearest there is where no course passes through it.
 * Errors: a reading out of range. Source: `acidityCourse` turned round; that the buffer stays is our assumption.
 *
 * @example
 * mixAsRead({ pH: 4.2, bufferCapacity: 30 }, {}, [{ pH: 4.6, day: 1 }]).value.mix.pH // 4.6
 */
export function mixAsRead<M extends BufferedMix>(
  mix: M,
  input: AcidityInput,
  readings: readonly PHReading[],
): Outcome<AsRead<M>> {
  for (const { pH } of readings)
    if (!(pH >= LOWEST && pH <= HIGHEST))
      return fail({ code: 'pH-out-of-range', value: pH, low: LOWEST, high: HIGHEST })
  /** How much higher the readings are to be expected than they were, all of them together. */
  const over = (own: number, of: AcidityInput) =>
    readings.reduce((sum, { pH, day }) => sum + acidityOn({ ...mix, pH: own }, of, day).pH - pH, 0)
  const ownIn = (of: AcidityInput) => crossing((own) => over(own, of), LOWEST, HIGHEST)
  const found = (own: number, of: AcidityInput) => succeed({ mix: { ...mix, pH: own }, input: of })
  if (over(LOWEST, input) > 0 && (input.limes?.length ?? 0) > 0) {
    if (over(mix.pH, atWork(input, 0, 1)) > 0) return found(ownIn(atWork(input, 0, 1)), atWork(input, 0, 1))
    const share = crossing((limes) => over(mix.pH, atWork(input, limes, 1)), 0, 1)
    return found(mix.pH, atWork(input, share, 1))
  }
  if (over(HIGHEST, input) < 0 && (input.acids?.length ?? 0) > 0) {
    if (over(mix.pH, atWork(input, 1, 0)) < 0) return found(ownIn(atWork(input, 1, 0)), atWork(input, 1, 0))
    const left = crossing((less) => over(mix.pH, atWork(input, 1, 1 - less)), 0, 1)
    return found(mix.pH, atWork(input, 1, 1 - left))
  }
  return found(ownIn(input), input)
}

/** What a pH read in a batch asks for. */
export interface PHCorrection {
  /** What the tables had led to expect of the reading. */
  expected: number
  /** Where the mix goes to as it is, six weeks on. */
  goesTo: number
  /** More lime, g per litre of mix; 0 where none is wanted. */
  limeGramsPerLitre: number
  /** Where it goes to with that. */
  withIt: number
}

/** A meter and a sample tell no smaller difference. Source: our assumption, as `SPREAD.pH` of a reading. */
export const READING_TELLS = CHEMISTRY_LIMITS.readingTells.value

/**
 * More lime for a batch that has been read, once or several times since anything was put in, so that it comes to the
 * target six weeks on: `given` is all that works on it already, its lime included. A mix that will come within what a
 * reading can tell gets none; one that is too high gets none either, for lime never lowers pH.
 * Units: g per litre of mix. Errors: those of `mixAsRead` and `limeForTarget`. Source: as `mixAsRead`.
 *
 * @example
 * limeForReading(
 *   { pH: 4, bufferCapacity: 33 },
 *   { choice: [{ lime: LIMES[0], share: 1 }], target: 6 },
 *   {},
 *   [{ pH: 4, day: 0 }],
 * ).ok // true
 */
export function limeForReading(
  mix: BufferedMix,
  { choice, target }: LimeAim,
  given: AcidityInput,
  readings: readonly PHReading[],
): Outcome<PHCorrection> {
  const last = readings.at(-1)!.day
  const expected = acidityOn(mix, given, last).pH
  const found = mixAsRead(mix, given, readings)
  if (!found.ok) return found
  const asRead = found.value
  const days = JUDGED_AFTER + last
  const goesTo = acidityOn(asRead.mix, asRead.input, days).pH
  if (goesTo > target - READING_TELLS)
    return succeed({ expected, goesTo, limeGramsPerLitre: 0, withIt: goesTo })
  const plan = limeForTarget(asRead.mix, { choice, target }, asRead.input, days)
  if (!plan.ok) return plan
  const { gramsPerLitre, pH } = plan.value
  return succeed({ expected, goesTo, limeGramsPerLitre: gramsPerLitre, withIt: pH }, ...plan.notes)
}
