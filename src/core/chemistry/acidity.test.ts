import { once } from '@/core/testing/once'
import { draws } from '@/core/testing/draws'
import { DRESSINGS, dressingById } from '../data/dressings'
import { acidityOfDoses } from '../nutrients'
import { asInput, solvedByOdex } from '../testing/acidityReference'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { LIMES } from '../data'
import { parts } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { blend } from '../mixing'
import {
  acidForTarget,
  acidityCourse,
  acidityOn,
  acidPerGram,
  alkalinityPerGram,
  calciteEquilibrium,
  CHEMISTRY_LIMITS,
  chargeBalance,
  coatedLife,
  dolomiteShare,
  equivalentAcidity,
  limeAt,
  limeForTarget,
  limeForTargetAndRatio,
  MMOLC_PER_GRAM_SULFUR,
  releasedFraction,
  solveDose,
  type LimeDose,
} from '.'

const lime = (id: string) => LIMES.find((l) => l.id === id)!
const dressing = (id: string) => dressingById(id)!
const limes = once(() => ({ calcitic: lime('lime_calcitic'), dolomitic: lime('lime_dolomitic') }))
const peat = { pH: 4, bufferCapacity: 33 }
const loam = { pH: 6.6, bufferCapacity: 30 }
const perlite = { pH: 7.2, bufferCapacity: 0.5, waterContent: 0.3, liveShare: 1 }
const coirPerlite = { pH: 5.95, bufferCapacity: 6.6, waterContent: 0.5 }
const grit = { pH: 7, bufferCapacity: 0.5, waterContent: 0.06 }

describe('equivalent acidity, by Pierre’s convention on the analysis', () => {
  const PIERRE = 'Pierre 1933, Ind. Eng. Chem. Anal. Ed. 5:229-234, as handbooks give it'
  for (const [id, expected, tolerance] of [
    ['ammonium_sulfate', 110, 4],
    ['urea', 84, 8],
    ['map', 58, 8],
    ['dap', 70, 8],
    ['calcium_nitrate', -20, 2],
    ['potassium_nitrate', -24, 3],
    ['blood_meal', 23, 4],
  ] as const)
    outsideCheck({
      module: 'chemistry',
      what: `equivalent acidity of ${id.replace('_', ' ')}`,
      source: PIERRE,
      basis: 'published',
      unit: 'kg CaCO3 per 100 kg',
      expected,
      tolerance,
      computed: () => 100 * equivalentAcidity(dressing(id).analysis),
    })
  outsideCheck({
    module: 'chemistry',
    what: 'acidity of ammonium sulfate for each unit of nitrogen',
    source: PIERRE,
    basis: 'published',
    unit: 'kg CaCO3 per kg N',
    expected: 5.35,
    tolerance: 0.25,
    computed: () => acidPerGram(dressing('ammonium_sulfate')) / (2000 / 100.0869) / 0.21,
  })
  outsideCheck({
    module: 'chemistry',
    what: 'calcium carbonate that neutralises 1 kg of sulfur once oxidised',
    source: 'S to H2SO4, IUPAC masses',
    basis: 'closed form',
    unit: 'kg/kg',
    expected: 3.12,
    tolerance: 0.005,
    computed: () => MMOLC_PER_GRAM_SULFUR / (2000 / 100.0869),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'aluminium sulfate that makes the acid of 1 kg of sulfur',
    source: 'extension acidification tables (factor 6 to 7)',
    basis: 'published',
    unit: 'kg/kg',
    expected: { low: 5.5, high: 7.2 },
    tolerance: 0,
    computed: () => acidPerGram(dressing('sulfur_elemental')) / acidPerGram(dressing('aluminium_sulfate')),
  })
  outsideCheck({
    module: 'chemistry',
    what: 'lime carried by 100 L of water at 3 meq/L',
    source: 'definition of alkalinity',
    basis: 'closed form',
    unit: 'g CaCO3',
    expected: 15.01,
    tolerance: 0.01,
    computed: () => (100 * 3) / (2000 / 100.0869),
  })
})

describe('the course of pH', () => {
  for (const [what, mix, work, day] of [
    ['peat with 5 g/L of limestone after 60 days', peat, { calcitic: 5 }, 60],
    ['perlite with 0.5 g/L of ammonium sulfate after 10 days', perlite, { ammoniumSulfate: 0.5 }, 10],
    [
      'limed peat with 2 g/L of ammonium sulfate after 60 days',
      peat,
      { calcitic: 5, ammoniumSulfate: 2 },
      60,
    ],
    ['coir and perlite with 3 g/L of hydrated lime after 14 days', coirPerlite, { hydrated: 3 }, 14],
    ['a pot of hard water, 0.6 mmol/L a day, after 120 days', coirPerlite, { water: 0.6 }, 120],
    ['grit with 10 g/L of limestone after 42 days', grit, { calcitic: 10 }, 42],
  ] as const)
    outsideCheck({
      module: 'chemistry',
      what: `pH of ${what}, the same equations written anew`,
      source: 'odex 2 (Gragg-Bulirsch-Stoer), tolerance 1e-8; pH by bisection',
      basis: 'reference program',
      unit: 'pH',
      expected: solvedByOdex(mix, work, day),
      tolerance: 0.02,
      computed: () => acidityOn(mix, asInput(work), day).pH,
    })
  outsideCheck({
    module: 'chemistry',
    what: 'John Innes potting, 7 loam 3 peat 2 sand with 0.75 oz chalk to the bushel, six weeks',
    source: 'Lawrence & Newell 1939, Seed and Potting Composts (pH from memory)',
    basis: 'published',
    unit: 'pH',
    expected: 6.3,
    tolerance: 0.3,
    computed: () => {
      const mix = blend(parts({ soil_loam: 7, peat_medium: 3, sand_sharp: 2 }))
      return mix.ok
        ? acidityOn(
            mix.value,
            { limes: [{ lime: limes().calcitic, gramsPerLitre: (0.75 * 28.35) / 36.37 }] },
            42,
          ).pH
        : NaN
    },
  })
  test('charge is conserved: what reacted, what lies and what was put in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 5, max: 30, noNaN: true }),
        (grams, sulfur, water, temperature) => {
          const course = acidityCourse(
            loam,
            {
              limes: [{ lime: limes().calcitic, gramsPerLitre: grams }],
              acids: [{ dressing: dressing('sulfur_elemental'), gramsPerLitre: sulfur }],
              waterAlkalinity: water,
              temperature,
            },
            120,
          )
          for (const s of course) {
            const put = grams * alkalinityPerGram(limes().calcitic)
            expect(s.reacted + s.residual - s.laidDown).toBeCloseTo(put, 6)
            const charge = s.reacted - s.laidDown - s.acid + s.fromWater
            expect(chargeBalance(loam).at(s.pH)).toBeCloseTo(charge, 4)
            expect(s.fromWater).toBeCloseTo(water * s.day, 6)
            expect(s.byLime[0]).toBeCloseTo(s.reacted, 9)
            expect(s.byAcid[0]).toBeCloseTo(s.acid, 9)
          }
          expect(course[0]!.pH).toBe(loam.pH)
          expect(course.at(-1)!.day).toBe(120)
        },
      ),
      draws(60),
    )
  })
  test('sulfur takes weeks and more in the cold; iron sulfate acts at once', () => {
    const at = (id: string, grams: number, day: number, temperature = 20) =>
      acidityOn(loam, { acids: [{ dressing: dressing(id), gramsPerLitre: grams }], temperature }, day).pH
    expect(at('sulfur_elemental', 1, 3)).toBeGreaterThan(6.4)
    expect(at('sulfur_elemental', 1, 84)).toBeLessThan(6)
    expect(at('sulfur_elemental', 1, 84, 8)).toBeGreaterThan(at('sulfur_elemental', 1, 84) + 0.3)
    expect(at('iron_sulfate', 3, 3)).toBeCloseTo(at('iron_sulfate', 3, 84), 1)
  })
  test('hard water lifts a pot over a season and stops near 8; lime lying by answers acid', () => {
    const year = acidityOn({ pH: 5, bufferCapacity: 25 }, { waterAlkalinity: 0.6 }, 365).pH
    expect(year).toBeGreaterThan(7.2)
    expect(year).toBeLessThan(8.2)
    const acids = [{ dressing: dressing('ammonium_sulfate'), gramsPerLitre: 1 }]
    const limed = acidityOn(peat, { limes: [{ lime: limes().calcitic, gramsPerLitre: 8 }], acids }, 300)
    const bare = acidityOn({ pH: limed.pH, bufferCapacity: 33 }, { acids }, 300)
    expect(limed.pH).toBeGreaterThan(bare.pH)
  })
  test('a coated product’s life is its label at 21 C', () => {
    const { release } = dressing('crf_8_9')
    expect(releasedFraction(release, coatedLife(release, 27), 27)).toBeCloseTo(0.9, 9)
    expect(coatedLife(dressing('urea').release, 20)).toBe(Infinity)
  })
})

describe('acid for a target', () => {
  test('turns the course round', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 7.5, noNaN: true }),
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.double({ min: 4, max: 7, noNaN: true }),
        (pH, bufferCapacity, target) => {
          const plan = acidForTarget(
            { pH, bufferCapacity },
            { dressing: dressing('sulfur_elemental'), target },
          )
          if (!plan.ok) {
            expect(plan.problem.code).toBe('target-out-of-reach')
            return
          }
          if (pH <= target) {
            expect(plan.value.gramsPerLitre).toBe(0)
            expect(plan.notes[0]?.code).toBe('no-acid-needed')
            return
          }
          // A thousandth of a gram moves the least buffered mixes by a hundredth.
          expect(Math.abs(plan.value.pH - target)).toBeLessThan(0.02)
          expect(plan.value.pHInTheEnd).toBeLessThanOrEqual(plan.value.pH + 1e-9)
        },
      ),
      draws(60),
    )
  })
  test('refuses what cannot be, and warns of more than the limit', () => {
    const code = (id: string, target: number, mix = loam) => {
      const plan = acidForTarget(mix, { dressing: dressing(id), target })
      return plan.ok ? plan.notes[0]?.code : plan.problem.code
    }
    expect(code('sulfur_elemental', 9)).toBe('pH-out-of-range')
    expect(code('calcium_nitrate', 5)).toBe('no-dressing-for-target')
    expect(code('iron_sulfate', 3, { pH: 7, bufferCapacity: 300 })).toBe('target-out-of-reach')
    expect(code('iron_sulfate', 4.8)).toBe('dose-above-usual-limit')
  })
})

describe('calcium against magnesium', () => {
  test('the share gives the ratio asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2.2, max: 25, noNaN: true }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        (ratio, g) => {
          const d = dolomiteShare(ratio, g, { calcitic: limes().calcitic, dolomitic: limes().dolomitic })
          const of = (e: 'calcium' | 'magnesium') => (1 - d) * limes().calcitic[e] + d * limes().dolomitic[e]
          expect(of('calcium') / of('magnesium')).toBeCloseTo(ratio, 6)
        },
      ),
      draws(),
    )
    expect(dolomiteShare(4, 0, { calcitic: limes().calcitic, dolomitic: limes().dolomitic })).toBe(0)
    expect(dolomiteShare(1, 5, { calcitic: limes().calcitic, dolomitic: limes().dolomitic })).toBe(1)
  })
  test('lime for a target is where bisection finds it, and lands on the target', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3.6, max: 6.4, noNaN: true }),
        fc.double({ min: 4, max: 60, noNaN: true }),
        fc.double({ min: 3.7, max: 7, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (pH, bufferCapacity, target, dolomite) => {
          const mix = { pH, bufferCapacity }
          const choice = [
            { lime: limes().calcitic, share: 1 - dolomite },
            { lime: limes().dolomitic, share: dolomite },
          ]
          const at = (grams: number) => limeAt(mix, { choice, gramsPerLitre: grams }).pH
          const plan = limeForTarget(mix, { choice, target })
          if (at(0) >= target || at(10) < target)
            return void expect([0, 10]).toContain(plan.ok ? plan.value.gramsPerLitre : 0)
          if (!plan.ok) throw new Error(plan.problem.code)
          expect(Math.abs(plan.value.pH - target)).toBeLessThan(2e-3)
          const slow = solveDose((grams) => at(grams) < target, 10)
          // Close to a lime's ceiling a gram does little: there the pH is held to, not the dose.
          const slope = (at(slow + 0.05) - at(Math.max(0, slow - 0.05))) / 0.1
          expect(Math.abs(plan.value.gramsPerLitre - slow)).toBeLessThan(
            0.0015 + 2e-4 / Math.max(slope, 1e-6),
          )
        },
      ),
      draws(),
    )
  })
  test('dose and share settle together', () => {
    const plan = limeForTargetAndRatio(peat, limes(), 6, {
      ratio: 4,
      already: { calcium: 300, magnesium: 40 },
    })
    if (!plan.ok) throw new Error(plan.problem.code)
    expect(plan.value.calciumToMagnesium).toBeCloseTo(4, 1)
    expect(plan.value.plan.pH).toBeCloseTo(6, 2)
    expect(limeForTargetAndRatio(peat, limes(), 9).ok).toBe(false)
  })
})

describe('the course by hand', () => {
  const mix = { pH: 5, bufferCapacity: 10, waterContent: 1e-6 }
  const half = { ...LIMES[0]!.ratePerDay, value: Math.LN2 / 10 }
  /** Half of it is left after every ten days at 20 C, twice as fast ten degrees warmer. */
  const base: LimeDose = { gramsPerLitre: 1, lime: { ...LIMES[0]!, soluble: true, ratePerDay: half, q10: 2 } }
  const all = once(() => alkalinityPerGram(base.lime))
  test('a soluble base dissolves by halves, at 20 C where nothing is said', () => {
    const course = acidityCourse(mix, { limes: [base] }, 20)
    expect(course.map((s) => s.day)).toEqual([0, 7, 14, 20])
    expect(course[3]!.reacted).toBeCloseTo(all() * 0.75, 6)
    expect(course[3]!.residual).toBeCloseTo(all() * 0.25, 6)
    expect(course[3]!.pH).toBeCloseTo(5 + (all() * 0.75) / 10, 3)
    expect([course[0]!.pH, course[0]!.reacted, course[0]!.acid, course[0]!.fromWater]).toEqual([5, 0, 0, 0])
    const warm = acidityCourse(mix, { limes: [base], temperature: 30 }, 10, 3)
    expect(warm.map((s) => s.day)).toEqual([0, 3, 6, 9, 10])
    expect(warm.at(-1)!.reacted).toBeCloseTo(all() * 0.75, 6)
    const late = acidityCourse(mix, { limes: [{ ...base, from: 10 }] }, 20).at(-1)!
    expect(late.reacted).toBeCloseTo(all() * 0.5, 6)
  })
  test('a carbonate slows down from 5.4 to its equilibrium, by the cube', () => {
    const slow: LimeDose = { ...base, lime: { ...base.lime, soluble: false } }
    const top = calciteEquilibrium()
    const after = (pH: number) =>
      acidityCourse({ pH, bufferCapacity: 1e9 }, { limes: [slow] }, 1).at(-1)!.reacted
    const at = (share: number) => all() * (1 - Math.exp((-Math.LN2 / 10) * share))
    expect(after(5)).toBeCloseTo(at(1), 5)
    expect(after((5.4 + top) / 2)).toBeCloseTo(at(0.125), 5)
    expect(after(top + 0.1)).toBe(0)
  })
  test('what passes no ceiling stays put: no lime in whatever amount overshoots', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 7, noNaN: true }),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 25, noNaN: true }),
        (pH, bufferCapacity, grams) => {
          const doses = [{ lime: limes().calcitic, gramsPerLitre: grams }]
          for (const s of acidityCourse({ pH, bufferCapacity }, { limes: doses }, 200, 1))
            expect(s.pH).toBeLessThanOrEqual(calciteEquilibrium() + 1e-6)
        },
      ),
      draws(40),
    )
  })
  test('acid comes with its dressing’s release, from its day on', () => {
    const acid = dressing('sulfur_elemental')
    const total = 2 * acidPerGram(acid)
    // Elemental sulfur as sold is 95 % pure.
    expect(Math.abs(total / (2 * 0.95 * 62.4) - 1)).toBeLessThan(0.01)
    const released = (days: number) => releasedFraction(acid.release, days, 20)
    const firm = { pH: 6, bufferCapacity: 1e4 }
    const last = (from?: number) =>
      acidityCourse(firm, { acids: [{ dressing: acid, gramsPerLitre: 2, from }] }, 40).at(-1)!
    expect(last().acid).toBeCloseTo(total * released(40), 6)
    expect(last(30).acid).toBeCloseTo(total * released(10), 6)
    expect(last(30).pH).toBeCloseTo(6 - (total * released(10)) / 1e4, 5)
    expect(acidPerGram(dressing('lime_calcitic'))).toBe(0)
    expect(acidPerGram({ ...acid, acidity: null })).toBe(0)
  })
  test('every fertilizer makes Pierre’s equivalent in the long run, however its nitrogen goes', () => {
    for (const one of DRESSINGS.filter((d) => acidPerGram(d) !== 0)) {
      const firm = { pH: 6.6, bufferCapacity: 1e6, liveShare: 1 }
      const acids = [{ dressing: one, gramsPerLitre: 1 }]
      const made = acidityOn(firm, { acids, temperature: 30 }, 3000).acid
      const given = acidPerGram(one) * releasedFraction(one.release, 3000, 30)
      expect(Math.abs(made - given), one.id).toBeLessThan(0.01 * Math.abs(given) + 1e-6)
    }
  })
  test('ammonium makes its acid later in fresh peat, in the cold, and hardly any below pH 4.5', () => {
    const acids = [{ dressing: dressing('ammonium_sulfate'), gramsPerLitre: 1 }]
    const made = (pH: number, more: object = {}, temperature = 20) =>
      acidityOn({ pH, bufferCapacity: 1e6, liveShare: 1, ...more }, { acids, temperature }, 28).acid
    const warm = made(6.5)
    expect(warm).toBeGreaterThan(12)
    expect(made(6.5, { liveShare: 0 })).toBeLessThan(0.8 * warm)
    expect(made(6.5, {}, 8)).toBeLessThan(0.6 * warm)
    expect(made(6.5, {}, 2)).toBeLessThan(0.4 * warm)
    expect(made(4.3)).toBeLessThan(0.5 * warm)
    expect(made(3.4)).toBeLessThan(0)
  })
})

describe('no input leads out of what can be', () => {
  const anything = fc.record({
    mix: fc.record({
      pH: fc.double({ min: 3.5, max: 8.5, noNaN: true }),
      bufferCapacity: fc.double({ min: 0.5, max: 90, noNaN: true }),
      waterContent: fc.double({ min: 0.05, max: 0.8, noNaN: true }),
      liveShare: fc.double({ min: 0, max: 0.15, noNaN: true }),
    }),
    doses: fc.array(
      fc.record({
        dressing: fc.constantFrom(...DRESSINGS),
        gramsPerLitre: fc.double({ min: 0, max: 15, noNaN: true }),
        from: fc.constantFrom(0, 0, 20),
      }),
      { maxLength: 4 },
    ),
    // Alkalinity of a day, for each litre of water held.
    water: fc.double({ min: 0, max: 2, noNaN: true }),
    temperature: fc.double({ min: 0, max: 35, noNaN: true }),
  })
  const CAUSTIC = new Set(['lime_hydrated', 'wood_ash'])
  test('pH stays between 2.7 and 10, or that of lime water, and is below 8.7 six weeks on, once carbon dioxide has kept up', () => {
    fc.assert(
      fc.property(anything, ({ mix, doses, water, temperature }) => {
        const { limes: given, acids } = acidityOfDoses(
          doses.map((d) => ({ ...d, place: { kind: 'heldBack', from: d.from } })),
          30,
        )
        const course = acidityCourse(
          mix,
          { limes: given, acids, waterAlkalinity: water * mix.waterContent, temperature },
          140,
        )
        const caustic = given
          .filter((dose) => dose.lime.soluble)
          .reduce((sum, { lime, gramsPerLitre }) => sum + gramsPerLitre * alkalinityPerGram(lime), 0)
        // Hydroxide turns to carbonate as fast as the mix breathes: half as fast ten degrees colder.
        const carbonated = (days: number) =>
          CHEMISTRY_LIMITS.carbonSupply.value * 2 ** ((temperature - 20) / 10) * (days - 20) > caustic
        for (const s of course) {
          expect(s.pH).toBeGreaterThan(Math.min(2.7, mix.pH - 1e-6))
          // Lye of ash and lime water reach 12.5 for a while; nothing else leaves the carbonates' 10.
          expect(s.pH).toBeLessThan(doses.some((d) => CAUSTIC.has(d.dressing.id)) ? 12.6 : 10)
          if (s.day >= 62 && carbonated(s.day)) expect(s.pH).toBeLessThan(Math.max(8.7, mix.pH + 0.3))
        }
      }),
      { ...draws(400), endOnFailure: true },
    )
  })
  // A tenth of the step leaves a tenth of the error: what differs is 0.02 at most.
  test('it agrees with the same equations solved finely', () => {
    fc.assert(
      fc.property(
        anything,
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.constantFrom(3, 14, 42, 100),
        ({ mix, water }, calcitic, ammoniumSulfate, day) => {
          const work = { calcitic, ammoniumSulfate, water: water * mix.waterContent }
          const off = acidityOn(mix, asInput(work), day).pH - solvedByOdex(mix, work, day)
          expect(Math.abs(off)).toBeLessThan(0.022)
        },
      ),
      { ...draws(60), interruptAfterTimeLimit: 20_000 },
    )
  }, 30_000)
})

describe('the books of a course', () => {
  const kinds = DRESSINGS.filter((d) => acidPerGram(d) !== 0).map((d) => d.id)
  test('what each lime and dressing did adds up, and balances with what the mix holds: charge balance', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LIMES.map((l) => l.id)),
        fc.constantFrom(...kinds),
        fc.double({ min: 0.1, max: 6, noNaN: true }),
        fc.integer({ min: 3, max: 400 }),
        (limeId, acidId, grams, days) => {
          const input = {
            limes: [{ lime: lime(limeId), gramsPerLitre: grams }],
            acids: [{ dressing: dressing(acidId), gramsPerLitre: grams / 3 }],
            waterAlkalinity: 0.2,
          }
          const end = acidityOn(peat, input, days)
          const sum = (list: number[]) => list.reduce((a, b) => a + b, 0)
          expect(sum(end.byLime)).toBeCloseTo(end.reacted, 9)
          expect(sum(end.byAcid)).toBeCloseTo(end.acid, 9)
          expect(end.fromWater).toBeCloseTo(0.2 * days, 9)
          const brought = end.reacted - end.laidDown - end.acid + end.fromWater
          // The last step is solved to a millionth of a pH unit or so: no more than that many are out of balance.
          const { at, slope } = chargeBalance(peat)
          expect(Math.abs(at(end.pH) - brought) / slope(end.pH)).toBeLessThan(1e-5)
          // Lime that has not reacted and what was laid down again are all that lies there still.
          const given = grams * alkalinityPerGram(lime(limeId))
          expect((given - end.reacted + end.laidDown - end.residual) / given).toBeCloseTo(0, 9)
        },
      ),
      draws(40),
    )
  })
  test('the slope is that of the charge, within the buffer and beyond both its ends: central differences', () => {
    for (const mix of [peat, loam, grit])
      for (let pH = 2.05; pH < 10; pH += 0.25) {
        const { at, slope } = chargeBalance(mix)
        const step = 1e-4
        const measured = (at(pH + step) - at(pH - step)) / (2 * step)
        expect(slope(pH) / measured, `${mix.pH} at ${pH}`).toBeCloseTo(1, 3)
      }
  })
})

describe('two limes for a ratio', () => {
  const [low, high] = [
    { calcium: 0.38, magnesium: 0.005 },
    { calcium: 0.21, magnesium: 0.12 },
  ]
  test('the share found brings the ratio that was asked for: mass balance', () => {
    for (const ratio of [2.5, 4, 8])
      for (const grams of [3, 5, 8]) {
        const already = { calcium: 100, magnesium: 40 }
        const d = dolomiteShare(ratio, grams, { calcitic: low, dolomitic: high }, already)
        expect(d).toBeGreaterThan(0)
        expect(d).toBeLessThan(1)
        const of = (k: 'calcium' | 'magnesium') =>
          already[k] + 1000 * grams * ((1 - d) * low[k] + d * high[k])
        expect(of('calcium') / of('magnesium')).toBeCloseTo(ratio, 9)
      }
  })
  test('limes that are alike cannot be shared for it, and no lime needs none', () => {
    expect(dolomiteShare(4, 3, { calcitic: low, dolomitic: low })).toBe(0)
    expect(dolomiteShare(4, 0, { calcitic: low, dolomitic: high })).toBe(0)
    expect(dolomiteShare(4, 3, { calcitic: low, dolomitic: high }, { calcium: 0, magnesium: 1e5 })).toBe(0)
    expect(dolomiteShare(0.5, 3, { calcitic: low, dolomitic: high })).toBe(1)
  })
})
