import { countProblem } from '@/core/amounts'
import type { Tables } from '@/core/data'
import { exactly, isByMark, planBatches, TURN_FRACTION, type BatchPlan } from '@/core/batch'
import type { Evaluation } from '@/core/evaluate'
import type { MixNeeded } from '@/core/filling'
import { fail, succeed, type Outcome } from '@/core/outcome'
import type { Problem } from '@/core/problems'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { InnerMix, Job, Part } from '../garden/schemas'
import { answer, evaluatePrepared, type PreparedMix } from '../mix/prepare'
import { flatOf } from '../mix/prepareRecipe'
import { finishedMixes, linesOf } from '../mix/questionOfJob'
import { besideMix } from './besideMix'
import { PLAN_LIMITS } from './limits'

/** A finished mix that is made before the mix it goes into. */
export interface MadeFirst {
  mix: InnerMix
  litres: number
  plan: BatchPlan
}

export interface Quantities {
  /** Finished mixes to make before anything else, in the order of the recipe. */
  first: MadeFirst[]
  /** What one container of each bed takes, in the order of the job. */
  needed: MixNeeded[]
  /** What lies under and on the mix, loose litres by material. */
  beside: ReadonlyMap<string, number>
  /** Mix in place in all containers, litres. */
  inPlace: number
  /** Blended mix to make, with what watering-in settles, litres. */
  toBlend: number
  plan: BatchPlan
  /** Lime to add to one litre of blend, g: what finished mixes bring is in them. */
  limeGramsPerLitre: number
  /** Lost in the last stirring, as a share of what is measured then. */
  lossHere: number
  /** The mix as it will be measured, rounding included. */
  asMeasured: Evaluation
  asWritten: Evaluation
  /** The rows it was worked out with. */
  tables: Tables
}

/** What is wrong with litres asked for whatever the containers take, if anything. */
export function amountProblem(litres: number): Problem | null {
  const limit = PLAN_LIMITS.amount.value
  if (!(litres > 0)) return { code: 'size-not-positive', field: 'wanted', value: litres }
  return litres > limit ? { code: 'size-too-large', field: 'wanted', value: litres, limit } : null
}

/** Mix a job asks for, settling counted in, litres; null while a bed or its number is wrong. */
export function mixWanted(job: Job, tables: Tables): number | null {
  if (job.amount !== null) return amountProblem(job.amount) ? null : job.amount
  let inPlace = 0
  for (const bed of job.fills) {
    const one = mixNeededFor(bed, tables)
    if (!one.ok || countProblem(bed.count)) return null
    inPlace += one.value.net * bed.count
  }
  return inPlace * (1 + job.plan.settling)
}

/** What may be made where a little less than wanted is liked better. Source: our assumption, a twentieth either way. */
const A_LITTLE_LESS = { low: 0.95, high: 1 }

/**
 * Batches of some parts that give so many litres, or a little more; a little less where the grower would rather, as far
 * as whole measures allow it. Errors: those of `planBatches`.
 */
function batchesOf(
  parts: readonly Part[],
  blendingLoss: number,
  wanted: number,
  { bucket, scoop, vessel, rounding, wholeVessel }: Job['plan'],
) {
  const asked = parts.map((p) => ({ id: p.materialId, twelfths: p.twelfths }))
  const request = {
    parts: asked,
    blendingLoss,
    wanted,
    bucket,
    scoop,
    vessel,
    turnFraction: wholeVessel ? 1 : TURN_FRACTION,
  }
  const less = rounding === 'less' ? planBatches({ ...request, within: A_LITTLE_LESS }) : null
  if (less?.ok && !isByMark(less.value)) return less
  const plan = planBatches(request)
  return plan.ok && rounding === 'exact'
    ? succeed(exactly(plan.value, { parts: asked, wanted, blendingLoss }))
    : plan
}

/** Batches a job is made in; null where it cannot be planned. */
export function batchCount(job: Job, tables: Tables): number | null {
  const wanted = mixWanted(job, tables)
  const flat = flatOf(linesOf(job.parts), finishedMixes(job.mixes), tables)
  if (wanted === null || !flat.ok) return null
  const plan = batchesOf(job.parts, flat.value.lossHere, wanted, job.plan)
  return plan.ok ? plan.value.batches.length : null
}

/** Finished mixes that are made for the job, with their own batches. Errors: those of `flatOf` and `planBatches`. */
function madeFirst(job: Job, plan: BatchPlan, tables: Tables): Outcome<MadeFirst[]> {
  const first: MadeFirst[] = []
  for (const mix of job.mixes) {
    const total = plan.totals.find((t) => t.id === mix.id)
    if (mix.origin.kind !== 'made' || !total) continue
    const flat = flatOf(linesOf(mix.parts), [], tables)
    if (!flat.ok) return flat
    const own = batchesOf(mix.parts, flat.value.lossHere, total.litres, job.plan)
    if (!own.ok) return own
    first.push({ mix, litres: total.litres, plan: own.value })
  }
  return succeed(first)
}

/** The mix as a plan measures it, with the lime that was worked out for the mix as written. */
function evaluateMeasured({ question, lime }: PreparedMix, plan: BatchPlan): Outcome<Evaluation> {
  const { recipe } = question
  return answer({
    ...question,
    recipe: {
      ...recipe,
      lines: plan.totals.map((t) => ({ id: t.id, parts: t.litres })),
      lime: {
        ...recipe.lime,
        aim: { kind: 'dose', gramsPerLitre: lime.own.gramsPerLitre },
        dolomite: { kind: 'share', share: lime.own.dolomiteShare },
      },
    },
  })
}

/** What is measured for a job, and nothing of what becomes of it: enough for a list. */
export type Measures = Pick<Quantities, 'first' | 'beside' | 'plan' | 'toBlend'>

/** The batches of a job for so much mix, litres, and what goes with them. Errors: those of `planBatches`. */
export function measuresOf(job: Job, { flat, question }: PreparedMix, toBlend: number): Outcome<Measures> {
  const plan = batchesOf(job.parts, flat.lossHere, toBlend, job.plan)
  if (!plan.ok) return plan
  const first = madeFirst(job, plan.value, question.tables)
  if (!first.ok) return first
  const beside = besideMix(job, question.tables)
  return succeed({ first: first.value, beside, plan: plan.value, toBlend }, ...plan.notes)
}

/** What is wrong with the allowance or the amount of a job, if anything. */
function planProblem({ plan: { settling }, amount }: Job, inPlace: number): Problem | null {
  const limit = PLAN_LIMITS.settling.value
  if (!(settling >= 0)) return { code: 'amount-negative', field: 'settling', value: settling }
  if (settling > limit) return { code: 'size-too-large', field: 'settling', value: settling, limit }
  if (!(inPlace > 0)) return { code: 'size-not-positive', field: 'wanted', value: inPlace }
  return amount === null ? null : amountProblem(amount)
}

/**
 * From one container to all the buckets of a job. `prepared` and `written` are the job's mix where the
 * caller has them already. Litres.
 * Errors: those of `prepare`; a number of containers or a settling allowance that cannot be; those of `planBatches`.
 */
export function quantitiesOf(
  job: Job,
  prepared: Outcome<PreparedMix>,
  written: Outcome<Evaluation> = prepared.ok ? evaluatePrepared(prepared.value) : prepared,
): Outcome<Quantities> {
  if (!prepared.ok) return prepared
  if (!written.ok) return written
  const { tables } = prepared.value.question
  let inPlace = 0
  const needed: MixNeeded[] = []
  for (const bed of job.fills) {
    const wrong = countProblem(bed.count)
    if (wrong) return fail(wrong)
    const one = mixNeededFor(bed, tables)
    if (!one.ok) return one
    needed.push(one.value)
    inPlace += one.value.net * bed.count
  }
  const wrong = planProblem(job, inPlace)
  if (wrong) return fail(wrong)
  const measured = measuresOf(job, prepared.value, job.amount ?? inPlace * (1 + job.plan.settling))
  if (!measured.ok) return measured
  const { plan, toBlend } = measured.value
  const asMeasured = evaluateMeasured(prepared.value, plan)
  if (!asMeasured.ok) return asMeasured
  const loose = plan.totals.reduce((sum, t) => sum + t.litres, 0)
  return succeed(
    {
      ...measured.value,
      needed,
      inPlace: toBlend / (1 + job.plan.settling),
      limeGramsPerLitre: prepared.value.lime.own.gramsPerLitre,
      lossHere: 1 - plan.blendLitres / loose,
      asMeasured: asMeasured.value,
      asWritten: written.value,
      tables,
    },
    ...written.notes,
    ...prepared.notes,
    ...measured.notes,
  )
}
