import { fail, succeed, type Outcome } from '../outcome'
import type { Fraction, Litres } from '../units'
import { BATCH_LIMITS } from './limits'
import type { Kinds, Measure } from './measuring'
import { batchBetween, fewest, jobOf, type BatchJob, type BatchRequest, type Sized } from './sizing'
import { whatWorks } from './whatWorks'

export interface Batch {
  measures: ({ id: string } & Measure)[]
  looseLitres: Litres
  blendLitres: Litres
  /** The last one, smaller than the rest. */
  short: boolean
}

export interface BatchPlan {
  batches: Batch[]
  totals: ({ id: string } & Measure)[]
  blendLitres: Litres
  /** Largest difference between a material's share as measured and as in the recipe, fraction. */
  largestShareError: Fraction
}

const L = BATCH_LIMITS

/** The first problem of a request; null where it can be planned. */
function problemOf({
  parts,
  wanted,
  bucket,
  scoop,
  vessel,
}: Required<Omit<BatchRequest, 'turnFraction' | 'within'>>) {
  if (parts.length === 0) return fail({ code: 'no-parts' })
  for (const p of parts)
    if (!(p.twelfths > 0)) return fail({ code: 'part-not-positive', material: p.id, value: p.twelfths / 12 })
  for (const [field, value] of Object.entries({ wanted, bucket, scoop, vessel }))
    if (!(value > 0 && Number.isFinite(value))) return fail({ code: 'size-not-positive', field, value })
  const limit = bucket * L.vesselBuckets.value
  return vessel > limit ? fail({ code: 'size-too-large', field: 'vessel', value: vessel, limit }) : null
}

/**
 * Splits a job into batches that the vessel can turn, each measured in buckets and scoops with the hand in mind.
 *
 * A plan holds when every part of every batch is within a twentieth of its share, equal parts measured alike, all of it
 * between half a percent less and a twentieth more than wanted, no line takes more than four scoops, and no batch fills
 * the vessel beyond its fraction. Of those that hold: fewest kinds of measure, then fewest actions of the hand (a
 * bucket, a scoop, a mark; turning a batch counts for `batchWork` of them), then least over. Batches are alike but for
 * the last.
 *
 * Where none holds each part is measured by the litre mark, and a note says which scoop, cup or amount would work.
 *
 * Units: litres. Errors: no parts; an amount not above zero; a vessel that would be filled hundreds of times, or of
 * thousands of buckets. Notes: `not-with-these-tools`; shares that stray by more than half a point.
 * Source: enumeration; ours.
 *
 * @example
 * planBatches({
 *   parts: [
 *     { id: 'peat', twelfths: 36 },
 *     { id: 'pumice', twelfths: 12 },
 *   ],
 *   blendingLoss: 0,
 *   wanted: 40,
 *   bucket: 10,
 *   vessel: 90,
 * }).value.totals[0].litres // 30
 */
export function planBatches(request: BatchRequest): Outcome<BatchPlan> {
  const { parts, blendingLoss, wanted, bucket, scoop = bucket / 10, vessel } = request
  const problem = problemOf({ parts, blendingLoss, wanted, bucket, scoop, vessel })
  if (problem) return problem
  const job = jobOf(request, scoop)
  if (fewest(job) > L.batches.value)
    return fail({
      code: 'vessel-too-small',
      vessel,
      smallest: (vessel * fewest(job)) / L.batches.value,
    })
  const best = splitOf(job)
  if (best) return written(job, best.batches)
  return succeed(byMark(job), { code: 'not-with-these-tools', ...whatWorks(job, splitOf) })
}

/** Batches of one size and a last one, with what speaks against them. */
export interface Split {
  batches: Sized[]
  actions: number
  over: Litres
}

/** The better of two: fewer actions, then less over, then batches more alike. */
function betterSplit(a: Split | null, b: Split | null): Split | null {
  if (!a || !b) return a ?? b
  if (a.actions !== b.actions) return a.actions < b.actions ? a : b
  if (Math.abs(a.over - b.over) > 1e-9) return a.over < b.over ? a : b
  const least = ({ batches }: Split) => Math.min(...batches.map((one) => one.blend))
  return least(a) >= least(b) ? a : b
}

/** The best plan with the fewest kinds of measure, in one batch where one is enough; null where none holds. */
export function splitOf(job: BatchJob): Split | null {
  const byKinds = (find: (kinds: Kinds) => Split | null) =>
    betterSplit(find('bucket'), find('scoop')) ?? find('both')
  return (
    (fewest(job) <= 1 ? byKinds((kinds) => inOne(job, kinds)) : null) ??
    byKinds((kinds) => inSeveral(job, kinds))
  )
}

function inOne(job: BatchJob, kinds: Kinds): Split | null {
  const one = batchBetween(job, job.wanted * job.within.low, job.wanted * job.within.high, kinds)
  return one && splitOfBatches(job, [one])
}

function splitOfBatches({ wanted }: BatchJob, batches: Sized[]): Split {
  const blend = batches.reduce((sum, b) => sum + b.blend, 0)
  return {
    batches,
    actions: batches.reduce((sum, b) => sum + b.actions + L.batchWork.value, 0),
    over: blend - wanted,
  }
}

/** How much smaller than the room a full batch may be, and the step in which sizes are tried. Shares of the room. */
const SMALLEST = 0.5
const STEP = 0.02

function inSeveral(job: BatchJob, kinds: Kinds): Split | null {
  const { wanted, within, room } = job
  const least = fewest(job)
  const [low, high] = [wanted * within.low, wanted * within.high]
  let best: Split | null = null
  const most = Math.max(least + 1, Math.floor(least * L.manyBatches.value))
  for (let n = Math.max(2, least); n <= Math.min(most, least + 3); n++) {
    const one = batchBetween(job, low / n, high / n, kinds)
    if (one)
      best = betterSplit(
        best,
        splitOfBatches(
          job,
          Array.from({ length: n }, () => one),
        ),
      )
  }
  for (let f = 1; f > SMALLEST; f -= STEP) {
    const one = batchBetween(job, room * (f - STEP), room * f, kinds)
    if (one) best = betterSplit(best, withLast(job, one, most, kinds))
  }
  return best
}

/** Batches of one size and a smaller last one for what is left; null where that is next to nothing or cannot be. */
function withLast(job: BatchJob, one: Sized, most: number, kinds: Kinds): Split | null {
  const { wanted, within } = job
  const [low, high] = [wanted * within.low, wanted * within.high]
  const whole = Math.floor(high / one.blend + 1e-9)
  const alike = (n: number) => Array.from({ length: n }, () => one)
  if (whole >= 1 && whole <= most && whole * one.blend >= low - 1e-9) return splitOfBatches(job, alike(whole))
  const count = Math.ceil(low / one.blend) - 1
  if (count < 1 || count + 1 > most) return null
  const made = count * one.blend
  const last = batchBetween(
    job,
    Math.max(low - made, one.blend * L.nextToNothing.value),
    Math.min(high - made, one.blend),
    kinds,
  )
  return last && splitOfBatches(job, [...alike(count), last])
}

/** Alike batches, every part by the litre mark. */
function byMark(job: BatchJob): BatchPlan {
  const { parts, shares, wanted, kept } = job
  const count = Math.max(1, fewest(job))
  const shared = (loose: Litres) =>
    parts.map(({ id }, i) => ({ id, twelfths: 0, scoopTwelfths: 0, litres: loose * shares[i]! }))
  const blendLitres = wanted / count
  const looseLitres = blendLitres / kept
  const batch: Batch = { measures: shared(looseLitres), looseLitres, blendLitres, short: false }
  return {
    batches: Array.from({ length: count }, () => batch),
    totals: shared(wanted / kept),
    blendLitres: wanted,
    largestShareError: 0,
  }
}

/**
 * Is every part of a plan measured by the litre mark, in no bucket or scoop?
 *
 * @example
 * isByMark({ totals: [{ id: 'peat', twelfths: 0, scoopTwelfths: 0, litres: 3 }] }) // true
 */
export const isByMark = ({ totals }: Pick<BatchPlan, 'totals'>): boolean =>
  totals.every((t) => t.twelfths === 0 && t.scoopTwelfths === 0)

/** What each batch measures out, and what that comes to. */
function written({ parts, shares }: BatchJob, sized: readonly Sized[]): Outcome<BatchPlan> {
  const batches = sized.map(({ measures, loose, blend }, i): Batch => ({
    measures: measures.map((m, k) => ({ id: parts[k]!.id, ...m })),
    looseLitres: loose,
    blendLitres: blend,
    short: i > 0 && blend < sized[0]!.blend - 1e-9,
  }))
  const sumOf = (k: number, of: 'twelfths' | 'scoopTwelfths' | 'litres') =>
    batches.reduce((sum, { measures }) => sum + measures[k]![of], 0)
  const totals = parts.map(({ id }, k) => ({
    id,
    twelfths: sumOf(k, 'twelfths'),
    scoopTwelfths: sumOf(k, 'scoopTwelfths'),
    litres: sumOf(k, 'litres'),
  }))
  const measured = totals.reduce((s, t) => s + t.litres, 0)
  const largestShareError = Math.max(...totals.map((t, i) => Math.abs(t.litres / measured - shares[i]!)))
  return succeed(
    { batches, totals, blendLitres: batches.reduce((s, b) => s + b.blendLitres, 0), largestShareError },
    isRounded({ largestShareError }) ? { code: 'measures-rounded', largestShareError } : null,
  )
}

/**
 * Do the measures of a plan stray from the recipe by more than anybody would notice?
 * `largestShareError` is a fraction of the recipe. Source: the limit `roundedShare`.
 *
 * @example
 * isRounded({ largestShareError: 0.02 }) // true
 */
export const isRounded = ({ largestShareError }: Pick<BatchPlan, 'largestShareError'>): boolean =>
  largestShareError > L.roundedShare.value
