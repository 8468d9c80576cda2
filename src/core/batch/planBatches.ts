import { isMeasurable, type Twelfths } from '../mixing'
import { fail, succeed, type Outcome } from '../outcome'
import type { Fraction, Litres } from '../units'
import { BATCH_LIMITS } from './limits'
import { byBucket, byBucketAndScoop, inBuckets, missOf, type Measure, type Tools } from './measuring'

export interface BatchRequest {
  /** The recipe: parts in twelfths of a part. */
  parts: { id: string; twelfths: Twelfths }[]
  /** Share of the loose volume lost when stirred together. */
  blendingLoss: Fraction
  /** Blended mix wanted in all, litres. */
  wanted: Litres
  /** What the grower measures with, litres to its mark. */
  bucket: Litres
  /** The smaller measure, a jug or a scoop, litres; a tenth of the bucket where left out. */
  scoop?: Litres
  /** Tub, tarp or barrow, litres it would hold brim-full. */
  vessel: Litres
  /** How much of the vessel may be filled and still be turned. */
  turnFraction?: Fraction
}

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
/** Two thirds full still turns with a spade. */
export const TURN_FRACTION = L.turn.value

/** One batch as it would be measured. */
interface Sized {
  measures: Measure[]
  blend: Litres
  /** How far the worst part is from its share of this batch. */
  worst: Fraction
  scoops: boolean
}

/** Sizes of a batch that are tried below the largest, and above the least that is wanted. */
const SMALLER = Array.from({ length: 21 }, (_, i) => 1 - i / 40)
const LARGER = [0, 0.2, 0.4, 0.6, 0.8, 1]
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
  const tools: Tools = { bucket, scoop }
  const room = vessel * (request.turnFraction ?? TURN_FRACTION)
  const kept = 1 - blendingLoss
  const recipe = parts.reduce((s, p) => s + p.twelfths, 0)
  const shares = parts.map((p) => p.twelfths / recipe)

  const sized = (measures: Measure[]): Sized => {
    const loose = measures.reduce((s, m) => s + m.litres, 0)
    return {
      measures,
      blend: loose * kept,
      worst: Math.max(...measures.map((m, i) => missOf(m, loose * shares[i]!))),
      scoops: measures.some((m) => m.scoopTwelfths),
    }
  }
  const strays = (s: Sized) => s.worst > L.partMiss.value + 1e-9
  /** Measures of about so much blend: buckets alone, and with scoops. */
  const about = (blend: Litres): Sized[] => {
    const litres = shares.map((share) => (blend / kept) * share)
    return [
      sized(litres.map((l) => byBucket(l, tools))),
      sized(litres.map((l) => byBucketAndScoop(l, tools, L.partMiss.value / 2))),
    ]
  }
  /** The recipe itself, so many twelfths of a bucket to the part, as far as all of it can be measured. */
  const exact: Sized[] = []
  for (let scale = 1; ((recipe * scale) / 144) * bucket * kept <= room + 1e-9; scale++) {
    const twelfths = parts.map((p) => (p.twelfths * scale) / 12)
    if (twelfths.every(isMeasurable)) exact.push(sized(twelfths.map((t) => inBuckets(t, tools))))
  }
  /** The better of two: within a twentieth, then without scoops. */
  const better = (a: Sized, b: Sized): Sized =>
    strays(a) !== strays(b)
      ? strays(a)
        ? b
        : a
      : strays(a)
        ? a.worst <= b.worst
          ? a
          : b
        : a.scoops && !b.scoops
          ? b
          : a

  const least = Math.ceil(wanted / room - L.slack.value)
  const overfull = room * L.overfull.value
  const fits = (s: Sized) => s.blend <= overfull
  const sizes = SMALLER.map((f) => room * f)
  const alike = [least, least + 1].flatMap((n) =>
    LARGER.map((f) => (wanted / n) * (1 + f * L.tolerable.value)),
  )
  const tried = [...sizes, ...alike.filter((size) => size <= room + 1e-9)].map(about)
  // Neat sizes; the largest for buckets, the largest for scoops, one small even share, and what strays least.
  const full = [
    ...exact,
    tried.map(([buckets]) => buckets!).find((s) => fits(s) && !strays(s)),
    tried.map(([, scoops]) => scoops!).find((s) => fits(s) && !strays(s)),
    ...tried.at(-1)!,
    tried
      .flat()
      .filter(fits)
      .reduce<Sized | undefined>((a, b) => (a && a.worst <= b.worst ? a : b), undefined),
  ].filter((s) => s !== undefined && fits(s)) as Sized[]
  if (full.length === 0) {
    const smallest = ((Math.min(bucket, scoop) / 4 / Math.min(...shares)) * kept * vessel) / room
    return fail({ code: 'vessel-too-small', vessel, smallest })
  }
  // Half a percent of the job is less than a bucket shows: no batch is made for it.
  const slack = wanted * L.slack.value
  /** The last batch, for what is left. */
  function lastFor(left: Litres): Sized {
    const enough = (s: Sized) => s.blend >= left - slack
    const most = left + wanted * L.tolerable.value
    const neat = exact.find((s) => enough(s) && s.blend <= most)
    if (neat) return neat
    const larger = (by: readonly number[], limit: Litres) =>
      by
        .flatMap((f) => about(left + f * (most - left)))
        .filter((s) => enough(s) && s.blend <= limit && fits(s))
    const tries = larger(LARGER, most)
    if (tries.every(strays)) tries.push(...larger(MUCH_LARGER, Infinity))
    return tries.length ? tries.reduce(better) : about(room).reduce(better)
  }
  const plans = full.map((one) => {
    const count = Math.floor((wanted + slack) / one.blend)
    const left = wanted - count * one.blend
    const batches: Sized[] = Array.from({ length: Math.min(count, L.batches.value + 1) }, () => one)
    const more = left > slack
    if (more) batches.push(lastFor(left))
    return {
      batches,
      short: more && count >= 1,
      strays: Math.max(0, ...batches.filter(strays).map((s) => s.worst)),
      // Much more work than need be, or a last batch of next to nothing, weighs as much as scoops do.
      kinds:
        Number(batches.some((s) => s.scoops)) +
        Number(batches.length > L.manyBatches.value * least) +
        Number(batches.length >= 2 && batches.at(-1)!.blend < one.blend * L.nextToNothing.value),
      rough: Math.round(50 * Math.max(...batches.map((s) => s.worst))),
      over: batches.reduce((sum, s) => sum + s.blend, 0) - wanted,
    }
  })
  const best = plans.reduce((a, b) => {
    const by =
      a.strays - b.strays ||
      a.kinds - b.kinds ||
      a.batches.length - b.batches.length ||
      a.rough - b.rough ||
      a.over - b.over
    return by <= 1e-9 ? a : b
  })
  if (best.batches.length > L.batches.value) {
    const smallest = (vessel * wanted) / Math.max(...full.map((s) => s.blend)) / L.batches.value
    return fail({ code: 'vessel-too-small', vessel, smallest })
  }

  const batches = best.batches.map(({ measures, blend }, i): Batch => ({
    measures: measures.map((m, k) => ({ id: parts[k]!.id, ...m })),
    looseLitres: measures.reduce((s, m) => s + m.litres, 0),
    blendLitres: blend,
    short: best.short && i === best.batches.length - 1,
  }))
  const totals = parts.map(({ id }, k) =>
    batches.reduce(
      (sum, { measures }) => {
        const m = measures[k]!
        return {
          id,
          twelfths: sum.twelfths + m.twelfths,
          scoopTwelfths: sum.scoopTwelfths + m.scoopTwelfths,
          litres: sum.litres + m.litres,
        }
      },
      { id, twelfths: 0, scoopTwelfths: 0, litres: 0 },
    ),
  )
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
