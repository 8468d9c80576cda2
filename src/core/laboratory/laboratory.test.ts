import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draws } from '../testing/draws'
import { outsideCheck } from '../testing/outsideCheck'
import {
  asSaturated,
  chargeRatio,
  fromDryWeight,
  fromMillimoles,
  LAB_FIGURES,
  LAB_GROUPS,
  LAB_METHODS,
  labBand,
  labConcerns,
  PRINTED_AS,
  readReport,
} from '.'

describe('what a report prints', () => {
  for (const [what, expected, computed] of [
    ['nitrate to nitrogen', 0.2259, () => PRINTED_AS.nitrate.nitrogen],
    ['ammonium to nitrogen', 0.7765, () => PRINTED_AS.ammonium.ammonium],
    ['P2O5 to phosphorus', 0.4364, () => PRINTED_AS.phosphate.phosphorus],
    ['K2O to potassium', 0.8302, () => PRINTED_AS.potash.potassium],
    ['2 mmol/L of potassium in mg/L', 78.2, () => fromMillimoles('potassium', 2)],
    ['1,500 mg/kg of dry peat of 0.1 kg/L in mg/L of it', 150, () => fromDryWeight(1500, 0.1)],
  ] as const)
    outsideCheck({
      module: 'laboratory',
      what,
      source: 'atomic masses; arithmetic',
      basis: 'closed form',
      unit: '',
      expected,
      tolerance: expected * 0.0005,
      computed,
    })
  test('pH has no moles', () => expect(fromMillimoles('pH', 6)).toBe(6))
})

describe('one method as another', () => {
  const CLASSES =
    'Cavins, Whipker & Fonteno 2000, HIL 590: the classes of three methods side by side (from memory)'
  for (const [method, read, expected] of [
    ['oneToTwo', 0.75, { low: 1.6, high: 2.5 }],
    ['pourThrough', 2.6, { low: 1.5, high: 2.2 }],
    ['oneToFive', 0.3, { low: 1.3, high: 2.4 }],
  ] as const)
    outsideCheck({
      module: 'laboratory',
      what: `${read} dS/m by ${method} in a saturated extract`,
      source: CLASSES,
      basis: 'published',
      unit: 'dS/m',
      expected,
      tolerance: 0,
      computed: () => asSaturated('salts', read, method).value,
    })
  test('a figure lies within its range, and the saturated extract is itself', () => {
    for (const method of LAB_METHODS)
      for (const figure of LAB_FIGURES) {
        const { low, value, high } = asSaturated(figure, 5, method)
        expect(low).toBeLessThanOrEqual(value)
        expect(value).toBeLessThanOrEqual(high)
        if (method === 'saturatedExtract') expect([low, value, high]).toEqual([5, 5, 5])
      }
  })
  test('more water reads less, whatever the figure', () => {
    const dissolved = (['oneToOneHalf', 'oneToTwo', 'oneToFive'] as const).map(
      (m) => asSaturated('potassium', 10, m).value,
    )
    expect(dissolved).toEqual([...dissolved].sort((a, b) => a - b))
  })
})

describe('a report read', () => {
  test('every figure has a band for every group, its steps in order', () => {
    for (const group of LAB_GROUPS)
      for (const figure of LAB_FIGURES) {
        const { veryLow, low, usual, high, veryHigh } = labBand(figure, group)
        const steps = [veryLow, low, usual, high, veryHigh]
        expect(steps, `${group} ${figure}`).toEqual([...steps].sort((a, b) => a - b))
      }
  })
  test('each step is kept by what lies on it and passed by what lies beyond', () => {
    const { veryLow, low, high, veryHigh } = labBand('potassium', 'medium')
    const at = (potassium: number) =>
      readReport({ potassium }, { method: 'saturatedExtract', group: 'medium' })[0]!.verdict
    expect(
      [veryLow - 0.1, veryLow, low - 0.1, low, high, high + 0.1, veryHigh, veryHigh + 0.1].map(at),
    ).toEqual(['very low', 'low', 'low', 'fine', 'fine', 'high', 'high', 'very high'])
  })
  test('a verdict is sure where the whole range of the method lies on one side of what is wanted', () => {
    const of = (salts: number) => readReport({ salts }, { method: 'oneToTwo', group: 'medium' })[0]!
    expect(of(0.05)).toMatchObject({ verdict: 'very low', sure: true })
    // 0.4 / 0.45 is below what is wanted and 0.4 / 0.3 above it.
    expect(of(0.4)).toMatchObject({ verdict: 'fine', sure: false })
    expect(of(0.6)).toMatchObject({ verdict: 'fine', sure: true })
  })
  test('hungry crops want more than those that want little; seedlings bear least salt', () => {
    for (const figure of ['nitrogen', 'potassium', 'salts'] as const)
      expect(labBand(figure, 'heavy').low).toBeGreaterThan(labBand(figure, 'light').low)
    for (const group of LAB_GROUPS)
      expect(labBand('salts', 'seedling').high).toBeLessThanOrEqual(labBand('salts', group).high)
  })
  test('what the report leaves out is left out', () => {
    expect(readReport({}, { method: 'oneToTwo', group: 'medium' })).toEqual([])
  })
})

describe('a report as a whole', () => {
  const sound = { salts: 1.8, nitrogen: 90, potassium: 130, calcium: 150, magnesium: 60, sodium: 25 }
  test('usual figures together carry the charge that their conductivity says', () => {
    // 130/39.1 + 150/20.04 + 60/12.15 + 25/22.99 is 16.8 meq/L; ten times 1.8 is 18.
    expect(chargeRatio(sound)).toBeCloseTo(16.84 / 18, 2)
    expect(labConcerns(sound)).toEqual([])
  })
  test('a unit of another kind is found out: micrograms, or mmol read as mg', () => {
    const wrong = { ...sound, salts: 0.18 }
    expect(labConcerns(wrong)[0]).toMatchObject({ code: 'units-doubtful' })
    expect(chargeRatio({ salts: 1 })).toBeNull()
  })
  test('ammonium and cations out of proportion, each just beyond its limit', () => {
    expect(labConcerns({ nitrogen: 100, ammonium: 31 }).map((c) => c.code)).toEqual(['much-ammonium'])
    expect(labConcerns({ nitrogen: 100, ammonium: 30 })).toEqual([])
    expect(labConcerns({ potassium: 51, magnesium: 10 }).map((c) => c.code)).toEqual([
      'potassium-over-magnesium',
    ])
    expect(labConcerns({ potassium: 50, magnesium: 10 })).toEqual([])
    expect(labConcerns({ calcium: 81, magnesium: 10 }).map((c) => c.code)).toEqual(['calcium-over-magnesium'])
    expect(labConcerns({ calcium: 80, magnesium: 10 })).toEqual([])
    expect(labConcerns({ calcium: 14, magnesium: 10 }).map((c) => c.code)).toEqual(['magnesium-over-calcium'])
    expect(labConcerns({ calcium: 15, magnesium: 10 })).toEqual([])
    // Of a trace that no report prints nothing is a multiple; more ammonium than nitrogen is all of it.
    expect(labConcerns({ nitrogen: 5e-324, ammonium: 5, magnesium: 1e-9, potassium: 5, calcium: 5 })).toEqual(
      [],
    )
    expect(chargeRatio({ salts: 5e-324, potassium: 39.1, calcium: 100, magnesium: 36.45 })).toBeNull()
    expect(labConcerns({ nitrogen: 10, ammonium: 35 })).toEqual([{ code: 'much-ammonium', share: 1 }])
    expect(labConcerns({ nitrogen: 0, ammonium: 5, magnesium: 0, potassium: 5, calcium: 5 })).toEqual([])
  })
  test('no report breaks the reading', () => {
    const figures = fc.dictionary(
      fc.constantFrom(...LAB_FIGURES),
      // No laboratory prints less than a millionth of a milligram, but for 0.
      fc.oneof(fc.constant(0), fc.double({ min: 1e-6, max: 20_000, noNaN: true })),
    )
    fc.assert(
      fc.property(
        figures,
        fc.constantFrom(...LAB_METHODS),
        fc.constantFrom(...LAB_GROUPS),
        (f, method, group) => {
          const read = readReport(f, { method, group })
          expect(read.map((r) => r.figure)).toEqual(LAB_FIGURES.filter((x) => x in f))
          for (const c of labConcerns(f))
            expect(Object.values(c).every((x) => typeof x === 'string' || Number.isFinite(x))).toBe(true)
        },
      ),
      draws(200),
    )
  })
})

test('a verdict is sure where the whole range of a converted figure lies on one side of what is wanted', () => {
  // A saturated extract is the method of the bands: its range is itself, and the verdict always sure.
  const band = labBand('salts', 'medium')
  const read = (salts: number, method: (typeof LAB_METHODS)[number]) =>
    readReport({ salts }, { method, group: 'medium' })[0]!
  for (const method of LAB_METHODS) {
    for (let i = 1; i < 400; i++) {
      const { saturated, sure } = read(i / 50, method)
      const sides = [saturated.low, saturated.high].map((x) =>
        x < band.low ? 'below' : x > band.high ? 'above' : 'within',
      )
      expect(sure, `${method} ${i / 50}`).toBe(sides[0] === sides[1])
    }
  }
  // Both come up: near an end of the band it is not sure, far from it it is.
  const all = Array.from({ length: 400 }, (_, i) => read((i + 1) / 50, 'oneToTwo').sure)
  expect(new Set(all)).toEqual(new Set([true, false]))
})
test('what a report prints as none is no part of a ratio', () => {
  expect(labConcerns({ potassium: 300, magnesium: 0 })).toEqual([])
  expect(labConcerns({ potassium: 300, magnesium: 20 })).toEqual([
    { code: 'potassium-over-magnesium', ratio: 15 },
  ])
})
