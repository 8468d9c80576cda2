/**
 * How often the truth lies in the likely range, and how far readings narrow it: gardens drawn from the tables, each
 * with a truth of its own, read with the errors of a careful hand and of the model, and learned from. Prints a table;
 * ranges that hold 80 in 100 are right.
 *
 * `TRUTH=harsh`: nothing is as assumed. Materials stray half as far again as the tables say, with heavy tails
 * (Student's t, 4 degrees), and one reading in ten is grossly wrong (4 to 8 deviations).
 */
import { materialById } from '../src/core/data'
import { limeById } from '../src/core/data/limes'
import { dressingById } from '../src/core/data/dressings'
import { evaluate, type MixInContainer } from '../src/core/evaluate'
import { preparedMaterial } from '../src/core/mixing'
import {
  deviatesWith,
  drawMix,
  ERRORS,
  expectedReading,
  figuresOf,
  learnAtOnce,
  normal,
  rangesAtOnce,
  seededRandom,
  type Measurement,
  type MeasuredBatch,
} from '../src/core/ranges'

const GARDENS = Number(process.env.GARDENS ?? 100)
const COUNTS = (process.env.READINGS ?? '0,1,4,12').split(',').map(Number)
const DRAWS = Number(process.env.DRAWS ?? 250)
const HARSH = process.env.TRUTH === 'harsh'
const FIGURES = [
  'airFilledPorosity',
  'containerCapacity',
  'easilyAvailableWater',
  'plantAvailableWater',
  'pH',
  'electricalConductivity',
  'dryBulkDensity',
  'drainedWeight',
  'blendingLoss',
]
const ORGANIC = ['peat_medium', 'coir_pith', 'pine_bark_fine', 'leaf_mould', 'compost_green', 'vermicompost']
const OPEN = ['perlite_coarse', 'vermiculite_medium', 'pumice', 'sand_coarse', 'soil_loam']
const random = seededRandom(2026)
const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!
const known = (ids: readonly string[]) => ids.filter((id) => materialById(id))

/** A mix of two organic parts and one that opens it, limed and fed, in a pot. */
function anyMix(): MixInContainer {
  const ids = [...new Set([pick(known(ORGANIC)), pick(known(ORGANIC)), pick(known(OPEN))])]
  return {
    container: {
      shape: { kind: 'roundPot', topDiameter: 28, baseDiameter: 22, height: 14 + 20 * random() },
      headspace: 2,
      base: { kind: 'drainHoles' },
    },
    parts: ids.map((id) => ({ material: preparedMaterial(materialById(id)!), parts: pick([1, 2, 3]) })),
    limes: [{ lime: limeById('lime_calcitic')!, share: 1 }],
    limeGramsPerLitre: 3 * random(),
    dressings: [{ dressing: dressingById('crf_5_6')!, gramsPerLitre: 2, place: { kind: 'throughout' } }],
  }
}
/** A second batch with the same materials in other parts. */
const again = (mix: MixInContainer): MixInContainer => ({
  ...mix,
  parts: mix.parts.map((p) => ({ ...p, parts: pick([1, 2, 4]) })),
  limeGramsPerLitre: 3 * random(),
})

const KINDS: Measurement[] = [
  { kind: 'pH', value: 0, day: 14 },
  { kind: 'drainTest', airFilledPorosity: 0 },
  { kind: 'electricalConductivity', value: 0, method: 'oneToTwo' },
  { kind: 'weighed', kg: 0 },
]
const FIELD = {
  pH: 'value',
  drainTest: 'airFilledPorosity',
  electricalConductivity: 'value',
  weighed: 'kg',
} as const

/** A standard deviate of the truth: normal, or heavy-tailed and half as wide again. */
function strays(of: () => number): number {
  if (!HARSH) return of()
  const chi2 = [1, 2, 3, 4].reduce((sum) => sum + normal(random) ** 2, 0)
  return 1.5 * (of() / Math.sqrt(chi2 / 4) / Math.SQRT2)
}
/** One reading in ten is grossly wrong, in deviations of hand and model. */
const gross = () => (HARSH && random() < 0.1 ? (random() < 0.5 ? -1 : 1) * (4 + 4 * random()) : 0)

/** A reading of the truth, with the errors of the hand and those of the model. */
function read(
  m: Measurement,
  truth: MixInContainer,
  model: ReadonlyMap<string, number>,
  wrong: number,
): Measurement {
  const answer = evaluate(truth, { slices: 24, years: [] })
  if (!answer.ok) throw new Error(answer.problem.code)
  const { reading, model: ofModel, relative } = ERRORS[m.kind]
  const off = reading * normal(random) + ofModel * model.get(m.kind)! + wrong * Math.hypot(reading, ofModel)
  const is = expectedReading(m, answer.value)
  return {
    ...m,
    [FIELD[m.kind as keyof typeof FIELD]]: relative ? is * Math.exp(off) : is + off,
  } as Measurement
}

interface Count {
  inside: number
  narrowed: number[]
}
const table = new Map<number, Map<string, Count>>()
const counts = (n: number, figure: string) => {
  if (!table.has(n)) table.set(n, new Map())
  const row = table.get(n)!
  if (!row.has(figure)) row.set(figure, { inside: 0, narrowed: [] })
  return row.get(figure)!
}
const started = performance.now()
let questioned = 0
let readings = 0
let wrongs = 0
let found = 0
for (let g = 0; g < GARDENS; g++) {
  const mixes = [anyMix()]
  mixes.push(again(mixes[0]!), again(mixes[0]!))
  // One truth for the materials, whatever mix they are in.
  const fixed = new Map<string, number>()
  const draw = deviatesWith(null, 90_000 + g)()
  const truthOf = (mix: MixInContainer) =>
    drawMix(mix, (row) => (name) => {
      const key = `${row}/${name}`
      if (!fixed.has(key))
        fixed.set(
          key,
          strays(() => draw(row)(name)),
        )
      return fixed.get(key)!
    })
  const truths = mixes.map(truthOf)
  const errors = mixes.map(() => new Map(KINDS.map((m) => [m.kind as string, normal(random)])))
  const all: { mix: number; m: Measurement; wrong: boolean }[] = [0, 1, 2].flatMap((mix) =>
    KINDS.map((m) => {
      const wrong = gross()
      return { mix, m: read(m, truths[mix]!, errors[mix]!, wrong), wrong: wrong !== 0 }
    }),
  )
  const truth = evaluate(truths[0]!, { slices: 24, years: [] })
  if (!truth.ok) throw new Error(truth.problem.code)
  const actual = figuresOf(truth.value)
  let before: Record<string, { low: number; high: number }> = {}
  for (const n of COUNTS) {
    const taken = n === 1 ? [all[g % 4]!] : all.slice(0, n)
    const batches = mixes.map((input, mix): MeasuredBatch => ({
      key: `mix ${mix}`,
      input,
      readings: taken.flatMap((t, i) => (t.mix === mix ? [{ id: `${i}`, measurement: t.m }] : [])),
    }))
    const learned = learnAtOnce(batches)
    if (!learned.ok) throw new Error(learned.problem.code)
    readings += learned.value.readings.length
    questioned += learned.value.readings.filter((r) => r.questioned).length
    for (const r of learned.value.readings)
      if (taken[Number(r.id)]!.wrong) {
        wrongs++
        if (r.questioned) found++
      }
    const ranged = rangesAtOnce({
      input: mixes[0]!,
      draws: DRAWS,
      years: [],
      learning: learned.value.learning,
      seed: 5,
    })
    if (!ranged.ok) throw new Error(ranged.problem.code)
    const { ranges } = ranged.value
    if (n === COUNTS[0]) before = ranges
    for (const figure of FIGURES) {
      const { low, high } = ranges[figure]!
      const count = counts(n, figure)
      if (actual[figure]! >= low && actual[figure]! <= high) count.inside++
      count.narrowed.push((high - low) / (before[figure]!.high - before[figure]!.low))
    }
  }
}
const median = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!
console.log(
  `${GARDENS} gardens, three mixes of the same materials each; ${questioned} of ${readings} readings questioned` +
    (HARSH ? `; ${found} of ${wrongs} gross ones found` : ''),
)
console.log('in the 10-90 % range, of 100 (and width of it, of what it was)')
console.log(['figure'.padEnd(24), ...[...table.keys()].map((n) => `${n} readings`.padStart(14))].join(''))
for (const figure of FIGURES)
  console.log(
    [
      figure.padEnd(24),
      ...[...table].map(([, row]) => {
        const { inside, narrowed } = row.get(figure)!
        return `${((100 * inside) / GARDENS).toFixed(0)} (${median(narrowed).toFixed(2)})`.padStart(14)
      }),
    ].join(''),
  )
console.log(
  [
    'all figures'.padEnd(24),
    ...[...table.values()].map((row) =>
      ((100 * [...row.values()].reduce((sum, c) => sum + c.inside, 0)) / (GARDENS * FIGURES.length))
        .toFixed(1)
        .padStart(14),
    ),
  ].join(''),
)
console.log(
  `widest after learning, of what it was: ${Math.max(...[...table.values()].flatMap((r) => [...r.values()].flatMap((c) => c.narrowed))).toFixed(2)}`,
)
console.log(`${((performance.now() - started) / GARDENS).toFixed(0)} ms a garden`)
