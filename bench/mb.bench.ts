import { dressingById } from '../src/core/data/dressings'
import { limeForTarget } from '../src/core/chemistry'
import { LIMES, materialById, cropById } from '../src/core/data'
import { evaluate, FULL_EFFORT, type MixInContainer } from '../src/core/evaluate'
import { blend, prepareMaterial } from '../src/core/mixing'
const material = (id: string) => prepareMaterial(materialById(id)!)
const parts = Object.entries({ peat_medium: 4, compost_green: 2, perlite_coarse: 2, pine_bark_fine: 1 }).map(
  ([id, parts]) => ({ material: material(id), parts }),
)
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
const climate = {
  latitude: 51,
  elevation: 10,
  months: [3, 3, 5, 8, 11, 14, 16, 16, 14, 10, 6, 4].map((t) => ({ tMin: t - 4, tMax: t + 5 })),
}
const whole: MixInContainer = {
  ...input,
  dressings: [{ dressing: dressingById('crf_5_6')!, gramsPerLitre: 3.5 }],
  growing: { crop: cropById('pepper_sweet')!, plants: 1, plantingMonth: 5, climate },
}
const warm: MixInContainer = {
  ...whole,
  temperature: { months: climate.months.map((m) => (m.tMin + m.tMax) / 2), start: 5 },
}
const mixed = blend(parts)
if (!mixed.ok) throw 1
const best = (name: string, f: () => void) => {
  for (let i = 0; i < 200; i++) f()
  let least = Infinity
  for (let k = 0; k < 60; k++) {
    const t = process.hrtime.bigint()
    for (let i = 0; i < 10; i++) f()
    least = Math.min(least, Number(process.hrtime.bigint() - t) / 1e7)
  }
  console.log(name.padEnd(28), least.toFixed(3), 'ms')
}
if (process.argv[2] === 'p') {
  for (let i = 0; i < 1500; i++) evaluate(whole)
  process.exit()
}
best('evaluate input, once', () => evaluate(input, { ...FULL_EFFORT, years: [] }))
best('evaluate whole, years []', () => evaluate(whole, { ...FULL_EFFORT, years: [] }))
best('evaluate warm, years []', () => evaluate(warm, { ...FULL_EFFORT, years: [] }))
best('evaluate whole', () => evaluate(whole))
best('lime', () => limeForTarget(mixed.value, { choice: limes, target: 6.4 }))
best('lime, months', () =>
  limeForTarget(mixed.value, { choice: limes, target: 6.4 }, { temperature: warm.temperature }),
)
best('prepare', () => prepareMaterial(parts[0]!.material.material))
