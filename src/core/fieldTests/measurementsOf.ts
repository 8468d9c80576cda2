import type { Container } from '../geometry'
import { ERRORS, type Measurement } from '../ranges/measurements'
import type { Days } from '../units'
import type { TestFigure } from './kinds'
import type { FieldTest } from './kinds'
import type { Averaged } from './workOut'

/** How a careful hand repeats it: one standard deviation, in the terms of `ERRORS`. Source: from memory. */
const CAREFUL: Partial<Record<FieldTest, Partial<Record<'pH' | 'salts', number>>>> = {
  slurry: { pH: 0.12, salts: 0.09 },
  paste: { pH: 0.1, salts: 0.08 },
  pourThrough: { pH: 0.15, salts: 0.1 },
}
/** Paper strips, one standard deviation. Source: common practice. */
const STRIP = 0.3

/** Days after mixing from which watering and feed have moved the salts: a reading no longer speaks of the materials. */
export const SALTS_UNTIL: Days = 14
/** A mix goes on changing: what is read of its body later is not what was mixed. Source: our assumption. */
export const BODY_UNTIL: Days = 60

const EXTRACTS = {
  slurry: 'oneToTwo',
  paste: 'saturatedExtract',
  pourThrough: 'pourThrough',
} as const

/**
 * Pot of straight walls, for a mix read in a vessel of its own: only its depth matters.
 *
 * @example
 * pipeOf(12).shape.height // 12
 */
export const pipeOf = (depth: number): Container => ({
  shape: { kind: 'roundPot', topDiameter: 20, baseDiameter: 20, height: depth },
  headspace: 0,
  base: { kind: 'drainHoles' },
})

/** Spread of a repeat from those there are, leaning on the careful hand's where there are few. */
function spreadOf(careful: number, { spread, count }: Averaged): number {
  return spread === null ? careful : Math.sqrt((careful ** 2 + (count - 1) * spread ** 2) / count)
}

/**
 * A test as readings the model can foretell, with how many they are the mean of. `day` is counted from mixing; for a
 * material it is 0. Tests that speak to no figure of the model, and readings too late to speak of the materials, give
 * none. `depth` of the mix drained, cm; `strips` for pH by paper.
 */
export function measurementsOf(
  test: FieldTest,
  figures: Partial<Record<TestFigure, Averaged>>,
  { day, depth, strips = false }: { day: Days; depth?: number; strips?: boolean },
): Measurement[] {
  const found: Measurement[] = []
  const { pH, electricalConductivity: ec, airFilledPorosity: air, containerCapacity: water } = figures
  const { dryDensity, blendingLoss, cmPerHour } = figures
  const repeats = (a: Averaged, careful: number, scale = 1) => ({
    count: a.count,
    spread: spreadOf(careful, { ...a, spread: a.spread === null ? null : a.spread * scale }),
  })
  if (pH)
    found.push({
      kind: 'pH',
      value: pH.mean,
      day,
      ...repeats(pH, strips ? STRIP : (CAREFUL[test]?.pH ?? ERRORS.pH.reading)),
    })
  if (ec && ec.mean > 0 && day <= SALTS_UNTIL && test in EXTRACTS)
    found.push({
      kind: 'electricalConductivity',
      value: ec.mean,
      method: EXTRACTS[test as keyof typeof EXTRACTS],
      ...repeats(ec, CAREFUL[test]?.salts ?? ERRORS.electricalConductivity.reading, 1 / ec.mean),
    })
  if (day > BODY_UNTIL) return found
  const container = depth === undefined ? undefined : pipeOf(depth)
  if (air)
    found.push({
      kind: 'drainTest',
      airFilledPorosity: air.mean,
      container,
      ...repeats(air, ERRORS.drainTest.reading),
    })
  if (water)
    found.push({
      kind: 'waterHeld',
      containerCapacity: water.mean,
      container,
      ...repeats(water, ERRORS.waterHeld.reading),
    })
  if (dryDensity)
    found.push({
      kind: 'dryDensity',
      kgPerLitre: dryDensity.mean,
      ...repeats(dryDensity, ERRORS.dryDensity.reading, 1 / dryDensity.mean),
    })
  if (blendingLoss)
    found.push({
      kind: 'blendingLoss',
      share: blendingLoss.mean,
      ...repeats(blendingLoss, ERRORS.blendingLoss.reading),
    })
  if (cmPerHour && cmPerHour.mean > 0)
    found.push({
      kind: 'percolation',
      cmPerHour: cmPerHour.mean,
      ...repeats(cmPerHour, ERRORS.percolation.reading, 1 / cmPerHour.mean),
    })
  return found
}
