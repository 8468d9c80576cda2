import type { LearnedFigures } from '@/core/data/learned'
import type { Evaluation } from '@/core/evaluate'
import type { SeasonState } from '@/core/structure'
import { tablesOf } from '../garden/tables'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import type { FinderProblem } from '@/core/finder'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { oldMixFigures, seasonsOf } from '@/core/structure'
import { yearMean } from '@/core/growing'
import { leavesGraver, outweighs } from '@/core/appraisal'
import { withFeed } from '../mix/withFeed'
import type { FindRequest, FoundMixes } from '../find/findMixes'
import { finderProblem } from '../find/finderProblem'
import { finderShelf } from '../find/materialsFrom'
import { afterFinding } from '../find/nextMoves'
import { entriesOf, placeOf, testsOf, type Garden } from '../garden/garden'
import { nextYearsJob, startingOwnMaterial } from '../garden/starting'
import type { Job, MixRecord, OwnMaterialRecord } from '../garden/schemas'
import { questionOfRecord } from '../learn/batches'
import { evaluatePrepared, prepare } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'
import { dosePrices } from '../mix/doseCost'
import { litresInBeds } from './correction'
import { expectedOn } from './log'
import { readingsOf } from './readings'

/** What must be known before a mix is used again. */
export interface ReuseAnswers {
  /** A disease that stays in the mix: wilts, clubroot, root rot, nematodes. */
  diseased: boolean
  /** Leaves that a weedkiller twisted. */
  weedkiller: boolean
  /** Paint, ash of treated wood, or soil of a place where lead may be. */
  tainted: boolean
}
export type ReuseVerdict = 'never' | 'otherFamily' | 'yes'

/** Whether a mix may be used again: never, for another family of plants alone, or yes. */
export const reuseVerdict = ({ diseased, weedkiller, tainted }: ReuseAnswers): ReuseVerdict =>
  weedkiller || tainted ? 'never' : diseased ? 'otherFamily' : 'yes'

/** An old mix as it is now, and what it becomes on the shelf. */
export interface OldMix {
  material: OwnMaterialRecord
  /** Litres that are left, loosened. */
  litres: number
  years: number
  airWas: number
  airNow: number
  /** cm; as read where somebody measured. */
  sunk: { value: number; isRead: boolean }
  pH: { value: number; isRead: boolean }
  salts: { value: number; isRead: boolean }
  /** mg per litre it still gives in its next season. */
  nitrogen: number
  /** Undissolved lime, g of pure calcium carbonate per litre. */
  limeLeft: number
}

/** A reading older than this no longer says how it ends, days. */
const LATE = 120
/** mmol of charge in a gram of calcium carbonate. */
const CHARGE_PER_GRAM = 20

export const oldMixId = (recordId: string) => `own:old-${recordId}`

/**
 * A recorded mix as it is now: rotted by its years at its place, its last readings first. Errors: those of preparing
 * and evaluating it; a record that is not a day old.
 */
export function oldMixOf(garden: Garden, job: Job, record: MixRecord, now: string): Outcome<OldMix> {
  const prepared = prepare(questionOfRecord(garden, record, job))
  if (!prepared.ok) return prepared
  const answer = evaluatePrepared(prepared.value)
  if (!answer.ok) return answer
  const e = answer.value
  const { input } = prepared.value
  const days = differenceInCalendarDays(parseISO(now), parseISO(record.madeOn))
  if (!(days > 0)) return fail({ code: 'size-not-positive', field: 'age', value: days })
  const years = days / 365
  const temperature = yearMean(input.temperature ?? 20)
  const floor = e.profile.layers.length > 1 ? e.fill.mixHeight - e.mixDepth : 0
  const aged = seasonsOf(input.container, input.parts, temperature, { floor, years: [years] })
  if (!aged.ok) return aged
  const state = aged.value[0]!
  const { pH, salts, sunk } = knownOf(e, state, lastOf(garden, job, now), days)
  const figures = oldMixFigures(input.parts, years, temperature, { pH, salts })
  if (!figures.ok) return figures
  const lost = sunk.isRead ? Math.min(0.9, sunk.value / Math.max(1, e.mixDepth)) : state.volumeLost
  return succeed({
    material: materialOf(record, figures.value, { pH: pH.value, salts: salts.value, now }),
    litres: litresInBeds(garden, job) * (1 - lost),
    years,
    airWas: e.mix.airFilledPorosity,
    airNow: state.airFilledPorosity,
    sunk,
    pH,
    salts,
    nitrogen: figures.value.properties.find((p) => p.name === 'nitrogenFirstSeason')?.value ?? 0,
    limeLeft: (e.acidity.at(-1)?.residual ?? 0) / CHARGE_PER_GRAM,
  })
}

/** The last reading of a kind, where it is not too old to say how it ends. */
type Last = (kind: 'pH' | 'salts' | 'sunk') => number | null
function lastOf(garden: Garden, job: Job, now: string): Last {
  const noted = {
    entries: entriesOf(garden, job.id),
    tests: testsOf(garden).filter((t) => t.jobId === job.id),
  }
  return (kind) => {
    const read = readingsOf(kind, noted).at(-1)
    return read && differenceInCalendarDays(parseISO(now), parseISO(read.at)) <= LATE ? read.value : null
  }
}

/** What was read last; where nothing was, the end of the course. */
function knownOf(e: Evaluation, state: SeasonState, last: Last, days: number) {
  const fresh = e.salts.mix.electricalConductivity.saturatedExtract
  const { course } = e.salts
  const known = (read: number | null, course: number) => ({ value: read ?? course, isRead: read !== null })
  return {
    pH: known(last('pH'), expectedOn(e, 'pH', days) ?? e.lime.pH),
    salts: known(last('salts'), course.at(-1)?.saturatedExtract ?? fresh),
    sunk: known(last('sunk'), state.slump),
  }
}

const materialOf = (
  record: MixRecord,
  { properties, sizeShares }: LearnedFigures,
  { pH, salts, now }: { pH: number; salts: number; now: string },
): OwnMaterialRecord => ({
  ...startingOwnMaterial(oldMixId(record.id), now),
  name: `Old mix of ${record.jobName}`.slice(0, 120),
  family: 'mix',
  likeId: 'potting_mix_recycled',
  pH,
  salts,
  madeOf: record.id,
  figures: properties.map((p) => ({
    name: p.name,
    low: short(p.low),
    value: short(p.value),
    high: short(p.high),
  })),
  sizeShares: (sizeShares ?? []).map(short),
  note: `${record.measured.map((m) => m.materialName).join(', ')}; mixed on ${record.madeOn}.`,
})
const short = (x: number) => Number(x.toPrecision(5))

/** A found mix with this share of the old in it comes before the others. */
const MOSTLY_OLD = 0.5
/** Parts in all, and materials, that freshening may take. */
const FRESHEN = { maxParts: 8, maxMaterials: 4 }

/** Next year's job in the same beds, with the old mix alone in it to begin with. */
export const freshenedJob = (
  job: Job,
  oldId: string,
  { id, createdAt, cropId }: Pick<Job, 'id' | 'createdAt' | 'cropId'>,
): Job => ({
  ...nextYearsJob(job, id, createdAt),
  cropId,
  companionIds: [],
  parts: [{ materialId: oldId, twelfths: 12 }],
  mixes: [],
  dressings: [],
  versions: [],
  lime: { ...job.lime, mode: 'toTarget' },
})

/**
 * What to add to an old mix so that it meets the targets of the next crop: a question for the finder, the old
 * mix always in it. `next` is the job it is for; the old mix is on the shelf. Errors: those of the finder's shelf.
 */
export function freshenRequest(garden: Garden, next: Job, oldId: string): Outcome<FindRequest> {
  const onShelf = finderShelf(garden, next, 'shelf')
  const shelf = onShelf.ok && onShelf.value.length > 2 ? onShelf : finderShelf(garden, next, 'all')
  if (!shelf.ok) return shelf
  const question = questionOfJob(
    { ...next, ...afterFinding(next, { parts: [] }) },
    placeOf(garden),
    tablesOf(garden),
  )
  const problem: Outcome<FinderProblem> = finderProblem(question, shelf.value, {
    rules: { mustUse: [oldId], ...FRESHEN, oneGrade: true },
    volume: null,
    easyWater: null,
  })
  return problem.ok
    ? { ...problem, value: { problem: problem.value, question, prices: dosePrices(garden) } }
    : problem
}

/**
 * What may be made of an old mix: the found mixes that leave nothing graver than the old mix with feed alone would,
 * those that are half of it first. Nothing where the old mix cannot be worked out.
 */
export function freshenOffers(
  { found }: Pick<FoundMixes, 'found'>,
  { question }: FindRequest,
  oldId: string,
) {
  const recipe = { ...question.recipe, lines: [{ id: oldId, parts: 1 }], mixes: [] }
  const old = withFeed({ ...question, recipe })?.findings
  if (!old) return []
  const isFine = ({ look }: FoundMixes['found'][number]) =>
    look !== null && (!leavesGraver(old, look.findings) || outweighs(old, look.findings))
  return freshest(found.filter(isFine), oldId)
}

/** The found mixes with most of the old in them, best first: those that are half of it come before the others. */
export function freshest<F extends { candidate: { parts: readonly { id: string; parts: number }[] } }>(
  found: readonly F[],
  oldId: string,
): F[] {
  const share = ({ candidate: { parts } }: F) => {
    const all = parts.reduce((s, p) => s + p.parts, 0)
    return (parts.find((p) => p.id === oldId)?.parts ?? 0) / all
  }
  const mostlyOld = (f: F) => share(f) >= MOSTLY_OLD
  return [...found.filter(mostlyOld), ...found.filter((f) => !mostlyOld(f))]
}
