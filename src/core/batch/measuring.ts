import { isMeasurable, nearestMeasure, type Twelfths } from '../mixing'
import type { Fraction, Litres } from '../units'

/** So much of one material: buckets and scoops, each in wholes, halves, thirds and quarters. */
export interface Measure {
  twelfths: Twelfths
  /** Twelfths of the smaller measure. */
  scoopTwelfths: Twelfths
  litres: Litres
}

/** What the grower measures with, litres to the mark. */
export interface Tools {
  bucket: Litres
  /** The smaller one, a jug or a scoop. */
  scoop: Litres
}

/** The smallest measure anybody fills: a quarter. */
const LEAST: Twelfths = 3

const measureOf = (twelfths: Twelfths, scoopTwelfths: Twelfths, { bucket, scoop }: Tools): Measure => ({
  twelfths,
  scoopTwelfths,
  litres: (twelfths * bucket + scoopTwelfths * scoop) / 12,
})

/** How far a measure is from what is wanted, as a share of it. */
export const missOf = (measure: Measure, litres: Litres): Fraction => Math.abs(measure.litres / litres - 1)

/** Buckets of twelfths, exactly. */
export const inBuckets = (twelfths: Twelfths, tools: Tools): Measure => measureOf(twelfths, 0, tools)

/**
 * The nearest measure of buckets alone, a quarter of one at least.
 * Litres above 0. Source: arithmetic.
 */
export const byBucket = (litres: Litres, tools: Tools): Measure =>
  measureOf(Math.max(LEAST, nearestMeasure((litres / tools.bucket) * 12)), 0, tools)

/** Fractions make more work than wholes, two measures more than one. */
const workOf = ({ twelfths, scoopTwelfths }: Measure): number =>
  [twelfths, scoopTwelfths].reduce((sum, m) => sum + (m === 0 ? 0 : m % 12 === 0 ? 2 : 3), 0)

/**
 * The handiest measure of buckets and scoops within a share of what is wanted; the nearest where none is within it.
 * Litres above 0. Source: arithmetic.
 */
export function byBucketAndScoop(litres: Litres, tools: Tools, within: Fraction): Measure {
  const most = Math.floor((litres / tools.bucket) * 12 + 1e-9)
  const candidates = [byBucket(litres, tools)]
  // A bucket less is soon many scoops more: the last bucketful in quarters is enough.
  for (let twelfths = Math.max(0, most - 12); twelfths <= most; twelfths++) {
    if (!isMeasurable(twelfths)) continue
    const rest = litres - (twelfths / 12) * tools.bucket
    const scoops = nearestMeasure((rest / tools.scoop) * 12)
    if (twelfths + scoops >= LEAST && scoops <= 120) candidates.push(measureOf(twelfths, scoops, tools))
  }
  const good = candidates.filter((m) => missOf(m, litres) <= within)
  return good.length > 0
    ? good.reduce((best, m) => (workOf(m) < workOf(best) ? m : best))
    : candidates.reduce((best, m) => (missOf(m, litres) < missOf(best, litres) ? m : best))
}
