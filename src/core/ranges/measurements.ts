import { acidityOn } from '../chemistry'
import type { Evaluation, MixInContainer } from '../evaluate'
import { containerVolumes, type Container } from '../geometry'
import { acidityOfDoses, convertExtract, type ExtractMethod } from '../nutrients'
import type { Problem } from '../problems'
import type { Days, Fraction, Kilograms } from '../units'
import { containerProfile } from '../water'

/** Something a grower found out about a batch. Containers left out are the job's own. */
export type Measurement =
  /** pH of the mix, some days after liming. */
  | { kind: 'pH'; value: number; day: Days }
  /** Air found by draining a filled pot: water run out over volume of mix. */
  | { kind: 'drainTest'; airFilledPorosity: Fraction; container?: Container }
  /** Weight of mix in a container (without it), watered and drained. */
  | { kind: 'weighed'; kg: Kilograms; container?: Container }
  /** dS/m soon after watering-in. */
  | { kind: 'electricalConductivity'; value: number; method: ExtractMethod }

/**
 * How far a reading may lie from the model with the very same materials: instrument, sampling and the model's own
 * error together, one standard deviation. pH 0.25; air 2.5 points; weight 5 %; EC 20 %. Source: our assumption.
 */
export const SPREAD = { pH: 0.25, drainTest: 0.025, weighed: 0.05, electricalConductivity: 0.2 } as const

/**
 * What the model expects a measurement to read, in its own unit. Its container has been checked
 * (`checkMeasurements`).
 */
export function expectedReading(m: Measurement, input: MixInContainer, e: Evaluation): number {
  switch (m.kind) {
    case 'pH': {
      const { limes, acids } = acidityOfDoses(input.dressings ?? [], e.mixDepth)
      const { temperature } = input
      return acidityOn(e.blend, { limes: [...e.lime.doses, ...limes], acids, temperature }, m.day).pH
    }
    case 'electricalConductivity':
      return convertExtract(e.salts.mix.electricalConductivity.saturatedExtract, 'saturatedExtract', m.method)
    default: {
      const own = m.container ? alone(m.container, e) : { ...e.mix, kg: e.weights.drained }
      return m.kind === 'drainTest' ? own.airFilledPorosity : own.kg
    }
  }
}

/** The mix drained in a container of its own. */
function alone(container: Container, e: Evaluation) {
  const { totalPorosity, waterAt, dryBulkDensity } = e.blend
  const profile = containerProfile(container, [{ top: Infinity, totalPorosity, waterAt }], 40)
  return { ...profile, kg: profile.mixVolume * (dryBulkDensity + profile.containerCapacity) }
}

/**
 * The first problem of a container measured in; null where all can be filled.
 *
 * @example
 * checkMeasurements([]) // null
 */
export function checkMeasurements(measurements: readonly Measurement[]): Problem | null {
  for (const m of measurements) {
    if (!('container' in m) || !m.container) continue
    const fill = containerVolumes(m.container)
    if (!fill.ok) return fill.problem
  }
  return null
}

/**
 * What was read, in the unit of `expectedReading`.
 *
 * @example
 * readingOf({ kind: 'weighed', kg: 12 }) // 12
 */
export const readingOf = (m: Measurement): number =>
  m.kind === 'drainTest' ? m.airFilledPorosity : m.kind === 'weighed' ? m.kg : m.value

/**
 * Logarithm of the likelihood of a reading, up to a constant: normal, in per cent for weight and EC.
 * Source: normal likelihood; the deviations are our assumption.
 * Both in the unit of the measurement. Range: readings above nought for weight and EC.
 *
 * @example
 * logLikelihood({ kind: 'pH', value: 6 }, 6.2) // -0.32
 */
export function logLikelihood(m: Measurement, expected: number): number {
  const read = readingOf(m)
  const relative = m.kind === 'weighed' || m.kind === 'electricalConductivity'
  const off = relative ? Math.log(Math.max(read, 1e-9) / Math.max(expected, 1e-9)) : read - expected
  return -0.5 * (off / SPREAD[m.kind]) ** 2
}
