import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draws, isLong } from '@/core/testing/draws'
import { LIMES } from '../data'
import { dressingById } from '../data/dressings'
import { asInput, solvedByOdex, type Work } from '../testing/acidityReference'
import { outsideCheck } from '../testing/outsideCheck'
import {
  acidForWater,
  equivalentsAt,
  WATER_ACIDS,
  acidForTarget,
  acidityCourse,
  acidityOn,
  calciteEquilibrium,
  chargeBalance,
  type BufferedMix,
} from '.'

/** Alkalinity of waters, meq/L: rain, three soft ones, and on to very hard wells. */
const ALL_WATERS = [0.02, 0.4, 0.8, 1.2, 1.8, 2.5, 3.2, 4, 5, 6, 8, 10]
// The short run tries soft, middling and hard.
const WATERS = isLong ? ALL_WATERS : [0.02, 2.5, 10]
/** A pot in summer: a tenth of its volume given in a day, of which 15 % drains. */
const GIVEN = 0.1
const DRAINED = 0.015
const asWork = (alkalinity: number, more: Work = {}): Work => ({
  water: alkalinity * GIVEN,
  drained: DRAINED,
  ...more,
})
const MIXES: Record<string, { mix: BufferedMix; more: Work }> = {
  'limed peat and perlite': { mix: { pH: 4, bufferCapacity: 30, waterContent: 0.5 }, more: { calcitic: 4 } },
  'coir and perlite': { mix: { pH: 5.95, bufferCapacity: 6.6, waterContent: 0.5 }, more: {} },
  'bark with ammonium': {
    mix: { pH: 5, bufferCapacity: 20, waterContent: 0.45 },
    more: { ammoniumSulfate: 0.5 },
  },
  'peat and compost': {
    mix: { pH: 5.5, bufferCapacity: 35, waterContent: 0.55, carbonate: 24, liveShare: 0.2 },
    more: {},
  },
}

describe('water on a mix', () => {
  for (const [what, { mix, more }] of Object.entries(MIXES))
    for (const day of [42, 140])
      outsideCheck({
        module: 'chemistry',
        what: `${what}: largest difference in pH on day ${day} under soft to hard waters, the same equations written anew`,
        source: 'odex 2 (Gragg-Bulirsch-Stoer), tolerance 1e-8; pH by bisection',
        basis: 'reference program',
        unit: 'pH',
        expected: 0,
        tolerance: 0.03,
        computed: () =>
          Math.max(
            ...WATERS.map((alkalinity) => {
              const work = asWork(alkalinity, more)
              return Math.abs(solvedByOdex(mix, work, day) - acidityOn(mix, asInput(work), day).pH)
            }),
          ),
      })
  const NURSERY = 'Bailey & Bilderback, Alkalinity control for irrigation water (from memory)'
  for (const [what, alkalinity, buffer, expected] of [
    ['1 meq/L leaves a limed mix where it is', 1, 35, { low: 0, high: 0.35 }],
    ['5 meq/L lifts a tub by about a unit in a season', 5, 35, { low: 0.5, high: 1.2 }],
  ] as const)
    outsideCheck({
      module: 'chemistry',
      what: `${what}: 7 litres of it to a litre of mix in 90 days`,
      source: NURSERY,
      basis: 'published',
      unit: 'pH',
      expected,
      tolerance: 0,
      computed: () => {
        const water = [{ from: 0, alkalinity: (alkalinity * 7.06) / 90, drained: (0.15 * 7.06) / 90 }]
        return acidityOn({ pH: 6.2, bufferCapacity: buffer }, { water }, 90).pH - 6.2
      },
    })
  outsideCheck({
    module: 'chemistry',
    what: 'a mix under hard water for a year stalls in the pot',
    source: 'carbonate equilibria at 0.002 to 0.02 atm of carbon dioxide; Stumm & Morgan 1996 (from memory)',
    basis: 'published',
    unit: 'pH',
    expected: { low: 7.1, high: 7.8 },
    tolerance: 0,
    computed: () => acidityOn(MIXES['coir and perlite']!.mix, asInput(asWork(6)), 365).pH,
  })

  test('S5: no water lifts any mix beyond 8.5', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3.5, max: 7, noNaN: true }),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 5, max: 35, noNaN: true }),
        (pH, bufferCapacity, alkalinity, given, temperature) => {
          const water = [{ from: 0, alkalinity: alkalinity * given, drained: 0.15 * given }]
          const course = acidityCourse({ pH, bufferCapacity }, { water, temperature }, 140)
          expect(Math.max(...course.map((s) => s.pH))).toBeLessThan(8.5)
        },
      ),
      draws(),
    )
  })
  test('what drains carries alkalinity away: more of it, and the mix ends lower', () => {
    const mix = { pH: 7.3, bufferCapacity: 10 }
    const end = (drained: number) =>
      acidityCourse(mix, { water: [{ from: 0, alkalinity: 0, drained }] }, 100).at(-1)!
    const [none, some, much] = [end(0), end(0.1), end(0.5)]
    expect(none.pH).toBeCloseTo(7.3, 9)
    expect(none.drained).toBe(0)
    expect(some.pH).toBeLessThan(7.3)
    expect(much.pH).toBeLessThan(some.pH)
    // What left is what the mix is short of: charge balance.
    expect(some.drained).toBeCloseTo(-chargeBalance(mix).at(some.pH), 4)
    // In the first days it has the alkalinity of the water in the mix.
    const first = acidityCourse(mix, { water: [{ from: 0, alkalinity: 0, drained: 0.1 }] }, 1).at(-1)!.drained
    expect(first / 0.1).toBeCloseTo(chargeBalance(mix).alkalinity(7.3), 1)
  })
  test('stretches follow one another, each from its day on', () => {
    const water = [
      { from: 0, alkalinity: 0.1, drained: 0 },
      { from: 10, alkalinity: 0.3, drained: 0 },
      { from: 20, alkalinity: 0, drained: 0 },
    ]
    const brought = (day: number) => acidityOn({ pH: 5, bufferCapacity: 30 }, { water }, day).fromWater
    expect([5, 10, 15, 20, 40].map((day) => Number(brought(day).toFixed(9)))).toEqual([0.5, 1, 2.5, 4, 4])
  })
})

describe('ammonium and lime', () => {
  const limed = (grams: number, sulfate: number, temperature: number, mix: BufferedMix, lime = LIMES[0]!) =>
    acidityOn(
      mix,
      {
        limes: [{ lime, gramsPerLitre: grams }],
        acids: [{ dressing: dressingById('ammonium_sulfate')!, gramsPerLitre: sulfate }],
        temperature,
      },
      56,
    ).pH
  test('S11: grit with 6 g/L of lime at 26 C: more ammonium never ends higher', () => {
    const grit = { pH: 7, bufferCapacity: 1, waterContent: 0.06 }
    const ends = [0, 0.5, 1, 3].map((sulfate) => limed(6, sulfate, 26, grit))
    for (let i = 1; i < ends.length; i++) expect(ends[i]!).toBeLessThan(ends[i - 1]! + 0.02)
  })
  test('S11: nor on any mix, with any lime, at any warmth', () => {
    fc.assert(
      fc.property(
        // Below 4 nothing nitrifies, and what is left is the rounding of an analysis.
        fc.double({ min: 4, max: 7.5, noNaN: true }),
        fc.double({ min: 0.2, max: 40, noNaN: true }),
        fc.double({ min: 0.05, max: 0.7, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.double({ min: 8, max: 32, noNaN: true }),
        fc.constantFrom(...LIMES),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (pH, bufferCapacity, waterContent, grams, less, more, temperature, lime, liveShare) => {
          const mix = { pH, bufferCapacity, waterContent, liveShare }
          const [a, b] = [less, less + more].map((sulfate) => limed(grams, sulfate, temperature, mix, lime))
          expect(b!).toBeLessThan(a! + 0.05)
        },
      ),
      draws(200),
    )
  })
})

describe('hydrated lime', () => {
  const lime = LIMES.find((l) => l.id === 'lime_hydrated')!
  const on = (mix: BufferedMix, grams: number, day: number) =>
    acidityOn(mix, { limes: [{ lime, gramsPerLitre: grams }] }, day).pH
  const lean = { pH: 6.5, bufferCapacity: 2, waterContent: 0.4 }
  outsideCheck({
    module: 'chemistry',
    what: 'the day after 2 g/L of hydrated lime in a lean mix its water is nearly saturated',
    source: 'saturated lime water at 20 C, common chemistry',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 11.8, high: 12.6 },
    tolerance: 0,
    computed: () => on(lean, 2, 1),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'two weeks after 2 g/L of hydrated lime in a lean mix it is calcite',
    source: 'one to two weeks before planting (common practice)',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 7.2, high: 7.9 },
    tolerance: 0,
    computed: () => on(lean, 2, 14),
  })
  test('peat takes it up at once and never turns caustic as a whole', () => {
    expect(on({ pH: 4, bufferCapacity: 30 }, 2, 1)).toBeLessThan(6.5)
  })
  test('a fifth of wood ash reacts at once, the rest as a carbonate', () => {
    const ash = LIMES.find((l) => l.id === 'wood_ash')!
    const mix = { pH: 7.3, bufferCapacity: 1e6 }
    const [, day] = acidityCourse(mix, { limes: [{ lime: ash, gramsPerLitre: 10 }] }, 30, 30)
    const all = day!.reacted + day!.residual
    expect(day!.reacted / all).toBeGreaterThan(0.19)
    expect(day!.reacted / all).toBeLessThan(0.26)
  })
})

describe('hydrated lime and alkaline water', () => {
  test('a trace of hydrated lime does not let alkaline water lift a cold mix beyond what the water alone does', () => {
    const hydrated = LIMES.find((l) => l.id === 'lime_hydrated')!
    const mix = { pH: 8.5, bufferCapacity: 1.2, waterContent: 0.8 }
    const end = (grams: number) =>
      acidityOn(
        mix,
        { limes: [{ lime: hydrated, gramsPerLitre: grams }], waterAlkalinity: 1.6, temperature: 1 },
        60,
      ).pH
    expect(Math.abs(end(1e-6) - end(0))).toBeLessThan(0.2)
  })
})

describe('carbonate of the mix itself', () => {
  const sulfur = dressingById('sulfur_elemental')!
  const bed = { pH: 7.4, bufferCapacity: 30, liveShare: 1 }
  test('S10: sulfur that stays warm and damp goes on to its end: nine tenths and more in three years', () => {
    const sulfur = dressingById('sulfur_elemental')!
    const course = acidityCourse(
      { pH: 7, bufferCapacity: 40 },
      { acids: [{ dressing: sulfur, gramsPerLitre: 1 }], temperature: 25 },
      3 * 365,
    )
    // A gram of sulfur is 31.2 mmol, two of acid each.
    expect(course.at(-1)!.acid / (2 * 31.19)).toBeGreaterThan(0.9)
    expect(course.at(-1)!.acid / (2 * 31.19)).toBeLessThanOrEqual(1)
  })
  test('S10: it is dissolved before the pH falls: sulfur that makes bare soil acid leaves limy soil as it is', () => {
    const end = (carbonate: number) =>
      acidityOn({ ...bed, carbonate }, { acids: [{ dressing: sulfur, gramsPerLitre: 1 }] }, 365).pH
    expect(end(0)).toBeLessThan(6.2)
    expect(end(200)).toBeGreaterThan(6.7)
    for (const [less, more] of [
      [0, 30],
      [30, 90],
      [90, 200],
    ] as const)
      expect(end(more)).toBeGreaterThan(end(less))
  })
  test('S10: where no dose gets there, it says so', () => {
    const plan = acidForTarget({ ...bed, carbonate: 1000 }, { dressing: sulfur, target: 4.8 })
    expect(plan).toMatchObject({ ok: false, problem: { code: 'target-out-of-reach' } })
  })
  test('what of it dissolved is counted apart from the limes given', () => {
    const end = acidityOn({ pH: 4.5, bufferCapacity: 30, carbonate: 20 }, {}, 300)
    expect(end.fromOwn).toBeGreaterThan(17)
    expect(end.reacted).toBeCloseTo(end.fromOwn, 9)
    expect([end.residual, end.byLime]).toEqual([0, []])
    expect(end.pH).toBeLessThan(calciteEquilibrium())
  })
})

describe('acid in water', () => {
  const SOURCE = 'acid calculators of university extension services (from memory)'
  /** mL, or g of citric acid, for 1,000 litres and each meq/L, by the pH they bring the water to. */
  const KNOWN: Record<string, readonly [pH: number, amount: number][]> = {
    phosphoric75: [
      [5.8, 62],
      [6.2, 43.6],
    ],
    sulfuric35: [
      [5.8, 86.5],
      [6.2, 63.9],
    ],
    nitric61: [
      [5.8, 57.9],
      [6.2, 42.8],
    ],
    citric: [
      [5.8, 70.5],
      [6.2, 46.8],
    ],
  }
  for (const acid of WATER_ACIDS)
    for (const [pH, amount] of KNOWN[acid.id]!)
      outsideCheck({
        module: 'chemistry',
        what: `${acid.id} for 1,000 L of water with 1 meq/L, to pH ${pH}`,
        source: SOURCE,
        basis: 'published',
        unit: acid.density ? 'mL' : 'g',
        expected: amount,
        tolerance: amount * 0.03,
        computed: () => 10 * acidForWater(acid, 1, pH).per100Litres,
      })
  test('a strong acid gives all it has, a weak one half at its constant', () => {
    expect(equivalentsAt([-3, 1.99], 6)).toBeCloseTo(2, 3)
    expect(equivalentsAt([7.2], 7.2)).toBeCloseTo(0.5, 12)
    expect(equivalentsAt([3.13, 4.76, 6.4], 9)).toBeCloseTo(3, 2)
  })
  test('acid and what is left add up to the alkalinity; what it adds is its element, mole for mole', () => {
    for (const acid of WATER_ACIDS) {
      const dose = acidForWater(acid, 4, 6)
      const mmol = (dose.per100Litres * 10 * (acid.density ?? 1) * acid.strength) / acid.molarMass
      expect(mmol * equivalentsAt(acid.pKa, 6) + dose.left).toBeCloseTo(4, 9)
      expect(dose.adds).toBeCloseTo(acid.adds ? mmol * acid.adds.molarMass : 0, 9)
    }
    expect(acidForWater(WATER_ACIDS[0]!, 3, 7.6).per100Litres).toBeCloseTo(0, 9)
  })
})
