import { dressingById } from '../src/core/data/dressings'
import { limeForTarget } from '../src/core/chemistry'
import { LIMES, materialById, cropById } from '../src/core/data'
import { evaluate, FULL_EFFORT, type MixInContainer } from '../src/core/evaluate'
import { searchAtOnce, USUAL_MOST_MATERIALS, USUAL_MOST_PARTS, type FinderProblem } from '../src/core/finder'
import { plainSearch } from './lib/plainFinder'
import { ratiosOf } from './lib/ratios'
import { areaAt, shapeHeight } from '../src/core/geometry'
import { blend, prepareMaterial, type BlendPart } from '../src/core/mixing'
import { drawMaterial, normal, rangesAtOnce, seededRandom } from '../src/core/ranges'
import { containerProfile, fitRetention, withDryEnd } from '../src/core/water'

/**
 * Times as ratios to plain references written here, so that they mean the same on any machine: for one container, a
 * midpoint sum over 2,000 slices of the same curves, with no rule of integration and nothing worked out before; for
 * ranges, as many evaluations of materials fitted from scratch; for the finder, the core's own blend and profile of
 * each recipe, with nothing precomputed.
 */
const material = (id: string) => prepareMaterial(materialById(id)!)
const partsOf = (amounts: Record<string, number>): BlendPart[] =>
  Object.entries(amounts).map(([id, parts]) => ({ material: material(id), parts }))
const parts = partsOf({ peat_medium: 4, compost_green: 2, perlite_coarse: 2, pine_bark_fine: 1 })
const limes = [
  { lime: LIMES[0]!, share: 0.5 },
  { lime: LIMES[1]!, share: 0.5 },
]
const container: MixInContainer['container'] = {
  shape: { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 },
  headspace: 3,
  base: { kind: 'drainHoles' },
}
const input: MixInContainer = { container, parts, limes, limeGramsPerLitre: 2.7 }
const whole: MixInContainer = {
  ...input,
  dressings: [{ dressing: dressingById('crf_5_6')!, gramsPerLitre: 3.5 }],
  growing: {
    crop: cropById('pepper_sweet')!,
    plants: 1,
    plantingMonth: 5,
    climate: {
      latitude: 51,
      elevation: 10,
      months: [3, 3, 5, 8, 11, 14, 16, 16, 14, 10, 6, 4].map((t) => ({ tMin: t - 4, tMax: t + 5 })),
    },
  },
}
const mixed = blend(parts)
if (!mixed.ok) throw new Error(mixed.problem.code)
const mix = mixed.value

function plainAir(): number {
  const top = shapeHeight(container.shape) - container.headspace
  let air = 0
  let volume = 0
  for (let i = 0; i < 2000; i++) {
    const z = ((i + 0.5) / 2000) * top
    const area = areaAt(container.shape, z)
    air += area * (mix.totalPorosity - mix.waterAt(z))
    volume += area
  }
  return air / volume
}

/**
 * The same sum on curves written out here with powers, so that the reference stays what it is when the core is faster.
 */
function plainSum(): number {
  const top = shapeHeight(container.shape) - container.headspace
  const shares = parts.map((p) => p.parts / 9)
  let air = 0
  let volume = 0
  for (let i = 0; i < 2000; i++) {
    const z = ((i + 0.5) / 2000) * top
    let water = 0
    for (const [k, { material }] of parts.entries()) {
      const { residual, saturated, alpha, n, macropores = 0 } = material.retention
      const matrix = (saturated - residual - macropores) * (1 + (alpha * z) ** n) ** (1 / n - 1)
      water += shares[k]! * (residual + matrix + macropores * (1 + (1.2 * z) ** 2.5) ** -0.6)
    }
    const area = areaAt(container.shape, z)
    air += area * (mix.totalPorosity - water)
    volume += area
  }
  return air / volume
}

const layer = { top: 29, totalPorosity: mix.totalPorosity, waterAt: mix.waterAt }
const difference = Math.abs(plainAir() - containerProfile(container, [layer]).airFilledPorosity)
console.log(`air by both ways differs by ${difference.toExponential(1)}\n`)

/** Everything of an answer, what is worked out when it is read too. */
const wholly = (answer: ReturnType<typeof evaluate>) =>
  void (answer.ok && answer.value.traces.length + answer.value.acidity.length + answer.value.flags.length)
const bench = ratiosOf('core')
const REFERENCE = ['plain sum, 2,000 slices', () => void plainSum()] as const
for (const [name, work, most] of [
  ['container profile', () => void containerProfile(container, [layer])],
  ['blend of four', () => void blend(parts)],
  [
    'evaluation as the mix screen asks for it',
    () => void evaluate(input, { ...FULL_EFFORT, years: [] }),
    0.5,
  ],
  ['full evaluation: three years, season, feed', () => wholly(evaluate(whole)), 1],
  ['lime for a target', () => void limeForTarget(mix, { choice: limes, target: 6.4 }), 0.5],
  ['preparing one material (curve and packing)', () => void prepareMaterial(parts[0]!.material.material)],
] as const)
  bench.pair([name, work], REFERENCE, most === undefined ? {} : { goal: { most } })

console.log()
// The same draws with every curve fitted from nothing, evaluated at full depth: forty of them, for time.
const random = seededRandom(1)
const DRAWS = 20
const plainDraws = () => {
  for (let i = 0; i < DRAWS; i++) {
    const drawnParts = parts.map((p) => {
      const drawn = drawMaterial(p.material, () => normal(random))
      const { totalPorosity, waterAt5Cm, waterAt10Cm, waterAt50Cm, waterAt100Cm } = drawn.material.properties
      const { curve } = fitRetention({
        totalPorosity: totalPorosity.value,
        waterAt5Cm: waterAt5Cm.value,
        waterAt10Cm: waterAt10Cm.value,
        waterAt50Cm: waterAt50Cm.value,
        waterAt100Cm: waterAt100Cm.value,
      })
      return {
        ...p,
        material: { ...drawn, retention: withDryEnd(curve, { waterAt1000Cm: 0.15, waterAt15000Cm: 0.08 }) },
      }
    })
    wholly(evaluate({ ...whole, parts: drawnParts }))
  }
}
const draws = () => void rangesAtOnce({ input: whole, draws: 500 })
bench.pair(['500 draws, full evaluation', draws], ['500 plain draws', plainDraws], {
  times: 500 / DRAWS,
  goal: { most: 0.05 },
})
bench.pair(
  ['500 draws as the mix screen asks for them', () => void rangesAtOnce({ input, draws: 500, years: [] })],
  ['500 draws in full', draws],
  { rounds: 7 },
)

console.log()
const SHELF = [
  'peat_medium',
  'coir_pith',
  'pine_bark_fine',
  'compost_green',
  'perlite_coarse',
  'vermiculite_medium',
  'pumice',
  'sand_sharp',
  'soil_loam',
  'leaf_mould',
  'vermicompost',
  'rice_hulls_parboiled',
  'wood_fibre',
  'bark_composted',
  'grit_2_6',
  'expanded_clay',
  'biochar_charged',
  'coir_chips',
  'manure_cattle_composted',
  'perlite_medium',
]
const problem = (n: number): FinderProblem => ({
  container,
  shelf: SHELF.slice(0, n).map((id, i) => ({
    material: material(id),
    pricePerLitre: 0.05 + 0.02 * ((i * 7) % 11),
    stock: 0,
    packLitres: 50,
  })),
  targets: {
    airFilledPorosity: { low: 0.18, high: 0.25 },
    easilyAvailableWater: { low: 0.2, high: 0.3 },
    pH: { low: 6, high: 6.8 },
    electricalConductivity: { low: 0.75, high: 2 },
    drainedDensity: { low: 0.6, high: 0.9 },
    structureLost: { low: 0, high: 0.2 },
  },
})
const REPORTED = new Set(['families', 'front', 'tried'])
for (const n of [12, 20]) {
  const p = problem(n)
  const plain = plainSearch(p, USUAL_MOST_MATERIALS, USUAL_MOST_PARTS)
  const found = searchAtOnce(p)
  if (!found.ok) throw new Error(found.problem.code)
  // The same recipes in the same order; sums taken in another order differ in their last digits.
  const told = (answer: object) =>
    JSON.stringify(answer, (_, value: unknown) =>
      typeof value === 'number' ? Number(value.toPrecision(9)) : value,
    )
  const ours = Object.fromEntries(Object.entries(found.value).filter(([key]) => REPORTED.has(key)))
  const same = told(ours.families) === told(plain.families) && told(ours.front) === told(plain.front)
  console.log(
    `finder, ${n} materials: ${plain.tried.toLocaleString('en')} recipes, answers ${same ? 'identical' : 'DIFFERENT'}`,
  )
  if (!same) process.exitCode = 1
  bench.pair(
    [
      `exhaustive search of ${n} materials, written plainly`,
      () => void plainSearch(p, USUAL_MOST_MATERIALS, USUAL_MOST_PARTS),
    ],
    ['the finder', () => void searchAtOnce(p)],
    { goal: { least: 3 }, rounds: n > 12 ? 7 : 15 },
  )
}
console.log(`\nheap in use ${(process.memoryUsage().heapUsed / 2 ** 20).toFixed(0)} MB`)
bench.done()
