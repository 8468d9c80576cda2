import { isMeasurable, nearestMeasure, type Twelfths } from '../mixing'
import { fail, succeed, type Outcome } from '../outcome'
import type { Fraction, Litres } from '../units'
import { BATCH_LIMITS } from './limits'

export interface BatchRequest {
  /** The recipe: parts in twelfths of a part. */
  parts: { id: string; twelfths: Twelfths }[]
  /** Share of the loose volume lost when stirred together. */
  blendingLoss: Fraction
  /** Blended mix wanted in all, litres. */
  wanted: Litres
  /** What the grower measures with, litres to its mark. */
  bucket: Litres
  /** Tub, tarp or barrow, litres it would hold brim-full. */
  vessel: Litres
  /** How much of the vessel may be filled and still be turned. */
  turnFraction?: Fraction
}

export interface Batch {
  measures: { id: string; twelfths: Twelfths; litres: Litres }[]
  looseLitres: Litres
  blendLitres: Litres
  /** The last one, smaller than the rest. */
  short: boolean
}

export interface BatchPlan {
  batches: Batch[]
  totals: { id: string; twelfths: Twelfths; litres: Litres }[]
  blendLitres: Litres
  /** Largest difference between a material's share as measured and as in the recipe, fraction. */
  largestShareError: Fraction
}

const L = BATCH_LIMITS
/** Two thirds full still turns with a spade. */
export const TURN_FRACTION = L.turn.value

/**
 * Splits a job into batches that the vessel can turn, each in whole, half, third or quarter buckets.
 *
 * A full batch keeps the recipe's ratio exactly where the bucket allows it: the largest bucketful-per-part for which
 * every measure is a whole number of quarters or thirds and the *blend* (after its loss) still turns. Where no such
 * size exists, and for the short last batch, each measure goes to the nearest quarter or third (never to nothing) and
 * the error of the shares is given, so that the mix can be judged again as it will really be measured.
 *
 * Units: litres. Errors: no parts; an amount not above zero; a vessel too small for the smallest measures, or of
 * thousands of buckets.
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
  const { parts, blendingLoss, wanted, bucket, vessel } = request
  if (parts.length === 0) return fail({ code: 'no-parts' })
  for (const p of parts)
    if (!(p.twelfths > 0)) return fail({ code: 'part-not-positive', material: p.id, value: p.twelfths / 12 })
  for (const [field, value] of [
    ['wanted', wanted],
    ['bucket', bucket],
    ['vessel', vessel],
  ] as const)
    if (!(value > 0 && Number.isFinite(value))) return fail({ code: 'size-not-positive', field, value })
  if (vessel > bucket * L.vesselBuckets.value)
    return fail({
      code: 'size-too-large',
      field: 'vessel',
      value: vessel,
      limit: bucket * L.vesselBuckets.value,
    })

  const room = vessel * (request.turnFraction ?? TURN_FRACTION)
  const kept = 1 - blendingLoss
  const recipe = parts.reduce((s, p) => s + p.twelfths, 0)
  const blendOf = (measures: Twelfths[]) => (measures.reduce((s, m) => s + m, 0) / 12) * bucket * kept
  /** Measures at `scale` twelfths of a bucket to one part. */
  const exact = (scale: number) => parts.map((p) => (p.twelfths * scale) / 12)
  /** Nearest measures for a volume of blend. */
  const rounded = (litres: Litres) =>
    parts.map((p) => Math.max(3, nearestMeasure((litres / kept / bucket) * 12 * (p.twelfths / recipe))))

  const scales: number[] = []
  for (let scale = 1; blendOf(exact(scale)) <= room + 1e-9; scale++)
    if (exact(scale).every(isMeasurable)) scales.push(scale)
  const largest = scales.at(-1)
  const full = largest !== undefined ? exact(largest) : rounded(room)
  if (blendOf(full) > room * L.overfull.value)
    return fail({ code: 'vessel-too-small', vessel, smallest: (blendOf(full) / room) * vessel })
  const fullBlend = blendOf(full)
  if (wanted / fullBlend > L.batches.value)
    return fail({
      code: 'vessel-too-small',
      vessel,
      smallest: (vessel * wanted) / fullBlend / L.batches.value,
    })

  const batch = (twelfths: Twelfths[], short: boolean): Batch => ({
    measures: parts.map((p, i) => ({
      id: p.id,
      twelfths: twelfths[i]!,
      litres: (twelfths[i]! / 12) * bucket,
    })),
    looseLitres: (twelfths.reduce((s, m) => s + m, 0) / 12) * bucket,
    blendLitres: blendOf(twelfths),
    short,
  })

  // Half a percent of the job is less than a bucket shows: no batch is made for it.
  const slack = wanted * L.slack.value
  const batches: Batch[] = []
  let left = wanted
  while (left >= fullBlend - slack && left > slack) {
    batches.push(batch(full, false))
    left -= fullBlend
  }
  if (left > slack) {
    const neat = scales.map(exact).find((m) => blendOf(m) >= left - slack)
    const tolerable = Math.max(wanted * L.tolerable.value, bucket * L.tolerableBucket.value)
    let last = neat && blendOf(neat) - left <= tolerable ? neat : rounded(left)
    for (let aim = left; blendOf(last) < left - slack; last = rounded(aim)) aim *= L.aimHigher.value
    batches.push(batch(last, left < wanted))
  }

  const totals = parts.map((p, i) => {
    const twelfths = batches.reduce((s, b) => s + b.measures[i]!.twelfths, 0)
    return { id: p.id, twelfths, litres: (twelfths / 12) * bucket }
  })
  const measured = totals.reduce((s, t) => s + t.twelfths, 0)
  const largestShareError = Math.max(
    ...parts.map((p, i) => Math.abs(totals[i]!.twelfths / measured - p.twelfths / recipe)),
  )
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
