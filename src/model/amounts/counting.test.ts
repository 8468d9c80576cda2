import { describe, expect, test } from 'vitest'
import type { Manner } from '../garden/manner'
import { gramsOf, litresOf, type AmountSetting } from './counting'
import { centimetresIn, gramsIn, litresIn } from './units'

const SETTING: AmountSetting = {
  system: 'metric',
  bulkDensity: 0.9,
  all: 240,
  bucket: 12,
  scoop: 1.5,
  tub: 70,
  part: 6,
  batch: 60,
  bag: 45,
  container: 25,
  plant: 8,
  area: 200,
  parts: new Map([
    ['peat_medium', { mix: 1.8, bag: 270, share: 0.5 }],
    ['compost_green', { mix: 3.6, bag: null, share: 0.25 }],
    ['none', { mix: 2, bag: 10, share: 0 }],
  ]),
}
const manner = (base: Manner['base'], of = 1, materialId?: string): Manner => ({
  unit: 'g',
  base,
  of,
  ...(materialId === undefined ? {} : { materialId }),
})

describe('litres of mix that an amount is for', () => {
  test('of the mix: so many times what one of its base holds', () => {
    expect(litresOf(manner('volume', 7), SETTING)).toBe(7)
    for (const [base, one] of [
      ['all', 240],
      ['bucket', 12],
      ['scoop', 1.5],
      ['tub', 70],
      ['part', 6],
      ['batch', 60],
      ['bag', 45],
      ['container', 25],
      ['plant', 8],
      ['area', 200],
    ] as const) {
      expect(litresOf(manner(base, 3), SETTING), base).toBe(3 * one)
      if (base !== 'bucket' && base !== 'scoop' && base !== 'tub')
        expect(litresOf(manner(base, 3), { ...SETTING, [base]: null }), base).toBeNull()
      expect(litresOf(manner(base, 3), { ...SETTING, [base]: 0 }), base).toBeNull()
    }
  })
  test('of one of its parts: the mix that so much of the part makes', () => {
    const of = (base: Manner['base'], times: number, id = 'peat_medium') =>
      litresOf(manner(base, times, id), SETTING)
    expect(of('volume', 10)).toBe(18)
    expect(of('bucket', 2)).toBeCloseTo(2 * 12 * 1.8, 12)
    expect(of('scoop', 4)).toBeCloseTo(4 * 1.5 * 1.8, 12)
    expect(of('bag', 2)).toBe(540)
    // A part of peat is a part of half the recipe: mix for two parts.
    expect(of('part', 1)).toBe(12)
    // Sold in no bag, none of it in the recipe, not in the mix at all, and by the plant: nobody can say.
    expect([
      of('bag', 1, 'compost_green'),
      of('part', 1, 'none'),
      of('volume', 1, 'pumice'),
      of('plant', 1),
    ]).toEqual([null, null, null, null])
    expect(litresOf(manner('part', 1, 'peat_medium'), { ...SETTING, part: null })).toBeNull()
  })
})

describe('grams of an amount', () => {
  test('by its own weight, or by the volume of its spoon and what a litre of it weighs', () => {
    const grams = (unit: Manner['unit'], value = 2) =>
      gramsOf({ value, manner: { unit, base: 'all', of: 1 } }, SETTING)
    expect(grams('g')).toBe(2)
    expect(grams('kg')).toBe(2000)
    // An avoirdupois ounce is 28.349523125 g, a pound sixteen of them.
    expect(grams('oz')).toBeCloseTo(2 * 28.349523125, 9)
    expect(grams('lb')).toBeCloseTo(32 * 28.349523125, 9)
    // A metric tablespoon is 15 mL, a teaspoon a third of it.
    expect(grams('tablespoon')).toBeCloseTo(2 * 15 * 0.9, 9)
    expect(grams('teaspoon')).toBeCloseTo(2 * 5 * 0.9, 9)
    expect(grams('cubicMetre')).toBeCloseTo(2 * 1e6 * 0.9, 6)
  })
})

test('units by their definitions: the US fluid ounce, both gallons, feet and yards, a layer on a square metre', () => {
  const litres = (unit: Parameters<typeof litresIn>[0]) => litresIn(unit, 'us')
  // NIST Handbook 44, appendix C.
  expect(litres('fluidOunce')).toBeCloseTo(0.0295735295625, 12)
  expect(litres('imperialGallon')).toBeCloseTo(4.54609, 9)
  expect(litres('cubicFoot')).toBeCloseTo(28.316846592, 9)
  expect(litres('cubicYard')).toBeCloseTo(27 * 28.316846592, 8)
  expect(litres('cubicMetre')).toBeCloseTo(1000, 9)
  expect(litres('mL')).toBe(0.001)
  expect(litres('cmDeep')).toBe(10)
  expect(litres('inchDeep')).toBeCloseTo(25.4, 9)
  expect(gramsIn('lb')).toBeCloseTo(453.59237, 9)
  expect(centimetresIn('ft')).toBeCloseTo(30.48, 9)
})
