import { dressingById } from '../src/core/data/dressings'
import { Bench } from 'tinybench'
import { limeForTarget } from '../src/core/chemistry'
import { LIMES, materialById, cropById } from '../src/core/data'
import { evaluate, FULL_EFFORT, type MixInContainer } from '../src/core/evaluate'
import { candidateCount, search, STEP_OF, type FinderProblem, type TargetName } from '../src/core/finder'
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

const layer = { top: 29, totalPorosity: mix.totalPorosity, waterAt: mix.waterAt }
const difference = Math.abs(plainAir() - containerProfile(container, [layer]).airFilledPorosity)
console.log(`air by both ways differs by ${difference.toExponential(1)}\n`)

const bench = new Bench({ time: 600 })
bench
  .add('reference: plain sum, 2,000 slices', () => void plainAir())
  .add('container profile', () => void containerProfile(container, [layer]))
  .add('blend of four', () => void blend(parts))
  .add('evaluation as the mix screen asks for it', () => void evaluate(input, { ...FULL_EFFORT, years: [] }))
  .add('full evaluation: three years, season, feed', () => void evaluate(whole))
  .add('lime for a target', () => void limeForTarget(mix, { choice: limes, target: 6.4 }))
  .add('preparing one material (curve and packing)', () => void prepareMaterial(parts[0]!.material.material))
await bench.run()
const mean = (name: string) => {
  const result = bench.getTask(name)!.result
  if (!('latency' in result)) throw new Error(`${name} did not run`)
  return result.latency.mean
}
const reference = mean('reference: plain sum, 2,000 slices')
const line = (what: string, ratio: number, of: string) =>
  console.log(`${what.padEnd(58)} ${ratio.toFixed(ratio < 1 ? 3 : 2).padStart(9)} x ${of}`)
for (const task of bench.tasks) line(task.name, mean(task.name) / reference, 'the reference')

const ms = (work: () => void) => {
  const start = performance.now()
  work()
  return performance.now() - start
}
const best = (times: number, work: () => void) => Math.min(...Array.from({ length: times }, () => ms(work)))

console.log()
// The same draws with every curve fitted from nothing, evaluated at full depth: forty of them, for time.
const random = seededRandom(1)
const plainDraws = best(2, () => {
  for (let i = 0; i < 40; i++) {
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
    evaluate({ ...whole, parts: drawnParts })
  }
})
const draws = best(3, () => void rangesAtOnce({ input: whole, draws: 500 }))
const screen = best(3, () => void rangesAtOnce({ input, draws: 500, years: [] }))
line('500 draws, full evaluation', draws / (plainDraws * 12.5), '500 plain draws')
line(
  '500 draws, full evaluation',
  draws / mean('full evaluation: three years, season, feed'),
  'one full evaluation',
)
line('500 draws as the mix screen asks for them', screen / draws, '500 draws in full')

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
function plainScore(p: FinderProblem, recipe: readonly BlendPart[]): number {
  const b = blend(recipe)
  if (!b.ok) return Infinity
  const profile = containerProfile(
    container,
    [{ top: 29, totalPorosity: b.value.totalPorosity, waterAt: b.value.waterAt }],
    12,
  )
  const figures: Partial<Record<TargetName, number>> = {
    airFilledPorosity: profile.airFilledPorosity,
    easilyAvailableWater: profile.easilyAvailableWater,
    pH: b.value.pH,
    electricalConductivity: b.value.electricalConductivity,
    drainedDensity: b.value.dryBulkDensity + profile.containerCapacity,
  }
  let score = 0
  for (const [name, x] of Object.entries(figures) as [TargetName, number][]) {
    const { low, high } = p.targets[name]!
    score += Math.max(0, low - x, x - high) / STEP_OF[name]
  }
  return score
}
for (const n of [12, 20]) {
  const p = problem(n)
  const recipe = (i: number): BlendPart[] =>
    [0, 1, 2, 3, 4].map((k) => ({
      material: p.shelf[(i + k * 3) % n]!.material,
      parts: 1 + ((i >> k) % 4),
    }))
  const plainCount = 2000
  const plain = best(2, () => {
    for (let i = 0; i < plainCount; i++) plainScore(p, recipe(i))
  })
  let first = 0
  let tried = 0
  const all = ms(() => {
    const start = performance.now()
    const run = search(p)
    let step = run.next()
    first = performance.now() - start
    while (!step.done) step = run.next()
    if (step.value.ok) tried = step.value.value.tried
  })
  const rate = tried / all
  console.log(
    `finder, ${n} materials: ${candidateCount(n, 5, 12).toLocaleString('en')} recipes, ${(rate / 1000).toFixed(2)} million a second here, first answer after ${first.toFixed(0)} ms, all in ${(all / 1000).toFixed(1)} s`,
  )
  line(`finder, ${n} materials, recipes a second`, rate / (plainCount / plain), 'blend and profile of each')
}
console.log(`\nheap in use ${(process.memoryUsage().heapUsed / 2 ** 20).toFixed(0)} MB`)
