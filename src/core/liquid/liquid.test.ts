import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { dressingById } from '../data/dressings'
import { LIQUID_IDS, liquidRow } from '../data/liquids'
import type { Dressing } from '../data/types'
import { acidForWater, WATER_ACIDS } from '../chemistry'
import { draws } from '../testing/draws'
import { outsideCheck } from '../testing/outsideCheck'
import { GRAMS_PER_LITRE_PER_OUNCE_PER_US_GALLON } from '../units'
import {
  checkStrength,
  clashOf,
  dosesOfFeed,
  drawnFor,
  feedDays,
  feedFromStock,
  feedSolution,
  gramsForStrength,
  STOCK_LIMITS,
  stocksFor,
} from '.'

const of = (id: string): Dressing => dressingById(id)!
const LIQUIDS = LIQUID_IDS.map(of)
const strength = (id: string, mgPerLitre: number) => gramsForStrength(of(id), 'nitrogen', mgPerLitre)!
const LABEL = 'arithmetic of the label, worked by hand'

describe('strength', () => {
  const exact = (what: string, unit: string, expected: number, computed: () => number) =>
    outsideCheck({
      module: 'liquid',
      what,
      source: LABEL,
      basis: 'closed form',
      unit,
      expected,
      // Analyses of the tables have four figures.
      tolerance: expected * 1e-3,
      computed,
    })
  exact('20-20-20 for 100 mg/L of nitrogen', 'g/L', 0.5, () => strength('soluble_20_20_20', 100))
  exact(
    'phosphorus of that feed: 20 % P2O5, 0.4364 of it P',
    'mg/L',
    43.64,
    () => feedSolution([{ dressing: of('soluble_20_20_20'), gramsPerLitre: 0.5 }]).charge.phosphorus,
  )
  exact('tomato liquid 4-3-8 of 1.2 g/mL for 120 mg/L of nitrogen', 'mL/L', 2.5, () => {
    const feed = of('tomato_feed_liquid')
    return strength(feed.id, 120) / feed.bulkDensity.value
  })
  exact(
    'potassium of 6 g/L of tomato liquid 4-3-8: 8 % K2O, 0.8302 of it K',
    'mg/L',
    398.5,
    () => feedSolution([{ dressing: of('tomato_feed_liquid'), gramsPerLitre: 6 }]).charge.potassium,
  )
  exact('stock of 15-5-15 for 150 mg/L of nitrogen at 1 : 100', 'g/L', 100, () => {
    const feed = [{ dressing: of('soluble_cal_mag_15_5_15'), gramsPerLitre: 1 }]
    return stocksFor(feed, 100).tanks[0]!.parts[0]!.gramsPerLitre
  })
  exact('feed of 20 L of stock at 1 : 100', 'L', 2020, () => feedFromStock(20, 100))
  exact('stock drawn for 10 L of feed at 1 : 100', 'mL', 99.01, () => drawnFor(10, 100) * 1000)
  exact(
    'ounces for 100 US gallons of a fifth nitrogen at 200 mg/L',
    'oz',
    13.35,
    () => (100 * strength('soluble_20_20_20', 200)) / GRAMS_PER_LITRE_PER_OUNCE_PER_US_GALLON,
  )
  test('two salts: 150 mg/L of nitrogen and 200 of potassium', () => {
    // 200 / 381.9 = 0.5237 g/L of potassium nitrate, 70.7 mg of nitrogen; the rest from 0.5116 g/L of calcium nitrate.
    const potash = gramsForStrength(of('potassium_nitrate'), 'potassium', 200)!
    const calcium = strength('calcium_nitrate', 150 - potash * 135)
    expect(potash).toBeCloseTo(0.5237, 3)
    expect(calcium).toBeCloseTo(0.5116, 3)
    const both = feedSolution([
      { dressing: of('potassium_nitrate'), gramsPerLitre: potash },
      { dressing: of('calcium_nitrate'), gramsPerLitre: calcium },
    ])
    expect(both.charge.nitrogen).toBeCloseTo(150, 9)
    expect(both.charge.calcium).toBeCloseTo(97.2, 1)
  })
  test('a feed that holds none of an element cannot be made up for it', () => {
    expect(gramsForStrength(of('magnesium_sulfate'), 'nitrogen', 100)).toBeNull()
  })
})

describe('conductivity', () => {
  const TABLES = 'label tables of soluble feeds (from memory)'
  const PER_HUNDRED = {
    soluble_20_20_20: { low: 0.38, high: 0.46 },
    soluble_acid_21_7_7: { low: 0.5, high: 0.68 },
    soluble_cal_mag_15_5_15: { low: 0.66, high: 0.72 },
    calcium_nitrate: { low: 0.71, high: 0.8 },
    potassium_nitrate: { low: 0.9, high: 1 },
    ammonium_sulfate: { low: 0.88, high: 1 },
    map: { low: 0.72, high: 0.86 },
    tomato_feed_liquid: { low: 0.55, high: 0.85 },
    fish_emulsion: { low: 0.1, high: 0.4 },
  } as const
  for (const [id, expected] of Object.entries(PER_HUNDRED))
    outsideCheck({
      module: 'liquid',
      what: `conductivity that 100 mg/L of nitrogen as ${id} adds`,
      source: TABLES,
      basis: 'from memory',
      unit: 'dS/m',
      expected,
      tolerance: 0.05,
      computed: () => feedSolution([{ dressing: of(id), gramsPerLitre: strength(id, 100) }]).conductivity,
    })
  outsideCheck({
    module: 'liquid',
    what: 'conductivity that 0.255 g/L of Epsom salts adds',
    source: TABLES,
    basis: 'from memory',
    unit: 'dS/m',
    expected: 0.2,
    tolerance: 0.02,
    computed: () => feedSolution([{ dressing: of('magnesium_sulfate'), gramsPerLitre: 0.255 }]).conductivity,
  })
  test('urea carries no current; its nitrogen counts with ammonium', () => {
    const urea = feedSolution([{ dressing: of('urea'), gramsPerLitre: 1 }])
    expect(urea.conductivity).toBe(0)
    expect(urea.ammoniumShare).toBe(1)
    expect(feedSolution([]).ammoniumShare).toBe(0)
  })
  outsideCheck({
    module: 'liquid',
    what: 'share of ammonium and urea in the nitrogen of 20-20-20',
    source: TABLES,
    basis: 'from memory',
    unit: 'share',
    expected: 0.72,
    tolerance: 0.005,
    computed: () => feedSolution([{ dressing: of('soluble_20_20_20'), gramsPerLitre: 1 }]).ammoniumShare,
  })
})

describe('a meter in the feed', () => {
  outsideCheck({
    module: 'liquid',
    what: 'water of 0.45, 15-5-15 set for 125 mg/L of nitrogen at 0.69 a hundred, 1.00 read: share of the setting',
    source: 'worked by hand: 80 of 125 mg/L',
    basis: 'closed form',
    unit: 'share',
    expected: 0.638,
    tolerance: 0.002,
    computed: () => checkStrength({ read: 1, water: 0.45, adds: 1.25 * 0.69, ratio: 100 }).share,
  })
  test('half the strength is twice the ratio, and water alone is none', () => {
    expect(checkStrength({ read: 1, water: 0.5, adds: 1, ratio: 100 })).toEqual({ share: 0.5, ratio: 200 })
    expect(checkStrength({ read: 0.4, water: 0.5, adds: 1, ratio: 100 })).toEqual({ share: 0, ratio: null })
  })
})

describe('stock', () => {
  test('calcium keeps apart from sulfate and phosphate, on either side of what counts as none', () => {
    expect(clashOf(of('calcium_nitrate'), of('magnesium_sulfate'))?.with).toBe('sulfate')
    expect(clashOf(of('map'), of('calcium_nitrate'))?.with).toBe('phosphate')
    expect(clashOf(of('calcium_nitrate'), of('potassium_nitrate'))).toBeNull()
    expect(clashOf(of('soluble_cal_mag_15_5_15'), of('soluble_cal_mag_15_5_15'))).toBeNull()
    const salt = (holds: Dressing['analysis']) => ({
      ...of('urea'),
      id: JSON.stringify(holds),
      analysis: holds,
    })
    const part = (value: number) => ({ ...of('gypsum').analysis.calcium!, value })
    for (const [ion, other] of [
      ['sulfur', 'sulfate'],
      ['phosphorus', 'phosphate'],
    ] as const) {
      const clash = (calcium: number, much: number) =>
        clashOf(salt({ calcium: part(calcium) }), salt({ [ion]: part(much) }))?.with ?? null
      const [least, counts] = [STOCK_LIMITS.calcium.value, STOCK_LIMITS[ion].value]
      expect(clash(least * 1.01, counts * 1.01)).toBe(other)
      expect(clash(least * 0.99, counts * 1.01)).toBeNull()
      expect(clash(least * 1.01, counts * 0.99)).toBeNull()
    }
  })
  test('tanks hold every feed once, at the ratio, none with what it falls out with; none at all only where no way is', () => {
    const feeds = fc.uniqueArray(fc.constantFrom(...LIQUIDS), {
      minLength: 1,
      maxLength: 5,
      selector: (d) => d.id,
    })
    fc.assert(
      fc.property(feeds, fc.double({ min: 0.01, max: 3, noNaN: true }), (list, gramsPerLitre) => {
        const { tanks } = stocksFor(
          list.map((dressing) => ({ dressing, gramsPerLitre })),
          64,
        )
        // Every division by hand.
        const ways = Array.from({ length: 2 ** list.length }, (_, n) =>
          [0, 1].map((t) => list.filter((_, i) => ((n >> i) & 1) === t)),
        )
        const agrees = (tank: Dressing[]) => tank.every((a) => tank.every((b) => clashOf(a, b) === null))
        const sound = ways.filter((way) => way.every(agrees))
        if (tanks.length === 0) {
          expect(sound).toEqual([])
          return
        }
        const inTanks = tanks.map((t) => t.parts.map((p) => p.dressing))
        expect(inTanks.every(agrees)).toBe(true)
        expect(
          inTanks
            .flat()
            .map((d) => d.id)
            .sort(),
        ).toEqual(list.map((d) => d.id).sort())
        for (const p of tanks.flatMap((t) => t.parts))
          expect(p.gramsPerLitre).toBeCloseTo(64 * gramsPerLitre, 9)
        // One tank wherever one will do.
        expect(tanks.length === 1).toBe(agrees(list))
      }),
      { ...draws(200) },
    )
  })
  test('what falls out goes into the second tank, and as few feeds with it as will do', () => {
    // Calcium falls out with sulfate and with phosphate; potassium nitrate goes with either.
    const list = ['potassium_nitrate', 'magnesium_sulfate', 'map', 'calcium_nitrate'].map(of)
    const { tanks } = stocksFor(
      list.map((dressing) => ({ dressing, gramsPerLitre: 0.5 })),
      100,
    )
    expect(tanks.map((t) => t.parts.map((p) => p.dressing.id))).toEqual([
      ['potassium_nitrate', 'magnesium_sulfate', 'map'],
      ['calcium_nitrate'],
    ])
  })
  test('says where cold water does not dissolve so much: potassium sulfate at 90 g/L', () => {
    const stock = (gramsPerLitre: number) =>
      stocksFor([{ dressing: of('potassium_sulfate'), gramsPerLitre }], 100).tanks[0]!.tooStrong
    expect(stock(0.9)).toEqual([])
    expect(stock(0.91)).toEqual([{ dressing: of('potassium_sulfate'), dissolves: 90 }])
  })
  test('every feed for water is a dressing of the tables, and what does not dissolve is none', () => {
    for (const id of LIQUID_IDS) expect(dressingById(id), id).toBeDefined()
    expect(liquidRow(of('bone_meal'))).toBeUndefined()
    expect(liquidRow({ id: 'own:1', family: 'soluble' })?.form).toBe('powder')
    expect(liquidRow({ id: 'own:1', family: 'organic_N' })).toBeUndefined()
  })
})

describe('a season of feeds', () => {
  test('days run from the first to the last, both within', () => {
    expect(feedDays({ from: 21, until: 49, every: 14 })).toEqual([21, 35, 49])
    expect(feedDays({ from: 21, until: 48, every: 14 })).toEqual([21, 35])
    expect(feedDays({ from: 21, until: 20, every: 14 })).toEqual([])
  })
  test('what comes into the mix is all that was given, less what drained', () => {
    const feed = fc.record({
      dressing: fc.constantFrom(...LIQUIDS),
      gramsPerLitre: fc.double({ min: 0.01, max: 10, noNaN: true }),
      litres: fc.double({ min: 0.05, max: 20, noNaN: true }),
      every: fc.integer({ min: 1, max: 30 }),
      from: fc.integer({ min: 0, max: 100 }),
      until: fc.integer({ min: 0, max: 250 }),
    })
    fc.assert(
      fc.property(feed, fc.double({ min: 1, max: 400, noNaN: true }), (f, mixVolume) => {
        const doses = dosesOfFeed(f, { mixVolume, leaching: 0.15 })
        const given = feedDays(f).length * f.gramsPerLitre * f.litres
        const inMix = doses.reduce((sum, d) => sum + d.gramsPerLitre, 0) * mixVolume
        expect(inMix).toBeCloseTo(given * 0.85, 6)
        // One dose for a week at the most, each on a day of feeding.
        const days = doses.map((d) => (d.place as { from: number }).from)
        expect(new Set(days.map((d) => Math.floor(d / 7))).size).toBe(days.length)
        for (const day of days) expect(feedDays(f)).toContain(day)
      }),
      { ...draws(200) },
    )
  })
  outsideCheck({
    module: 'liquid',
    what: 'left for the plant in 60 days: 1.412 L a day at 120 mg/L of nitrogen, 15 % drained',
    source: 'worked by hand: 1.2 L a day taken in at 120 mg/L',
    basis: 'closed form',
    unit: 'g of nitrogen',
    expected: 8.64,
    tolerance: 0.01,
    computed: () => {
      const feed = {
        dressing: of('soluble_20_20_20'),
        gramsPerLitre: 0.6,
        litres: 1.2 / 0.85,
        every: 1,
        from: 0,
        until: 59,
      }
      const doses = dosesOfFeed(feed, { mixVolume: 10, leaching: 0.15 })
      return doses.reduce((sum, d) => sum + d.gramsPerLitre, 0) * 10 * 0.2
    },
  })
})

describe('acid beside a feed', () => {
  outsideCheck({
    module: 'liquid',
    what: 'phosphoric acid of 75 % for 1,000 L of water with 3.5 meq/L to pH 5.8',
    source: '62 mL a meq/L, tables of acids (from memory)',
    basis: 'from memory',
    unit: 'mL',
    expected: 217,
    tolerance: 3,
    computed: () => acidForWater(WATER_ACIDS[0]!, 3.5, 5.8).per100Litres * 10,
  })
})

test('of a stock only what no longer dissolves is named, with how much of it does', () => {
  for (const dressing of LIQUIDS) {
    const dissolves = liquidRow(dressing)!.solubility
    const named = (share: number) =>
      stocksFor([{ dressing, gramsPerLitre: ((dissolves ?? 500) * share) / 100 }], 100).tanks.flatMap((t) =>
        t.tooStrong.map((p) => [p.dressing.id, p.dissolves]),
      )
    expect(named(0.99), dressing.id).toEqual([])
    // Of a feed whose maker gives no figure nobody can say.
    expect(named(1.01), dressing.id).toEqual(dissolves === null ? [] : [[dressing.id, dissolves]])
  }
})
