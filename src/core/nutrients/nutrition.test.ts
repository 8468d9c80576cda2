import { describe, expect, test } from 'vitest'
import { cropById, CROPS, limeById } from '../data'
import { dressingById } from '../data/dressings'
import { TYPICAL_WATERS, typicalWater } from '../data/waters'
import { blend } from '../mixing'
import { parts } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { broughtByWater } from './waterNutrients'
import {
  cropNeeds,
  FED,
  feedingSeason,
  ionConcerns,
  TRACES,
  traceShareAt,
  tracesOf,
  type FeedingInput,
} from '.'

const mixOf = (amounts: Record<string, number>) => {
  const mixed = blend(parts(amounts))
  if (!mixed.ok) throw new Error(mixed.problem.code)
  return mixed.value
}
const PEAT = mixOf({ peat_medium: 3, perlite_coarse: 1 })
const dose = (id: string, gramsPerLitre: number) => ({ dressing: dressingById(id)!, gramsPerLitre })
const season = (change: Partial<FeedingInput> = {}) =>
  feedingSeason({
    blend: PEAT,
    doses: [],
    crop: cropById('tomato_determinate')!,
    plants: 1,
    mixVolume: 25,
    mixHeight: 28,
    containerCapacity: 0.6,
    drainagePerDay: 0.2,
    temperature: 22,
    ...change,
  })
const BLOOD = [dose('blood_meal', 6)]
const COMPLETE = [dose('crf_3_4', 8), dose('potassium_sulfate', 2)]
const DOLOMITE = [{ lime: limeById('lime_dolomitic')!, gramsPerLitre: 5 }]
const sum = (weeks: { [k: string]: number }[], of: string) => weeks.reduce((s, w) => s + w[of]!, 0)

describe('every nutrient', () => {
  test('nitrogen alone feeds nothing: the scarcest nutrient decides (Liebig 1855)', () => {
    const fed = season({ doses: BLOOD, limes: DOLOMITE })
    expect(fed.met.nitrogen).toBeGreaterThan(0.9)
    expect(fed.met.potassium).toBeLessThan(0.2)
    expect(fed.fed).toBe(Math.min(...FED.map((e) => fed.met[e])))
    expect(fed.met[fed.limiting]).toBe(fed.fed)
    // Peat holds next to no potassium: short once plants begin to grow.
    expect(fed.shortFrom.potassium).toBeLessThan(42)
  })
  test('a complete feed with potash and dolomite feeds a tomato in all six', () => {
    const fed = season({ doses: COMPLETE, limes: DOLOMITE })
    for (const e of FED) expect(fed.met[e], e).toBeGreaterThan(0.9)
  })
  test('what is still to be given is what is enough less what is taken up, in grams for a container', () => {
    const { weeks, enough, toFeed, met } = season({ doses: BLOOD })
    for (const e of FED) {
      const short = Math.max(0, enough[e] - sum(weeks[e] as never, 'uptake'))
      expect(toFeed[e]).toBeCloseTo((short * 25) / 1000, 9)
      expect(met[e]).toBeCloseTo(Math.min(1, sum(weeks[e] as never, 'uptake') / enough[e]), 9)
    }
  })
  test('given that many grams more from the first day, undrained, the season is met', () => {
    const bare = { limes: DOLOMITE, drainagePerDay: 0, mixVolume: 8 }
    const short = season({ ...bare, doses: COMPLETE.slice(0, 1) })
    const grams = short.toFeed.potassium / 8 / dressingById('potassium_sulfate')!.analysis.potassium!.value
    const mended = season({
      ...bare,
      doses: [...COMPLETE.slice(0, 1), dose('potassium_sulfate', grams)],
    })
    expect(short.met.potassium).toBeLessThan(0.9)
    expect(mended.met.potassium).toBeGreaterThan(0.97)
  })
  test('lime brings calcium, dolomite magnesium too, neither brings potassium', () => {
    const coir = mixOf({ coir_pith: 1, perlite_coarse: 3 })
    const of = (id: string) =>
      season({ blend: coir, mixVolume: 6, limes: [{ lime: limeById(id)!, gramsPerLitre: 4 }] })
    const [none, calcitic, dolomitic] = [
      season({ blend: coir, mixVolume: 6 }),
      of('lime_calcitic'),
      of('lime_dolomitic'),
    ]
    expect(calcitic.met.calcium).toBeGreaterThan(none.met.calcium + 0.2)
    expect(dolomitic.met.magnesium).toBeGreaterThan(none.met.magnesium + 0.2)
    expect(dolomitic.met.potassium).toBeCloseTo(none.met.potassium, 9)
    // 4 g/L x 37 % calcium x 0.7 dissolved, and no more.
    const gained = sum(calcitic.weeks.calcium as never, 'supply') - sum(none.weeks.calcium as never, 'supply')
    expect(gained).toBeLessThanOrEqual(4000 * 0.37 * 0.7 + 1e-9)
    expect(gained).toBeGreaterThan(4000 * 0.37 * 0.7 * 0.6)
  })
  test('a legume asks the mix for what its nodules do not fix', () => {
    const bean = season({ crop: cropById('bean_bush')! })
    const { value } = cropById('bean_bush')!.properties.seasonNitrogen
    expect((sum(bean.weeks.nitrogen as never, 'demand') * 25) / 1000).toBeCloseTo(0.6 * value, 9)
  })
  test('every crop has a row: ratios of the order of healthy leaves', () => {
    for (const crop of CROPS) {
      const { wanted, enough } = cropNeeds(crop)
      expect(wanted.potassium, crop.id).toBeGreaterThan(0.3)
      expect(wanted.potassium, crop.id).toBeLessThan(2.5)
      // Phosphorus a twentieth to a fifth of nitrogen (Marschner, from memory).
      expect(wanted.phosphorus, crop.id).toBeGreaterThan(0.05)
      expect(wanted.phosphorus, crop.id).toBeLessThan(0.2)
      for (const e of FED) expect(enough[e], `${crop.id} ${e}`).toBeLessThanOrEqual(1)
    }
    expect(cropNeeds({ id: 'own', kind: 'legume' }).wanted.potassium).toBe(
      cropNeeds(cropById('pea')!).wanted.potassium,
    )
  })
  test('nothing drains, nothing washes out; the more drains, the more of nitrate than of phosphate', () => {
    for (const e of FED) expect(sum(season({ drainagePerDay: 0 }).weeks[e] as never, 'leached')).toBe(0)
    const wet = season({ doses: COMPLETE, drainagePerDay: 3 })
    const share = (e: 'nitrogen' | 'phosphorus') =>
      sum(wet.weeks[e] as never, 'leached') / sum(wet.weeks[e] as never, 'supply')
    expect(share('nitrogen')).toBeGreaterThan(share('phosphorus'))
  })

  outsideCheck({
    module: 'nutrients',
    what: 'potassium taken up for each nitrogen by a tomato that lacks nothing',
    source: 'Sonneveld & Voogt 2009, Plant Nutrition of Greenhouse Crops, uptake of tomato (from memory)',
    basis: 'from memory',
    unit: 'g per g',
    expected: { low: 1.3, high: 1.9 },
    tolerance: 0,
    usedToSet: 'ratios of nutrition.json',
    computed: () => cropNeeds(cropById('tomato_indeterminate')!).wanted.potassium,
  })
})

describe('nutrients of water', () => {
  const water = (alkalinity: number, conductivity: number) => ({
    amounts: [{ from: 0, given: 0.1, alkalinity: 0.1 * alkalinity }],
    conductivity,
  })
  outsideCheck({
    module: 'nutrients',
    what: 'calcium in a litre of hard water, 5 meq/L of alkalinity',
    source: 'hard chalk water, 250 mg/L hardness as CaCO3: 70 to 110 mg/L (common practice)',
    basis: 'common practice',
    unit: 'mg/L',
    expected: { low: 65, high: 110 },
    tolerance: 0,
    // Ten days of 0.1 L are one litre.
    computed: () => broughtByWater(water(5, 0.7), 10).calcium,
  })
  test('charges add up: calcium and magnesium carry the alkalinity, sulfate no more than the rest', () => {
    const { calcium, magnesium, sulfur } = broughtByWater(water(3, 0.7), 10)
    expect(calcium / 20.04 + magnesium / 12.15).toBeCloseTo(3, 2)
    expect(sulfur / 16.03).toBeCloseTo(0.35 * 4, 2)
    expect(broughtByWater(water(3, 0.2), 10).sulfur).toBe(0)
    expect(broughtByWater(undefined, 10)).toEqual({
      nitrogen: 0,
      phosphorus: 0,
      calcium: 0,
      magnesium: 0,
      sulfur: 0,
    })
  })
  test('stretch follows stretch, and nothing comes before the first', () => {
    const two = {
      amounts: [
        { from: 0, given: 0.1, alkalinity: 0.2 },
        { from: 30, given: 0.1, alkalinity: 0.4 },
      ],
      conductivity: 0,
    }
    const day = (d: number) => broughtByWater(two, d).magnesium
    expect(day(60) - day(30)).toBeCloseTo(2 * day(30), 9)
    expect(day(0)).toBe(0)
  })
  test('hard water feeds calcium to coir and perlite that hold hardly any', () => {
    const coir = mixOf({ coir_pith: 1, perlite_coarse: 1 })
    const of = (alkalinity: number) =>
      season({ blend: coir, doses: COMPLETE, water: water(alkalinity, 0.7) }).met.calcium
    expect(of(5)).toBeGreaterThan(of(0.3) + 0.2)
  })
})

describe('traces', () => {
  const of = (amounts: Record<string, number>, pH: number, doses = [] as ReturnType<typeof dose>[]) =>
    new Map(
      tracesOf({
        blend: mixOf(amounts),
        doses,
        depth: 28,
        crop: cropById('tomato_determinate')!,
        plants: 1,
        mixVolume: 17,
        temperature: 20,
        acidity: [
          { day: 7, pH: 4 },
          { day: 42, pH },
        ],
      }).map((t) => [t.trace, t]),
    )
  test('peat and perlite lack boron and copper whatever the pH; a trace feed mends it', () => {
    const bare = of({ peat_medium: 3, perlite_coarse: 1 }, 6)
    for (const t of ['boron', 'copper'] as const)
      expect(bare.get(t), t).toMatchObject({ state: 'short', because: 'source' })
    const fed = of({ peat_medium: 3, perlite_coarse: 1 }, 6, [dose('fte_mix', 0.2)])
    for (const t of TRACES) expect(fed.get(t)!.state, t).toBe('enough')
  })
  test('a fifth of compost brings all of them', () => {
    const compost = of({ peat_medium: 3, compost_green: 1, perlite_coarse: 1 }, 6.2)
    for (const t of TRACES) expect(compost.get(t)!.state, t).toBe('enough')
  })
  test('iron and manganese go first as pH rises, and it is the pH that is named', () => {
    const peat = { peat_medium: 3, perlite_coarse: 1 }
    expect(of(peat, 6).get('iron')!.state).toBe('enough')
    expect(of(peat, 7.8).get('iron')).toMatchObject({ state: 'short', because: 'pH' })
    expect(of(peat, 7.8).get('manganese')).toMatchObject({ state: 'short', because: 'pH' })
  })
  test('a chelate mends iron up to the pH it holds to, and which one decides', () => {
    const short = (amounts: Record<string, number>, pH: number, ...fed: [string, number][]) =>
      of(
        amounts,
        pH,
        fed.map(([id, grams]) => dose(id, grams)),
      ).get('iron')!.state === 'short'
    /** The pH from which a mix lacks iron, by tenths. */
    const lacksFrom = (amounts: Record<string, number>) =>
      Array.from({ length: 30 }, (_, i) => 6 + i / 10).find((pH) => short(amounts, pH))!
    // About the same 0.5 mg of iron a litre from each: it is in reach only where the chelate holds.
    const SAME: [string, number, number][] = [
      ['iron_chelate_edta', 0.004, 6.4],
      ['iron_chelate', 0.005, 7.2],
      ['iron_chelate_eddha', 0.009, 9],
    ]
    const MIXES: Record<string, number>[] = [
      { peat_medium: 3, perlite_coarse: 1 },
      { coir_pith: 1, perlite_coarse: 2 },
    ]
    for (const amounts of MIXES) {
      // A little farther, so that a trace of broken chelate does not decide.
      const pH = lacksFrom(amounts) + 0.2
      for (const [id, grams, holds] of SAME)
        expect(short(amounts, pH, [id, grams]), `${id} at ${pH}`).toBe(pH > holds)
    }
  })
  test('bark at a low pH gives too much manganese, limed it does not', () => {
    const bark = { pine_bark_fine: 1 }
    expect(of(bark, 3.9).get('manganese')).toMatchObject({ state: 'tooMuch', because: 'pH' })
    expect(of(bark, 5.8).get('manganese')!.state).toBe('enough')
  })
  test('each falls one way with pH, but boron below 6: nearer to 6 is never less', () => {
    for (const trace of TRACES)
      for (let pH = 6; pH < 8; pH += 0.1)
        if (trace === 'molybdenum')
          expect(traceShareAt(trace, pH + 0.1)).toBeGreaterThan(traceShareAt(trace, pH))
        else expect(traceShareAt(trace, pH + 0.1)).toBeLessThan(traceShareAt(trace, pH))
    for (const trace of TRACES) expect(traceShareAt(trace, 6)).toBe(1)
  })
})

describe('typical waters', () => {
  test('each is known again by its figures; other figures are the grower’s own', () => {
    for (const w of TYPICAL_WATERS)
      expect(
        typicalWater({ waterAlkalinity: w.alkalinity, waterEc: w.conductivity, waterSoftened: w.softened }),
      ).toBe(w.id)
    expect(typicalWater({ waterAlkalinity: 2.2, waterEc: 0.4, waterSoftened: false })).toBeNull()
  })
  test('charge adds up: alkalinity never carries more than the conductivity has', () => {
    // 10 mmol of charge per litre for each dS/m (handbook 60); a tenth over for rounding.
    for (const w of TYPICAL_WATERS) expect(w.alkalinity, w.id).toBeLessThanOrEqual(11 * w.conductivity)
  })
  test('a softener takes nineteen twentieths of the calcium, and no sulfate', () => {
    const given = { amounts: [{ from: 0, given: 0.1, alkalinity: 0.5 }], conductivity: 0.9 }
    const [hard, soft] = [broughtByWater(given, 10), broughtByWater({ ...given, softened: true }, 10)]
    expect(soft.calcium).toBeCloseTo(hard.calcium / 20, 9)
    expect(soft.magnesium).toBeCloseTo(hard.magnesium / 20, 9)
    expect(soft.sulfur).toBe(hard.sulfur)
  })
})

describe('ions of the water', () => {
  test('are named from the published limit on, the gravest first; berries, beans and vines bear half of it', () => {
    expect(ionConcerns({}, null)).toEqual([])
    expect(ionConcerns({ sodium: 69, chloride: 139, boron: 0.74 }, 'lettuce')).toEqual([])
    expect(ionConcerns({ sodium: 105, chloride: 300 }, 'lettuce').map((c) => c.ion)).toEqual([
      'chloride',
      'sodium',
    ])
    expect(ionConcerns({ chloride: 100 }, 'strawberry')).toEqual([
      { ion: 'chloride', has: 100, limit: 70, stop: false },
    ])
    expect(ionConcerns({ boron: 1.2 }, 'bean_bush')[0]!.stop).toBe(true)
    expect(ionConcerns({ boron: 1.2 }, 'tomato_cherry')[0]!.stop).toBe(false)
    // Sodium harms soil and roots alike, whatever grows.
    expect(ionConcerns({ sodium: 60 }, 'strawberry')).toEqual([])
  })
})
