import { FLAG_LIMITS } from './limits'
import { once } from '@/core/testing/once'
import { draws } from '@/core/testing/draws'
import { availability } from '../data/availability'
import { averagedDose, acidityOfDoses, IMMEDIATE } from './supply'
import fc from 'fast-check'
import { MF } from 'mf-parser'
import { fcnnlsVector } from 'ml-fcnnls'
import { describe, expect, test } from 'vitest'
import { formulaMass, massFraction, neutralisingValue, releasedFraction } from '../chemistry'
import { type Dressing, cropById, type MaterialFamily } from '../data'
import { DRESSINGS, dressingById } from '../data/dressings'
import { limeById } from '../data'
import { blend, type Blend } from '../mixing'
import { anyParts, parts } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD, GRAMS_PER_OUNCE, LITRES } from '../units'
import {
  chargeOfLabel,
  conductivityOf,
  convertExtract,
  doseOfLabel,
  dosesForCharge,
  ecClass,
  FED,
  feedFlags,
  feedingSeason,
  ionsOf,
  labelOfElements,
  leachingRequirement,
  mgPerGram,
  nitrogenTakenBy,
  noCharge,
  PHOSPHORUS_IN_P2O5,
  POTASSIUM_IN_K2O,
  relativeYield,
  saltLimit,
  saltsOf,
  supplyOf,
  supplyOfDressings,
  supplyOfLimes,
  supplyOfParts,
  uptakeShare,
  type DressingDose,
} from '.'

const dressing = (id: string): Dressing => dressingById(id)!
const dose = (id: string, gramsPerLitre: number, more: Partial<DressingDose> = {}): DressingDose => ({
  dressing: dressing(id),
  gramsPerLitre,
  ...more,
})
const crop = (id: string) => cropById(id)!
const mixOf = (amounts: Record<string, number>) => {
  const b = blend(parts(amounts))
  if (!b.ok) throw new Error(b.problem.code)
  return b.value
}
const peatLite = once(() => mixOf({ peat_medium: 1, vermiculite_medium: 1 }))

const MACRO = ['nitrogen', 'phosphorus', 'potassium'] as const

describe('formulas and labels', () => {
  const IUPAC = 'IUPAC atomic masses'
  for (const [what, expected, computed] of [
    ['P in P2O5', 0.4364, () => PHOSPHORUS_IN_P2O5],
    ['K in K2O', 0.8301, () => POTASSIUM_IN_K2O],
    ['Ca in CaO', 0.7147, () => massFraction('Ca', 'CaO')],
    ['N in NO3', 0.2259, () => massFraction('N', 'NO3')],
    ['Ca in CaCO3', 0.4004, () => massFraction('Ca', 'CaCO3')],
    ['Mg in Epsom salt', 0.0986, () => massFraction('Mg', 'MgSO4.7H2O')],
    ['Ca in gypsum', 0.2328, () => massFraction('Ca', 'CaSO4.2H2O')],
    ['Fe in iron sulfate', 0.2009, () => massFraction('Fe', 'FeSO4.7H2O')],
    ['N in urea', 0.4665, () => massFraction('N', 'CO(NH2)2')],
  ] as const)
    outsideCheck({
      module: 'nutrients',
      what: `${what}, by mass`,
      source: `${IUPAC} (rounded handbook factors)`,
      basis: 'standard',
      unit: 'kg/kg',
      expected,
      tolerance: 0.00006,
      computed,
    })
  for (const [formula, charges, expected] of [
    ['CaO', 2, 178.5],
    ['Ca(OH)2', 2, 135.1],
    ['MgO', 2, 248.4],
    ['MgCO3', 2, 118.7],
    ['CaSiO3', 2, 86.2],
  ] as const)
    outsideCheck({
      module: 'nutrients',
      what: `calcium carbonate equivalent of ${formula}`,
      source: 'AOAC and extension lime tables',
      basis: 'published',
      unit: '%',
      expected,
      tolerance: 0.1,
      computed: () => 100 * neutralisingValue(formula, charges),
    })
  for (const [ours, theirs] of [
    ['Al2(SO4)3.18H2O', 'Al2(SO4)3(H2O)18'],
    ['Na2B4O7.10H2O', 'Na2B4O7(H2O)10'],
    ['NH4H2PO4', 'NH4H2PO4'],
  ] as const)
    outsideCheck({
      module: 'nutrients',
      what: `molar mass of ${ours}`,
      source: 'mf-parser 3',
      basis: 'reference program',
      unit: 'g/mol',
      expected: new MF(theirs).getInfo().mass,
      // Tables of atomic masses differ in the fifth figure.
      tolerance: 0.05,
      computed: () => formulaMass(ours),
    })
  outsideCheck({
    module: 'nutrients',
    what: 'P2O5 of the John Innes base (2 hoof and horn, 2 superphosphate, 1 sulfate of potash by weight)',
    source: 'Lawrence & Newell 1939, Seed and Potting Composts (from memory)',
    basis: 'published',
    unit: '% P2O5',
    expected: 7.2,
    tolerance: 0.4,
    missed:
      'By a hair: 7.2 is the superphosphate alone, to which the table’s hoof and horn adds a further 0.4.',
    computed: () => johnInnesBase().phosphate,
  })
  outsideCheck({
    module: 'nutrients',
    what: 'nitrogen of the John Innes base',
    source: 'Lawrence & Newell 1939, Seed and Potting Composts (from memory)',
    basis: 'published',
    unit: '% N',
    expected: 5.1,
    tolerance: 0.3,
    computed: () => johnInnesBase().nitrogen,
  })
  outsideCheck({
    module: 'nutrients',
    what: 'potash of the John Innes base',
    source: 'Lawrence & Newell 1939, Seed and Potting Composts (from memory)',
    basis: 'published',
    unit: '% K2O',
    expected: 9.7,
    tolerance: 0.4,
    computed: () => johnInnesBase().potash,
  })
  outsideCheck({
    module: 'nutrients',
    what: 'John Innes No. 3: 12 oz of base to the imperial bushel',
    source: 'Lawrence & Newell 1939, Seed and Potting Composts',
    basis: 'published',
    unit: 'g/L',
    expected: 9.354,
    tolerance: 0.001,
    computed: () => (12 * GRAMS_PER_OUNCE) / LITRES.imperialBushel,
  })
  outsideCheck({
    module: 'nutrients',
    what: 'nitrogen of peat-lite A: 1 lb of calcium nitrate to the cubic yard',
    source: 'Boodley & Sheldrake, Cornell Information Bulletin 43; label 15.5-0-0',
    basis: 'published',
    unit: 'mg/L',
    expected: 0.593276 * 155,
    tolerance: 0.01,
    computed: () =>
      chargeOfLabel({ nitrogen: 15.5, phosphate: 0, potash: 0 }, GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD)
        .nitrogen,
  })

  function johnInnesBase() {
    const sum = { nitrogen: 0, phosphorus: 0, potassium: 0 }
    for (const [id, share] of [
      ['hoof_horn', 0.4],
      ['ssp', 0.4],
      ['potassium_sulfate', 0.2],
    ] as const)
      for (const e of MACRO) sum[e] += (share * mgPerGram(dressing(id), e)) / 1000
    return labelOfElements(sum)
  }
  test('labels go there and back, and a dose brings what was asked', () => {
    fc.assert(
      fc.property(
        fc.record({
          nitrogen: fc.integer({ min: 0, max: 46 }),
          phosphate: fc.integer({ min: 0, max: 52 }),
          potash: fc.integer({ min: 0, max: 60 }),
        }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (label, wanted) => {
          const charge = chargeOfLabel(label, 1)
          const back = labelOfElements({
            nitrogen: charge.nitrogen / 1000,
            phosphorus: charge.phosphorus / 1000,
            potassium: charge.potassium / 1000,
          })
          for (const k of ['nitrogen', 'phosphate', 'potash'] as const)
            expect(back[k]).toBeCloseTo(label[k], 9)
          for (const e of MACRO) {
            const grams = doseOfLabel(label, e, wanted)
            if (grams !== null) expect(chargeOfLabel(label, grams)[e]).toBeCloseTo(wanted, 6)
            else expect(charge[e]).toBe(0)
          }
        },
      ),
      draws(),
    )
  })
  test('formulas nobody wrote are our own fault', () =>
    expect(() => formulaMass('Xx2')).toThrow(/unknown element/))
})

describe('salts', () => {
  const salt = (mg: Partial<ReturnType<typeof noCharge>>, nitrate = 0, ammonium = 0) =>
    conductivityOf(ionsOf({ ...noCharge(), ...mg }, { nitrate, ammonium }))
  const SALTS = 'tables of nursery salts at 1 g/L (from memory)'
  outsideCheck({
    module: 'nutrients',
    what: 'conductivity of 0.01 mol/L potassium chloride at 25 C',
    source: 'ASTM D1125; OIML R 56',
    basis: 'standard',
    unit: 'dS/m',
    expected: 1.412,
    tolerance: 0.02,
    computed: () => salt({ potassium: 390.98, chloride: 354.5 }),
  })
  outsideCheck({
    module: 'nutrients',
    what: 'conductivity of 0.001 mol/L potassium chloride at 25 C',
    source: 'ASTM D1125',
    basis: 'standard',
    unit: 'dS/m',
    expected: 0.1469,
    tolerance: 0.002,
    computed: () => salt({ potassium: 39.098, chloride: 35.45 }),
  })
  for (const [what, expected, computed] of [
    ['potassium nitrate', 1.3, () => salt({ potassium: 386.7 }, 138.5)],
    ['ammonium sulfate', 2.1, () => salt({ sulfur: 242.6 }, 0, 212)],
    ['calcium nitrate, fertilizer grade', 1.2, () => salt({ calcium: 190 }, 144, 11)],
    ['Epsom salt', 0.75, () => salt({ magnesium: 98.6, sulfur: 130.1 })],
  ] as const)
    outsideCheck({
      module: 'nutrients',
      what: `conductivity of 1 g/L of ${what}`,
      source: SALTS,
      basis: 'from memory',
      unit: 'dS/m',
      expected,
      tolerance: 0.15 * expected,
      usedToSet: what === 'Epsom salt' ? 'share of magnesium sulfate in pairs' : undefined,
      computed,
    })
  const CAVINS = 'Cavins et al. 2000, NC State HIL 590 (from memory)'
  outsideCheck({
    module: 'nutrients',
    what: 'PourThru reading that matches SME 2.0 dS/m',
    source: CAVINS,
    basis: 'published',
    unit: 'dS/m',
    expected: 2.6,
    tolerance: 0.001,
    usedToSet: 'table of classes',
    computed: () => convertExtract(2, 'saturatedExtract', 'pourThrough'),
  })
  outsideCheck({
    module: 'nutrients',
    what: '1:2 reading that matches SME 3.5 dS/m',
    source: CAVINS,
    basis: 'published',
    unit: 'dS/m',
    expected: 1.25,
    tolerance: 0.001,
    usedToSet: 'table of classes',
    computed: () => convertExtract(3.5, 'saturatedExtract', 'oneToTwo'),
  })
  const MH = 'Maas & Hoffman 1977, J. Irrig. Drain. Div. ASCE 103:115-134'
  for (const [id, ec, expected] of [
    ['tomato_indeterminate', 5, 0.7525],
    ['bean_bush', 3, 0.62],
    ['lettuce', 2.3, 0.87],
    ['spinach', 4, 0.848],
  ] as const)
    outsideCheck({
      module: 'nutrients',
      what: `yield left of ${id.replace('_', ' ')} at ${ec} dS/m`,
      source: MH,
      basis: 'published',
      unit: '1',
      expected,
      tolerance: 0.001,
      computed: () => {
        const p = crop(id).properties
        return relativeYield(ec, p.saltThreshold.value, p.saltSlope?.value)
      },
    })
  outsideCheck({
    module: 'nutrients',
    what: 'leaching wanted by tomatoes (2.5 dS/m) on water of 1.0 dS/m',
    source: 'Rhoades 1974, as Ayers & Westcot 1985, FAO-29 eq. 9',
    basis: 'closed form',
    unit: '1',
    expected: 1 / 11.5,
    tolerance: 1e-12,
    computed: () => leachingRequirement(1, 2.5),
  })
  outsideCheck({
    module: 'nutrients',
    what: 'salts of peat-lite A with 1 lb/yd3 each of calcium nitrate and potassium nitrate: within the low to normal classes',
    source: 'Cavins et al. 2000, NC State HIL 590 (from memory); recipe Boodley & Sheldrake',
    basis: 'published',
    unit: 'dS/m',
    expected: { low: 0.76, high: 3.5 },
    tolerance: 0.05,
    computed: () =>
      saltsOf(peatLite(), [
        dose('calcium_nitrate', GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD),
        dose('potassium_nitrate', GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD),
      ]).electricalConductivity.saturatedExtract,
  })
  test('water saltier than leaching can hold down is asked to drain away whole, and no more', () => {
    // 5 times the limit less the water is what room is left: 1 of 4, none of 5.
    expect(leachingRequirement(2, 1)).toBeCloseTo(2 / 3, 12)
    expect([4, 5, 6].map((water) => leachingRequirement(water, 1))).toEqual([1, 1, 1])
  })
  test('conversions go back, rise, and leave nothing at nothing', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 12, noNaN: true }), (ec) => {
        const there = convertExtract(ec, 'saturatedExtract', 'pourThrough')
        expect(convertExtract(there, 'pourThrough', 'saturatedExtract')).toBeCloseTo(ec, 9)
        expect(convertExtract(ec + 0.1, 'saturatedExtract', 'pourThrough')).toBeGreaterThan(there)
      }),
      draws(),
    )
    expect(convertExtract(0, 'oneToTwo', 'saturatedExtract')).toBe(0)
    expect([ecClass(0.1, 'oneToTwo'), ecClass(3, 'saturatedExtract'), ecClass(9, 'pourThrough')]).toEqual([
      'very low',
      'normal',
      'extreme',
    ])
  })
  test('yield never rises with salt, and the limit keeps what it says', () => {
    const p = crop('lettuce').properties
    expect(relativeYield(0, 1.3, 0.13)).toBe(1)
    expect(relativeYield(30, 1.3, 0.13)).toBe(0)
    expect(relativeYield(saltLimit(p, 0.9), p.saltThreshold.value, p.saltSlope!.value)).toBeCloseTo(0.9, 9)
  })
  test('gypsum stops dissolving; more of it adds no more salt', () => {
    const at = (g: number) => saltsOf(peatLite(), [dose('gypsum', g)]).fromDressings
    // The label's calcium and sulfur are not quite one to one: a hundredth of the rest goes on dissolving.
    expect(at(80) / at(60)).toBeCloseTo(1, 1)
    expect(at(80) / at(60)).toBeLessThan(1.01)
    expect(at(2)).toBeLessThan(at(20))
  })
  test('what is held back adds nothing yet; what is on top counts in the top', () => {
    expect(
      saltsOf(peatLite(), [dose('urea', 1, { place: { kind: 'heldBack', from: 30 } })]).fromDressings,
    ).toBe(0)
  })
})

describe('release', () => {
  const HJ = 'Hartz & Johnstone 2006, HortTechnology 16:39-42 (figures from memory)'
  const meals = ['blood_meal', 'feather_meal', 'fish_meal', 'guano_seabird']
  const mean = (temperature: number) =>
    meals.reduce((s, id) => s + releasedFraction(dressing(id).release, 56, temperature) / meals.length, 0)
  for (const [temperature, expected] of [
    [10, 0.56],
    [25, 0.66],
  ] as const)
    outsideCheck({
      module: 'nutrients',
      what: `nitrogen of blood, feather, fish meal and guano out in eight weeks at ${temperature} C`,
      source: HJ,
      basis: 'published',
      unit: '1',
      expected,
      tolerance: 0.06,
      missed:
        temperature === 10
          ? 'One first-order pool is all but empty after eight weeks, even in the cold; the published figures want a second, slower pool, which no table gives rates for.'
          : undefined,
      computed: () => mean(temperature),
    })
  outsideCheck({
    module: 'nutrients',
    what: 'nitrogen of lucerne pellets out in twelve weeks',
    source: 'Agehara & Warncke 2005, SSSAJ 69:1844-1855 (figures from memory)',
    basis: 'published',
    unit: '1',
    expected: { low: 0.37, high: 0.52 },
    tolerance: 0.06,
    computed: () => releasedFraction(dressing('alfalfa_meal').release, 84, 20),
  })
  outsideCheck({
    module: 'nutrients',
    what: 'nitrogen of feather, fish and seed meals within a season of 20 weeks',
    source: 'Gale et al. 2006, J. Environ. Qual. 35:2321-2332 (figures from memory)',
    basis: 'published',
    unit: '1',
    expected: { low: 0.55, high: 0.8 },
    tolerance: 0.03,
    computed: () =>
      ['feather_meal', 'fish_meal', 'soybean_meal'].reduce(
        (s, id) => s + releasedFraction(dressing(id).release, 140, 20) / 3,
        0,
      ),
  })
  const HMG = 'Hartz, Mitchell & Giannini 2000, HortScience 35:209-212 (figures from memory)'
  const ofParts = (id: string) => {
    const mix = mixOf({ [id]: 1 })
    const p = mix.shares[0]!.material.properties
    return supplyOfParts(mix, 25)(84).otherNitrogen / (p.dryBulkDensity.value * p.nitrogen.value * 1e6)
  }
  outsideCheck({
    module: 'nutrients',
    what: 'nitrogen of manure compost out in twelve weeks at 25 C',
    source: HMG,
    basis: 'published',
    unit: '1',
    expected: 0.07,
    tolerance: 0.04,
    computed: () => ofParts('manure_cattle_composted'),
  })
  outsideCheck({
    module: 'nutrients',
    what: 'nitrogen of green-waste compost out in twelve weeks at 25 C',
    source: HMG,
    basis: 'published',
    unit: '1',
    expected: 0.01,
    tolerance: 0.03,
    missed:
      'The table takes 5 % in a season, the middle of what composts of leaves and prunings with some kitchen waste give; the figure published is for plant residues alone. Its range, from taking 100 to giving 900 mg/L, holds both.',
    computed: () => ofParts('compost_green'),
  })
  outsideCheck({
    module: 'nutrients',
    what: 'life of a coated fertilizer, shortened from 21 to 31 C',
    source: 'Husby et al. 2003, HortScience 38:387-389 (figures from memory)',
    basis: 'published',
    unit: '1',
    expected: { low: 0.35, high: 0.6 },
    tolerance: 0,
    computed: () => {
      const { release } = dressing('crf_5_6')
      const days = (temperature: number) => {
        let day = 0
        while (releasedFraction(release, day, temperature) < 0.9) day++
        return day
      }
      return 1 - days(31) / days(21)
    },
  })
  outsideCheck({
    module: 'nutrients',
    what: 'a coated fertilizer of 5-6 months has given up its share by then at 21 C: about six months',
    source: 'common practice',
    basis: 'common practice',
    unit: 'days',
    expected: { low: 150, high: 185 },
    tolerance: 0,
    computed: () => {
      let day = 0
      while (releasedFraction(dressing('crf_5_6').release, day, 21) < 0.9) day++
      return day
    },
  })
  test('rises with time and warmth, from nothing, never past all of it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DRESSINGS),
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.double({ min: 5, max: 34, noNaN: true }),
        ({ release }, day, temperature) => {
          const now = releasedFraction(release, day, temperature)
          expect(now).toBeGreaterThanOrEqual(0)
          expect(now).toBeLessThanOrEqual(1)
          expect(releasedFraction(release, day + 10, temperature)).toBeGreaterThanOrEqual(now)
          expect(releasedFraction(release, day, temperature + 1)).toBeGreaterThanOrEqual(now - 1e-12)
          expect(releasedFraction(release, 0, temperature)).toBe(0)
        },
      ),
      draws(),
    )
  })
  test('what is held back waits for its day', () => {
    const late = supplyOfDressings([dose('urea', 1, { place: { kind: 'heldBack', from: 30 } })], 20)
    expect(late(29).charge.nitrogen).toBe(0)
    expect(late(60).charge.nitrogen).toBeCloseTo(
      supplyOfDressings([dose('urea', 1)], 20)(30).charge.nitrogen,
      9,
    )
  })
  test('parts and dressings add up, element by element', () => {
    fc.assert(
      fc.property(anyParts, fc.integer({ min: 0, max: 200 }), (list, day) => {
        const mixed = blend(list)
        if (!mixed.ok) throw new Error(mixed.problem.code)
        const doses = [dose('crf_3_4', 2), dose('blood_meal', 1)]
        const [all, own, given] = [
          supplyOf(mixed.value, doses, 18)(day),
          supplyOfParts(mixed.value, 18)(day),
          supplyOfDressings(doses, 18)(day),
        ]
        for (const e of FED) expect(all.charge[e]).toBeCloseTo(own.charge[e] + given.charge[e], 9)
        // All nitrogen in reach is nitrate, ammonium or on its way.
        expect(all.nitrogen.nitrate + all.nitrogen.ammonium + all.otherNitrogen).toBeCloseTo(
          all.charge.nitrogen,
          6,
        )
        expect(all.drawdown).toBeGreaterThanOrEqual(0)
      }),
      draws(60),
    )
  })
  test('what plants can have of a part’s own store, at once and over the season', () => {
    const table = (family: MaterialFamily) => {
      const { atOnce, later } = availability(family)
      return [atOnce, later].map((c) => [c.phosphorus, c.potassium, c.calcium, c.magnesium])
    }
    expect(table('compost')).toEqual([
      [0.2, 0.85, 0.1, 0.2],
      [0.2, 0.1, 0.2, 0.3],
    ])
    expect(table('sand')).toEqual([
      [0.5, 0.5, 0.1, 0.1],
      [0.5, 0.5, 0.2, 0.2],
    ])
    expect(table('soil')).toEqual(table('sand'))
    expect(table('vermiculite')).toEqual([
      [0, 0.03, 0, 0.01],
      [0, 0.1, 0, 0.02],
    ])
    expect(table('perlite')).toEqual([
      [0, 0.01, 0, 0],
      [0.01, 0.02, 0.01, 0.01],
    ])
  })
  /** One litre of one made-up part: 0.5 kg of it, a gram of each element, 100 mg/L of nitrogen over the season. */
  const alone = (family: MaterialFamily, nitrogenFirstSeason: number): Blend => {
    const known = (value: number) => ({ low: value, value, high: value })
    const properties = {
      dryBulkDensity: known(0.5),
      phosphorus: known(0.001),
      potassium: known(0.001),
      calcium: known(0.001),
      magnesium: known(0.001),
      nitrogen: known(0.02),
      nitrogenFirstSeason: known(nitrogenFirstSeason),
    }
    return {
      blendingLoss: 0.2,
      shares: [{ share: 0.8, material: { family, properties } }],
    } as unknown as Blend
  }
  test('a part gives by hand: 500 mg/L of each, some at once, the rest with the season', () => {
    const compost = supplyOfParts(alone('compost', 100), 20)
    const first = compost(0)
    expect([first.charge.phosphorus, first.charge.potassium].map(Math.round)).toEqual([100, 425])
    // 3 % of 10,000 mg/L of nitrogen are mineral on the first day.
    expect(first.nitrogen.nitrate).toBeCloseTo(300, 9)
    expect([first.charge.nitrogen, first.otherNitrogen, first.drawdown]).toEqual([
      first.nitrogen.nitrate,
      0,
      0,
    ])
    expect(supplyOfParts(alone('manure', 0), 20)(0).nitrogen.nitrate).toBeCloseTo(500, 9)
    expect(supplyOfParts(alone('bark', 0), 20)(0).nitrogen.nitrate).toBe(0)
    const season = compost(140)
    expect(season.charge.phosphorus).toBeCloseTo(200, 9)
    expect(season.charge.nitrogen).toBeCloseTo(400, 9)
    const month = (1 - Math.exp(-0.015 * 30)) / (1 - Math.exp(-0.015 * 140))
    expect(compost(30).charge.phosphorus).toBeCloseTo(100 + 100 * month, 9)
    expect(compost(30).otherNitrogen).toBeCloseTo(100 * month, 9)
    // Ten degrees warmer it goes twice as fast; of the store there is no more than there is.
    expect(supplyOfParts(alone('compost', 100), 30)(15).otherNitrogen).toBeCloseTo(100 * month, 9)
    expect(compost(900).charge.phosphorus).toBeCloseTo(200, 9)
    expect(compost(900).otherNitrogen).toBeGreaterThan(100)
  })
  test('a part takes by hand, and does not say how much where nothing is known', () => {
    const wood = supplyOfParts(alone('wood', -80), 20)
    expect([wood(0).drawdown, wood(10).otherNitrogen]).toEqual([0, 0])
    expect(wood(10).drawdown).toBeCloseTo(80 * (1 - Math.exp(-0.5)), 9)
    const none = supplyOfParts(alone('perlite', 0), 20)
    expect([none(99).drawdown, none(99).otherNitrogen].map((x) => x + 0)).toEqual([0, 0])
  })
  test('a dressing gives by its release, in its forms, from its day on', () => {
    const d = dressing('blood_meal')
    const given = 2 * mgPerGram(d, 'nitrogen')
    const by = supplyOfDressings([dose('blood_meal', 2)], 20)(30)
    expect(by.charge.nitrogen).toBeCloseTo(given * releasedFraction(d.release, 30, 20), 6)
    expect(by.otherNitrogen).toBeCloseTo(
      by.charge.nitrogen * (d.nitrogenForms!.urea + d.nitrogenForms!.organic),
      6,
    )
    const late = supplyOfDressings([dose('blood_meal', 2, { place: { kind: 'heldBack', from: 20 } })], 20)(50)
    expect(late.charge.nitrogen).toBeCloseTo(by.charge.nitrogen, 6)
    expect(late.drawdown).toBe(0)
    expect(supplyOfDressings([dose('blood_meal', 2)], 20)(0).charge.nitrogen).toBeCloseTo(
      given * releasedFraction(d.release, 0, 20),
      6,
    )
  })
  test('a dose on top counts by its depth’s share of the mix, all of it where the mix is no deeper', () => {
    const top = (depth: number) => averagedDose(dose('blood_meal', 2, { place: { kind: 'top', depth } }), 10)
    expect([top(5), top(10), top(20)]).toEqual([1, 2, 2])
    expect(averagedDose(dose('blood_meal', 2), 10)).toBe(2)
    expect(averagedDose(dose('blood_meal', 2, { place: { kind: 'heldBack', from: 9 } }), 10)).toBe(2)
    const { acids, limes } = acidityOfDoses(
      [
        dose('blood_meal', 2),
        dose('blood_meal', 2, { place: { kind: 'heldBack', from: 9 } }),
        dose('oyster_shell', 4, { place: { kind: 'top', depth: 5 } }),
      ],
      10,
    )
    expect(acids.map((a) => a.from)).toEqual([0, 9])
    expect(limes.map((l) => [l.lime.id, l.gramsPerLitre, l.from])).toEqual([['oyster_shell', 2, 0]])
    expect(IMMEDIATE).toBe(3)
  })
  test('fresh wood takes nitrogen, composted bark next to none', () => {
    const draw = (id: string) => supplyOfParts(mixOf({ [id]: 1 }), 20)(28).drawdown
    expect(draw('wood_chips_fresh')).toBeGreaterThan(80)
    expect(draw('bark_composted')).toBeLessThan(15)
    expect(draw('perlite_coarse')).toBe(0)
  })
})

describe('feeding over a season', () => {
  const input = once(() => ({
    blend: peatLite(),
    doses: [dose('crf_3_4', 3)],
    crop: crop('tomato_determinate'),
    plants: 1,
    mixVolume: 25,
    mixHeight: 28,
    containerCapacity: 0.6,
    drainagePerDay: 0.3,
    temperature: 20,
  }))
  test('nothing is made or lost: supply is uptake, leaching and what is left', () => {
    fc.assert(
      fc.property(
        anyParts,
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (list, grams, drainagePerDay) => {
          const mixed = blend(list)
          if (!mixed.ok) throw new Error(mixed.problem.code)
          const { weeks, fed } = feedingSeason({
            ...input(),
            blend: mixed.value,
            doses: [dose('crf_3_4', grams)],
            drainagePerDay,
          })
          for (const e of FED) {
            const sum = (of: (w: (typeof weeks.nitrogen)[number]) => number) =>
              weeks[e].reduce((s, w) => s + of(w), 0)
            expect(sum((w) => w.supply)).toBeCloseTo(
              sum((w) => w.uptake) + sum((w) => w.leached) + weeks[e].at(-1)!.pool,
              6,
            )
            for (const w of weeks[e]) {
              expect(w.pool).toBeGreaterThanOrEqual(-1e-9)
              expect(w.uptake).toBeLessThanOrEqual(w.demand + 1e-9)
            }
          }
          expect(fed).toBeLessThanOrEqual(1 + 1e-12)
        },
      ),
      draws(40),
    )
  })
  test('demand over the season is what the plant takes', () => {
    const { weeks } = feedingSeason(input())
    const demand = weeks.nitrogen.reduce((s, w) => s + w.demand, 0)
    expect((demand * 25) / 1000).toBeCloseTo(input().crop.properties.seasonNitrogen.value, 9)
    expect(nitrogenTakenBy(input().crop, 0)).toBe(0)
    expect(uptakeShare(1)).toBeCloseTo(1, 12)
    expect(uptakeShare(0.9) - uptakeShare(0.8)).toBeLessThan(uptakeShare(0.65) - uptakeShare(0.55))
  })
  test('for a hungry crop it says from when and how much to give', () => {
    const { shortFrom, met, toFeed } = feedingSeason({ ...input(), doses: [] })
    expect(shortFrom.nitrogen).not.toBeNull()
    expect(toFeed.nitrogen).toBeCloseTo((1 - met.nitrogen) * input().crop.properties.seasonNitrogen.value, 6)
    const rich = feedingSeason({ ...input(), doses: [dose('crf_3_4', 6)], drainagePerDay: 0 })
    expect(rich.shortFrom.nitrogen).toBeNull()
  })
  test('more drainage leaves less', () => {
    const left = (drainagePerDay: number) =>
      feedingSeason({ ...input(), drainagePerDay }).weeks.nitrogen.at(-1)!.pool
    expect(left(1)).toBeLessThan(left(0.1))
  })
})

describe('doses for a charge', () => {
  test('meet a target that can be met exactly', () => {
    const plan = dosesForCharge(
      [
        { element: 'nitrogen', mgPerLitre: 120 },
        { element: 'potassium', mgPerLitre: 150 },
        { element: 'magnesium', mgPerLitre: 20 },
      ],
      ['calcium_nitrate', 'potassium_nitrate', 'magnesium_sulfate'].map(dressing),
    )
    if (!plan.ok) throw new Error(plan.problem.code)
    expect(plan.value.largestMiss).toBeLessThan(1e-6)
    expect(plan.notes).toEqual([])
    const potassium = plan.value.doses.find((d) => d.dressing.id === 'potassium_nitrate')!
    expect(potassium.gramsPerLitre).toBeCloseTo(
      0.15 / dressing('potassium_nitrate').analysis.potassium!.value,
      6,
    )
  })
  test('agree with a library’s least squares held above zero (ml-fcnnls)', () => {
    const list = ['calcium_nitrate', 'potassium_nitrate', 'ssp', 'langbeinite', 'map'].map(dressing)
    const elements = ['nitrogen', 'phosphorus', 'potassium', 'calcium', 'magnesium'] as const
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 20, max: 200 }), { minLength: 5, maxLength: 5 }), (wanted) => {
        const roomy = list.map((d) => ({ ...d, dose: { ...d.dose, limit: 1000 } }))
        const plan = dosesForCharge(
          elements.map((element, i) => ({ element, mgPerLitre: wanted[i]! })),
          roomy,
        )
        if (!plan.ok) throw new Error(plan.problem.code)
        const rows = elements.map((e, i) => list.map((d) => mgPerGram(d, e) / wanted[i]!))
        const theirs = fcnnlsVector(rows, [1, 1, 1, 1, 1]).K.to1DArray()
        list.forEach((d, i) =>
          expect(plan.value.doses.find((x) => x.dressing.id === d.id)?.gramsPerLitre ?? 0).toBeCloseTo(
            theirs[i]! > 1e-3 ? theirs[i]! : 0,
            2,
          ),
        )
      }),
      draws(50),
    )
  })
  test('hold to a dressing’s limit, and say what is missed', () => {
    const plan = dosesForCharge([{ element: 'nitrogen', mgPerLitre: 900 }], [dressing('urea')])
    if (!plan.ok) throw new Error(plan.problem.code)
    expect(plan.value.doses[0]).toMatchObject({ gramsPerLitre: 0.4, atLimit: true })
    expect(plan.notes[0]).toMatchObject({ code: 'charge-not-met' })
  })
  test('refuse what makes no sense', () => {
    const of = (mgPerLitre: number, id = 'urea') => {
      const plan = dosesForCharge([{ element: 'boron', mgPerLitre }], [dressing(id)])
      return plan.ok ? null : plan.problem.code
    }
    expect([of(-1), of(NaN), of(0), of(1)]).toEqual([
      'amount-negative',
      'amount-negative',
      'nothing-to-choose-from',
      'no-dressing-for-target',
    ])
    expect(of(0.5, 'borax')).toBeNull()
  })
})

test('potash of wood ash dissolves at once, nine tenths of it, from the day it goes in', () => {
  // 2 g in a litre with 6 % of potassium: 120 mg, 108 of them in reach.
  const ash = { ...limeById('lime_calcitic')!, potassium: 0.06 }
  const potassium = (day: number, from?: number) =>
    supplyOfLimes([{ lime: ash, gramsPerLitre: 2, from }], 20)(day).potassium
  expect(potassium(0)).toBeCloseTo(108, 9)
  expect(potassium(99, 100)).toBe(0)
  expect(potassium(100, 100)).toBeCloseTo(108, 9)
})

describe('flags', () => {
  const codes = (...of: Parameters<typeof feedFlags>) => feedFlags(...of).map((f) => f.code)
  test('a plain mix raises none', () => {
    expect(
      codes(peatLite(), [dose('crf_5_6', 3), dose('lime_dolomitic', 3)], { depth: 28, temperature: 18 }),
    ).toEqual([])
  })
  test('of several that bring boron the one that brings most is named, in whichever place it is', () => {
    const named = (...doses: DressingDose[]) =>
      feedFlags(peatLite(), doses, { depth: 28, temperature: 20 }).flatMap((f) =>
        f.code === 'boron-high' ? [f.dressing] : [],
      )
    const [much, little] = [dose('borax', 0.02), dose('crf_5_6', 3)]
    expect(named(much, little)).toEqual(['borax'])
    expect(named(little, much)).toEqual(['borax'])
  })
  test('each has its cause', () => {
    expect(codes(peatLite(), [dose('ammonium_sulfate', 0.5)], { depth: 28, temperature: 10 })).toContain(
      'ammonium-when-cold',
    )
    expect(codes(peatLite(), [dose('ammonium_sulfate', 0.5)], { depth: 28, temperature: 20 })).not.toContain(
      'ammonium-when-cold',
    )
    expect(codes(peatLite(), [dose('borax', 0.02)], { depth: 28, temperature: 20 })).toContain('boron-high')
    expect(codes(mixOf({ manure_poultry_composted: 1 }), [], { depth: 28, temperature: 20 })).toContain(
      'salts-high',
    )
    expect(
      codes(peatLite(), [dose('ssp', 3)], { depth: 28, temperature: 20, crop: crop('blueberry') }),
    ).toContain('phosphorus-for-sensitive')
    expect(
      codes(peatLite(), [dose('ssp', 3)], { depth: 28, temperature: 20, crop: crop('lettuce') }),
    ).not.toContain('phosphorus-for-sensitive')
    expect(codes(peatLite(), [dose('gypsum', 6)], { depth: 28, temperature: 20 })).toEqual(
      expect.arrayContaining(['dose-above-limit', 'calcium-to-magnesium']),
    )
    expect(codes(mixOf({ wood_fibre: 1, peat_medium: 1 }), [], { depth: 28, temperature: 20 })).toContain(
      'drawdown-uncovered',
    )
  })
  test('feed in the top alone is judged there', () => {
    const flags = feedFlags(
      peatLite(),
      [dose('potassium_nitrate', 3, { place: { kind: 'top', depth: 5 } })],
      {
        depth: 28,
        temperature: 20,
      },
    )
    expect(flags).toContainEqual(expect.objectContaining({ code: 'salts-high', where: 'top' }))
    expect(flags).not.toContainEqual(expect.objectContaining({ code: 'salts-high', where: 'mix' }))
  })
})

describe('flags that are on one side only', () => {
  const found = (of: DressingDose[], temperature: number) =>
    feedFlags(peatLite(), of, { depth: 28, temperature })
  test('nitrate alone is no ammonium, however cold; the share told is that of what is dissolved', () => {
    const cold = (id: string) => found([dose(id, 1)], 8).find((f) => f.code === 'ammonium-when-cold')
    expect(cold('calcium_nitrate')).toBeUndefined()
    expect(cold('ammonium_sulfate')).toMatchObject({ share: 1, temperature: 8 })
  })
  test('crystals lift the surface by their share of the depth', () => {
    const swells = found([dose('polymer_gel', 2)], 20).find((f) => f.code === 'crystals-swell')!
    expect(swells).toMatchObject({ share: (2 * FLAG_LIMITS.crystalsSwell.value) / 1000 })
    expect('lift' in swells && swells.lift).toBeCloseTo(
      (28 * (2 * FLAG_LIMITS.crystalsSwell.value)) / 1000,
      12,
    )
  })
})
