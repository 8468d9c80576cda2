import { once } from '@/core/testing/once'
import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { LIMES } from '../data'
import { dressingById } from '../data/dressings'
import { blend } from '../mixing'
import { anyParts, parts } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD, LITRES } from '../units'
import {
  acidityCourse,
  alkalinityPerGram,
  calciteEquilibrium,
  chargeBalance,
  finenessEfficiency,
  limeAt,
  acidityOn,
  limeForTarget,
  MMOLC_PER_GRAM_CACO3,
} from '.'

const lime = (id: string) => LIMES.find((l) => l.id === id)!
const calcitic = once(() => [{ lime: lime('lime_calcitic'), share: 1 }])
const dolomitic = once(() => [{ lime: lime('lime_dolomitic'), share: 1 }])
const half = once(() => [
  { lime: lime('lime_calcitic'), share: 0.5 },
  { lime: lime('lime_dolomitic'), share: 0.5 },
])
const mixOf = (amounts: Record<string, number>) => {
  const b = blend(parts(amounts))
  if (!b.ok) throw new Error(b.problem.code)
  return b.value
}
const peat = once(() => mixOf({ peat_medium: 1 }))

describe('lime, against practice', () => {
  outsideCheck({
    module: 'chemistry',
    what: '28 g of ground limestone per US gallon of sphagnum peat, six weeks',
    source: 'common practice',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 5.8, high: 6.6 },
    tolerance: 0.1,
    usedToSet: 'rate of limestone',
    computed: () => limeAt(peat(), { choice: calcitic(), gramsPerLitre: 28 / LITRES.usGallon }).pH,
  })
  outsideCheck({
    module: 'chemistry',
    what: '5 g/L of ground limestone in peat, six weeks',
    source: 'common practice',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 5.8, high: 6.6 },
    tolerance: 0.05,
    usedToSet: 'rate of limestone',
    computed: () => limeAt(peat(), { choice: calcitic(), gramsPerLitre: 5 }).pH,
  })
  outsideCheck({
    module: 'chemistry',
    what: '4.5 to 5 g/L, half limestone and half dolomite, in a mix of 70 % peat',
    source: 'common practice',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 6.0, high: 6.5 },
    tolerance: 0.3,
    computed: () =>
      limeAt(mixOf({ peat_medium: 7, perlite_medium: 3 }), { choice: half(), gramsPerLitre: 4.75 }).pH,
  })
  outsideCheck({
    module: 'chemistry',
    what: 'peat-lite A, peat and vermiculite 1:1 with 5 lb dolomite per cubic yard, a fortnight old',
    source: 'Boodley & Sheldrake, Cornell Information Bulletin 43 (target from memory)',
    basis: 'published',
    unit: 'pH',
    expected: 5.9,
    tolerance: 0.3,
    computed: () =>
      limeAt(
        mixOf({ peat_medium: 1, vermiculite_medium: 1 }),
        { choice: dolomitic(), gramsPerLitre: 5 * GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD },
        {},
        14,
      ).pH,
  })
  outsideCheck({
    module: 'chemistry',
    what: 'peat and sand 3:1 with 2.25 g/L limestone and 2.25 g/L dolomite',
    source: 'Bunt 1976, Modern Potting Composts (pH from memory)',
    basis: 'published',
    unit: 'pH',
    expected: 5.5,
    tolerance: 0.3,
    missed:
      'The recalled figures for peat contradict each other: 5 g/L in pure peat is to give 5.8 or more (common practice), these 6 g per litre of peat 5.5. His peat may have held on to pH more, or been read sooner.',
    computed: () =>
      limeAt(mixOf({ peat_medium: 3, sand_sharp: 1 }), { choice: half(), gramsPerLitre: 4.5 }).pH,
  })
  outsideCheck({
    module: 'chemistry',
    what: 'peat and sand 9:1 with 4.5 g/L of lime, half dolomite, and 2 g/L of ammonium sulfate, a fortnight old',
    source: 'planted at once, reads about 6 (common practice)',
    basis: 'common practice',
    unit: 'pH',
    expected: 6,
    tolerance: 0.5,
    usedToSet: 'rates of lime, and how they slow',
    computed: () =>
      limeAt(
        mixOf({ peat_medium: 9, sand_sharp: 1 }),
        { choice: half(), gramsPerLitre: 4.5 },
        { acids: [{ dressing: dressingById('ammonium_sulfate')!, gramsPerLitre: 2 }] },
        14,
      ).pH,
  })
  outsideCheck({
    module: 'chemistry',
    what: 'limestone to bring peat from pH 4.0 to 5.9',
    source: 'Bunt 1988, Media and Mixes for Container-Grown Plants (from memory)',
    basis: 'from memory',
    unit: 'g/L',
    expected: { low: 3.5, high: 7 },
    tolerance: 0,
    computed: () => {
      const plan = limeForTarget(peat(), { choice: calcitic(), target: 5.9 })
      return plan.ok ? plan.value.gramsPerLitre : NaN
    },
  })
  outsideCheck({
    module: 'chemistry',
    what: 'effective neutralising value: CCE 95, 80 % under 60 mesh, 15 % 30-60, 5 % 8-30',
    source: 'arithmetic on the Illinois Agronomy Handbook’s factors',
    basis: 'published',
    unit: '%',
    expected: 84.1,
    tolerance: 0.05,
    computed: () => 95 * finenessEfficiency([0, 0.05, 0.15, 0.8]),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'charge neutralised by one gram of calcium carbonate (1 meq is 50.04 mg)',
    source: 'IUPAC atomic masses',
    basis: 'standard',
    unit: 'mmol_c/g',
    expected: 1000 / 50.04,
    tolerance: 0.01,
    computed: () => MMOLC_PER_GRAM_CACO3,
  })
})

describe('lime dissolving', () => {
  test('adds up: reacted and residual make what was put in', () => {
    const doses = [{ lime: lime('lime_calcitic'), gramsPerLitre: 6 }]
    for (const days of [1, 14, 42, 365]) {
      const s = acidityOn(peat(), { limes: doses }, days)
      expect(s.reacted + s.residual).toBeCloseTo(6 * alkalinityPerGram(doses[0]!.lime), 6)
    }
  })
  test('rises with time, dose and warmth', () => {
    const at = (grams: number, days: number, t = 20) =>
      limeAt(peat(), { choice: calcitic(), gramsPerLitre: grams }, { temperature: t }, days).pH
    expect(at(5, 28)).toBeGreaterThan(at(5, 14))
    expect(at(6, 42)).toBeGreaterThan(at(5, 42))
    expect(at(5, 42, 25)).toBeGreaterThan(at(5, 42, 10))
  })
  test('levels off where calcite is in equilibrium and leaves the rest lying', () => {
    const s = limeAt(peat(), { choice: calcitic(), gramsPerLitre: 25 }, {}, 365)
    expect(s.pH).toBeLessThanOrEqual(calciteEquilibrium())
    expect(s.pH).toBeGreaterThan(calciteEquilibrium() - 0.3)
    expect(s.residual).toBeGreaterThan(100)
  })
  test('hydrated lime reacts at once, overshoots, and is calcite a few weeks later', () => {
    const hydrated = [{ lime: lime('lime_hydrated'), share: 1 }]
    expect(limeAt(peat(), { choice: hydrated, gramsPerLitre: 4 }, {}, 3).pH).toBeGreaterThan(
      limeAt(peat(), { choice: calcitic(), gramsPerLitre: 4 }, {}, 14).pH,
    )
    const over = (day: number) => limeAt(peat(), { choice: hydrated, gramsPerLitre: 8 }, {}, day).pH
    expect(over(3)).toBeGreaterThan(7.8)
    expect(over(28)).toBeLessThan(7.5)
  })
  test('the coarser the lime, the less it does', () => {
    const coarse = {
      ...lime('lime_calcitic'),
      sieveShares: [0.2, 0.4, 0.3, 0.1] as [number, number, number, number],
    }
    expect(limeAt(peat(), { choice: [{ lime: coarse, share: 1 }], gramsPerLitre: 5 }).pH).toBeLessThan(
      limeAt(peat(), { choice: calcitic(), gramsPerLitre: 5 }).pH - 0.5,
    )
  })
})

describe('lime for a target', () => {
  test('turns the pH model round', () => {
    fc.assert(
      fc.property(anyParts, fc.double({ min: 5, max: 6.9, noNaN: true }), (list, target) => {
        const mix = blend(list)
        if (!mix.ok) throw new Error(mix.problem.code)
        const plan = limeForTarget(mix.value, { choice: half(), target })
        if (!plan.ok) {
          expect(plan.problem.code).toBe('target-above-lime-ceiling')
          return
        }
        // Compost and soil bring lime of their own.
        if (limeAt(mix.value, { choice: half(), gramsPerLitre: 0 }).pH >= target) {
          expect(plan.value.gramsPerLitre).toBe(0)
          expect(plan.notes[0]?.code).toBe('target-already-passed')
        } else {
          // A thousandth of a gram moves the pH of the least buffered blends by some hundredths.
          expect(Math.abs(plan.value.pH - target)).toBeLessThan(0.05)
          expect(
            limeAt(mix.value, { choice: half(), gramsPerLitre: plan.value.gramsPerLitre }).pH,
          ).toBeCloseTo(plan.value.pH, 9)
        }
      }),
      draws(100),
    )
  })
  test('refuses what lime cannot do', () => {
    for (const target of [2, 9, NaN]) {
      const plan = limeForTarget(peat(), { choice: half(), target })
      expect(!plan.ok && plan.problem.code).toBe('pH-out-of-range')
    }
    const plan = limeForTarget(peat(), { choice: half(), target: 7.9 })
    expect(!plan.ok && plan.problem.code).toBe('target-above-lime-ceiling')
  })
  test('what moved the pH adds up to the way it went: lime, water less what drained, and what the mix holds', () => {
    const mix = { pH: 4, bufferCapacity: 35 }
    const choice = [{ lime: lime('lime_calcitic'), share: 1 }]
    for (const water of [
      [],
      [{ from: 0, alkalinity: 0.06, drained: 0 }],
      [{ from: 0, alkalinity: 0.06, drained: 0.005 }],
    ]) {
      const plan = limeAt(mix, { choice, gramsPerLitre: 2 }, { water })
      const sum = plan.movers.reduce((all, { by }) => all + by, 0) + plan.byWater + plan.byOwn
      expect(sum).toBeCloseTo(plan.pH - mix.pH, 6)
      expect(plan.byWater > 0).toBe(water.length > 0)
    }
  })
  test('warns of a dose above the usual limit, and of none below it', () => {
    const enough = limeForTarget({ pH: 4, bufferCapacity: 35 }, { choice: half(), target: 6 })
    expect(enough.ok && enough.notes).toEqual([])
    const little = [{ lime: { ...lime('lime_calcitic'), usualLimit: 3 }, share: 1 }]
    const plan = limeForTarget({ pH: 4, bufferCapacity: 35 }, { choice: little, target: 6 })
    expect(plan.ok && plan.notes.map((n) => n.code)).toEqual(['dose-above-usual-limit'])
  })
})

describe('the balance of charge', () => {
  const water = { pH: 7, bufferCapacity: 0, waterContent: 1 }
  const pure = (7.82 - Math.log10(0.004)) / 2
  outsideCheck({
    module: 'chemistry',
    what: 'base that brings a litre of pure water under 0.004 atm of CO2 to pH 7.5',
    source: 'carbonate equilibrium, closed form',
    basis: 'closed form',
    unit: 'mmol_c/L',
    expected: 1000 * 10 ** (7.5 - 7.82) * 0.004,
    tolerance: 0.02,
    computed: () => chargeBalance({ ...water, pH: pure }).at(7.5),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'acid that brings a litre of pure water under 0.004 atm of CO2 to pH 3',
    source: 'a strong acid, closed form',
    basis: 'closed form',
    unit: 'mmol_c/L',
    expected: 1,
    tolerance: 0.001,
    computed: () => -chargeBalance({ ...water, pH: pure }).at(3),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'pH of water that stands over calcite in the air, 0.5 mmol/L of calcium',
    source: 'Stumm & Morgan 1996, Aquatic Chemistry (from memory)',
    basis: 'published',
    unit: 'pH',
    expected: 8.3,
    tolerance: 0.15,
    computed: () => calciteEquilibrium(10 ** -3.5, 0.5),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'pH of calcareous soils at the carbon dioxide of ground with roots, 0.01 atm and 3 mmol/L of calcium',
    source: 'Lindsay 1979, Chemical Equilibria in Soils (from memory)',
    basis: 'published',
    unit: 'pH',
    expected: { low: 7, high: 7.4 },
    tolerance: 0.05,
    computed: () => calciteEquilibrium(0.01, 3),
  })
  const bark = once(() => mixOf({ peat_medium: 1, pine_bark_fine: 1 }))
  const coir = once(() => mixOf({ coir_pith: 1, perlite_medium: 1 }))
  const on = (mix: ReturnType<typeof bark>, day: number, input: Parameters<typeof acidityCourse>[1]) =>
    acidityCourse(mix, input, day, day).at(-1)!.pH
  outsideCheck({
    module: 'chemistry',
    what: 'hydrated lime, 3 g/L in coir and perlite, safe to plant in after two to four weeks',
    source: 'common practice',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 7, high: 8 },
    tolerance: 0,
    computed: () => on(coir(), 21, { limes: [{ lime: lime('lime_hydrated'), gramsPerLitre: 3 }] }),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'peat and perlite under hard water, 0.6 mmol/L a day, after a year',
    source: 'media under hard water end at 7.5 to 8 (common practice)',
    basis: 'common practice',
    unit: 'pH',
    expected: { low: 7.3, high: 8 },
    tolerance: 0,
    computed: () => on(mixOf({ peat_medium: 1, perlite_medium: 1 }), 365, { waterAlkalinity: 0.6 }),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'elemental sulfur, 1 lb to the cubic yard of limed peat and bark, falls in twelve weeks by',
    source: 'extension tables, about half to one unit (from memory)',
    basis: 'from memory',
    unit: 'pH',
    expected: { low: 0.4, high: 1.1 },
    tolerance: 0,
    computed: () => {
      const acids = [
        {
          dressing: dressingById('sulfur_elemental')!,
          gramsPerLitre: GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD,
        },
      ]
      const limed = { ...bark(), pH: 6.2 }
      return on(limed, 84, {}) - on(limed, 84, { acids })
    },
  })
  test('figures that could not be are gone', () => {
    const acid = (id: string, gramsPerLitre: number) => ({
      acids: [{ dressing: dressingById(id)!, gramsPerLitre }],
    })
    const season = (amounts: Record<string, number>, input: Parameters<typeof acidityCourse>[1]) =>
      acidityCourse(mixOf(amounts), input, 365).map((s) => s.pH)
    expect(Math.min(...season({ perlite_medium: 1 }, acid('ammonium_sulfate', 0.5)))).toBeGreaterThan(3.3)
    expect(Math.min(...season({ pumice: 1, sand_sharp: 1 }, acid('crf_5_6', 3.5)))).toBeGreaterThan(3.3)
    expect(
      Math.min(...season({ peat_medium: 1, pine_bark_fine: 1 }, acid('sulfur_elemental', 3.75))),
    ).toBeGreaterThan(2.7)
    const grit = season({ grit_2_6: 1 }, { limes: [{ lime: lime('lime_calcitic'), gramsPerLitre: 10 }] })
    expect(Math.max(...grit)).toBeLessThanOrEqual(calciteEquilibrium())
  })
  test('lime is not given against more acid than it can outlast', () => {
    const acids = [{ dressing: dressingById('ammonium_sulfate')!, gramsPerLitre: 8 }]
    const live = { ...peat(), liveShare: 1 }
    const plan = limeForTarget(live, { choice: half(), target: 6.2 }, { acids })
    const bare = limeForTarget(live, { choice: half(), target: 6.2 })
    if (!plan.ok || !bare.ok) throw new Error('no plan')
    expect(plan.notes[0]?.code).toBe('acid-outlasts-lime')
    expect(plan.value.gramsPerLitre).toBeCloseTo(bare.value.gramsPerLitre, 6)
    expect(plan.value.pH).toBeLessThan(6)
  })
})
