import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { CASES, type CaseName } from '../src/model/headless/cases'
import { main } from './core'
import { schemaText } from './formats'

function run(command: string | undefined, text: string) {
  let out = ''
  let err = ''
  const code = main(
    command,
    text,
    (s) => (out += s),
    (s) => (err += `${s}\n`),
  )
  return { code, out, err }
}
const example = (name: string) => readFileSync(`docs/formats/examples/${name}.json`, 'utf8')
const answer = (name: CaseName, change: object = {}) => {
  const { code, out, err } = run(name, JSON.stringify({ ...JSON.parse(example(name)), ...change }))
  expect(err).toBe('')
  expect(code).toBe(0)
  return JSON.parse(out)
}
/** The one line an unusable case gets. */
const complaint = (name: CaseName, change: object) => {
  const { code, out, err } = run(name, JSON.stringify({ ...JSON.parse(example(name)), ...change }))
  expect(code).toBe(2)
  expect(out).toBe('')
  expect(err.split('\n')).toHaveLength(2)
  return err
}

describe('the documented examples', () => {
  const names = readdirSync('docs/formats/examples').map((f) => f.replace('.json', ''))
  test('there is one for every command', () => expect(names.sort()).toEqual(Object.keys(CASES).sort()))
  test('evaluate: figures with ranges, the reading weighed in', () => {
    const a = answer('evaluate')
    expect(a.figures.pH).toBeCloseTo(6.4, 2)
    expect(a.ranges.airFilledPorosity.low).toBeLessThan(a.figures.airFilledPorosity)
    expect(a.readings[0].read).toBe(6.2)
    expect(a.growing.watering).toHaveLength(12)
    expect(a.seasons.map((s: { years: number }) => s.years)).toEqual([1, 2, 3])
    expect(a.parts.map((p: { material: string }) => p.material)).toEqual([
      'peat_medium',
      'courtyard_compost',
      'perlite_coarse',
      'pine_bark_fine',
    ])
    expect(
      a.profile.every(
        (s: { solids: number; water: number; air: number }) =>
          Math.abs(s.solids + s.water + s.air - 1) < 1e-6,
      ),
    ).toBe(true)
  })
  test('evaluate: an appraisal, the gravest first, each finding with its sentence', () => {
    const situation = { stage: 'seed', standing: 'roof', loadAllowed: '10 kg/m2' }
    const { appraisal } = answer('evaluate', { situation, ranges: undefined })
    expect(appraisal[0]).toMatchObject({ topic: 'weight-load', severity: 'grave', limit: 10 })
    expect(appraisal[0].value).toBeGreaterThan(10)
    for (const f of appraisal) expect(f.text).toMatch(/\.$/)
    expect(complaint('evaluate', { situation: { years: -1 } })).toContain('situation.years')
  })
  test('find: peat-free, within budget', () => {
    const a = answer('find')
    expect(a.allowed).not.toContain('peat_medium')
    for (const c of a.front) expect(c.figures.costPerLitre).toBeLessThanOrEqual(0.15)
    expect(a.families).toHaveLength(3)
    for (const c of a.families) {
      expect(c.lime.pH).toBeGreaterThanOrEqual(6.3)
      expect(c.feed.reached[0].mgPerLitre).toBeGreaterThan(0)
    }
  })
  test('find: says what is in the way where nothing fits', () => {
    const a = answer('find', {
      targets: { airFilledPorosity: { low: 0.6, high: 0.7 }, pH: { low: 4, high: 4.2 } },
    })
    expect(a.families[0].score).toBeGreaterThan(0)
    expect(a.inTheWay.length).toBeGreaterThan(0)
  })
  test('dose: lime to the pH, feed to the charge', () => {
    const a = answer('dose')
    expect(a.lime.pH).toBeCloseTo(6.2, 1)
    expect(a.feed.largestMiss).toBeLessThan(0.01)
    const copy = answer('dose', {
      feed: {
        dressings: ['calcium_nitrate', 'map', 'potassium_sulfate'],
        likeLabel: { nitrogen: 16, phosphate: 9, potash: 12, gramsPerLitre: 1.5 },
      },
    })
    expect(copy.feed.reached[0].element).toBe('nitrogen')
    expect(copy.feed.reached[0].mgPerLitre).toBeCloseTo(240, -1)
  })
  test('dose: sulfur for berries', () => {
    const a = answer('dose', {
      lime: undefined,
      feed: undefined,
      mix: [{ material: 'soil_loam', parts: 1 }],
      acid: { dressing: 'sulfur_elemental', targetPH: 5.5 },
    })
    expect(a.acid.gramsPerLitre).toBeGreaterThan(0.3)
    expect(a.acid.pH).toBeCloseTo(5.5, 1)
  })
  test('batch: measures, grams, spoons and water', () => {
    const a = answer('batch')
    const all = a.batches.reduce((s: number, b: { blendLitres: number }) => s + b.blendLitres, 0)
    expect(all).toBeGreaterThanOrEqual(239)
    const lime = a.batches[0].dressings.find((d: { dressing: string }) => d.dressing === 'lime_calcitic')
    expect(lime.grams).toBeCloseTo(1.25 * a.batches[0].blendLitres, 3)
    expect(
      a.batches[0].water.find((w: { id: string }) => w.id === 'peat_medium').wettingAgentMl,
    ).toBeGreaterThan(0)
  })
  test('volume: litres in place, to blend and to measure', () => {
    const a = answer('volume')
    expect(a.containers[1].mix).toBeCloseTo((240 * 120 * 37) / 1000, 6)
    expect(a.toBlend.litres).toBeCloseTo(a.inPlace.litres * 1.08, 3)
    expect(a.toMeasure.litres).toBeGreaterThan(a.toBlend.litres)
    expect(a.parts[0].litres / a.parts[1].litres).toBeCloseTo(1.5, 4)
  })
  test('water: layers, moments, ranges, a plan; nothing made or lost', () => {
    const a = answer('water')
    expect(a.book.error).toBeLessThan(1e-4)
    expect(a.moments.map((m: { hours: number }) => m.hours).slice(0, 3)).toEqual([0, 12, 24])
    expect(a.depths[0].pores).toBeCloseTo(0.4, 2)
    expect(a.ranges.airAtEnd.low).toBeLessThan(a.figures.airAtEnd)
    expect(a.plan.months.length).toBeGreaterThan(2)
    expect(a.notes.map((n: { code: string }) => n.code)).toContain('layer-stalls-drainage')
    const bare = answer('water', {
      growing: undefined,
      plan: false,
      uses: { leaves: 1 },
      bottomLayers: undefined,
    })
    expect(bare.book.takenUp).toBeGreaterThan(3)
    expect(complaint('water', { growing: undefined })).toContain('no crop')
    expect(complaint('water', { pourings: [{ start: 1, hours: 0, litres: 2 }] })).toContain('hours')
  })
  test('a mix by the bucket is batched as a bucket', () => {
    const a = answer('batch', {
      mix: [
        { mix: 'base', parts: 2 },
        { material: 'pumice', parts: 1 },
      ],
      mixes: {
        base: [
          { material: 'peat_medium', parts: 1 },
          { material: 'sand_sharp', parts: 1 },
        ],
      },
    })
    expect(a.batches[0].measures.map((m: { id: string }) => m.id)).toEqual(['base', 'pumice'])
  })
})

describe('what cannot be used is reported in one line, and nothing else is said', () => {
  test('no command, an unknown one, no JSON', () => {
    expect(run(undefined, '').err).toContain('evaluate|find|dose|batch|volume|water')
    expect(run('cook', '{}')).toMatchObject({ code: 2, out: '' })
    expect(run('evaluate', '{"mix": ')).toMatchObject({ code: 2, out: '' })
    expect(run('evaluate', '{"mix": ').err).toContain('not JSON')
    // A name every object has is still no command.
    expect(run('toString', '{}').code).toBe(2)
  })
  test.each<[CaseName, object, RegExp]>([
    ['evaluate', { mix: [] }, /nothing in the mix/],
    ['evaluate', { mix: [{ material: 'moon_dust', parts: 1 }] }, /moon_dust/],
    [
      'evaluate',
      { mix: [{ mix: 'base', parts: 1 }], mixes: { base: [{ mix: 'base', parts: 1 }] } },
      /contain itself/,
    ],
    ['evaluate', { mix: [{ material: 'pumice', parts: 'two' }] }, /mix\.0.*parts.*number/],
    ['evaluate', { lime: { targetPH: 9 } }, /9\.0 is outside/],
    ['evaluate', { lime: { gramsPerLitre: -2 } }, /less than zero/],
    ['evaluate', { growing: { crop: 'moon_cheese' } }, /moon_cheese/],
    ['evaluate', { dressings: [{ dressing: 'glitter', gramsPerLitre: 1 }] }, /glitter/],
    [
      'evaluate',
      { bottomLayers: [{ thickness: 40, mix: [{ material: 'pumice', parts: 1 }] }] },
      /Layers of 40 cm/,
    ],
    ['evaluate', { colour: 'blue' }, /colour/],
    [
      'evaluate',
      { container: { shape: { kind: 'roundPot', topDiameter: -3, baseDiameter: 2, height: 5 } } },
      /width across the top/,
    ],
    ['find', { shelf: [] }, /shelf/],
    ['find', { rules: { mustUse: ['coir_pith'], mustNotUse: ['coir_pith'] } }, /coir_pith.*has to be used/],
    ['find', { targets: { pH: { low: 7, high: 6 } } }, /low is above high/],
    [
      'dose',
      { feed: { dressings: ['urea'], targets: [{ element: 'boron', mgPerLitre: 1 }] } },
      /brings boron/,
    ],
    ['dose', { lime: undefined, acid: { dressing: 'calcium_nitrate', targetPH: 5 } }, /acid/],
    ['batch', { mix: [{ material: 'pumice', parts: 0.21 }] }, /quarter parts/],
    ['batch', { vessel: 0.01 }, /tub/],
    [
      'volume',
      {
        containers: [
          { container: { shape: { kind: 'halfCylinder', length: 100, diameter: 20 } }, rootBalls: 99 },
        ],
      },
      /root balls/,
    ],
    [
      'volume',
      {
        containers: [
          { container: { shape: { kind: 'halfCylinder', length: 100, diameter: 20 } }, count: 1.5 },
        ],
      },
      /number of containers/,
    ],
  ])('%s %j', (name, change, words) => expect(complaint(name, change)).toMatch(words))
})

test('the published schemas are those in use', () => {
  for (const name of Object.keys(CASES) as CaseName[])
    expect(readFileSync(`docs/formats/${name}.schema.json`, 'utf8'), 'run npm run formats').toBe(
      schemaText(name),
    )
})
