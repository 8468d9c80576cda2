import { fail, succeed, type Outcome } from '../outcome'
import type { Fraction, Litres } from '../units'
import { BATCH_LIMITS } from './limits'
import type { Measure } from './measuring'
import {
  about,
  better,
  exactBatches,
  fewest,
  fits,
  fullBatches,
  jobOf,
  LARGER,
  slackOf,
  smallestVessel,
  strays,
  type BatchJob,
  type BatchRequest,
  type Sized,
} from './sizing'

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

/** Where none of those keeps the recipe: up to a quarter more than is wanted. */
const MUCH_LARGER = [1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5]

/** The first problem of a request; null where it can be planned. */
function problemOf({ parts, wanted, bucket, scoop, vessel }: Required<Omit<BatchRequest, 'turnFraction'>>) {
  if (parts.length === 0) return fail({ code: 'no-parts' })
  for (const p of parts)
    if (!(p.twelfths > 0)) return fail({ code: 'part-not-positive', material: p.id, value: p.twelfths / 12 })
  for (const [field, value] of Object.entries({ wanted, bucket, scoop, vessel }))
    if (!(value > 0 && Number.isFinite(value))) return fail({ code: 'size-not-positive', field, value })
  const limit = bucket * L.vesselBuckets.value
  return vessel > limit ? fail({ code: 'size-too-large', field: 'vessel', value: vessel, limit }) : null
}

/**
 * Splits a job into batches that the vessel can turn, each measured in buckets and, where a quarter bucket is too
 * coarse, in scoops.
 *
 * In every batch, the last one included, each part is within a twentieth of the recipe wherever any measures allow it.
 * Of the plans that keep to that: buckets alone first, then fewer batches, then least left over. What is made is never
 * less than wanted but for half a percent, and a twentieth more at the most where the measures allow it.
 *
 * Units: litres. Errors: no parts; an amount not above zero; a vessel too small for the smallest measures, or of
 * thousands of buckets. A note where shares stray by more than half a point.
 * Source: arithmetic; ours.
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
  const exact = exactBatches(job)
  const full = fullBatches(job, exact)
  if (full.length === 0) return fail({ code: 'vessel-too-small', vessel, smallest: smallestVessel(job) })
  const best = full.map((one) => planOf(job, exact, one)).reduce(betterPlan)
  if (best.batches.length > L.batches.value) {
    const smallest = (vessel * wanted) / Math.max(...full.map((s) => s.blend)) / L.batches.value
    return fail({ code: 'vessel-too-small', vessel, smallest })
  }
  return written(job, best)
}

/** The last batch, for what is left. */
function lastFor(job: BatchJob, exact: readonly Sized[], left: Litres): Sized {
  const slack = slackOf(job)
  const enough = (s: Sized) => s.blend >= left - slack
  const most = left + job.wanted * L.tolerable.value
  const neat = exact.find((s) => enough(s) && s.blend <= most)
  if (neat) return neat
  const larger = (by: readonly number[], limit: Litres) =>
    by
      .flatMap((f) => about(job, left + f * (most - left)))
      .filter((s) => enough(s) && s.blend <= limit && fits(job, s))
  const tries = larger(LARGER, most)
  if (tries.every(strays)) tries.push(...larger(MUCH_LARGER, Infinity))
  return tries.length ? tries.reduce(better) : about(job, job.room).reduce(better)
}

/** Batches of one size and a last one, with what speaks against them. */
interface Split {
  batches: Sized[]
  short: boolean
  strays: number
  kinds: number
  rough: number
  over: Litres
}
function planOf(job: BatchJob, exact: readonly Sized[], one: Sized): Split {
  const slack = slackOf(job)
  const count = Math.floor((job.wanted + slack) / one.blend)
  const left = job.wanted - count * one.blend
  const batches: Sized[] = Array.from({ length: Math.min(count, L.batches.value + 1) }, () => one)
  const more = left > slack
  if (more) batches.push(lastFor(job, exact, left))
  return {
    batches,
    short: more && count >= 1,
    strays: Math.max(0, ...batches.filter(strays).map((s) => s.worst)),
    // Much more work than need be, or a last batch of next to nothing, weighs as much as scoops do.
    kinds:
      Number(batches.some((s) => s.scoops)) +
      Number(batches.length > L.manyBatches.value * fewest(job)) +
      Number(batches.length >= 2 && batches.at(-1)!.blend < one.blend * L.nextToNothing.value),
    rough: Math.round(50 * Math.max(...batches.map((s) => s.worst))),
    over: batches.reduce((sum, s) => sum + s.blend, 0) - job.wanted,
  }
}
function betterPlan(a: Split, b: Split): Split {
  const by =
    a.strays - b.strays ||
    a.kinds - b.kinds ||
    a.batches.length - b.batches.length ||
    a.rough - b.rough ||
    a.over - b.over
  return by <= 1e-9 ? a : b
}

/** What each batch measures out, and what that comes to. */
function written({ parts, shares }: BatchJob, best: Split): Outcome<BatchPlan> {
  const batches = best.batches.map(({ measures, blend }, i): Batch => ({
    measures: measures.map((m, k) => ({ id: parts[k]!.id, ...m })),
    looseLitres: measures.reduce((s, m) => s + m.litres, 0),
    blendLitres: blend,
    short: best.short && i === best.batches.length - 1,
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
