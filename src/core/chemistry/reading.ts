import { fail, succeed, type Outcome } from '../outcome'
import type { Days } from '../units'
import { acidityOn, type AcidityInput } from './acidity'
import type { BufferedMix } from './lime'
import { CHEMISTRY_LIMITS } from './limits'
import { JUDGED_AFTER, limeForTarget, type LimeAim } from './limeDose'

/** A pH that was read so many days after mixing. */
export interface PHReading {
  pH: number
  day: Days
}

const [LOWEST, HIGHEST] = [2.5, 9]

/**
 * The mix whose course passes through a reading: what it is made of has another pH of its own than the tables say,
 * with the same buffer.
 *
 * `input` is what works on it. Answer: the mix with its own pH moved; by bisection to 0.001. Range: readings of 2.5
 * to 9.
 * Errors: a reading out of range, or one that no pH of its own between those leads to.
 * Source: `acidityCourse` turned round; that the buffer stays as it was is our assumption.
 *
 * @example
 * mixAsRead({ pH: 4.2, bufferCapacity: 30 }, {}, { pH: 4.6, day: 1 }).value.pH // 4.6
 */
export function mixAsRead<M extends BufferedMix>(
  mix: M,
  input: AcidityInput,
  { pH, day }: PHReading,
): Outcome<M> {
  if (!(pH >= LOWEST && pH <= HIGHEST))
    return fail({ code: 'pH-out-of-range', value: pH, low: LOWEST, high: HIGHEST })
  const at = (own: number) => acidityOn({ ...mix, pH: own }, input, day).pH
  if (at(LOWEST) > pH || at(HIGHEST) < pH)
    return fail({ code: 'pH-out-of-range', value: pH, low: at(LOWEST), high: at(HIGHEST) })
  let [low, high]: [number, number] = [LOWEST, HIGHEST]
  while (high - low > 1e-3) {
    const middle = (low + high) / 2
    if (at(middle) < pH) low = middle
    else high = middle
  }
  return succeed({ ...mix, pH: Number(((low + high) / 2).toFixed(3)) })
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
 * More lime for a batch that has been read, so that it comes to the target six weeks on: `given` is all that works on
 * it already, its lime included. A mix that will come within what a reading can tell gets none; one that is too high
 * gets none either, for lime never lowers pH.
 * Units: g per litre of mix. Errors: those of `mixAsRead` and `limeForTarget`. Source: as `mixAsRead`.
 *
 * @example
 * limeForReading(
 *   { pH: 4, bufferCapacity: 33 },
 *   { choice: [{ lime: LIMES[0], share: 1 }], target: 6 },
 *   {},
 *   { pH: 4, day: 0 },
 * ).ok // true
 */
export function limeForReading(
  mix: BufferedMix,
  { choice, target }: LimeAim,
  given: AcidityInput,
  reading: PHReading,
): Outcome<PHCorrection> {
  const expected = acidityOn(mix, given, reading.day).pH
  const asRead = mixAsRead(mix, given, reading)
  if (!asRead.ok) return asRead
  const days = JUDGED_AFTER + reading.day
  const goesTo = acidityOn(asRead.value, given, days).pH
  if (goesTo > target - READING_TELLS)
    return succeed({ expected, goesTo, limeGramsPerLitre: 0, withIt: goesTo })
  const plan = limeForTarget(asRead.value, { choice, target }, given, days)
  if (!plan.ok) return plan
  const { gramsPerLitre, pH } = plan.value
  return succeed({ expected, goesTo, limeGramsPerLitre: gramsPerLitre, withIt: pH }, ...plan.notes)
}
