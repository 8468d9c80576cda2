import { toEnd } from '../toEnd'
import type { Learning } from '../data/learned'
import { evaluate, type Evaluation, type MixInContainer } from '../evaluate'
import { fail, succeed, type Outcome } from '../outcome'
import {
  checkMeasurements,
  ERRORS,
  expectedReading,
  fromErrorTerms,
  inErrorTerms,
  readingOf,
  type Measurement,
} from './measurements'
import { dot, gainOf, leftOf } from './law'
import { deviatesWith } from './posterior'
import type { LikelyRange } from './quantiles'
import { robustly, type WhyOdd } from './robust'
import { drawMix } from './rowsOf'

/** What was read in one mix in one state. */
export interface MeasuredBatch {
  /** Readings of one key share the model's own error: they are of the same mix. */
  key: string
  input: MixInContainer
  readings: readonly TaughtReading[]
}
export interface TaughtReading {
  id: string
  measurement: Measurement
  /** Learned from even where the tables cannot explain it. */
  trusted?: boolean
}

/** What is said of a reading. Values in its own unit. */
export interface ReadingTold {
  id: string
  kind: Measurement['kind']
  read: number
  /** By the tables alone: their own values, and the range that eight of ten such lots would read. */
  expected: number
  before: LikelyRange
  /** Likewise after learning from all readings. */
  after: LikelyRange
  /** Off from what is expected, in deviations of the tables and the reading together. */
  off: number
  /** Why nothing is learned from it, unless somebody says it is right; null where it counts. */
  questioned: WhyOdd | null
}

export interface Learned {
  learning: Learning
  /** Ids of the readings it is learned from, in the order of its slopes. */
  taught: string[]
  readings: ReadingTold[]
}

/** Slopes are taken over half a deviation to either side: the halves of a property meet there. */
const STEP = 0.5
const ROUNDS = 6
/** Steps after the first go this share of the way, so that they do not swing. */
const LATER_STEPS = 0.7
const SETTLED = 0.02
/** A thing that moves a reading less than this, in its errors, has nothing to learn. */
const SLIGHT = 0.02
/** Of a normal law, nine tenths lie below. */
const NINE_TENTHS = 1.2816
const SLICES = 24
/** Draws to either side of the mean that the bend of the readings comes from. */
const BEND_PAIRS = 20
const BEND_SEED = 7
/** A bend of less than this, in errors of the reading, is left out. */
const BENT = 0.25
const rowOf = (name: string) => name.slice(0, name.indexOf('/'))
const pathOf = (name: string) => name.slice(name.indexOf('/') + 1)

/** A batch on its way: what its readings would be where rows deviate. */
interface Model {
  batch: MeasuredBatch
  predict: (deviates: ReadonlyMap<string, number>) => number[] | null
  /** As the tables have it. */
  plain: number[]
  /** Rows and properties it hangs on. */
  own: ReadonlySet<string>
}

function modelOf(batch: MeasuredBatch): Outcome<Model> {
  const { input, readings } = batch
  const problem = checkMeasurements(readings.map((r) => r.measurement))
  if (problem) return fail(problem)
  const best = evaluate(input, { slices: SLICES, years: [] })
  if (!best.ok) return best
  // What watering brings hangs on place and crop, which readings of the mix do not tell: it is worked out once.
  const mix = { ...input, growing: undefined }
  const { water } = best.value.given
  const told = (e: Evaluation) =>
    readings.map(({ measurement: m }) =>
      inErrorTerms(m.kind, expectedReading(m, { ...e, given: { ...e.given, water } })),
    )
  const own = new Set<string>()
  drawMix(mix, (row) => (name) => {
    own.add(`${row}/${name}`)
    return 0
  })
  return succeed({
    batch,
    own,
    plain: told(best.value),
    predict(deviates) {
      const drawn = drawMix(mix, (row) => (name) => deviates.get(`${row}/${name}`) ?? 0)
      const answer = evaluate(drawn, { slices: SLICES, years: [] })
      return answer.ok ? told(answer.value) : null
    },
  })
}

/**
 * Readings predicted at a point, and their slopes there by central differences; 0 where a mix so far off cannot be
 * worked out. Yields now and then.
 */
function* linear(
  models: readonly Model[],
  names: readonly string[],
  at: ReadonlyMap<string, number>,
): Generator<number, { expected: number[]; slopes: number[][] }> {
  const expected: number[] = []
  const slopes: number[][] = []
  for (const [k, { predict, own, plain }] of models.entries()) {
    const lines = plain.map(() => names.map(() => 0))
    for (const [j, name] of names.entries()) {
      if (!own.has(name)) continue
      const x = at.get(name) ?? 0
      const up = predict(new Map(at).set(name, x + STEP))
      const down = predict(new Map(at).set(name, x - STEP))
      if (up && down) lines.forEach((line, i) => (line[j] = (up[i]! - down[i]!) / (2 * STEP)))
      if (j % 16 === 0) yield (k + j / names.length) / models.length
    }
    expected.push(...(predict(at) ?? plain))
    slopes.push(...lines)
  }
  return { expected, slopes }
}

/** Error of each reading with every other: its own, and the model's, which readings of one batch share. */
function noiseOf(all: readonly { key: string; measurement: Measurement }[]): number[][] {
  return all.map((a, i) =>
    all.map((b, j) => {
      const { reading, model } = ERRORS[a.measurement.kind]
      const shared = a.key === b.key && a.measurement.kind === b.measurement.kind ? model ** 2 : 0
      const { spread = reading, count = 1 } = a.measurement
      return shared + (i === j ? spread ** 2 / count : 0)
    }),
  )
}

const rangeAround = (kind: Measurement['kind'], middle: number, deviation: number): LikelyRange => ({
  low: fromErrorTerms(kind, middle - NINE_TENTHS * deviation),
  middle: fromErrorTerms(kind, middle),
  high: fromErrorTerms(kind, middle + NINE_TENTHS * deviation),
})

/** All readings of all batches, in the order of `linear`. */
const readingsOf = (models: readonly Model[]) =>
  models.flatMap(({ batch }) => batch.readings.map((r) => ({ ...r, key: batch.key })))

const atMean = ({ names, mean }: Learning) => new Map(names.map((name, j) => [name, mean[j]!]))

/**
 * Learns from all readings of all batches at once: which deviates of materials, dressings and limes make them likely,
 * and what is left open. The deviates are normal before; readings are straight in them near the answer, which is found
 * by steps of Gauss and Newton. Readings of different batches with the same material add up, and what they leave tied
 * (more acid peat or weaker lime) stays tied.
 *
 * A generator: yields the share done; returns the answer. Nothing is learned from a reading that tables or other
 * readings contradict, unless it is trusted (`robustly`).
 * Errors: those of `evaluate` for a batch; a measured container that cannot be filled.
 * Source: Bayesian least squares, Tarantola 2005 ch. 3 (maximum of the posterior and its covariance); draws by
 * Matheron's rule.
 */
export function* learnFrom(batches: readonly MeasuredBatch[]): Generator<number, Outcome<Learned>> {
  const models: Model[] = []
  for (const batch of batches) {
    const model = batch.readings.length > 0 ? modelOf(batch) : null
    if (model && !model.ok) return model
    if (model?.ok) models.push(model.value)
  }
  const all = readingsOf(models)
  const read = all.map(({ measurement: m }) => inErrorTerms(m.kind, readingOf(m)))
  const noise = noiseOf(all)
  const everyName = [...new Set(models.flatMap((m) => [...m.own]))]
  const prior = yield* linear(models, everyName, new Map())
  const hasSay = everyName.map((_, j) =>
    prior.slopes.some((line, i) => Math.abs(line[j]!) > SLIGHT * Math.sqrt(noise[i]![i]!)),
  )
  const names = everyName.filter((_, j) => hasSay[j])
  const slopes = prior.slopes.map((line) => line.filter((_, j) => hasSay[j]))
  const spread = slopes.map((line) => Math.sqrt(dot(line, line)))
  const off = read.map((y, i) => (y - prior.expected[i]!) / Math.hypot(spread[i]!, Math.sqrt(noise[i]![i]!)))
  const trusted = all.map((r) => r.trusted ?? false)
  const residual = read.map((y, i) => y - prior.expected[i]!)
  const { odd, ...robust } = robustly({ residual, slopes, noise, trusted })
  const sound = <T>(list: readonly T[]) => list.filter((_, i) => odd[i] === null)
  let learning: Learning = { names, mean: names.map(() => 0), slopes: sound(slopes), ...robust }
  let now = { expected: prior.expected, slopes }
  for (let round = 0; round < ROUNDS && learning.slopes.length > 0; round++) {
    const next = meanAfter(learning, sound(read), sound(now.expected), round === 0 ? 1 : LATER_STEPS)
    const moved = Math.max(...next.map((x, j) => Math.abs(x - learning.mean[j]!)))
    learning = { ...learning, mean: next }
    now = yield* linear(models, names, atMean(learning))
    learning = { ...learning, slopes: sound(now.slopes) }
    if (moved < SETTLED) break
  }
  if (learning.slopes.length > 0) {
    const bend = sound(bendOf(models, learning, now.expected))
    const expected = sound(now.expected).map((y, i) => {
      const error = Math.sqrt(learning.noise[i]![i]!)
      return Math.abs(bend[i]!) > BENT * error ? y + bend[i]! : y
    })
    learning = { ...learning, mean: meanAfter(learning, sound(read), expected, 1) }
    now = { ...now, expected: predictedBy(models, atMean(learning)) }
  }
  return succeed({
    learning,
    taught: sound(all).map((r) => r.id),
    readings: all.map(({ id, measurement }, i): ReadingTold => {
      const { kind } = measurement
      return {
        id,
        kind,
        read: readingOf(measurement),
        expected: fromErrorTerms(kind, prior.expected[i]!),
        before: rangeAround(kind, prior.expected[i]!, spread[i]!),
        after: rangeAround(kind, now.expected[i]!, leftOf(learning, now.slopes[i]!)),
        off: off[i]!,
        questioned: odd[i]!,
      }
    }),
  })
}

const predictedBy = (models: readonly Model[], at: ReadonlyMap<string, number>) =>
  models.flatMap(({ predict, plain }) => predict(at) ?? plain)

/**
 * How far readings of draws lie from the reading of their mean, on average: a mix whose salts are known within a factor
 * of two reads more than the middle of that. Source: statistical linearization (Särkkä 2013, ch. 5), from memory.
 */
function bendOf(models: readonly Model[], learning: Learning, atTheMean: readonly number[]): number[] {
  const next = deviatesWith(learning, BEND_SEED)
  const sums = atTheMean.map(() => 0)
  for (let d = 0; d < BEND_PAIRS; d++) {
    const deviates = next()
    const off = learning.names.map((name, j) => deviates(rowOf(name))(pathOf(name)) - learning.mean[j]!)
    for (const side of [1, -1]) {
      const mean = learning.mean.map((x, j) => x + side * off[j]!)
      predictedBy(models, atMean({ ...learning, mean })).forEach((y, i) => (sums[i]! += y))
    }
  }
  return sums.map((sum, i) => sum / (2 * BEND_PAIRS) - atTheMean[i]!)
}

/** The mean one step on: `K (y - f + J x)`, or a share of the way there. */
function meanAfter(
  learning: Learning,
  read: readonly number[],
  expected: readonly number[],
  share: number,
): number[] {
  const { mean, slopes } = learning
  const residual = read.map((y, i) => y - expected[i]! + dot(slopes[i]!, mean))
  return gainOf(learning).map((line, j) => mean[j]! + share * (dot(line, residual) - mean[j]!))
}

/**
 * Runs `learnFrom` to its end in one go.
 * Errors: those of `learnFrom`.
 */
export function learnAtOnce(batches: readonly MeasuredBatch[]): Outcome<Learned> {
  return toEnd(learnFrom(batches))
}
