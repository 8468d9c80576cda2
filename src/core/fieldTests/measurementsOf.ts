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
  // Of one sample: two laboratories by the same method differ by about that.
  laboratory: { pH: 0.15, salts: 0.15 },
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
  // What a report gives by another method is worked out as a saturated extract.
  laboratory: 'saturatedExtract',
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
 * A test as readings the model can predict, with how many they are the mean of. `day` is counted from mixing; for a
 * material it is 0. Tests that speak to no figure of the model, and readings too late to speak of the materials, give
 * none. `depth` of the mix drained, cm; `strips` for pH by paper.
 */
export function measurementsOf(
  test: FieldTest,
  figures: Figures,
  { day, depth, strips = false }: { day: Days; depth?: number; strips?: boolean },
): Measurement[] {
  const acidity = figures.pH ? [pHOf(test, figures.pH, day, strips)] : []
  const salts = day <= SALTS_UNTIL ? saltsOf(test, figures.electricalConductivity) : []
  return [...acidity, ...salts, ...(day > BODY_UNTIL ? [] : bodyOf(figures, depth))]
}

type Figures = Partial<Record<TestFigure, Averaged>>

/** How many repeats a reading is the mean of, and how far apart they are; `scale` makes the spread a share. */
const repeats = (a: Averaged, careful: number, scale = 1) => ({
  count: a.count,
  spread: spreadOf(careful, { ...a, spread: a.spread === null ? null : a.spread * scale }),
})
/** The same for what is only known as a share of itself. */
const asShare = (a: Averaged, careful: number) => repeats(a, careful, 1 / a.mean)

const pHOf = (test: FieldTest, pH: Averaged, day: Days, strips: boolean): Measurement => ({
  kind: 'pH',
  value: pH.mean,
  day,
  ...repeats(pH, strips ? STRIP : (CAREFUL[test]?.pH ?? ERRORS.pH.reading)),
})
function saltsOf(test: FieldTest, ec: Averaged | undefined): Measurement[] {
  if (!ec || !(ec.mean > 0) || !Object.hasOwn(EXTRACTS, test)) return []
  const careful = CAREFUL[test]?.salts ?? ERRORS.electricalConductivity.reading
  const method = EXTRACTS[test as keyof typeof EXTRACTS]
  return [{ kind: 'electricalConductivity', value: ec.mean, method, ...asShare(ec, careful) }]
}
/** What a test says of the body of a mix. */
function bodyOf(figures: Figures, depth: number | undefined): Measurement[] {
  const container = depth === undefined ? undefined : pipeOf(depth)
  const { airFilledPorosity: air, containerCapacity: water, dryDensity: dry } = figures
  const { blendingLoss: loss, cmPerHour: speed } = figures
  const found: (Measurement | false | undefined)[] = [
    air && {
      kind: 'drainTest',
      airFilledPorosity: air.mean,
      container,
      ...repeats(air, ERRORS.drainTest.reading),
    },
    water && {
      kind: 'waterHeld',
      containerCapacity: water.mean,
      container,
      ...repeats(water, ERRORS.waterHeld.reading),
    },
    dry && { kind: 'dryDensity', kgPerLitre: dry.mean, ...asShare(dry, ERRORS.dryDensity.reading) },
    loss && { kind: 'blendingLoss', share: loss.mean, ...repeats(loss, ERRORS.blendingLoss.reading) },
    speed &&
      speed.mean > 0 && {
        kind: 'percolation',
        cmPerHour: speed.mean,
        ...asShare(speed, ERRORS.percolation.reading),
      },
  ]
  return found.filter((m): m is Measurement => Boolean(m))
}
