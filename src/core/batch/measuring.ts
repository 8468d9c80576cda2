import { isMeasurable, nearestMeasure, type Twelfths } from '../mixing'
import type { Litres } from '../units'
import { BATCH_LIMITS } from './limits'

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

const L = BATCH_LIMITS
const WHOLE: Twelfths = 12
/** The smallest measure anybody fills: a quarter. */
const LEAST: Twelfths = 3

const measureOf = (twelfths: Twelfths, scoopTwelfths: Twelfths, { bucket, scoop }: Tools): Measure => ({
  twelfths,
  scoopTwelfths,
  litres: (twelfths * bucket + scoopTwelfths * scoop) / WHOLE,
})

/**
 * The nearest measure of buckets alone, a quarter of one at least.
 * Litres above 0. Source: arithmetic.
 */
export const byBucket = (litres: Litres, tools: Tools): Measure =>
  measureOf(Math.max(LEAST, nearestMeasure((litres / tools.bucket) * WHOLE)), 0, tools)

/**
 * What the hand does for a measure: each bucket, each scoop and each mark that is looked for is one action:
 * two buckets, the half mark and two scoops are five.
 *
 * @example
 * actionsOf({ twelfths: 30, scoopTwelfths: 24 }) // 5
 */
export const actionsOf = ({ twelfths, scoopTwelfths }: Pick<Measure, 'twelfths' | 'scoopTwelfths'>): number =>
  Math.ceil(twelfths / WHOLE) + Math.ceil(scoopTwelfths / WHOLE)

/** Which measures a plan may use. */
export type Kinds = 'bucket' | 'scoop' | 'both'

/** Can a mark within this scoop be seen? In a jug, yes; a small scoop is full or half full. */
const marksOf =
  ({ scoop }: Tools) =>
  (twelfths: Twelfths) =>
    twelfths % (WHOLE / 2) === 0 || (scoop >= L.markedScoop.value && isMeasurable(twelfths))

/**
 * Every measure between two volumes, litres, fewest actions first: buckets with any mark, at most four scoops.
 * Source: enumeration.
 */
export function measuresBetween(low: Litres, high: Litres, tools: Tools, kinds: Kinds): Measure[] {
  const list: Measure[] = []
  const seen = marksOf(tools)
  const isIn = (m: Measure) => m.litres >= low - 1e-9 && m.litres <= high + 1e-9
  const mostScoops = kinds === 'bucket' ? 0 : WHOLE * L.scoopsToALine.value
  const mostBuckets = kinds === 'scoop' ? 0 : Math.floor((high / tools.bucket) * WHOLE + 1e-9)
  const leastBuckets = Math.max(
    0,
    Math.ceil(((low - (mostScoops / WHOLE) * tools.scoop) / tools.bucket) * WHOLE - 1e-9),
  )
  for (let twelfths = leastBuckets; twelfths <= mostBuckets; twelfths++) {
    if (!isMeasurable(twelfths)) continue
    const from = Math.max(
      0,
      Math.ceil(((low - (twelfths / WHOLE) * tools.bucket) / tools.scoop) * WHOLE - 1e-9),
    )
    for (let scoops = from; scoops <= mostScoops; scoops++) {
      if ((scoops > 0 && !seen(scoops)) || twelfths + scoops === 0) continue
      const m = measureOf(twelfths, scoops, tools)
      if (m.litres > high + 1e-9) break
      if (isIn(m)) list.push(m)
    }
  }
  return list.sort((a, b) => actionsOf(a) - actionsOf(b) || a.litres - b.litres)
}
