import type { Material, MaterialPropertyName, Property } from '../data/types'
import { evaluate, FULL_EFFORT, type Evaluation, type MixInContainer } from '../evaluate'
import type { BlendPart, PreparedMaterial } from '../mixing'
import { fail, invariant, succeed, type Outcome } from '../outcome'
import { drawMaterial } from './drawMaterial'
import { drawRow } from './drawProperty'
import type { Bands } from '../targets'
import { CHANCE_DRAWS, meetsBands } from './chance'
import { figuresOf } from './figures'
import {
  checkMeasurements,
  expectedReading,
  logLikelihood,
  readingOf,
  type Measurement,
} from './measurements'
import { effectiveDraws, likelyRange, weightedQuantiles, weightedSpread, type LikelyRange } from './quantiles'
import { normal, seededRandom, streamOf } from './random'

export interface RangeRequest {
  input: MixInContainer
  /** Any whole number; the same gives the same ranges. */
  seed?: number
  draws?: number
  measurements?: readonly Measurement[]
  /** Bands to count the chance against; none is counted where left out. */
  bands?: Bands
  /** Later years to look into; one, two and three where left out. */
  years?: readonly number[]
}

/** A material's property as the measurements have it. */
export interface Learned {
  material: string
  property: MaterialPropertyName
  before: Property
  after: Property
}

export interface Ranged {
  best: Evaluation
  /** Figures of the tables' own values, and the range that eight draws in ten fall in, by name. */
  figures: Record<string, number>
  ranges: Record<string, LikelyRange>
  /** Share of the draws in which every band is met; null where no bands were asked. */
  chance: number | null
  /** For each measurement: what was read, what was expected before it, and the range after. */
  readings: { measurement: Measurement; read: number; expected: number; after: LikelyRange }[]
  learned: Learned[]
  /** Draws made, and how many still count after weighting. */
  draws: number
  effective: number
}

export const USUAL_DRAWS = 500
/** With measurements, draws go on until this many still count, or the limit is reached. */
const ENOUGH = 100
const MOST_DRAWS = 4000
/** Slices of depth for a draw: a twentieth of a point off the full evaluation, far inside any range. */
const DRAW_SLICES = 24

/**
 * Draws of one request, one after another. Every material has its own stream, so its draws do not hang on its
 * company.
 */
function drawer(input: MixInContainer, seed: number) {
  const streams = new Map<string, ReturnType<typeof seededRandom>>()
  const stream = (id: string) => {
    let found = streams.get(id)
    if (!found) streams.set(id, (found = seededRandom(seed, streamOf(id))))
    return found
  }
  return (): { input: MixInContainer; materials: Map<string, PreparedMaterial> } => {
    const materials = new Map<string, PreparedMaterial>()
    const rows = new Map<object, object>()
    const partOf = ({ material, parts }: BlendPart): BlendPart => {
      const { id } = material.material
      let own = materials.get(id)
      if (!own) materials.set(id, (own = drawMaterial(material, stream(id))))
      return { material: own, parts }
    }
    // A lime in two places is one lime: draw each row once.
    const row = <T extends { id: string }>(of: T): T => {
      let own = rows.get(of)
      if (!own) rows.set(of, (own = drawRow(of, () => normal(stream(of.id)))))
      return own as T
    }
    return {
      materials,
      input: {
        ...input,
        parts: input.parts.map(partOf),
        bottomLayers: input.bottomLayers?.map((l) => ({ ...l, parts: l.parts.map(partOf) })),
        limes: input.limes.map((l) => ({ ...l, lime: row(l.lime) })),
        dressings: input.dressings?.map((d) => ({ ...d, dressing: row(d.dressing) })),
        growing: input.growing && { ...input.growing, crop: row(input.growing.crop) },
      },
    }
  }
}

/**
 * One mix in one container with ranges: the tables' own values, then `draws` sets of properties drawn within their
 * ranges, and the 10 to 90 % range of every figure. Measurements weigh the draws by how well each foretells them
 * (importance sampling), so ranges close in on what these materials do; what was learned of each property comes back
 * for the shelf, where enough draws agree.
 *
 * A generator: yields the share done some fifty times, for progress and for cancelling between; returns the answer.
 * Errors: those of `evaluate` for the tables' values; a measured container that cannot be filled. A draw that cannot
 * be evaluated is left out. Notes: few draws agree with the measurements (below 100): the reading, or a table, is far
 * off. Source: Monte Carlo; Kish's effective size.
 */
export function* withRanges(request: RangeRequest): Generator<number, Outcome<Ranged>> {
  const { input, measurements = [] } = request
  const problem = checkMeasurements(measurements)
  if (problem) return fail(problem)
  const years = request.years ?? FULL_EFFORT.years
  const best = evaluate(input, { ...FULL_EFFORT, years })
  if (!best.ok) return best
  const wanted = request.draws ?? USUAL_DRAWS
  const draw = drawer(input, request.seed ?? 1)
  const names = Object.keys(figuresOf(best.value))
  const columns = Object.fromEntries(names.map((n) => [n, [] as number[]]))
  const readings = measurements.map(() => [] as number[])
  const logs: number[] = []
  const met: boolean[] = []
  const originals = new Map(
    [...input.parts, ...(input.bottomLayers ?? []).flatMap((l) => l.parts)].map((p) => [
      p.material.material.id,
      p.material,
    ]),
  )
  const properties = new DrawnProperties(measurements.length > 0 ? originals.values() : [])
  const weightsNow = () => {
    const top = Math.max(...logs)
    return logs.map((l) => Math.exp(l - top))
  }
  let limit = wanted
  for (let i = 0; i < limit; i++) {
    const one = draw()
    const answer = evaluate(one.input, { slices: DRAW_SLICES, years })
    if (answer.ok) {
      const figures = figuresOf(answer.value)
      for (const n of names) columns[n]!.push(figures[n]!)
      let log = 0
      measurements.forEach((m, k) => {
        const expected = expectedReading(m, one.input, answer.value)
        readings[k]!.push(expected)
        log += logLikelihood(m, expected)
      })
      logs.push(log)
      if (request.bands) met.push(meetsBands(answer.value, request.bands))
      properties.add(one.materials)
    }
    if (i % Math.max(1, Math.round(limit / 50)) === 0) yield i / limit
    if (
      i === limit - 1 &&
      measurements.length > 0 &&
      limit < MOST_DRAWS &&
      effectiveDraws(weightsNow()) < ENOUGH
    )
      limit = Math.min(MOST_DRAWS, limit * 2)
  }
  invariant(logs.length > 0, 'no draw could be evaluated')
  const weights = weightsNow()
  const effective = effectiveDraws(weights)
  return succeed(
    {
      best: best.value,
      figures: figuresOf(best.value),
      ranges: Object.fromEntries(names.map((n) => [n, likelyRange(columns[n]!, weights)])),
      readings: measurements.map((measurement, k) => ({
        measurement,
        read: readingOf(measurement),
        expected: expectedReading(measurement, input, best.value),
        after: likelyRange(readings[k]!, weights),
      })),
      learned: effective < ENOUGH ? [] : properties.learned((id) => originals.get(id)!.material, weights),
      draws: logs.length,
      effective,
      chance: request.bands ? chanceFrom(met, weights) : null,
    },
    ...best.notes,
    effective < Math.min(ENOUGH, wanted) ? { code: 'few-draws-agree', effective, draws: logs.length } : null,
  )
}

/** Weighted share of the first draws that met every band: all of them where measurements weigh the draws. */
function chanceFrom(met: readonly boolean[], weights: readonly number[]): number {
  const even = weights.every((w) => w === weights[0])
  const count = even ? Math.min(CHANCE_DRAWS, met.length) : met.length
  const sum = (from: (i: number) => number) =>
    Array.from({ length: count }, (_, i) => from(i)).reduce((total, x) => total + x, 0)
  return sum((i) => (met[i] ? weights[i]! : 0)) / sum((i) => weights[i]!)
}

/** Drawn values of every property of every material, one list a property, kept for learning. */
class DrawnProperties {
  private readonly lists: { material: string; name: MaterialPropertyName; values: number[] }[] = []

  constructor(materials: Iterable<PreparedMaterial>) {
    for (const { material } of materials)
      for (const name of Object.keys(material.properties) as MaterialPropertyName[])
        this.lists.push({ material: material.id, name, values: [] })
  }

  add(materials: Map<string, PreparedMaterial>) {
    for (const { material, name, values } of this.lists)
      values.push(materials.get(material)!.material.properties[name]!.value)
  }

  /**
   * Properties the weighted draws tell something new of: spread down by a fifth, or mean moved by two fifths of the
   * spread. With a hundred draws counting that is some three standard errors either way.
   */
  learned(before: (material: string) => Material, weights: readonly number[]): Learned[] {
    const even = weights.map(() => 1)
    return this.lists.flatMap(({ material, name, values }) => {
      const prior = weightedSpread(values, even)
      const now = weightedSpread(values, weights)
      const moved = Math.abs(now.mean - prior.mean)
      if (!(prior.deviation > 0) || (now.deviation > 0.8 * prior.deviation && moved < 0.4 * prior.deviation))
        return []
      const [low, value, high] = weightedQuantiles(values, weights, [0.05, 0.5, 0.95]) as [
        number,
        number,
        number,
      ]
      const was = before(material).properties[name]!
      const after: Property = { ...was, low, value, high, source: 'measured-by-you', kind: 'measured' }
      return [{ material, property: name, before: was, after }]
    })
  }
}

/**
 * Runs `withRanges` to its end in one go.
 * Errors: those of `withRanges`.
 */
export function rangesAtOnce(request: RangeRequest): Outcome<Ranged> {
  const run = withRanges(request)
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}
