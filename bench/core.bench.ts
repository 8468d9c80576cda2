import { Bench } from 'tinybench'
import { MATERIALS } from '../src/core/data'
import { limeForTarget } from '../src/core/chemistry'
import { LIMES } from '../src/core/data'
import { evaluate, type MixInContainer } from '../src/core/evaluate'
import { areaAt, shapeHeight } from '../src/core/geometry'
import { blend, prepareMaterial } from '../src/core/mixing'
import { containerProfile } from '../src/core/water'

/**
 * Times as ratios to a plain reference written here, so that they mean the same on any machine: the air of a container as
 * a midpoint sum over 2,000 slices of the same curves, with no rule of integration and nothing worked out before.
 */
const ids = ['peat_medium', 'compost_green', 'perlite_coarse', 'pine_bark_fine']
const prepared = ids.map((id) => prepareMaterial(MATERIALS.find((m) => m.id === id)!))
const parts = prepared.map((material, i) => ({ material, parts: [4, 2, 2, 1][i]! }))
const limes = [
  { lime: LIMES[0]!, share: 0.5 },
  { lime: LIMES[1]!, share: 0.5 },
]
const input: MixInContainer = {
  container: {
    shape: { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 },
    headspace: 3,
    base: { kind: 'drainHoles' },
  },
  parts,
  limes,
  limeGramsPerLitre: 2.7,
}
const mixed = blend(parts)
if (!mixed.ok) throw new Error(mixed.problem.code)
const mix = mixed.value

function plainAir(): number {
  const top = shapeHeight(input.container.shape) - input.container.headspace
  let air = 0
  let volume = 0
  for (let i = 0; i < 2000; i++) {
    const z = ((i + 0.5) / 2000) * top
    const area = areaAt(input.container.shape, z)
    air += area * (mix.totalPorosity - mix.waterAt(z))
    volume += area
  }
  return air / volume
}

const layer = { top: 29, totalPorosity: mix.totalPorosity, waterAt: mix.waterAt }
const difference = Math.abs(plainAir() - containerProfile(input.container, [layer]).airFilledPorosity)

const bench = new Bench({ time: 600 })
bench
  .add('reference: plain sum, 2,000 slices', () => void plainAir())
  .add('container profile', () => void containerProfile(input.container, [layer]))
  .add('blend of four', () => void blend(parts))
  .add('one full evaluation, lime given', () => void evaluate(input))
  .add('lime for a target', () => void limeForTarget(mix, limes, 6.4))
  .add('preparing one material (curve and packing)', () => void prepareMaterial(prepared[0]!.material))
await bench.run()

const mean = (name: string) => {
  const result = bench.getTask(name)!.result
  if (!('latency' in result)) throw new Error(`${name} did not run`)
  return result.latency.mean
}
const reference = mean('reference: plain sum, 2,000 slices')
console.log(`air by both ways differs by ${difference.toExponential(1)}`)
for (const task of bench.tasks)
  console.log(
    `${task.name.padEnd(46)} ${(mean(task.name) / reference).toFixed(3).padStart(8)} x the reference`,
  )
console.log(`heap in use ${(process.memoryUsage().heapUsed / 2 ** 20).toFixed(0)} MB`)
