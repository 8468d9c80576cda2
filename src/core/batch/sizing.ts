import { isMeasurable, type Twelfths } from '../mixing'
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

const L = BATCH_LIMITS
/** Two thirds full still turns with a spade. */
export const TURN_FRACTION = L.turn.value

/** One batch as it would be measured. */
export interface Sized {
  measures: Measure[]
  blend: Litres
  /** How far the worst part is from its share of this batch. */
  worst: Fraction
  scoops: boolean
}

/** Sizes of a batch that are tried below the largest, and above the least that is wanted. */
const SMALLER = Array.from({ length: 21 }, (_, i) => 1 - i / 40)
export const LARGER = [0, 0.2, 0.4, 0.6, 0.8, 1]
/** A job as it is split: what it is measured with, and how much of it the vessel takes at once. */
export interface BatchJob extends Pick<BatchRequest, 'parts' | 'wanted' | 'vessel'> {
  tools: Tools
  /** Blend the vessel has room for, litres. */
  room: Litres
  /** Share of the loose parts that is left once they are blended. */
  kept: number
  shares: number[]
}
export function jobOf(
  { parts, blendingLoss, wanted, bucket, vessel, turnFraction }: BatchRequest,
  scoop: Litres,
) {
  const recipe = parts.reduce((s, p) => s + p.twelfths, 0)
  const job: BatchJob = {
    parts,
    wanted,
    vessel,
    tools: { bucket, scoop },
    room: vessel * (turnFraction ?? TURN_FRACTION),
    kept: 1 - blendingLoss,
    shares: parts.map((p) => p.twelfths / recipe),
  }
  return job
}

function sized({ shares, kept }: BatchJob, measures: Measure[]): Sized {
  const loose = measures.reduce((s, m) => s + m.litres, 0)
  return {
    measures,
    blend: loose * kept,
    worst: Math.max(...measures.map((m, i) => missOf(m, loose * shares[i]!))),
    scoops: measures.some((m) => m.scoopTwelfths),
  }
}
export const strays = (s: Sized) => s.worst > L.partMiss.value + 1e-9
/** The better of two: within a twentieth, then without scoops. */
export function better(a: Sized, b: Sized): Sized {
  if (strays(a) !== strays(b)) return strays(a) ? b : a
  if (strays(a)) return a.worst <= b.worst ? a : b
  return a.scoops && !b.scoops ? b : a
}
export const fits = ({ room }: BatchJob, s: Sized) => s.blend <= room * L.overfull.value
/**
 * Half a percent of the job is less than a bucket shows: no batch is made for it. Litres.
 *
 * @example
 * slackOf({ wanted: 400 }) // 2
 */
export const slackOf = ({ wanted }: BatchJob) => wanted * L.slack.value
/**
 * The fewest batches there can be.
 *
 * @example
 * fewest({ wanted: 100, room: 40 }) // 3
 */
export const fewest = ({ wanted, room }: BatchJob) => Math.ceil(wanted / room - L.slack.value)

/** Measures of about so much blend: buckets alone, and with scoops. */
export function about(job: BatchJob, blend: Litres): [buckets: Sized, scoops: Sized] {
  const litres = job.shares.map((share) => (blend / job.kept) * share)
  return [
    sized(
      job,
      litres.map((l) => byBucket(l, job.tools)),
    ),
    sized(
      job,
      litres.map((l) => byBucketAndScoop(l, job.tools, L.partMiss.value / 2)),
    ),
  ]
}

/** The recipe itself, so many twelfths of a bucket to the part, as far as all of it can be measured. */
export function exactBatches(job: BatchJob): Sized[] {
  const { parts, tools, kept, room } = job
  const recipe = parts.reduce((s, p) => s + p.twelfths, 0)
  const exact: Sized[] = []
  for (let scale = 1; ((recipe * scale) / 144) * tools.bucket * kept <= room + 1e-9; scale++) {
    const twelfths = parts.map((p) => (p.twelfths * scale) / 12)
    if (!twelfths.every(isMeasurable)) continue
    exact.push(
      sized(
        job,
        twelfths.map((t) => inBuckets(t, tools)),
      ),
    )
  }
  return exact
}

/** Neat sizes; the largest for buckets, the largest for scoops, one small even share, and what strays least. */
export function fullBatches(job: BatchJob, exact: readonly Sized[]): Sized[] {
  const { room, wanted } = job
  const least = fewest(job)
  const alike = [least, least + 1].flatMap((n) =>
    LARGER.map((f) => (wanted / n) * (1 + f * L.tolerable.value)),
  )
  const sizes = [...SMALLER.map((f) => room * f), ...alike.filter((size) => size <= room + 1e-9)]
  const tried = sizes.map((size) => about(job, size))
  const good = (s: Sized) => fits(job, s) && !strays(s)
  const fitting = tried.flat().filter((s) => fits(job, s))
  const straysLeast = fitting.reduce<Sized | undefined>(
    (a, b) => (a && a.worst <= b.worst ? a : b),
    undefined,
  )
  return [
    ...exact,
    tried.map(([buckets]) => buckets).find(good),
    tried.map(([, scoops]) => scoops).find(good),
    ...tried.at(-1)!,
    straysLeast,
  ].filter((s): s is Sized => s !== undefined && fits(job, s))
}

/** The vessel that takes a quarter of the smaller measure of the scarcest part, litres. */
export const smallestVessel = ({ tools, shares, kept, vessel, room }: BatchJob): Litres =>
  ((Math.min(tools.bucket, tools.scoop) / 4 / Math.min(...shares)) * kept * vessel) / room
