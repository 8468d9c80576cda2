import { dressingById } from '../data/dressings'
import { describe, expect, test } from 'vitest'
import { LIMES, cropById, limeById } from '../data'
import { evaluate, type MixInContainer } from '../evaluate'
import { WATER_ION_LIMITS, type WaterIons } from '../nutrients'
import { parts } from '../testing/arbitraries'
import { verdictOf } from './verdicts'
import { bandsOf, targetsFor } from '../targets'
import {
  judge,
  judgementKey,
  JUDGEMENT_LIMITS,
  severityOf,
  verdictsOf,
  type Judgement,
  type JudgementCode,
  type JudgementQuestion,
} from '.'

const pot = (height: number, wide = 30): MixInContainer['container'] => ({
  shape: { kind: 'roundPot', topDiameter: wide, baseDiameter: wide, height },
  headspace: 0,
  base: { kind: 'drainHoles' },
})
const crop = (id: string) => cropById(id)!
const lime = [{ lime: LIMES[0]!, share: 1 }]
const dry = {
  latitude: 38,
  elevation: 0,
  months: Array.from({ length: 12 }, () => ({ tMin: 18, tMax: 34, rain: 0 })),
}
function asked(
  recipe: Record<string, number>,
  more: Partial<MixInContainer> = {},
  q: Partial<JudgementQuestion> = {},
) {
  const input: MixInContainer = {
    container: pot(25),
    parts: parts(recipe),
    limes: lime,
    limeGramsPerLitre: 0,
    ...more,
  }
  const answer = evaluate(input)
  if (!answer.ok) throw new Error(answer.problem.code)
  return judge({
    evaluation: answer.value,
    container: input.container,
    parts: input.parts,
    limes: input.limes,
    airWanted: { low: 0.15, high: 0.3 },
    pHWanted: { low: 5.5, high: 6.8 },
    liftable: null,
    wind: null,
    wide: false,
    waterEvery: null,
    waterAlkalinity: 0,
    calciumGiven: 0,
    dressings: input.dressings ?? [],
    ...q,
  })
}
const codes = (...args: Parameters<typeof asked>) => asked(...args).map((j) => j.code)
const find = <C extends JudgementCode>(code: C, ...args: Parameters<typeof asked>) =>
  asked(...args).find((j) => j.code === code) as
    | Extract<ReturnType<typeof asked>[number], { code: C }>
    | undefined

describe('judgements', () => {
  test('lime and sulfur in one mix undo each other; ammonium feed, which lime has to answer, does not', () => {
    const with_ = (id: string, limeGramsPerLitre: number) =>
      codes(
        { peat_medium: 1 },
        { limeGramsPerLitre, dressings: [{ dressing: dressingById(id)!, gramsPerLitre: 0.5 }] },
      )
    expect(with_('sulfur_elemental', 2)).toContain('lime-against-acid')
    expect(with_('iron_sulfate', 2)).toContain('lime-against-acid')
    expect(with_('sulfur_elemental', 0)).not.toContain('lime-against-acid')
    expect(with_('ammonium_sulfate', 2)).not.toContain('lime-against-acid')
  })
  test('of the ions in a water report only the worst is shown: an alarm where it stops a crop, else a warning', () => {
    const mix = { peat_medium: 3, perlite_coarse: 1 }
    const of = (waterIons: WaterIons) => find('water-ion', mix, {}, { waterIons })
    expect(of({})).toBeUndefined()
    const { boronWatch, boronStop } = WATER_ION_LIMITS
    expect(of({ boron: boronWatch.value * 0.99 })).toBeUndefined()
    expect(of({ boron: boronWatch.value * 1.01 })).toMatchObject({ level: 'warn', ion: 'boron' })
    expect(of({ boron: boronStop.value * 1.01 })).toMatchObject({ level: 'alarm', ion: 'boron' })
    // Of two only the worst.
    const two = asked(mix, {}, { waterIons: { boron: boronWatch.value * 1.1, chloride: 99_999 } })
    expect(two.filter((j) => j.code === 'water-ion')).toHaveLength(1)
  })
  test('air by depth: the same mix is short of it in a shallow pot and not in a deep one', () => {
    const mix = { peat_fine: 3, vermiculite_medium: 1 }
    const shallow = find('too-little-air', mix, { container: pot(6) })
    expect(shallow).toMatchObject({ wanted: 0.15, depth: 6 })
    expect(shallow!.air).toBeLessThan(0.145)
    expect(codes(mix, { container: pot(40) })).not.toContain('too-little-air')
    expect(codes({ soil_loam: 1 }, { container: pot(6) })).toContain('foot-drowned')
  })
  test('sand in a peaty mix takes air away, and says by how much', () => {
    const sand = find('sand-lowers-air', { peat_medium: 2, sand_sharp: 1 })
    expect(sand).toMatchObject({ material: 'sand_sharp' })
    expect(sand!.without).toBeGreaterThan(sand!.air + 0.01)
    expect(codes({ peat_medium: 2, perlite_coarse: 1 })).not.toContain('sand-lowers-air')
  })
  test('lime that does next to nothing more is named; a usual dose is not', () => {
    expect(codes({ peat_medium: 1, perlite_coarse: 1 }, { limeGramsPerLitre: 12 })).toContain(
      'lime-does-little',
    )
    expect(codes({ peat_medium: 1 }, { limeGramsPerLitre: 3 })).not.toContain('lime-does-little')
  })
  test('hard water creeps up on acid lovers in a season; rain does not', () => {
    const growing = { crop: crop('blueberry'), plants: 1, climate: dry, waterAlkalinity: 5 }
    const q = { crop: crop('blueberry'), pHWanted: { low: 4, high: 5 } }
    const mix = { peat_medium: 3, pine_bark_fine: 1 }
    const hard = find('water-raises-ph', mix, { growing }, q)
    expect(hard!.to).toBeGreaterThan(hard!.from + 0.4)
    expect(codes(mix, { growing: { ...growing, waterAlkalinity: 0 } }, q)).not.toContain('water-raises-ph')
    // Where one season does not show it yet, it is said all the same; of what likes lime it is not.
    const hardly = { ...q, waterAlkalinity: 4 }
    expect(codes(mix, {}, hardly)).toContain('hard-water-for-acid')
    expect(codes(mix, {}, { ...hardly, pHWanted: { low: 6, high: 7 } })).not.toContain('hard-water-for-acid')
  })
  test('for seedlings: rich parts and soil are named in a module, not in a pot', () => {
    const module = { container: pot(5, 5) }
    const rich = find('rich-for-seedlings', { peat_medium: 1, compost_green: 2 }, module)
    expect(rich!.ec).toBeGreaterThan(JUDGEMENT_LIMITS.seedlingSalts.value)
    expect(find('unsterile-for-seeds', { peat_fine: 2, soil_loam: 1 }, module)!.materials).toEqual([
      'soil_loam',
    ])
    expect(codes({ peat_fine: 1, vermiculite_fine: 1 }, module)).not.toContain('unsterile-for-seeds')
    expect(codes({ peat_fine: 2, soil_loam: 1 })).not.toContain('unsterile-for-seeds')
    expect(codes({ peat_medium: 1, compost_green: 2 })).toContain('much-compost')
  })
  test('softened water is warned of; a plug has no end rot, and salts harm it sooner', () => {
    const growing = (waterSoftened: boolean, height = 25, wide = 30) => ({
      container: pot(height, wide),
      growing: { crop: crop('tomato_determinate'), plants: 1, climate: dry, plantingMonth: 5, waterSoftened },
    })
    const peat = { peat_medium: 3, perlite_coarse: 1 }
    expect(codes(peat, growing(true))).toContain('softened-water')
    expect(codes(peat, growing(false))).not.toContain('softened-water')
    const q = { crop: crop('tomato_determinate'), waterEvery: 7 }
    expect(codes(peat, growing(false), q)).toContain('blossom-end-rot')
    expect(codes(peat, growing(false, 4, 4), q)).not.toContain('blossom-end-rot')
    // A mix of 1.3 to 2 dS/m: too rich for emergence (Styer & Koranski), good for a grown plant.
    const half = { peat_fine: 1, compost_green: 1 }
    expect(find('rich-for-seedlings', half, { container: pot(4, 4) })!.ec).toBeLessThan(2)
  })
  test('traces: peat alone lacks some, compost brings them, a plug is not asked', () => {
    const of = (size: number) => ({
      container: pot(size, size),
      growing: { crop: crop('tomato_determinate'), plants: 1 },
      limeGramsPerLitre: 3,
    })
    const found = find('traces-short', { peat_medium: 3, perlite_coarse: 1 }, of(25))!
    expect(found.unsupplied).toContain('boron')
    expect(codes({ peat_medium: 3, compost_green: 1, perlite_coarse: 1 }, of(25))).not.toContain(
      'traces-short',
    )
    expect(codes({ peat_medium: 3, perlite_coarse: 1 }, of(4))).not.toContain('traces-short')
  })
  test('coir wants calcium, until lime or gypsum brings it', () => {
    const mix = { coir_pith: 3, perlite_medium: 1 }
    expect(codes(mix)).toContain('coir-wants-calcium')
    expect(codes(mix, {}, { calciumGiven: 400 })).not.toContain('coir-wants-calcium')
    expect(codes(mix, { limeGramsPerLitre: 1.5 })).not.toContain('coir-wants-calcium')
  })
  test('a light mix under a tall plant tips; in a bed of the ground, or made heavy, less', () => {
    const growing = { crop: crop('tomato_indeterminate'), plants: 1, climate: dry }
    const q = { crop: crop('tomato_indeterminate'), wind: 'exposed' as const }
    const light = find('tips-in-wind', { peat_medium: 1, perlite_coarse: 1 }, { growing }, q)
    expect(light!.at).toBeLessThan(20)
    expect(codes({ peat_medium: 1, perlite_coarse: 1 }, { growing }, { ...q, wide: true })).not.toContain(
      'tips-in-wind',
    )
    const heavy = find('tips-in-wind', { soil_loam: 2, grit_2_6: 1 }, { growing }, q)
    expect(heavy?.at ?? 99).toBeGreaterThan(light!.at)
  })
  test('what slumps is named under a tree, not under lettuce; pumice lasts', () => {
    const fig = { crop: crop('fig') }
    expect(codes({ peat_medium: 1, compost_green: 1 }, {}, fig)).toContain('slumps')
    expect(
      codes({ pumice: 3, grit_2_6: 1 }, {}, { ...fig, airWanted: { low: 0.05, high: 0.5 } }),
    ).not.toContain('slumps')
    expect(codes({ peat_medium: 1, compost_green: 1 }, {}, { crop: crop('lettuce') })).not.toContain('slumps')
  })
  test('of what slumps, what goes and what stays are named, each part once', () => {
    const mix = { leaf_mould: 3, compost_green: 1, perlite_coarse: 1, pumice: 1 }
    const { going, staying, losing } = find('slumps', mix, {}, { crop: crop('fig') })!
    expect([...going, ...staying].sort()).toEqual(Object.keys(mix).sort())
    expect(staying).toEqual(expect.arrayContaining(['perlite_coarse', 'pumice']))
    expect(losing).toEqual(['leaf_mould'])
  })
  test('blossom end rot is laid to watering, not to lime', () => {
    const growing = { crop: crop('tomato_indeterminate'), plants: 3, climate: dry }
    const rot = find(
      'blossom-end-rot',
      { pine_bark_coarse: 1 },
      { growing, container: pot(20, 22) },
      { crop: crop('tomato_indeterminate'), waterEvery: 2 },
    )
    expect(rot!.days).toBeLessThan(2)
    expect(
      codes({ pine_bark_coarse: 1 }, { growing }, { crop: crop('lettuce'), waterEvery: 2 }),
    ).not.toContain('blossom-end-rot')
  })
  test('doses beyond their limit and boron come first, each known by its dressing', () => {
    const borax = dressingById('borax')!
    const found = asked(
      { peat_medium: 2, compost_green: 1 },
      { dressings: [{ dressing: borax, gramsPerLitre: 0.05 }] },
    )
    // One fault, one remedy: boron is named by what it does, not as a dose besides.
    expect(found[0]).toMatchObject({ level: 'alarm', code: 'boron-high' })
    expect(found.map(judgementKey)).not.toContain('dose-above-limit borax')
    const urea = dressingById('urea')!
    const fed = asked({ peat_medium: 1 }, { dressings: [{ dressing: urea, gramsPerLitre: 9 }] })
    expect(fed.map(judgementKey)).toContain('dose-above-limit urea')
  })
  test('S13: a pot that no mix makes large enough is named before all else, a small one is not', () => {
    const kiwi = crop('kiwi')
    const growing = { crop: kiwi, plants: 1, climate: dry }
    const [first, ...rest] = asked({ soil_clay_loam: 1 }, { growing }, { crop: kiwi })
    expect(first).toMatchObject({ level: 'alarm', code: 'pot-too-small', crop: 'kiwi' })
    expect(rest.length).toBeGreaterThan(0)
    const lettuce = crop('lettuce')
    expect(
      codes({ peat_medium: 1 }, { growing: { ...growing, crop: lettuce } }, { crop: lettuce }),
    ).not.toContain('pot-too-small')
    // Three in one pot have a third of the room each.
    const tomato = crop('tomato_determinate')
    const plants = (n: number) =>
      codes(
        { peat_medium: 1 },
        { growing: { ...growing, crop: tomato, plants: n } },
        { crop: tomato, plants: n },
      )
    expect(plants(1)).not.toContain('pot-too-small')
    expect(plants(4)).toContain('pot-too-small')
  })
  test('S6: water of 3 dS/m on strawberries is named with what it costs; rain is not', () => {
    const berry = crop('strawberry')
    const growing = { crop: berry, plants: 2, climate: dry, plantingMonth: 4 }
    const said = (waterConductivity: number) =>
      asked(
        { peat_medium: 3, perlite_coarse: 1 },
        { growing: { ...growing, waterConductivity } },
        { crop: berry },
      ).find((j) => j.code === 'salts-rise')
    expect(said(0.05)).toBeUndefined()
    expect(said(3)).toMatchObject({ level: 'alarm' })
    expect(said(3)!.code === 'salts-rise' && said(3)!).toMatchObject({ limit: expect.closeTo(1.3, 1) })
  })
  test('S9: 20 g/L of wood ash are salty and too much lime', () => {
    const ash = [{ lime: limeById('wood_ash')!, share: 1 }]
    const said = codes({ peat_medium: 3, perlite_coarse: 1 }, { limes: ash, limeGramsPerLitre: 20 })
    expect(said).toContain('lime-too-much')
    const salts = evaluate({
      container: pot(25),
      parts: parts({ peat_medium: 3, perlite_coarse: 1 }),
      limes: ash,
      limeGramsPerLitre: 20,
    })
    expect(salts.ok && salts.value.salts.mix.fromDressings).toBeCloseTo(20 * 0.14, 9)
  })
  test('a good mix is left in peace', () => {
    const both = [
      { lime: limeById('lime_calcitic')!, share: 0.5 },
      { lime: limeById('lime_dolomitic')!, share: 0.5 },
    ]
    const mix = { peat_medium: 3, perlite_coarse: 1 }
    expect(asked(mix, { limes: both, limeGramsPerLitre: 3 })).toEqual([])
    // Limestone alone leaves it short of magnesium; with dolomite for a third the limes' own magnesium counts (S8).
    expect(codes(mix, { limeGramsPerLitre: 4 })).toContain('calcium-to-magnesium')
    const third = [
      { ...both[0]!, share: 0.7 },
      { ...both[1]!, share: 0.3 },
    ]
    expect(codes(mix, { limes: third, limeGramsPerLitre: 6 })).not.toContain('calcium-to-magnesium')
  })
})

describe('verdicts', () => {
  const band = { low: 2, high: 3 }
  test('an edge met is within; the slack too', () => {
    expect([2, 3].map((x) => verdictOf(x, band, 0))).toEqual(['good', 'good'])
    expect([1.5, 3.5].map((x) => verdictOf(x, band, 0.5))).toEqual(['good', 'good'])
    expect([1.4, 3.6].map((x) => verdictOf(x, band, 0.5))).toEqual(['low', 'high'])
    expect(verdictOf(9, null, 0)).toBe('plain')
  })
  test('weight counts only when too heavy, days only when too few, feed only with a crop, rot only where it stays', () => {
    const answer = evaluate({
      container: pot(25),
      parts: parts({ peat_medium: 3, perlite_coarse: 1 }),
      limes: lime,
      limeGramsPerLitre: 3,
      growing: {
        climate: dry,
        crop: crop('tomato_indeterminate'),
        plants: 1,
        plantMonth: 5,
        wallKind: 'closed',
        waterAlkalinity: 0,
      },
    } as MixInContainer)
    if (!answer.ok) throw new Error(answer.problem.code)
    const e = answer.value
    const bands = bandsOf(
      targetsFor({ crops: [], inGround: false, height: null, carried: false, waterEvery: null }),
    )
    const of = (change: Partial<typeof e>, more: Partial<typeof bands> = {}, stays = false) =>
      verdictsOf({ ...e, ...change }, { ...bands, ...more }, stays)
    const weighs = { drainedWeight: { low: 1, high: 10 } }
    expect(of({ weights: { ...e.weights, drained: 10 } }, weighs).weight).toBe('plain')
    expect(of({ weights: { ...e.weights, drained: 10.05 } }, weighs).weight).toBe('high')
    const thirsty = e.growing!.watering[e.growing!.thirstiestMonth! - 1]!.days.value
    expect(of({}, { daysBetweenWaterings: { low: 0, high: thirsty / 2 } }).days).toBe('good')
    expect(of({}, { daysBetweenWaterings: { low: thirsty * 2, high: 99 } }).days).toBe('low')
    expect(of({ growing: null }).days).toBe('plain')
    expect(of({ growing: null }).feed).toBe('plain')
    const feeding = (fed: number) =>
      of({ growing: { ...e.growing!, feeding: { ...e.growing!.feeding, fed } } }).feed
    expect([feeding(1), feeding(0.8)]).toEqual(['good', 'low'])
    const third = e.seasons.find((s) => s.years === 3)!
    const rots = (volumeLost: number, years: 2 | 3, stays: boolean) =>
      of({ seasons: [{ ...third, years, volumeLost }] }, {}, stays).lasting
    expect([rots(0.3, 3, true), rots(0.2, 3, true), rots(0.3, 2, true), rots(0.3, 3, false)]).toEqual([
      'high',
      'plain',
      'plain',
      'plain',
    ])
  })
})

test('the gravest first; an alarm counts for three warnings, a note for nothing', () => {
  const say = (level: 'alarm' | 'warn' | 'note') => ({ level, code: 'foot-drowned' }) as Judgement
  expect(severityOf([say('alarm'), say('warn'), say('warn'), say('note')])).toBe(5)
  expect(severityOf([])).toBe(0)
  expect(judgementKey({ code: 'dose-above-limit', dressing: 'borax' } as Judgement)).toBe(
    'dose-above-limit borax',
  )
  expect(judgementKey({ code: 'sand-lowers-air', material: 'sand' } as Judgement)).toBe(
    'sand-lowers-air sand',
  )
  expect(judgementKey({ code: 'salts-high', where: 'top' } as Judgement)).toBe('salts-high top')
  expect(judgementKey(say('warn'))).toBe('foot-drowned')
  const order = asked({ sand_sharp: 3, compost_green: 4 }, { container: pot(4) }).map((j) => j.level)
  expect(new Set(order).size).toBeGreaterThan(1)
  expect(order).toEqual(
    [...order].sort((a, b) => ['alarm', 'warn', 'note'].indexOf(a) - ['alarm', 'warn', 'note'].indexOf(b)),
  )
})
