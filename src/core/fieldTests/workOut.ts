import { asSaturated, LAB_FIGURES, LAB_METHODS, SOIL_ELEMENTS, SOIL_FIELD } from '../laboratory'
import { METAL_FIELD, METALS } from '../safety'
import { TEST_FIELDS, type Repeat, type TestFigure } from './kinds'
import type { FieldTest } from './kinds'

/** Why a test says nothing, as plain data: the field it lies in, or null. */
export type TestProblem =
  | { code: 'field-missing'; field: string }
  | { code: 'field-range'; field: string; value: number; low: number; high: number }
  | { code: 'fields-contradict'; field: string; other: string }
  | { code: 'nothing-read'; field: null }
type Worked<T> = { ok: true; value: T } | { ok: false; problem: TestProblem }
const fail = (problem: TestProblem) => ({ ok: false as const, problem })

type Figures = Partial<Record<TestFigure, number>>

/** Conductivity rises by this a degree. Source: common practice, about 2 % a degree C. */
const PER_DEGREE = 0.02

/**
 * Electrical conductivity as it would read at 25 C, for a meter that does not do it; dS/m.
 * Range: 0 to 45 C. Source: common practice, EC_t / (1 + 0.02 (t - 25)).
 *
 * @example
 * at25Degrees(1, 15) // 1.25
 */
export const at25Degrees = (read: number, temperature: number): number =>
  read / (1 + PER_DEGREE * (temperature - 25))

/** g of calcium carbonate for a g of carbon dioxide: 100.09 / 44.01. */
const CARBONATE_PER_GAS = 2.274
/**
 * Calcium carbonate by how it fizzes: none, faint, clear, strong; mass fractions. Source: field carbonate test, from
 * memory.
 */
export const FIZZ_GRADES = [0, 0.0075, 0.02, 0.07] as const

const extract = ({ pH, salts, temperature = 25, saltsOfWater = 0 }: Repeat): Figures => ({
  ...(pH === undefined ? {} : { pH }),
  ...(salts === undefined
    ? {}
    : { electricalConductivity: Math.max(0, at25Degrees(salts, temperature) - saltsOfWater) }),
})

/** Each test's arithmetic on one repeat whose fields are all there and within their ends. Units as in `TEST_FIELDS`. */
const WORK: Record<FieldTest, (r: Record<string, number>) => Figures> = {
  slurry: extract,
  paste: extract,
  pourThrough: extract,
  laboratory({ method = 0, ...read }) {
    const by = LAB_METHODS[Math.round(method)]!
    return Object.fromEntries(
      LAB_FIGURES.flatMap((figure) => {
        const value = read[figure]
        if (value === undefined) return []
        const name = figure === 'salts' ? 'electricalConductivity' : figure
        return [[name, Math.max(0, asSaturated(figure, value, by).value)]]
      }),
    ) as Figures
  },
  soilReport: ({ pH, ...r }) =>
    ({
      ...(pH === undefined ? {} : { pH }),
      ...Object.fromEntries(
        SOIL_ELEMENTS.flatMap((e) => {
          const value = r[SOIL_FIELD[e]]
          return value === undefined ? [] : [[SOIL_FIELD[e], value]]
        }),
      ),
    }) as Figures,
  metals: (r) =>
    Object.fromEntries(
      METALS.flatMap((metal) => {
        const value = r[METAL_FIELD[metal]]
        return value === undefined ? [] : [[METAL_FIELD[metal], value]]
      }),
    ) as Figures,
  drainedAir({ volume, drained, potWeight = 0, wetWeight, dryWeight }) {
    const airFilledPorosity = drained! / 1000 / volume!
    if (wetWeight === undefined || dryWeight === undefined) return { airFilledPorosity }
    const containerCapacity = (wetWeight - potWeight - dryWeight) / volume!
    return { airFilledPorosity, containerCapacity, totalPorosity: airFilledPorosity + containerCapacity }
  },
  bucketWeight({ volume, emptyWeight, moistWeight, dryLitre }) {
    const moistDensity = (moistWeight! - emptyWeight!) / volume!
    if (dryLitre === undefined) return { moistDensity }
    const dryDensity = dryLitre / 1000
    return { moistDensity, dryDensity, moisture: 1 - dryDensity / moistDensity }
  },
  bucketsOut: (r) => ({ blendingLoss: 1 - r.bucketsOut! / r.bucketsIn! }),
  settling: ({ before, now, depth }) => ({
    sunk: now! - before!,
    ...(depth === undefined ? {} : { sunkShare: (now! - before!) / depth }),
  }),
  dropTest: ({ seconds }) => ({ seconds: seconds! }),
  percolation: ({ water, seconds }) => ({ cmPerHour: water! / (seconds! / 3600) }),
  beanTest: ({ suspectPots, suspectTwisted }) => ({
    twisted: suspectTwisted! / suspectPots!,
    // Of none in n, the share that may still be is 3 / n at nineteen in twenty: the rule of three, plants three a pot.
    ...(suspectTwisted === 0 ? { missable: Math.min(1, 3 / (3 * suspectPots!)) } : {}),
  }),
  cressTest: ({ upInExtract, rootInExtract, upInWater, rootInWater }) => ({
    germinationIndex: (upInExtract! * rootInExtract!) / (upInWater! * rootInWater!),
  }),
  vinegarFizz: ({ grade, sample, loss, blank = 0 }) => ({
    carbonate:
      sample === undefined || loss === undefined
        ? FIZZ_GRADES[Math.round(grade!)]!
        : (Math.max(0, loss - blank) * CARBONATE_PER_GAS) / sample,
  }),
  sieve({ over12, over6, over1, pan }) {
    const all = over12! + over6! + over1! + pan!
    return { coarse: over12! / all, middle: over6! / all, small: over1! / all, fines: pan! / all }
  },
  jar: ({ sandTop, siltTop, top }) => ({
    sand: sandTop! / top!,
    silt: (siltTop! - sandTop!) / top!,
    clay: (top! - siltTop!) / top!,
  }),
}

/** Pairs that must rise: a later reading cannot be below an earlier one. */
const RISING: Partial<Record<FieldTest, readonly (readonly [string, string])[]>> = {
  bucketWeight: [['emptyWeight', 'moistWeight']],
  drainedAir: [['dryWeight', 'wetWeight']],
  jar: [
    ['sandTop', 'siltTop'],
    ['siltTop', 'top'],
  ],
}
/** A count of some that cannot pass the count of all. */
const WITHIN: Partial<Record<FieldTest, readonly (readonly [string, string])[]>> = {
  beanTest: [
    ['suspectTwisted', 'suspectPots'],
    ['cleanTwisted', 'cleanPots'],
  ],
  cressTest: [
    ['upInExtract', 'seeds'],
    ['upInWater', 'seeds'],
  ],
  bucketsOut: [['bucketsOut', 'bucketsIn']],
}

/**
 * What one repeat of a test says, in core units (fractions, kg/L, cm, cm/h, dS/m at 25 C).
 * Errors: a field that is missing or beyond what anybody reads; two that contradict each other; nothing read at all.
 * Source: the tests as described in `docs/method/tests.md`.
 *
 * @example
 * workOut('bucketsOut', { bucketsIn: 10, bucketsOut: 9 }).value // { blendingLoss: 0.1 }
 */
export function workOut(test: FieldTest, repeat: Repeat): Worked<Figures> {
  for (const { name, low, high, optional } of TEST_FIELDS[test]) {
    const value = repeat[name]
    if (value === undefined) {
      if (optional) continue
      return fail({ code: 'field-missing', field: name })
    }
    if (!(value >= low && value <= high)) return fail({ code: 'field-range', field: name, value, low, high })
  }
  for (const [first, then] of [...(RISING[test] ?? []), ...(WITHIN[test] ?? [])]) {
    const [a, b] = [repeat[first], repeat[then]]
    if (a !== undefined && b !== undefined && a > b)
      return fail({ code: 'fields-contradict', field: first, other: then })
  }
  const figures = WORK[test](repeat)
  if (Object.keys(figures).length === 0 || Object.values(figures).some((x) => !Number.isFinite(x)))
    return fail({ code: 'nothing-read', field: null })
  return { ok: true, value: figures }
}

/** A figure over all repeats: their mean, how far they lie apart (one standard deviation), how many. */
export interface Averaged {
  mean: number
  /** Null for a single one. */
  spread: number | null
  /** From the least to the greatest. */
  apart: number
  count: number
}

/**
 * A test's figures over its repeats. The drop test takes the middle time, for one drop in ten runs off.
 * Errors: those of `workOut`, the first.
 *
 * @example
 * averaged('slurry', [{ pH: 6 }, { pH: 6.4 }]).value.pH.mean // 6.2
 */
export function averaged(
  test: FieldTest,
  repeats: readonly Repeat[],
): Worked<Partial<Record<TestFigure, Averaged>>> {
  const lists = new Map<TestFigure, number[]>()
  for (const repeat of repeats) {
    const one = workOut(test, repeat)
    if (!one.ok) return one
    for (const [name, value] of Object.entries(one.value))
      lists.set(name as TestFigure, [...(lists.get(name as TestFigure) ?? []), value])
  }
  if (lists.size === 0) return fail({ code: 'nothing-read', field: null })
  const value = Object.fromEntries(
    [...lists].map(([name, values]) => {
      const sorted = [...values].sort((a, b) => a - b)
      const mean = values.reduce((s, v) => s + v, 0) / values.length
      const middle =
        (sorted[Math.floor((sorted.length - 1) / 2)]! + sorted[Math.floor(sorted.length / 2)]!) / 2
      const spread =
        values.length > 1
          ? Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / (values.length - 1))
          : null
      return [
        name,
        {
          mean: test === 'dropTest' ? middle : mean,
          spread,
          apart: sorted.at(-1)! - sorted[0]!,
          count: values.length,
        },
      ]
    }),
  ) as Partial<Record<TestFigure, Averaged>>
  return { ok: true, value }
}
