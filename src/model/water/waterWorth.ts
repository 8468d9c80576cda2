import { burdenOf, leavesGraver, type Finding } from '@/core/appraisal'
import type { WaterAim, WaterTreatment } from '@/core/irrigation'

/** A water tried on a mix: what decides between it and others. */
export interface TriedWater {
  treatment: WaterTreatment
  /** meq/L. */
  alkalinity: number
  /** pH of the mix at the end of the season. */
  endPH: number
  findings: readonly Finding[]
}

/** Less of pH no meter shows. */
const SEEN = 0.05

/**
 * Is a water better than the plain one? Less to be said of the mix, or as little with water that suits the container
 * where that of the tap is too hard for it and a meter shows the difference; and nothing graver.
 */
export function isBetter(one: TriedWater, plain: TriedWater, aim: WaterAim): boolean {
  if (leavesGraver(plain.findings, one.findings)) return false
  const gained = burdenOf(plain.findings) - burdenOf(one.findings)
  const suits = plain.alkalinity > aim.act && one.alkalinity <= aim.high
  return gained > 0 || (gained === 0 && suits && Math.abs(one.endPH - plain.endPH) >= SEEN)
}

const beyond = (x: number, { low, high }: { low: number; high: number }) => Math.max(0, x - high, low - x)

/** Orders waters: least to be said, then pH nearest to the band, then the least trouble. */
export const worthIn =
  (pH: { low: number; high: number }, aim: WaterAim) =>
  (a: TriedWater, b: TriedWater): number =>
    burdenOf(a.findings) - burdenOf(b.findings) ||
    beyond(a.alkalinity, aim) - beyond(b.alkalinity, aim) ||
    Math.round(10 * (beyond(a.endPH, pH) - beyond(b.endPH, pH))) ||
    a.treatment.rain - b.treatment.rain ||
    (b.treatment.acid?.toPH ?? 0) - (a.treatment.acid?.toPH ?? 0)

/** Orders offers: least to be said, then rain water before acid. */
export const rainFirst = (a: TriedWater, b: TriedWater): number =>
  burdenOf(a.findings) - burdenOf(b.findings) ||
  Number(a.treatment.acid !== null) - Number(b.treatment.acid !== null)
