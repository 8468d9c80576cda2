import { draws } from '@/core/testing/draws'
import { PUBLISHED } from '@/core/data'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { dressingById } from '@/core/data/dressings'
import { cropById, CROPS, MATERIALS, materialById } from '@/core/data'
import { SET_OTHERWISE } from '@/core/data/planting'
import { lineOf } from '@/model/mix/doses'
import type { Problem } from '@/core/problems'
import type { Command } from '@/model/garden/commands'
import { CLIMATES } from '@/core/climate/climates'
import { startingJobBed, startingJob, startingSpec } from '@/model/garden/starting'
import type { Garden } from '@/model/garden/garden'
import { STANDINGS, VESSEL_KINDS } from '@/model/garden/schemas'
import { shelfEntry } from '@/model/garden/shelfEntry'
import { startingPlace, startingVessel } from '@/model/garden/starting'
import type { BatchCard } from '@/model/make/batchCard'
import type { Quantities } from '@/model/make/quantities'
import { forWhom, ofWhom, whomChoices } from './mix/doses'
import { depthText, reservoirText } from './bed/filling'
import { loadHeading, loadTexts } from './bed/load'
import { prepareJob } from '@/model/mix/evaluateJob'
import { evaluatePrepared } from '@/model/mix/prepare'
import { readingsAtOnce } from './readings/atOnce'
import { cautionsForMixing, limeCaution } from './base/cautions'
import { commandText } from './base/commands'
import { recordName } from './base/recordNames'
import { packText } from './base/labels'
import { fillsText, jobTitle, shortName } from './base/titles'
import { fromFieldText, parseNumber } from './base/fieldText'
import { materialFindable } from './shelf/names'
import { search as searchRows } from './shelf/search'
import {
  alikeBatches,
  bucketsText,
  doseSpoons,
  measureOfLine,
  overText,
  pileText,
  spoonText,
} from './make/measures'
import { toEachText } from './season/seasonPlan'
import { fileProblemText, noteText, problemField, problemText, unreadableText } from './base/problems.en'
import { readNumber } from '@/model/numbers'
import { notANumberText } from './base/fields'
import { counted, numberText } from './base/counted'
import {
  doseText,
  spoonfulText,
  doseWeightText,
  lengthText,
  waterDepthText,
  loadText,
  percentText,
  QUANTITIES,
  toFieldText,
  volumeText,
  weightText,
  type Quantity,
} from './base/units'

describe('numbers as people type them', () => {
  test.each([
    ['12', 12],
    [' 12.5 ', 12.5],
    ['12,5', 12.5],
    ['½', 0.5],
    ['1½', 1.5],
    ['1 1/2', 1.5],
    ['3/4', 0.75],
    ['-3', -3],
    ['−3', -3],
    ['', null],
    ['ten', null],
    ['1/0', null],
    ['1.2.3', null],
    ['12 cm', null],
    ['10/4', 2.5],
    ['1 3/4', 1.75],
    ['1 10/4', 3.5],
    ['11/2', null],
    ['1,000', null],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['1,234,567', 1234567],
    ['0,125', 0.125],
    ['1.234', 1.234],
    ['+4', 4],
    ['1e3', 1000],
    ['-1½', -1.5],
  ])('“%s” is %s', (text, value) => {
    const read = parseNumber(text)
    if (value === null) expect(read).toBeNull()
    else expect(read).toBeCloseTo(value, 12)
  })
  test('what may be read in two ways is asked about', () => {
    expect(readNumber('1,000')).toEqual({ either: [1000, 1] })
    expect(readNumber('11/2')).toEqual({ either: [5.5, 1.5] })
    expect(readNumber('-1,250')).toEqual({ either: [-1250, -1.25] })
    expect(notANumberText('1,000', 30, 'length', 'metric')).toEqual({
      why: '“1,000” may mean 1000 or 1.',
      fix: 'Type it so that it can be read in one way. Still counting with 30 cm.',
    })
  })
  test('fields turn round in both systems, to the digits they show', () => {
    const quantities = Object.keys(QUANTITIES) as Quantity[]
    fc.assert(
      fc.property(
        fc.constantFrom(...quantities),
        fc.constantFrom('metric' as const, 'us' as const),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        (quantity, units, value) => {
          const shown = toFieldText(value, quantity, units)
          const back = fromFieldText(shown, quantity, units)!
          const { factor, digits } = QUANTITIES[quantity][units]
          expect(Math.abs(back - value)).toBeLessThanOrEqual((0.5 * 10 ** -digits) / factor + 1e-9)
          expect(toFieldText(back, quantity, units)).toBe(shown)
        },
      ),
      draws(300),
    )
  })
})

test('amounts read well in both systems, never mixed', () => {
  expect(volumeText(38.24, 'metric')).toBe('38.2 L')
  expect(volumeText(1208, 'metric')).toBe('1.21 m³')
  expect(volumeText(37.85, 'us')).toBe('10 gal')
  expect(volumeText(0.9463529, 'us')).toBe('1 qt')
  expect(volumeText(226.53, 'us')).toBe('8.0 cu ft')
  expect(weightText(26.4, 'metric')).toBe('26 kg')
  expect(weightText(2.04, 'us')).toBe('4.5 lb')
  expect(doseWeightText(78.3, 'metric')).toBe('78 g')
  expect(doseWeightText(1320, 'metric')).toBe('1.32 kg')
  expect(doseWeightText(78.3, 'us')).toBe('2.76 oz')
  expect(doseWeightText(1320, 'us')).toBe('2.9 lb')
  expect(doseText(7.489, 'us')).toBe('1.00 oz/gal')
  // 0.247 g/L is 0.033 oz to a gallon, of which a cubic foot holds 7.48.
  expect(doseText(0.247, 'us')).toBe('0.25 oz/cu ft')
  // A teaspoon is 4.93 mL, a tablespoon three of them, a cup sixteen of those.
  expect([11, 4.93, 25, 355].map((mL) => spoonfulText(mL, 'us'))).toEqual([
    '2¼ tsp',
    '1 tsp',
    '1¾ tbsp',
    '1½ cups',
  ])
  expect(lengthText(25.4, 'us')).toBe('10 in')
  expect(lengthText(25, 'metric')).toBe('25 cm')
  expect(waterDepthText(3.7, 'metric')).toBe('3.7 mm')
  expect(waterDepthText(3.7, 'us')).toBe('0.15 in')
  expect(loadText(195.29, 'us')).toBe('40 lb/ft²')
  expect(percentText(0.175)).toMatch(/^1[78] %$/)
})

describe('sentences', () => {
  const problems: Problem[] = [
    { code: 'not-a-number', field: 'height' },
    { code: 'size-not-positive', field: 'topDiameter', value: -3 },
    { code: 'size-too-large', field: 'height', value: 1000, limit: 300 },
    { code: 'size-negative', field: 'headspace', value: -1 },
    { code: 'headspace-fills-container', headspace: 30, height: 28 },
    { code: 'hole-above-mix', holeHeight: 26, mixHeight: 25 },
    { code: 'layers-fill-container', thickness: 40, mixHeight: 30 },
    { code: 'outline-crosses-itself' },
    { code: 'count-not-whole', value: 1.5 },
    { code: 'no-parts' },
    { code: 'part-not-positive', material: 'peat', value: 0 },
    { code: 'unknown-material', material: 'moon dust' },
    { code: 'pH-out-of-range', value: 11, low: 3.5, high: 8 },
    { code: 'target-above-lime-ceiling', target: 7.9, reachable: 7.4, limit: 25 },
    { code: 'vessel-too-small', vessel: 5, smallest: 20 },
    { code: 'amount-negative', field: 'settling', value: -0.1 },
    { code: 'unknown-mix', mix: 'base' },
    { code: 'unknown-dressing', dressing: 'moon dust' },
    { code: 'unknown-crop', crop: 'moon cheese' },
    { code: 'part-not-measurable', material: 'peat', value: 0.21 },
    { code: 'mix-contains-itself', path: ['base', 'potting', 'base'] },
    { code: 'unknown-family', family: 'moss' },
    { code: 'value-out-of-range', field: 'totalPorosity', value: 93, low: 0, high: 0.99 },
    { code: 'no-dressing-for-target', wanted: 'boron' },
    { code: 'target-out-of-reach', quantity: 'pH', target: 4, reachable: 5.2 },
    { code: 'nothing-to-choose-from' },
    { code: 'rules-contradict', material: 'peat_fine' },
  ]
  test.each(problems.map((p) => [p.code, p] as const))(
    '%s says why and what to do, in either system',
    (_code, problem) => {
      for (const units of ['metric', 'us'] as const) {
        const { why, fix } = problemText(problem, units)
        expect(why).toMatch(/^\S.{8,}[.:]$/)
        expect(fix.length).toBeGreaterThan(10)
        expect(`${why} ${fix}`).not.toMatch(/undefined|NaN|\[object/)
      }
      expect(problemText(problem, 'us').why).not.toMatch(/\d (cm|L|kg)\b/)
    },
  )
  test('stand beside the field that they are about', () => {
    expect(problemField(problems[1]!)).toBe('topDiameter')
    expect(problemField(problems[4]!)).toBe('headspace')
    expect(problemField(problems[5]!)).toBe('sideHoles')
    expect(problemField(problems.find((p) => p.code === 'pH-out-of-range')!)).toBe('limeTarget')
    expect(problemField(problems.find((p) => p.code === 'no-parts')!)).toBeNull()
  })
  test('notes, files and set-aside records have theirs', () => {
    expect(noteText({ code: 'target-already-passed', pH: 7.1, target: 6.4 }, 'metric')).toContain('7.1')
    expect(noteText({ code: 'dose-above-usual-limit', gramsPerLitre: 12, limit: 10 }, 'metric')).toContain(
      '12.0 g/L',
    )
    expect(noteText({ code: 'measures-rounded', largestShareError: 0.02 }, 'metric')).toContain('2.0 %')
    expect(noteText({ code: 'no-drainage' }, 'metric')).toContain('wet through')
    expect(noteText({ code: 'no-acid-needed', pH: 4.2, target: 4.8 }, 'metric')).toContain('4.2')
    expect(noteText({ code: 'charge-not-met', largestMiss: 0.2 }, 'metric')).toContain('20')
    expect(noteText({ code: 'layer-stalls-drainage', thickness: 5.08, pull: 2 }, 'us')).toContain('2 in')
    for (const problem of [
      { code: 'file-not-json', message: 'x' },
      { code: 'file-not-ours', where: 'records.0' },
      { code: 'file-newer', version: 2, known: 1 },
    ] as const)
      expect(fileProblemText(problem).fix).toContain('Nothing was changed.')
    expect(unreadableText({ code: 'newer-version', key: 'job/x', version: 9, known: 1 })).toContain('newer')
    expect(unreadableText({ code: 'overwritten', key: 'job/x' })).toContain('another tab')
  })
})

describe('names', () => {
  const job = startingJob('j', '2026-01-01T00:00:00.000Z', [
    startingJobBed('f', startingSpec('fabricBag'), null),
  ])
  test('of jobs, materials, packs and records', () => {
    expect(jobTitle(job)).toBe('Fabric bag')
    const six = { ...job.fills[0]!, count: 6 }
    expect(jobTitle({ ...job, fills: [six] })).toBe('6 fabric bags')
    expect(fillsText([six, six, six])).toBe('6 fabric bags and 2 more')
    expect(fillsText([{ ...six, spec: { ...six.spec, name: 'South wall' } }])).toBe('6 × South wall')
    expect(recordName('bed/b', { ...six.spec, id: 'b', createdAt: job.createdAt })).toBe('bed “Fabric bag”')
    expect(jobTitle({ ...job, name: '  Fig ' })).toBe('Fig')
    expect(shortName('peat_medium')).toBe('Sphagnum peat, medium')
    expect(shortName('moon_dust')).toBe('moon_dust')
    expect(packText({ kind: 'compressed', litres: 107 }, 'us')).toBe('3.8 cu ft pressed bale')
    expect(packText({ kind: 'block', kg: 5 }, 'metric')).toBe('5.0 kg dry block')
    expect(recordName('job/j', job)).toBe('job “Fabric bag”')
    expect(recordName('shelf/pumice', null)).toContain('Pumice')
  })
  test('of what is proposed in US units: round in inches, feet, gallons, cubic feet', () => {
    for (const kind of VESSEL_KINDS) {
      const { shape, headspace } = startingVessel(kind, 'us')
      const lengths: number[] = [headspace]
      const walk = (x: unknown, key = ''): void => {
        if (typeof x === 'number' && key !== 'bulge') lengths.push(x)
        else if (Array.isArray(x)) x.forEach((y) => walk(y))
        else if (x && typeof x === 'object') Object.entries(x).forEach(([k, v]) => walk(v, k))
      }
      walk(shape)
      for (const cm of lengths)
        expect(Math.abs(Math.round((cm / 2.54) * 2) - (cm / 2.54) * 2), kind).toBeLessThan(1e-6)
    }
    expect(startingVessel('raisedBed', 'us').shape).toMatchObject({
      topLength: 8 * 30.48,
      topWidth: 4 * 30.48,
    })
    const us = startingJob('j', '2026-05-01T08:00:00.000Z', [], 'us')
    expect([us.plan.bucket, us.plan.scoop, us.plan.vessel].map((x) => volumeText(x, 'us'))).toEqual([
      '5 gal',
      '1 qt',
      '25 gal',
    ])
    const garden = new Map([['settings', { units: 'us', theme: 'auto' }]]) as unknown as Garden
    for (const material of MATERIALS) {
      const { pack } = shelfEntry(garden, material)
      expect(packText(pack, 'us'), material.id).toMatch(/^\d+(\.[258])?(?:\.0)? (cu ft|qt|lb) /)
      expect(shelfEntry(new Map(), material).pack).toEqual(material.pack)
    }
  })
  test('of what is over: what settles, and what whole measures add', () => {
    const q = (blendLitres: number) => ({ plan: { blendLitres }, toBlend: 100 }) as unknown as Quantities
    expect(overText(q(105), 0.07)).toEqual([
      '7 % goes when it settles',
      '5 % over from rounding to whole measures',
    ])
    expect(overText(q(100.2), 0.07)).toEqual(['7 % goes when it settles'])
    expect(overText(q(98), 0)).toEqual(['2 % short from rounding to whole measures'])
  })
  test('of a reservoir: the water in its gaps, not the room', () => {
    expect(reservoirText(4, 3.2, 'metric')).toContain('each holds 3.2 L of water, in the gaps of 4 L of mix')
    expect(reservoirText(4, null, 'metric')).toContain('4 L of mix')
  })
  test('of numbers and counts, as English writes them', () => {
    expect(numberText(1234.56, 1)).toBe('1234.6')
    expect(numberText(12345.6, 1)).toBe('12,345.6')
    expect(numberText(-0.001, 1)).toBe('0.0')
    expect(weightText(1413, 'metric')).toBe('1413 kg')
    expect([counted(1, 'batch', 'batches'), counted(0, 'job'), counted(14604, 'recipe')]).toEqual([
      '1 batch',
      '0 jobs',
      '14,604 recipes',
    ])
  })
  test('of commands, for the undo button', () => {
    const commands: Command[] = [
      { type: 'part/change', jobId: 'j', materialId: 'pumice', by: -6 },
      { type: 'part/add', jobId: 'j', materialId: 'pumice', twelfths: 6 },
      { type: 'tick/set', jobId: 'j', batch: 0, materialId: 'pumice', done: true },
      { type: 'job/create', job },
    ]
    expect(commands.map(commandText)).toEqual([
      '−½ Pumice 2-8 mm',
      'adding Pumice 2-8 mm',
      'ticking Pumice 2-8 mm',
      'new job',
    ])
  })
  test('searching takes words in any order, and words that are in no name', () => {
    const found = (search: string) => searchRows(MATERIALS, search, materialFindable).map((m) => m.id)
    expect(found('coarse perlite')).toEqual(['perlite_coarse'])
    expect(found('peat-free')).not.toContain('peat_fine')
    expect(found('peat-free')).toContain('coir_pith')
    expect(found('')).toHaveLength(MATERIALS.length)
  })
  test('buckets read as measured, sums as decimals', () => {
    expect([30, 6, 12, 25].map(bucketsText)).toEqual(['2½ buckets', '½ bucket', '1 bucket', '2.1 buckets'])
  })
  test('spoons read as spoken', () => {
    expect(spoonText({ jugs: 0, cups: 1, tablespoons: 2, teaspoons: 0.75 }, 'metric')).toBe(
      '1 cup + 2 tablespoons + ¾ teaspoon, level',
    )
    expect(spoonText({ jugs: 0, cups: 0, tablespoons: 0, teaspoons: 0 }, 'us')).toBe('')
    expect(doseSpoons(0.1, 1, 'us')).toMatch(/weigh it/)
    expect(spoonText({ jugs: 1.5, cups: 0, tablespoons: 0, teaspoons: 0 }, 'us')).toBe('1½ quarts, level')
    // 57.8 mL: a quarter of a cup is 62.5, a twelfth too much; 52.5 + 5 are four thousandths less.
    expect(doseSpoons(78, 1.35, 'metric')).toBe('3½ tablespoons + 1 teaspoon, level')
  })
})

test('cautions come with the materials that need them, each once', () => {
  const of = (...ids: string[]) =>
    cautionsForMixing(
      ids.map((id) => materialById(id)!),
      [],
    ).map((c) => c.id)
  expect(of('perlite_coarse', 'vermiculite_fine', 'pumice')).toEqual(['dust', 'asbestos'])
  expect(of('peat_fine', 'coir_pith', 'rice_hulls_parboiled')).toEqual(['fibreDust'])
  expect(of('wood_fibre', 'brick_crushed')).toEqual(['legionella', 'moulds', 'dust', 'rubble'])
  expect(of('compost_green', 'manure_cattle_composted')).toEqual(['legionella', 'herbicide', 'manure'])
  expect(of('sphagnum_moss_long', 'zeolite', 'soil_loam')).toEqual([
    'fibreDust',
    'moss',
    'dust',
    'zeolite',
    'lead',
    'movedSoil',
  ])
  // Feeds made of manure carry what manure carries; rock phosphate its metals.
  const fed = (id: string) => cautionsForMixing([], [], [dressingById(id)!]).map((c) => c.id)
  for (const id of ['poultry_pellets', 'guano_seabird', 'compost_tea'])
    expect(fed(id), id).toEqual(['manure'])
  expect(fed('rock_phosphate')).toEqual(['cadmium'])
  expect(fed('crf_3_4')).toEqual([])
  expect(cautionsForMixing([], ['lime_calcitic']).map((c) => c.id)).toEqual(['lime'])
  expect(cautionsForMixing([], ['lime_hydrated']).map((c) => c.id)).toEqual(['lime', 'burns'])
  expect(limeCaution('wood_ash')).toContain('Goggles')
  expect(limeCaution('lime_calcitic')).toBe('')
})

test('a dose held back is said for each size of container by its own', () => {
  const pots = { bed: 'Fig pot', grams: 39 }
  expect(toEachText([pots, { bed: 'Tub', grams: 39.2 }], 'metric')).toBe('39 g to each')
  expect(toEachText([pots, { bed: 'Trough', grams: 12 }], 'metric')).toBe(
    '39 g to each Fig pot, 12 g to each Trough',
  )
})

test('a line of a batch names buckets and scoops, and the pile a part of it is for', () => {
  expect(measureOfLine({ twelfths: 24, scoopTwelfths: 54, litres: 24.5 }, 'metric')).toBe(
    '2 buckets + 4½ scoops',
  )
  expect(measureOfLine({ twelfths: 0, scoopTwelfths: 6, litres: 0.5 }, 'metric')).toBe('½ scoop')
  expect(pileText({ into: 12, beds: null }, 'metric')).toContain('only into 12 L')
  expect(pileText({ into: null, beds: null }, 'metric')).toBe('')
  const pots = startingJobBed('a', startingSpec('roundPot'), null)
  expect(pileText({ into: null, beds: [pots] }, 'metric')).toBe('all of this batch is for Round pot')
})

// Said at once: "expect to water often" and "every 5.7 days, within".
test('little easy water is no reason to water often where the days between waterings are good', () => {
  const bed = startingJobBed('f', startingSpec('fabricBag'), null)
  const parts = [
    { materialId: 'peat_medium', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 12 },
  ]
  const job = { ...startingJob('j', '2026-03-01T09:00:00.000Z', [bed]), parts, cropId: 'pepper_sweet' }
  const place = { ...startingPlace(CLIMATES[0]!), waterEvery: 1 }
  const prepared = prepareJob(job, place, PUBLISHED)
  if (!prepared.ok) throw new Error(prepared.problem.code)
  const e = evaluatePrepared(prepared.value)
  if (!e.ok) throw new Error(e.problem.code)
  const bands = { ...prepared.value.bands, easilyAvailableWater: { low: 0.5, high: 0.6 } }
  const context = {
    evaluation: e.value,
    bands,
    targets: prepared.value.targets,
    container: prepared.value.input.container,
    wind: null,
    perennial: false,
    units: 'metric' as const,
    wide: false,
  }
  const readings = readingsAtOnce(context)
  const of = (id: string) => readings.find((r) => r.id === id)!
  expect([of('water').verdict, of('days').verdict]).toEqual(['low', 'good'])
  expect(of('water').advice).not.toContain('often')
  // What a grower has moved is the grower's target, and no crop's liking.
  const moved = (target: 'pH' | 'airFilledPorosity') => ({
    bands: prepared.value.targets.bands.map((b) =>
      b.target === target ? { ...b, reasons: [{ code: 'grower' as const }] } : b,
    ),
    conflicts: [],
  })
  for (const [target, id] of [
    ['pH', 'pH'],
    ['airFilledPorosity', 'air'],
  ] as const)
    expect(readingsAtOnce({ ...context, targets: moved(target) }).find((r) => r.id === id)!.wanted).toMatch(
      /^your target: \d/,
    )
})

describe('batches on paper', () => {
  const line = (grams: number) =>
    ({ kind: 'dose', id: 'x', name: 'Lime', bulkDensity: 1, grams, into: null, beds: null }) as const
  const card = (index: number, grams: number): BatchCard => ({
    mix: null,
    index,
    of: 4,
    lines: [line(grams)],
    blendLitres: 57.8,
    short: false,
    done: 0,
  })
  test('what is measured alike stands once, with a box for each; another stands alone', () => {
    const groups = alikeBatches([card(0, 70), card(1, 70), card(2, 70), card(3, 40)], 'metric')
    expect(groups.map((g) => [g.title, g.count])).toEqual([
      ['Batches 1 to 3, each 57.8 L', 3],
      ['Batch 4: 57.8 L', 1],
    ])
    expect(groups[0]!.lines).toMatchObject([
      { text: expect.stringContaining('70 g lime'), measure: '70 g', name: 'Lime' },
    ])
    expect(alikeBatches([], 'us')).toEqual([])
  })
})

describe('how deep a crop is set', () => {
  test('every crop that is set otherwise is in the tables, and every crop has its sentence', () => {
    for (const id of SET_OTHERWISE) expect(cropById(id), id).toBeDefined()
    for (const { id } of CROPS) expect(depthText(id, 'metric').length, id).toBeGreaterThan(20)
    // Common practice: what rots when its crown is buried, and what is buried on purpose.
    expect(depthText('strawberry', 'metric')).toContain('crown')
    expect(depthText('tomato_cherry', 'metric')).toContain('bury the stem')
    expect(depthText('garlic', 'us')).toMatch(/in to .* in of mix over its top/)
    expect(depthText('leek', 'metric')).toContain('15 cm')
    expect(depthText(null, 'metric')).toContain('last pot')
  })
})

describe('what a bed weighs where it hangs or stands', () => {
  const trough = { ...startingSpec('box'), standing: 'railing' as const }
  const plan = { mixVolume: 30, footprint: 80 * 20, mixHeight: 18 }
  test('a trough on a railing is given in all and by the length of rail, not by the floor', () => {
    const [weight, rail] = loadTexts(trough, plan, 2, 'metric')
    expect(weight).not.toContain('what it stands on')
    expect(weight).toContain('All 2 together')
    expect(rail).toContain('a metre of rail')
    expect(loadTexts(trough, plan, 1, 'us')[1]).toContain('a foot of rail')
  })
  test('on a roof the floor is named, and no hook; on the ground it is asked', () => {
    const roof = loadTexts({ ...trough, standing: 'roof' }, plan, 1, 'metric')
    expect(roof).toHaveLength(1)
    expect(roof[0]).toContain('on what it stands on')
    expect(loadHeading({ ...trough, standing: 'ground' })).toContain('Is it')
    for (const standing of STANDINGS) expect(loadHeading({ ...trough, standing }).length).toBeGreaterThan(8)
  })
})

describe('which of the mix gets a dressing', () => {
  const beds = [
    { id: 'a', name: 'Pots' },
    { id: 'b', name: 'Tub' },
    { id: 'c', name: 'Trough' },
  ]
  const ids = beds.map((b) => b.id)
  test('every choice says back what was chosen', () => {
    for (const { value } of whomChoices(lineOf('crf_5_6', 3), beds))
      expect(forWhom(ofWhom(value, ids), ids)).toBe(value)
    expect(forWhom({ share: 1, beds: ['gone'] }, ids)).toBe('1')
    expect(forWhom({ share: 1, beds: ids }, ids)).toBe('1')
  })
  test('a share is for what is stirred in; beds are named where there are two', () => {
    const line = lineOf('crf_5_6', 3)
    expect(whomChoices(line, beds.slice(0, 1))).toHaveLength(4)
    expect(whomChoices({ ...line, place: { kind: 'hole' } }, beds.slice(0, 1))).toHaveLength(1)
    expect(whomChoices(line, beds.slice(0, 2)).map((c) => c.label)).toContain('only Tub')
    expect(whomChoices(line, beds).map((c) => c.label)).toContain('all but Tub')
  })
})
