import { dressingById } from './data/dressings'
import { describe, expect, test } from 'vitest'
import { coverSaving } from './climate'
import { LIMES, cropById, materialById } from './data'
import { CLIMATES } from './climate/climates'
import { evaluate, FULL_EFFORT, type MixInContainer } from './evaluate'
import { monthsStanding, USUAL_LEACHING } from './growing'
import { blend } from './mixing'
import { parts } from './testing/arbitraries'
import { outsideCheck } from './testing/outsideCheck'
import { baseOfMix } from './water'
import { entryTensionOf, hydraulicsOf } from './water/moving'
import { FLOOR_DESIGN_LOAD } from './weight'

const input: MixInContainer = {
  container: {
    shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
    headspace: 3,
    base: { kind: 'drainHoles' },
  },
  parts: parts({ peat_medium: 4, compost_green: 2, perlite_coarse: 2 }),
  limes: [{ lime: LIMES[0]!, share: 1 }],
  limeGramsPerLitre: 2.5,
}
const answer = (change: Partial<MixInContainer> = {}) => {
  const result = evaluate({ ...input, ...change })
  if (!result.ok) throw new Error(result.problem.code)
  return result.value
}
const box = (height: number): MixInContainer['container'] => ({
  shape: { kind: 'box', topLength: 100, topWidth: 100, baseLength: 100, baseWidth: 100, height },
  headspace: 0,
  base: { kind: 'drainHoles' },
})

describe('one mix in one container', () => {
  test('parts of the answer agree with each other', () => {
    const a = answer()
    expect(a.profile.mixVolume).toBeCloseTo(a.fill.mixVolume, 6)
    expect(a.profile.totalPorosity).toBeCloseTo(a.blend.totalPorosity, 9)
    expect(a.weights.dry).toBeLessThan(a.weights.drained)
    expect(a.weights.drained).toBeLessThan(a.weights.saturated)
    expect(a.lime.pH).toBeGreaterThan(a.blend.pH)
    const bare = answer({ limeGramsPerLitre: 0, parts: parts({ peat_medium: 3, perlite_coarse: 1 }) })
    expect(bare.lime.pH).toBeCloseTo(bare.blend.pH, 9)
    // Compost has lime of its own.
    expect(answer({ limeGramsPerLitre: 0 }).lime.pH).toBeGreaterThan(a.blend.pH)
  })
  test('where nothing grows salts are those of the day it is mixed; where no place is known no month is wet', () => {
    const { salts } = answer()
    expect(salts.course).toEqual([])
    expect(salts.water).toBeNull()
    expect(salts.most).toEqual({
      day: 0,
      saturatedExtract: salts.mix.electricalConductivity.saturatedExtract,
    })
    const growing = { crop: cropById('pepper_sweet')!, plants: 1 }
    expect(answer({ growing }).growing!.wetMonths).toEqual([])
    expect(answer({ growing }).salts.course.length).toBeGreaterThan(0)
  })
  test('pressed in, a mix loses air and nothing else: solids, water held dry, salts and buffer come closer', () => {
    const loose = answer()
    const pressed = answer({ pressed: 0.15 })
    expect(pressed.blend.dryBulkDensity).toBeCloseTo(loose.blend.dryBulkDensity / 0.85, 9)
    expect(pressed.mix.airFilledPorosity).toBeLessThan(loose.mix.airFilledPorosity - 0.08)
    expect(pressed.blend.waterAt(100)).toBeCloseTo(loose.blend.waterAt(100) / 0.85, 9)
    // Its lime, buffers and parts are those of the same mix: its pH is the same.
    expect(pressed.lime.pH).toBeCloseTo(loose.lime.pH, 6)
    expect(pressed.blend.blendingLoss).toBe(loose.blend.blendingLoss)
    expect(pressed.seasons[0]!.airFilledPorosity).toBeLessThan(loose.seasons[0]!.airFilledPorosity)
  })
  test('a cover keeps water back while leaves are small, and weighs', () => {
    const growing = { crop: cropById('pepper_sweet')!, plants: 1, plantingMonth: 5, climate: CLIMATES[0]! }
    const bare = answer({ growing })
    const cover = { material: materialById('pine_bark_coarse')!, thickness: 5 }
    const covered = answer({ growing, cover })
    const use = (e: typeof bare, month: number) => e.growing!.watering[month - 1]!.use.value
    expect(use(covered, 5) / use(bare, 5)).toBeLessThan(0.85)
    expect(use(covered, 8)).toBeGreaterThan(0.95 * use(bare, 8))
    const litres = (bare.fill.surface * 5) / 1000
    expect(covered.weights.dry - bare.weights.dry).toBeCloseTo(
      litres * cover.material.properties.dryBulkDensity.value,
      9,
    )
  })
  outsideCheck({
    module: 'climate',
    what: 'bare surface under a thick coarse mulch, over the same without',
    source: 'FAO-56 chapter 10: evaporation falls by 5 % for each 10 % of the surface under organic mulch',
    basis: 'published',
    unit: '1',
    expected: { low: 0.45, high: 0.6 },
    tolerance: 0,
    computed: () => 1 - coverSaving(materialById('bark_mulch_shredded')!, 6),
  })
  outsideCheck({
    module: 'weight',
    what: '100 L of settled loam at 1.3 kg/L, all of 48 % pores filled',
    source: 'mass balance',
    basis: 'closed form',
    unit: 'kg',
    expected: 178,
    tolerance: 0.1,
    computed: () => answer({ container: box(10), parts: parts({ soil_loam: 1 }) }).weights.saturated,
  })
  outsideCheck({
    module: 'weight',
    what: '30 cm of saturated loam on a floor',
    source: 'mass balance',
    basis: 'closed form',
    unit: 'kg/m2',
    expected: 534,
    tolerance: 0.5,
    computed: () => answer({ container: box(30), parts: parts({ soil_loam: 1 }) }).weights.floorLoad,
  })
  outsideCheck({
    module: 'weight',
    what: 'peat-lite A, peat and vermiculite 1:1, at container capacity in a 25 cm pot',
    source: 'mass balance on published curves (from memory)',
    basis: 'from memory',
    unit: 'kg/L',
    expected: { low: 0.6, high: 0.95 },
    tolerance: 0,
    computed: () => {
      const a = answer({ parts: parts({ peat_medium: 1, vermiculite_medium: 1 }) })
      return a.weights.drained / a.fill.mixVolume
    },
  })
  outsideCheck({
    module: 'weight',
    what: 'usual design live load of a dwelling’s floor, 40 lb per square foot',
    source: 'ASCE 7',
    basis: 'standard',
    unit: 'kg/m2',
    expected: (40 * 0.45359237) / 0.3048 ** 2,
    tolerance: 1,
    computed: () => FLOOR_DESIGN_LOAD,
  })
  outsideCheck({
    module: 'weight',
    what: 'peat and perlite 1:1, at container capacity in a 25 cm pot',
    source: 'mass balance on published curves (from memory)',
    basis: 'from memory',
    unit: 'kg/L',
    expected: { low: 0.6, high: 0.95 },
    tolerance: 0,
    missed: 'By 0.02 kg/L: coarse perlite holds little, and the band is for soilless mixes as a whole.',
    computed: () => {
      const a = answer({ parts: parts({ peat_medium: 1, perlite_medium: 1 }) })
      return a.weights.drained / a.fill.mixVolume
    },
  })
  outsideCheck({
    module: 'weight',
    what: 'John Innes potting, 7 loam 3 peat 2 sand, every pore full',
    source: 'FLL roof guideline and structural tables: loam mixes (from memory)',
    basis: 'published',
    unit: 'kg/L',
    expected: { low: 1.5, high: 2 },
    tolerance: 0,
    computed: () => {
      const a = answer({ parts: parts({ soil_loam: 7, peat_medium: 3, sand_sharp: 2 }) })
      return a.weights.saturated / a.fill.mixVolume
    },
  })
  test('says which part is wrong', () => {
    const bad = evaluate({ ...input, container: { ...input.container, headspace: 40 } })
    expect(!bad.ok && bad.problem.code).toBe('headspace-fills-container')
    const empty = evaluate({ ...input, parts: [] })
    expect(!empty.ok && empty.problem.code).toBe('no-parts')
  })
  test('notes that a bed is judged as its soil drains it', () => {
    const bed = evaluate({ ...input, container: { ...box(30), base: { kind: 'onSoil', texture: 'loam' } } })
    expect(bed.ok && bed.notes.map((n) => n.code)).toEqual(['bed-drained-by-soil'])
  })
})

const blendOf = (amounts: Record<string, number>) => {
  const mixed = blend(parts(amounts))
  if (!mixed.ok) throw new Error(mixed.problem.code)
  return mixed.value
}

describe('a coarse layer breaks the pull', () => {
  const box25 = (height: number): MixInContainer['container'] => ({
    shape: { kind: 'box', topLength: 40, topWidth: 40, baseLength: 40, baseWidth: 40, height },
    headspace: 0,
    base: { kind: 'drainHoles' },
  })
  const light = parts({ peat_medium: 1, perlite_coarse: 1 })
  const over = (below: Record<string, number> | null, thickness = 5) => {
    const e = evaluate({
      ...input,
      container: box25(25 + (below ? thickness : 0)),
      parts: light,
      bottomLayers: below ? [{ thickness, parts: parts(below) }] : [],
    })
    if (!e.ok) throw new Error(e.problem.code)
    return e.value
  }
  const alone = over(null).mix.airFilledPorosity
  for (const [what, below, expected, tolerance] of [
    // Near the mix alone; the gravel of those runs is not quite ours.
    ['open gravel', { gravel_pea: 1 }, 1.7, 1],
    ['coarse sand', { sand_coarse: 1 }, 5.7, 3],
  ] as const)
    outsideCheck({
      module: 'water',
      what: `air that 25 cm of a light mix gains over 5 cm of ${what}, against the mix alone`,
      source: 'independent moving-water runs, a day after watering (27.7 and 31.7 % against 26.0)',
      basis: 'reference program',
      unit: 'points',
      expected,
      tolerance,
      computed: () => 100 * (over(below).mix.airFilledPorosity - alone),
    })
  test('gravel below is no drainage: never airier than by its entry tension, and the thicker the less mix', () => {
    for (const thickness of [2, 5, 10, 20]) {
      const e = over({ gravel_pea: 1 }, thickness)
      expect(e.mix.airFilledPorosity).toBeLessThan(alone + 0.03)
      expect(e.profile.baseTension + thickness).toBeLessThan(2)
    }
  })
  test('soil below goes on pulling: the mix stands at its height', () => {
    const e = over({ soil_loam: 1 })
    expect(e.profile.baseTension).toBe(0)
    expect(e.mix.airFilledPorosity).toBeGreaterThan(alone + 0.03)
  })
  test('later years and the finder see the same foot', () => {
    const e = over({ gravel_pea: 1 })
    expect(e.seasons[0]!.airFilledPorosity).toBeLessThan(e.mix.airFilledPorosity + 0.02)
    const entry = (id: string) => entryTensionOf(hydraulicsOf(blendOf({ [id]: 1 })))
    const below = (id: string) => baseOfMix(box25(30), [{ thickness: 5, entryTension: entry(id) }])
    expect(below('gravel_pea')).toBeCloseTo(e.profile.baseTension, 2)
    expect(below('soil_loam')).toBe(0)
  })
})

describe('layers below the mix', () => {
  const gravel = [{ thickness: 5, parts: parts({ gravel_pea: 1 }) }]
  test('take their room, are judged apart from the mix, and say that they stall it', () => {
    const plain = answer()
    const layered = answer({ bottomLayers: gravel })
    expect(layered.mix.mixVolume).toBeLessThan(plain.mix.mixVolume)
    expect(layered.profile.mixVolume).toBeCloseTo(plain.profile.mixVolume, 6)
    expect(layered.fill.mixVolume).toBeCloseTo(layered.mix.mixVolume, 9)
    expect(layered.profile.layers).toHaveLength(2)
    expect(layered.profile.layers[0]!.airFilledPorosity).toBeGreaterThan(0.3)
    expect(layered.weights.dry).toBeGreaterThan(plain.weights.dry)
    const noted = evaluate({ ...input, bottomLayers: gravel })
    expect(noted.ok && noted.notes).toContainEqual({
      code: 'layer-stalls-drainage',
      thickness: 5,
      pull: expect.closeTo(1.4, 1),
    })
    const fine = evaluate({ ...input, bottomLayers: [{ thickness: 5, parts: parts({ soil_clay_loam: 1 }) }] })
    expect(fine.ok && fine.notes.map((n) => n.code)).not.toContain('layer-stalls-drainage')
  })
  test('are refused where they leave no room, or are none', () => {
    const code = (thickness: number) => {
      const bad = evaluate({ ...input, bottomLayers: [{ thickness, parts: parts({ gravel_pea: 1 }) }] })
      return bad.ok ? null : bad.problem.code
    }
    expect([code(30), code(0), code(NaN)]).toEqual([
      'size-too-large',
      'size-not-positive',
      'size-not-positive',
    ])
  })
  test('of the same mix change nothing of the whole', () => {
    const same = answer({ bottomLayers: [{ thickness: 10, parts: input.parts }] })
    expect(same.profile.airFilledPorosity).toBeCloseTo(answer().profile.airFilledPorosity, 4)
    expect(same.weights.drained).toBeCloseTo(answer().weights.drained, 3)
  })
})

describe('a season', () => {
  const climate = {
    latitude: 51,
    elevation: 10,
    months: [3, 3, 5, 8, 11, 14, 16, 16, 14, 10, 6, 4].map((t) => ({ tMin: t - 4, tMax: t + 5 })),
  }
  const pepper = cropById('pepper_sweet')!
  const grown = (
    more: Partial<NonNullable<MixInContainer['growing']>> = {},
    change: Partial<MixInContainer> = {},
  ) =>
    answer({ growing: { crop: pepper, plants: 1, climate, plantingMonth: 5, ...more }, ...change }).growing!
  test('is thirstiest in high summer, thirstier for more plants and for cloth', () => {
    const g = grown()
    expect([6, 7]).toContain(g.thirstiestMonth)
    const july = (x: typeof g) => x.watering[6]!.days.value
    expect(july(grown({ plants: 2 }))).toBeLessThan(july(g))
    expect(july(grown({ wallKind: 'fabric' }))).toBeLessThan(july(g))
    expect(july(g)).toBeLessThan(g.watering[4]!.days.value)
  })
  test('where leaves fill all the room over a pot and beside it, twice the plants drink no more', () => {
    // The canopy ends at surface + perimeter x reach (`canopyOver`): a pot 30 cm across is full long before 40 peppers.
    const july = (plants: number) => grown({ plants }).watering[6]!.use.value
    expect(july(80) / july(40)).toBeLessThan(1.05)
    expect(july(2) / july(1)).toBeGreaterThan(1.3)
  })
  test('hard water raises pH, a heavy pot stands more wind', () => {
    const end = (waterAlkalinity: number) =>
      answer({ growing: { crop: pepper, plants: 1, climate, waterAlkalinity } }).acidity.at(-1)!.pH
    expect(end(4)).toBeGreaterThan(end(0) + 0.1)
    expect(grown({ emptyWeight: 10 }).tippingWind).toBeGreaterThan(grown().tippingWind)
  })
  test('without a place there is no watering, but feed and wind', () => {
    const g = grown({ climate: undefined })
    expect(g.watering).toEqual([])
    expect(g.thirstiestMonth).toBeNull()
    expect(g.feeding.weeks.nitrogen.length).toBeGreaterThan(8)
    expect(g.tippingWind).toBeGreaterThan(5)
  })
  test('dressings feed it: more of the demand is met', () => {
    const crf = dressingById('crf_5_6')!
    const poor = { parts: parts({ coir_pith: 2, perlite_coarse: 1 }) }
    const fed = { ...poor, dressings: [{ dressing: crf, gramsPerLitre: 3 }] }
    expect(grown({}, fed).feeding.met.nitrogen).toBeGreaterThan(grown({}, poor).feeding.met.nitrogen + 0.2)
    const bad = evaluate({ ...input, dressings: [{ dressing: crf, gramsPerLitre: -1 }] })
    expect(!bad.ok && bad.problem.code).toBe('amount-negative')
  })
  test('feed held back makes no acid before its day', () => {
    const sulfate = dressingById('ammonium_sulfate')!
    const late = answer({
      dressings: [{ dressing: sulfate, gramsPerLitre: 1, place: { kind: 'heldBack', from: 70 } }],
    })
    expect(late.lime.pH).toBeCloseTo(answer().lime.pH, 9)
    expect(late.acidity.at(-1)!.pH).toBeLessThan(answer().acidity.at(-1)!.pH - 0.2)
  })
  test('months run on from planting, round the year', () => {
    expect(monthsStanding(11, 100)).toEqual([11, 12, 1, 2])
    expect(monthsStanding(5, 2000)).toHaveLength(12)
  })
  test('later years are computed only where asked for', () => {
    const quick = evaluate(input, { ...FULL_EFFORT, years: [] })
    expect(quick.ok && quick.value.seasons).toEqual([])
    expect(answer().seasons.map((s) => s.years)).toEqual([1, 2, 3])
  })
})

describe('the season of a container', () => {
  const grown = (growing: Partial<NonNullable<MixInContainer['growing']>>) => {
    const answer = evaluate({
      container: {
        shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 24, height: 28 },
        headspace: 3,
        base: { kind: 'drainHoles' },
      },
      parts: parts({ peat_medium: 2, perlite_coarse: 1 }),
      limes: [],
      limeGramsPerLitre: 0,
      growing: {
        crop: cropById('pepper_sweet')!,
        plants: 1,
        climate: CLIMATES[0],
        plantingMonth: 5,
        waterAlkalinity: 2,
        ...growing,
      },
    })
    if (!answer.ok) throw new Error(answer.problem.code)
    return answer.value.growing!
  }
  test('what drains is given on top of what is used: alkalinity brought grows by 1 / (1 - share)', () => {
    const at = (leachingFraction: number) => grown({ leachingFraction }).water[1]!.alkalinity
    expect(at(0.3) / at(0)).toBeCloseTo(1 / 0.7, 9)
    expect(at(0.5) / at(0)).toBeCloseTo(2, 9)
  })
  test('each month brings its own water; rain brings none and washes out', () => {
    const { water } = grown({})
    expect(water).toHaveLength(12)
    expect(water[1]!.from).toBeCloseTo(365.25 / 12, 1)
    // Two meq in each litre given; a share of what is given drains.
    const watered = water.filter((s) => s.alkalinity > 0)
    expect(watered.length).toBeGreaterThan(1)
    for (const s of watered) expect(s.alkalinity / s.drained).toBeCloseTo(2 / USUAL_LEACHING, 9)
    // The pepper is gone in winter: nothing is given, and rain drains through.
    expect(water[8]!.alkalinity).toBe(0)
    expect(water[8]!.drained).toBeGreaterThan(0)
  })
  test('without a place a litre in ten of mix drains each week', () => {
    const [only] = grown({ climate: undefined }).water
    expect(only).toEqual({ from: 0, given: 1 / 70, alkalinity: 2 / 70, drained: 1 / 70 })
  })
  test('two plants catch more wind than one, and tip it sooner', () => {
    const basil = { crop: cropById('basil')! }
    expect(grown({ ...basil, plants: 2 }).tippingWind).toBeLessThan(
      grown({ ...basil, plants: 1 }).tippingWind,
    )
    expect(grown({ emptyWeight: 5 }).tippingWind).toBeGreaterThan(grown({}).tippingWind)
  })
})

describe('rain', () => {
  const july = 6
  const climate = (rain: number) => ({
    latitude: 45,
    elevation: 0,
    months: Array.from({ length: 12 }, (_, i) => ({
      tMin: i === july ? 17 : 9,
      tMax: i === july ? 33 : 19,
      rain: i === july ? rain : 0,
    })),
  })
  const growing = (rain: number) =>
    answer({
      growing: { crop: cropById('pepper_sweet')!, plants: 1, climate: climate(rain), plantingMonth: 4 },
    })
  test('the hottest month wants water most often, but not where rain brings far more than is used', () => {
    // More than falls anywhere: leaf over the rim of a pot sheds most of it.
    const [dry, wet] = [growing(0).growing!, growing(5000).growing!]
    expect([dry.thirstiestMonth, dry.wetMonths]).toEqual([july + 1, []])
    expect(wet.wetMonths).toEqual([july + 1])
    expect(wet.thirstiestMonth).not.toBe(july + 1)
    const days = (month: number) => wet.watering[month - 1]!.days.value
    for (const month of wet.standing.filter((m) => m !== july + 1))
      expect(days(wet.thirstiestMonth!)).toBeLessThanOrEqual(days(month))
  })
  test('salts of the water are in what the mix holds between waterings: less than drained, more than dry', () => {
    const { salts, mix } = growing(0)
    expect(salts.water!.held).toBeLessThan(mix.containerCapacity)
    expect(salts.water!.held).toBeGreaterThan(mix.containerCapacity - mix.easilyAvailableWater)
    // The highest of the course and the first day.
    const all = [
      salts.mix.electricalConductivity.saturatedExtract,
      ...salts.course.map((c) => c.saturatedExtract),
    ]
    expect(salts.most.saturatedExtract).toBe(Math.max(...all))
  })
})
