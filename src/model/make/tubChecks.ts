import type { Tables } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import { acidForTarget, JUDGED_AFTER, limeForReading, mixAsRead, READING_TELLS } from '@/core/chemistry'
import type { Evaluation } from '@/core/evaluate'
import { convertExtract } from '@/core/nutrients'
import { succeed, type Outcome } from '@/core/outcome'
import type { Bands } from '@/core/targets'
import type { Correction, Job, Reading } from '../garden/schemas'
import { limesByShare } from '../mix/prepareRecipe'

/** What a pH read at the tub says and asks for. */
export interface PHCheck {
  /** What was to be expected of it on that day. */
  expected: number
  /** Where the batch goes to by itself, six weeks on. */
  goesTo: number
  target: number
  /** What to stir in, grams for the batch, and its bulk density, g/mL; null where nothing is. */
  add: { dressingId: string; grams: number; bulkDensity: number } | null
  /** Nothing that can be stirred in helps; what then. */
  stuck: 'too-limy' | 'too-acid' | null
  /** Days until it is worth reading again. */
  again: number
  /** Where it goes to with that. */
  withIt: number
}

/** A batch that is read: the job and what it is judged by, how it was worked out, litres of mix. */
export interface BatchInHand {
  job: Job
  bands: Pick<Bands, 'pH'>
  evaluation: Evaluation
  blendLitres: number
  tables: Tables
}

/** Days after which lime, and sulfur, show on a meter what they will do. Source: common practice. */
const LIME_AGAIN = 14
const SULFUR_AGAIN = 42

/** An acidifier every table has, for a mix that is too limy. */
const ACIDIFIER = 'sulfur_elemental'

/** The pH a job is limed to, or the middle of its target band. */
const targetOf = (job: Job, { pH }: Pick<Bands, 'pH'>) =>
  job.lime.mode === 'toTarget' ? job.lime.target : (pH.low + pH.high) / 2

/**
 * One pH or several read in a batch since anything was put in: what they ask for. The last says when. What was put in
 * after earlier readings counts as lime that is in it. Errors: those of `limeForReading` and `acidForTarget`.
 */
export function phCheck(
  batch: BatchInHand,
  readings: readonly Pick<Reading, 'value' | 'day'>[],
  corrections: readonly Pick<Correction, 'dressingId' | 'grams'>[] = [],
): Outcome<PHCheck> {
  const { job, bands, evaluation, blendLitres, tables } = batch
  const choice = limesByShare(job.lime.dolomiteShare, tables, job.lime.limeId)
  const given = givenIn(batch, choice, corrections)
  const target = targetOf(job, bands)
  const read = readings.map(({ value, day }) => ({ pH: value, day }))
  const found = limeForReading(evaluation.blend, { choice, target }, given, read)
  if (!found.ok) return found
  const { expected, goesTo, limeGramsPerLitre, withIt } = found.value
  if (limeGramsPerLitre > 0) {
    const main = choice.reduce((a, b) => (b.share > a.share ? b : a)).lime
    const grams = limeGramsPerLitre * blendLitres
    const add = { dressingId: main.id, grams, bulkDensity: main.bulkDensity.value }
    const stuck = withIt < bands.pH.low - READING_TELLS ? ('too-acid' as const) : null
    return succeed({ expected, goesTo, target, add, stuck, again: LIME_AGAIN, withIt }, ...found.notes)
  }
  const none: PHCheck = {
    expected,
    goesTo,
    target,
    add: null,
    stuck: null,
    again: LIME_AGAIN,
    withIt: goesTo,
  }
  if (goesTo <= bands.pH.high + READING_TELLS) return succeed(none, ...found.notes)
  return acidified(batch, given, read, none) ?? succeed({ ...none, stuck: 'too-limy' }, ...found.notes)
}

/** What works on a batch: what it was made with, and the lime put in after earlier readings. */
function givenIn(
  { evaluation: { given, lime }, blendLitres }: BatchInHand,
  choice: ReturnType<typeof limesByShare>,
  corrections: readonly Pick<Correction, 'dressingId' | 'grams'>[],
) {
  const added = corrections.flatMap(({ dressingId, grams }) => {
    const one = choice.find((c) => c.lime.id === dressingId)?.lime
    return one ? [{ lime: one, gramsPerLitre: grams / blendLitres }] : []
  })
  return { ...given, limes: [...lime.doses, ...(given.limes ?? []), ...added] }
}

/** The acidifier that brings a mix that is too limy down; null where there is none or it does not reach. */
function acidified(
  { bands, evaluation, blendLitres, tables }: BatchInHand,
  given: ReturnType<typeof givenIn>,
  read: readonly { pH: number; day: number }[],
  none: PHCheck,
): Outcome<PHCheck> | null {
  const sulfur = dressingIn(tables, ACIDIFIER)
  if (!sulfur) return null
  const asRead = mixAsRead(evaluation.blend, given, read)
  if (!asRead.ok) return asRead
  const aim = { dressing: sulfur, target: bands.pH.high }
  const days = 2 * JUDGED_AFTER + read.at(-1)!.day
  const acid = acidForTarget(asRead.value.mix, aim, days, asRead.value.input)
  if (!acid.ok) return null
  const grams = acid.value.gramsPerLitre * blendLitres
  const add = { dressingId: ACIDIFIER, grams, bulkDensity: sulfur.bulkDensity.value }
  return succeed({ ...none, add, again: SULFUR_AGAIN, withIt: acid.value.pH }, ...acid.notes)
}

/** What a reading of salts says: dS/m of one part of mix to two of water, by volume. */
export interface SaltCheck {
  expected: number
  /** The most the crop takes, by the same extract; null where it is held to none. */
  most: number | null
  isTooMuch: boolean
}

/** Salts read in a batch beside what was to be expected and what the crop takes. dS/m, 1:2. */
export function saltCheck(
  bands: Pick<Bands, 'electricalConductivity'>,
  evaluation: Evaluation,
  value: number,
): SaltCheck {
  const high = bands.electricalConductivity?.high
  const most = high === undefined ? null : convertExtract(high, 'saturatedExtract', 'oneToTwo')
  return {
    expected: evaluation.salts.mix.electricalConductivity.oneToTwo,
    most,
    isTooMuch: most !== null && value > most,
  }
}
