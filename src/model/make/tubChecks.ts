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

/** An acidifier every table has, for a mix that is too limy. */
const ACIDIFIER = 'sulfur_elemental'

/** The pH a job is limed to, or the middle of its target band. */
const targetOf = (job: Job, { pH }: Pick<Bands, 'pH'>) =>
  job.lime.mode === 'toTarget' ? job.lime.target : (pH.low + pH.high) / 2

/**
 * A pH read in a batch that gives so many litres: what it asks for. What was put in after earlier readings counts as
 * lime that is in it. Errors: those of `limeForReading` and `acidForTarget`.
 */
export function phCheck(
  { job, bands, evaluation, blendLitres, tables }: BatchInHand,
  reading: Pick<Reading, 'value' | 'day'>,
  corrections: readonly Pick<Correction, 'dressingId' | 'grams'>[] = [],
): Outcome<PHCheck> {
  const choice = limesByShare(job.lime.dolomiteShare, tables, job.lime.limeId)
  const added = corrections.flatMap(({ dressingId, grams }) => {
    const lime = choice.find((c) => c.lime.id === dressingId)?.lime
    return lime ? [{ lime, gramsPerLitre: grams / blendLitres }] : []
  })
  const given = {
    ...evaluation.given,
    limes: [...evaluation.lime.doses, ...(evaluation.given.limes ?? []), ...added],
  }
  const target = targetOf(job, bands)
  const read = { pH: reading.value, day: reading.day }
  const found = limeForReading(evaluation.blend, { choice, target }, given, read)
  if (!found.ok) return found
  const { expected, goesTo, limeGramsPerLitre, withIt } = found.value
  const main = choice.reduce((a, b) => (b.share > a.share ? b : a)).lime
  if (limeGramsPerLitre > 0)
    return succeed(
      {
        expected,
        goesTo,
        target,
        add: {
          dressingId: main.id,
          grams: limeGramsPerLitre * blendLitres,
          bulkDensity: main.bulkDensity.value,
        },
        withIt,
      },
      ...found.notes,
    )
  const plain = succeed({ expected, goesTo, target, add: null, withIt: goesTo }, ...found.notes)
  const sulfur = dressingIn(tables, ACIDIFIER)
  if (goesTo <= bands.pH.high + READING_TELLS || !sulfur) return plain
  const asRead = mixAsRead(evaluation.blend, given, read)
  if (!asRead.ok) return asRead
  const acid = acidForTarget(
    asRead.value,
    { dressing: sulfur, target: bands.pH.high },
    2 * JUDGED_AFTER + reading.day,
    given,
  )
  if (!acid.ok) return plain
  return succeed(
    {
      expected,
      goesTo,
      target,
      add: {
        dressingId: ACIDIFIER,
        grams: acid.value.gramsPerLitre * blendLitres,
        bulkDensity: sulfur.bulkDensity.value,
      },
      withIt: acid.value.pH,
    },
    ...acid.notes,
  )
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
