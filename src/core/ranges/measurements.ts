import { acidityOn } from '../chemistry'
import type { Evaluation } from '../evaluate'
import { containerVolumes, type Container } from '../geometry'
import { convertExtract, type ExtractMethod } from '../nutrients'
import type { Problem } from '../problems'
import type { Days, Fraction, Kilograms } from '../units'
import { containerProfile } from '../water'

/** How often it was read: the mean of so many, and how far they lie apart where that was worked out. */
export interface Repeats {
  /** Readings the value is the mean of; 1 where left out. */
  count?: number
  /** One standard deviation of a single reading, in the terms of `ERRORS`; that of a careful hand where left out. */
  spread?: number
}

/** Something a grower found out about a batch. Containers left out are the job's own. */
export type Measurement = Repeats &
  (
    | { kind: 'pH'; value: number; day: Days }
    /** Air found by draining a filled pot: water run out over volume of mix. */
    | { kind: 'drainTest'; airFilledPorosity: Fraction; container?: Container }
    /** Water left in a drained pot over volume of mix, by weighing wet and dry. */
    | { kind: 'waterHeld'; containerCapacity: Fraction; container?: Container }
    /** Weight of mix in a container (without it), watered and drained. */
    | { kind: 'weighed'; kg: Kilograms; container?: Container }
    /** A litre of mix, dried. */
    | { kind: 'dryDensity'; kgPerLitre: number }
    /** Share of the volume of the parts that is lost on mixing them. */
    | { kind: 'blendingLoss'; share: Fraction }
    /** How fast water sinks into the wet mix. */
    | { kind: 'percolation'; cmPerHour: number }
    /** dS/m soon after watering-in. */
    | { kind: 'electricalConductivity'; value: number; method: ExtractMethod }
  )
export type MeasurementKind = Measurement['kind']

/**
 * One standard deviation of a reading by a careful hand, and of the model's own error with the very same materials:
 * readings of one batch share that. Relative ones are in the logarithm, near enough a share. Source: readings as
 * `reference` of the field tests, from memory; the model's share is our assumption.
 */
export const ERRORS: Record<MeasurementKind, { reading: number; model: number; relative: boolean }> = {
  pH: { reading: 0.15, model: 0.2, relative: false },
  drainTest: { reading: 0.02, model: 0.015, relative: false },
  waterHeld: { reading: 0.02, model: 0.015, relative: false },
  weighed: { reading: 0.03, model: 0.04, relative: true },
  dryDensity: { reading: 0.04, model: 0.03, relative: true },
  blendingLoss: { reading: 0.02, model: 0.02, relative: false },
  percolation: { reading: 0.35, model: 0.35, relative: true },
  electricalConductivity: { reading: 0.1, model: 0.17, relative: true },
}

/**
 * What the model expects a measurement to read, in its own unit. Its container has been checked
 * (`checkMeasurements`).
 */
export function expectedReading(m: Measurement, e: Evaluation): number {
  switch (m.kind) {
    case 'pH': {
      const limes = [...e.lime.doses, ...(e.given.limes ?? [])]
      return acidityOn(e.blend, { ...e.given, limes }, m.day).pH
    }
    case 'electricalConductivity':
      return convertExtract(e.salts.mix.electricalConductivity.saturatedExtract, 'saturatedExtract', m.method)
    case 'dryDensity':
      return e.blend.dryBulkDensity
    case 'blendingLoss':
      return e.blend.blendingLoss
    case 'percolation':
      return e.blend.saturatedConductivity
    case 'weighed':
      return m.container ? alone(m.container, e).kg : e.weights.drained
    case 'drainTest':
      return (m.container ? alone(m.container, e) : e.mix).airFilledPorosity
    case 'waterHeld':
      return (m.container ? alone(m.container, e) : e.mix).containerCapacity
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
export function readingOf(m: Measurement): number {
  switch (m.kind) {
    case 'drainTest':
      return m.airFilledPorosity
    case 'waterHeld':
      return m.containerCapacity
    case 'weighed':
      return m.kg
    case 'dryDensity':
      return m.kgPerLitre
    case 'blendingLoss':
      return m.share
    case 'percolation':
      return m.cmPerHour
    default:
      return m.value
  }
}

/** Nothing that is read in proportion is less than this. */
const LEAST = 1e-6

/**
 * A reading in the terms its error is given in: as it is, or its logarithm; and back.
 *
 * @example
 * inErrorTerms('pH', 6.2) // 6.2
 */
export const inErrorTerms = (kind: MeasurementKind, reading: number): number =>
  ERRORS[kind].relative ? Math.log(Math.max(reading, LEAST)) : reading
/**
 * Back from those terms.
 *
 * @example
 * fromErrorTerms('pH', 6.2) // 6.2
 */
export const fromErrorTerms = (kind: MeasurementKind, x: number): number =>
  ERRORS[kind].relative ? Math.exp(x) : x
