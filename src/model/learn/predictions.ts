import type { ReadingTold } from '@/core/ranges'

/** How the readings of one kind stand beside what was predicted of them. */
export interface Prediction {
  kind: ReadingTold['kind']
  count: number
  /** Within the range that eight of ten such lots would read, the meter's own error in it. */
  inside: number
  /** In the terms of the error: as it is, or as a share. */
  mean: number
  size: number
}

/** Of a normal law, eight tenths lie within so many deviations of the middle. */
const EIGHT_TENTHS = 1.2816

/** Readings by kind, each beside what the tables alone had led to expect: how many lay in the likely range. */
export function predictionsOf(readings: readonly ReadingTold[]): Prediction[] {
  const kinds = [...new Set(readings.map((r) => r.kind))]
  return kinds.map((kind) => {
    const of = readings.filter((r) => r.kind === kind)
    const off = of.map((r) => missOf(r))
    const mean = (list: readonly number[]) => list.reduce((s, v) => s + v, 0) / list.length
    return {
      kind,
      count: of.length,
      inside: of.filter((r) => isInside(r)).length,
      mean: mean(off),
      size: mean(off.map(Math.abs)),
    }
  })
}

const isInside = ({ off }: ReadingTold): boolean => Math.abs(off) <= EIGHT_TENTHS

/** Figures told in proportion are missed by a share. */
const SHARES: ReadonlySet<ReadingTold['kind']> = new Set([
  'weighed',
  'dryDensity',
  'percolation',
  'electricalConductivity',
])
/** By how much a reading missed what was expected of it: as it is, or as a share of that. */
const missOf = ({ kind, read, expected }: ReadingTold): number =>
  SHARES.has(kind) ? (expected > 0 ? read / expected - 1 : 0) : read - expected
export const isShare = (kind: ReadingTold['kind']): boolean => SHARES.has(kind)
