import { once } from '@/core/testing/once'
import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { outsideCheck } from '@/core/testing/outsideCheck'
import { amountWords, usualManner } from '@/text/base/amounts'
import { doseOf, readAmount, valueIn, type Amount, type AmountSetting, type Manner } from './amount'
import { amountSaid } from './counting'
import { labelDose, readLabel } from './labelDose'
import { readMeasure, type Dimension } from './measure'
import { plainly } from './numberAt'
import { gramsIn, litresIn } from './units'

const metric = once(() => ({ system: 'metric' as const, usual: usualManner('metric') }))
const us = once(() => ({ system: 'us' as const, usual: usualManner('us') }))
const GAL = 3.785411784
const setting: AmountSetting = {
  system: 'metric',
  bulkDensity: 0.9,
  all: 120,
  bucket: 10,
  scoop: 1,
  tub: 60,
  part: 9.5,
  batch: 55,
  bag: 150,
  container: 20,
  plant: 10,
  area: 250,
  parts: new Map(),
}

/** Amount, its number, unit, what for, of how many; in metric units unless said. */
type Row = readonly [text: string, value: number, unit: Manner['unit'], base: Manner['base'], of: number]
const UNDERSTOOD: readonly Row[] = [
  ['60 grams to the barrow', 60, 'g', 'tub', 1],
  ['60g to a wheelbarrow', 60, 'g', 'tub', 1],
  ['60 g per barrowload', 60, 'g', 'tub', 1],
  ['a tablespoon a part', 1, 'tablespoon', 'part', 1],
  ['one tablespoon per part', 1, 'tablespoon', 'part', 1],
  ['2 tbsp per measure', 2, 'tablespoon', 'part', 1],
  ['2 tablespoons of sulfur a bag', 2, 'tablespoon', 'bag', 1],
  ['two tablespoons of sulphur per bag', 2, 'tablespoon', 'bag', 1],
  ['2 level tablespoons per bucket', 2, 'tablespoon', 'bucket', 1],
  ['2 tbsp, level per bucket', 2, 'tablespoon', 'bucket', 1],
  ['1 tsp/bucket', 1, 'teaspoon', 'bucket', 1],
  ['half a cup in all', 0.5, 'cup', 'all', 1],
  ['half cup in total', 0.5, 'cup', 'all', 1],
  ['a half cup altogether', 0.5, 'cup', 'all', 1],
  ['1/2 cup in all', 0.5, 'cup', 'all', 1],
  ['½ cup in all', 0.5, 'cup', 'all', 1],
  ['1½ cups for the lot', 1.5, 'cup', 'all', 1],
  ['1 1/2 cups for everything', 1.5, 'cup', 'all', 1],
  ['one and a half cups to each bucket', 1.5, 'cup', 'bucket', 1],
  ['two and a quarter cups per tub', 2.25, 'cup', 'tub', 1],
  ['a quarter cup per bucket', 0.25, 'cup', 'bucket', 1],
  ['a quarter of a cup per bucket', 0.25, 'cup', 'bucket', 1],
  ['three quarters of a cup per batch', 0.75, 'cup', 'batch', 1],
  ['two thirds of a cup per batch', 2 / 3, 'cup', 'batch', 1],
  ['a third of a cup per batch', 1 / 3, 'cup', 'batch', 1],
  ['a couple of handfuls per pot', 2, 'handful', 'container', 1],
  ['a handful a plant', 1, 'handful', 'plant', 1],
  ['a handful per plant', 1, 'handful', 'plant', 1],
  ['2 handfuls in each hole', 2, 'handful', 'plant', 1],
  ['10 g per planting hole', 10, 'g', 'plant', 1],
  ['10 g per transplant', 10, 'g', 'plant', 1],
  ['30g per pot', 30, 'g', 'container', 1],
  ['30 g each pot', 30, 'g', 'container', 1],
  ['30 g in every container', 30, 'g', 'container', 1],
  ['30 g for each trough', 30, 'g', 'container', 1],
  ['30 g per bed', 30, 'g', 'container', 1],
  ['100 g/m2', 100, 'g', 'area', 1],
  ['100 g per m²', 100, 'g', 'area', 1],
  ['100g per square metre', 100, 'g', 'area', 1],
  ['70 g per sq m', 70, 'g', 'area', 1],
  ['100 g a square meter', 100, 'g', 'area', 1],
  ['2.5 g/L', 2.5, 'g', 'volume', 1],
  ['2.5 g / l', 2.5, 'g', 'volume', 1],
  ['2,5 g/L', 2.5, 'g', 'volume', 1],
  ['2.5 g per litre', 2.5, 'g', 'volume', 1],
  ['2.5 g per liter', 2.5, 'g', 'volume', 1],
  ['2.5 grams per litre of mix', 2.5, 'g', 'volume', 1],
  ['3 grammes a litre', 3, 'g', 'volume', 1],
  ['5 g per 10 L', 5, 'g', 'volume', 10],
  ['5 g per 10 litres of mix', 5, 'g', 'volume', 10],
  ['25 g to each 10 l', 25, 'g', 'volume', 10],
  ['2 kg per m3', 2, 'kg', 'volume', 1000],
  ['2 kg/m³', 2, 'kg', 'volume', 1000],
  ['3 kilos per cubic metre', 3, 'kg', 'volume', 1000],
  ['1 kilo in all', 1, 'kg', 'all', 1],
  ['0.25 kg in all', 0.25, 'kg', 'all', 1],
  ['.5 kg in all', 0.5, 'kg', 'all', 1],
  ['250 mL in all', 250, 'mL', 'all', 1],
  ['250 millilitres of bone meal in all', 250, 'mL', 'all', 1],
  ['1 litre of castings per batch', 1, 'L', 'batch', 1],
  ['20 cc per bucket', 20, 'mL', 'bucket', 1],
  ['2 scant teaspoons per bucket', 2, 'teaspoon', 'bucket', 1],
  ['4 teaspoonfuls per mixing', 4, 'teaspoon', 'batch', 1],
  ['3 tbls per pail', 3, 'tablespoon', 'bucket', 1],
  ['3 tbs to every bucket', 3, 'tablespoon', 'bucket', 1],
  ['60 g per 2 buckets', 60, 'g', 'bucket', 2],
  ['60 g to every two buckets', 60, 'g', 'bucket', 2],
  ['60 g per three plants', 60, 'g', 'plant', 3],
  ['a dozen grams per bucket', 12, 'g', 'bucket', 1],
  ['ten grams a bucket', 10, 'g', 'bucket', 1],
  ['60 G PER BUCKET', 60, 'g', 'bucket', 1],
  ['  60   g   per   bucket  ', 60, 'g', 'bucket', 1],
  ['60 g per bucket.', 60, 'g', 'bucket', 1],
  ['60 g per bucket of mix', 60, 'g', 'bucket', 1],
  ['60 g per sack', 60, 'g', 'bag', 1],
  ['60 g per bale', 60, 'g', 'bag', 1],
  ['60 g per brick', 60, 'g', 'bag', 1],
  ['8 oz per bale', 8, 'oz', 'bag', 1],
  ['1 lb in all', 1, 'lb', 'all', 1],
  ['2 pounds in all', 2, 'lb', 'all', 1],
  ['2 lb 3 oz in all', 35, 'oz', 'all', 1],
  ['1 lb and 8 oz per bale', 24, 'oz', 'bag', 1],
  ['2 oz per us gallon', 2, 'oz', 'volume', GAL],
  ['2 oz per imperial gallon', 2, 'oz', 'volume', 4.54609],
  ['1,5 dl'.replace('dl', 'L') + ' per batch', 1.5, 'L', 'batch', 1],
  ['4 oz per cubic foot', 4, 'oz', 'volume', 28.316846592],
  ['4 oz/cu ft', 4, 'oz', 'volume', 28.316846592],
  ['5 lb per cubic yard', 5, 'lb', 'volume', 764.554857984],
  ['5 lbs/yd3', 5, 'lb', 'volume', 764.554857984],
  ['5 lb per cu yd', 5, 'lb', 'volume', 764.554857984],
  ['1.234,5 g in all', 1234.5, 'g', 'all', 1],
  ['1,234.5 g in all', 1234.5, 'g', 'all', 1],
  ['10/4 g per litre', 2.5, 'g', 'volume', 1],
  ['2 tablespoons of 4-4-4 per bucket', 2, 'tablespoon', 'bucket', 1],
  ['1 cup of bone meal to the bed', 1, 'cup', 'container', 1],
  ['0 g in all', 0, 'g', 'all', 1],
  ['40 g per 40 litre bag', 40, 'g', 'volume', 40],
  ['2 tbsp per 25 l pot', 2, 'tablespoon', 'volume', 25],
  ['3', 3, 'g', 'volume', 1],
  ['2,5', 2.5, 'g', 'volume', 1],
  ['4 g per planter', 4, 'g', 'container', 1],
  ['4 g per box', 4, 'g', 'container', 1],
  ['180 g for 40 L', 180, 'g', 'volume', 40],
  ['180 g to 40 litres of mix', 180, 'g', 'volume', 40],
  ['1 cup of kelp for 40 L', 1, 'cup', 'volume', 40],
  ['2 tbsp per scoop', 2, 'tablespoon', 'scoop', 1],
  ['2 g per jug', 2, 'g', 'scoop', 1],
  ['2 us cups in all', 2, 'cup', 'all', 1],
  ['a 2 cm layer', 2, 'cmDeep', 'area', 1],
  ['20 mm on top', 2, 'cmDeep', 'area', 1],
  ['1 inch of castings', 1, 'inchDeep', 'area', 1],
]
const UNDERSTOOD_US: readonly Row[] = [
  ['2 oz/gal', 2, 'oz', 'volume', GAL],
  ['2 oz per gallon', 2, 'oz', 'volume', GAL],
  ['1/2 cup per 5 gal bucket', 0.5, 'cup', 'volume', 5 * GAL],
  ['1 cup per 5 gallons', 1, 'cup', 'volume', 5 * GAL],
  ['one cup per 5-gallon bucket'.replace('-', ' '), 1, 'cup', 'volume', 5 * GAL],
  ['1 quart per cubic foot', 1, 'quart', 'volume', 28.316846592],
  ['1 pint in all', 1, 'pint', 'all', 1],
  ['3 fl oz per barrow', 3, 'fluidOunce', 'tub', 1],
  ['3 fluid ounces per barrow', 3, 'fluidOunce', 'tub', 1],
  ['2 lb per square foot', 2, 'lb', 'area', 0.09290304],
  ['1 oz per sq ft', 1, 'oz', 'area', 0.09290304],
  ['2 oz per sq yd', 2, 'oz', 'area', 0.83612736],
  ['4 cups per yard of mix'.replace('yard', 'cubic yard'), 4, 'cup', 'volume', 764.554857984],
  ['3 # in all', 3, 'lb', 'all', 1],
  ['2', 2, 'oz', 'volume', GAL],
  ['6 gallons of castings in all', 6, 'gallon', 'all', 1],
]
const ASKED: readonly (readonly [string, string])[] = [
  ['', 'nothing'],
  ['   ', 'nothing'],
  ['some', 'no-number'],
  ['bone meal', 'no-number'],
  ['per bucket', 'no-number'],
  ['plenty per pot', 'no-number'],
  ['a pinch', 'how-much'],
  ['a pinch per pot', 'how-much'],
  ['a little', 'how-much'],
  ['a few grams', 'how-much'],
  ['a dusting', 'how-much'],
  ['60 g', 'for-what'],
  ['2 cups', 'for-what'],
  ['2 cups of bone meal', 'for-what'],
  ['60 g per', 'for-what'],
  ['60 g per moon', 'for-what'],
  ['60 g bucket', 'for-what'],
  ['60 g per bucket and batch', 'for-what'],
  ['60 g per week', 'for-what'],
  ['2 spoons per bucket', 'which-spoon'],
  ['two spoons of sulfur a bag', 'which-spoon'],
  ['a spoonful a plant', 'which-spoon'],
  ['2 heaped tablespoons per bucket', 'heaped'],
  ['2 heaping tbsp per pot', 'heaped'],
  ['a rounded teaspoon per pot', 'heaped'],
  ['2 large handfuls per pot', 'heaped'],
  ['60 x per bucket', 'which-unit'],
  ['60 per bucket', 'which-unit'],
  ['3 grains per bucket', 'which-unit'],
  ['5 % of the mix', 'which-unit'],
  ['2 oz per gallon', 'which-gallon'],
  ['2 gallons in all', 'which-gallon'],
  ['3 pints per bed', 'which-gallon'],
  ['1 cup per 5 gal bucket', 'which-gallon'],
  ['3 fl oz per pot', 'which-gallon'],
  ['1,200 g in all', 'which-number'],
  ['11/2 cups in all', 'which-number'],
  ['60 g per 1,200 litres', 'which-number'],
  ['-3 g/L', 'below-nothing'],
  ['−3 g per bucket', 'below-nothing'],
  ['60 g per 0 litres', 'of-nothing'],
  ['1/0 g per litre', 'no-number'],
  ['g per litre', 'no-number'],
  ['--', 'no-number'],
]

describe('an amount as people say it', () => {
  test.each([...UNDERSTOOD])('“%s” is understood', (text, value, unit, base, of) => {
    const read = readAmount(text, metric())
    if (!read.ok) throw new Error(JSON.stringify(read.question))
    expect(read.amount.value).toBeCloseTo(value, 9)
    expect(read.amount.manner).toMatchObject({ unit, base })
    expect(read.amount.manner.of).toBeCloseTo(of, 9)
  })
  test.each([...UNDERSTOOD_US])('“%s” is understood in US units', (text, value, unit, base, of) => {
    const read = readAmount(text, us())
    if (!read.ok) throw new Error(JSON.stringify(read.question))
    expect(read.amount.value).toBeCloseTo(value, 9)
    expect(read.amount.manner).toMatchObject({ unit, base })
    expect(read.amount.manner.of).toBeCloseTo(of, 9)
  })
  test.each([...ASKED])('“%s” is asked about: %s', (text, code) => {
    const read = readAmount(text, metric())
    expect(read.ok ? read.amount : read.question.code).toBe(code)
  })
  test('spoons that are said to be of one country are kept as theirs', () => {
    const read = readAmount('2 US tablespoons per bucket', metric())
    expect(read.ok && read.amount.spoons).toBe('us')
    const plain = readAmount('2 tablespoons per bucket', metric())
    expect(plain.ok && plain.amount).not.toHaveProperty('spoons')
  })
  test('at least 200 written ones stand here, lengths and volumes with them', () => {
    const written = UNDERSTOOD.length + UNDERSTOOD_US.length + ASKED.length + MEASURES.length
    expect(written).toBeGreaterThanOrEqual(200)
  })

  const figure = fc.oneof(
    fc.integer({ min: 1, max: 999 }).map((n) => [String(n), n] as const),
    fc.integer({ min: 1, max: 9999 }).map((n) => [(n / 100).toFixed(2), n / 100] as const),
    fc.constantFrom(
      ['half a', 0.5] as const,
      ['one and a half', 1.5] as const,
      ['two', 2] as const,
      ['¾', 0.75] as const,
    ),
  )
  const unit = fc.constantFrom<readonly [string, number]>(
    ['g', 1],
    ['grams', 1],
    ['kg', 1000],
    ['oz', 28.349523125],
    ['lb', 453.59237],
    ['tsp', 0.9 * 5],
    ['tablespoons', 0.9 * 15],
    ['cups', 0.9 * 250],
    ['mL', 0.9],
    ['litres', 900],
  )
  const forWhat = fc.constantFrom<readonly [string, number]>(
    ['/L', 1],
    [' per litre', 1],
    [' a bucket', 10],
    [' to the barrow', 60],
    [' per part', 9.5],
    [' per batch', 55],
    [' per bag', 150],
    [' per pot', 20],
    [' each plant', 10],
    [' in all', 120],
    [' per m2', 250],
    [' per 100 litres', 100],
    [' per cubic metre', 1000],
  )
  test('random ones come to what their words come to', () => {
    fc.assert(
      fc.property(figure, unit, forWhat, ([n, value], [u, grams], [w, litres]) => {
        const read = readAmount(`${n} ${u}${w}`, metric())
        if (!read.ok) throw new Error(`${n} ${u}${w}: ${read.question.code}`)
        expect(doseOf(read.amount, setting)).toBeCloseTo((value * grams) / litres, 6)
      }),
      draws(5000),
    )
  })
  test('random strings are understood as what they say, or asked about: never a wrong number', () => {
    const piece = fc.constantFrom(
      ...'2 1/2 half a cup cups of tbsp per bucket in all 3.5 , - oz lb gal litre part / 60 g plant to the x % 4-4-4 heaped and'.split(
        ' ',
      ),
    )
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 8 }), (pieces) => {
        const text = pieces.join(' ')
        const read = readAmount(text, metric())
        if (!read.ok) return
        const { value, manner } = read.amount
        expect(Number.isFinite(value) && value >= 0).toBe(true)
        expect(manner.of).toBeGreaterThan(0)
        // Told back in words, it is read as the same.
        const back = readAmount(amountWords(read.amount, 'metric'), metric())
        if (!back.ok)
          throw new Error(`${text} → ${amountWords(read.amount, 'metric')}: ${back.question.code}`)
        expect(back.amount.manner.base).toBe(manner.base)
        const [a, b] = [doseOf(read.amount, setting)!, doseOf(back.amount, setting)!]
        expect(Math.abs(a - b)).toBeLessThanOrEqual(0.006 * Math.max(a, b, 1e-9))
      }),
      draws(5000),
    )
  })
  test('2026-11-29: a spoonful of mix is no measure of mix: “2 cups per tbsp” is asked about', () => {
    for (const text of ['2 cups per tbsp', '5 g per teaspoon', '1 oz per 50 mL'])
      expect(readAmount(text, metric())).toMatchObject({
        ok: false,
        question: { code: 'for-what' },
      })
    expect(readAmount('1 g per 100 mL', metric())).toMatchObject({ ok: true })
  })
  test('2026-11-29: half a cup of mix is 125 mL in words too, not a tenth of a litre', () => {
    const read = readAmount('2 lb / half cup', metric())
    if (!read.ok) throw new Error(read.question.code)
    expect(amountWords(read.amount, 'metric')).toBe('2 lb per 125 mL')
    expect(doseOf(read.amount, setting)).toBeCloseTo((2 * 453.59237) / 0.125, 6)
  })
  test('a dose told in any manner is the same dose', () => {
    const manner = fc.record({
      unit: fc.constantFrom<Manner['unit']>('g', 'oz', 'tablespoon', 'cup', 'handful', 'kg'),
      base: fc.constantFrom<Manner['base']>(
        'all',
        'part',
        'bucket',
        'tub',
        'batch',
        'bag',
        'container',
        'plant',
        'area',
      ),
      of: fc.constant(1),
    })
    fc.assert(
      fc.property(manner, fc.double({ min: 0.01, max: 60, noNaN: true }), (m, dose) => {
        const amount: Amount = { value: valueIn(m, dose, setting)!, manner: m }
        expect(doseOf(amount, setting)).toBeCloseTo(dose, 9)
      }),
      draws(),
    )
  })
  test('where a job does not say what it counts for, there is no dose', () => {
    const unknown = { ...setting, plant: null, all: 0 }
    const manner = (base: Manner['base']): Amount => ({ value: 2, manner: { unit: 'g', base, of: 1 } })
    expect(doseOf(manner('plant'), unknown)).toBeNull()
    expect(doseOf(manner('all'), unknown)).toBeNull()
    expect(valueIn({ unit: 'g', base: 'plant', of: 1 }, 2, unknown)).toBeNull()
  })
})

type MeasureRow = readonly [text: string, dimension: Dimension, value: number | null]
const MEASURES: readonly MeasureRow[] = [
  ['22"', 'length', 55.88],
  ['22 in', 'length', 55.88],
  ['22 inches', 'length', 55.88],
  ['22”', 'length', 55.88],
  ["4'", 'length', 121.92],
  ['4 ft', 'length', 121.92],
  ['4 feet', 'length', 121.92],
  ['3\'6"', 'length', 106.68],
  ['3′6″', 'length', 106.68],
  ['3\' 6"', 'length', 106.68],
  ['3 ft 6 in', 'length', 106.68],
  ['3 ft and 6 in', 'length', 106.68],
  ['4\' 6 1/2"', 'length', 138.43],
  ['5½ in', 'length', 13.97],
  ['12 in', 'length', 30.48],
  ['1.2 m', 'length', 120],
  ['1,2 m', 'length', 120],
  ['1200 mm', 'length', 120],
  ['120cm', 'length', 120],
  ['a foot', 'length', 30.48],
  ['half a metre', 'length', 50],
  ['1 yd', 'length', 91.44],
  ['6 in 3 ft', 'length', null],
  ['3 ft 6', 'length', null],
  ['3 apples', 'length', null],
  ['3 kg', 'length', null],
  ['1.5 cu ft', 'volume', 42.475269888],
  ['3.8 cubic feet', 'volume', 107.604017],
  ['5 us gal', 'volume', 18.92705892],
  ['4 us quarts', 'volume', null],
  ['40 litres', 'volume', 40],
  ['40l', 'volume', 40],
  ['0.5 m3', 'volume', 500],
  ['2 cubic yards', 'volume', 1529.109716],
  ['5 imp gal', 'volume', 22.73045],
  ['2 lb 3 oz', 'weight', 0.992233309],
  ['500 g', 'weight', 0.5],
  ['50 lb', 'weight', 22.6796185],
  ['1 kilo', 'weight', 1],
]
describe('a length, volume or weight with units of its own', () => {
  test.each([...MEASURES])('“%s” as a %s', (text, dimension, value) => {
    const read = readMeasure(text, dimension, 'metric')
    if (value === null) expect(read?.kind ?? null).not.toBe('value')
    else expect(read).toMatchObject({ kind: 'value', value: expect.closeTo(value, 5) as number })
  })
  test('each unit is smaller than the one before it: the same twice is a slip', () => {
    expect(readMeasure("2' 3'", 'length', 'us')).toBeNull()
    expect(readMeasure('3 oz 2 lb', 'weight', 'us')).toBeNull()
    expect(readMeasure('2\' 3"', 'length', 'us')).toMatchObject({
      value: expect.closeTo(27 * 2.54, 6) as number,
    })
  })
  test('spaces are one, however many were typed', () => {
    expect(plainly(' 2   LB \t 3  oz ')).toBe('2 lb 3 oz')
    expect(readMeasure('2   lb   3  oz', 'weight', 'us')).toEqual(readMeasure('2 lb 3 oz', 'weight', 'us'))
  })
  test('what was said is an amount with its manner; a manner alone is none', () => {
    const said = { unit: 'g' as const, base: 'bucket' as const, of: 2 }
    expect(amountSaid(undefined)).toBeNull()
    expect(amountSaid(said)).toBeNull()
    expect(amountSaid({ ...said, value: 30 })).toEqual({ value: 30, manner: said })
    expect(amountSaid({ ...said, value: 30, materialId: 'pumice', spoons: 'us' })).toEqual({
      value: 30,
      manner: { ...said, materialId: 'pumice' },
      spoons: 'us',
    })
  })
  test('a gallon is asked about in metric units and taken in US ones', () => {
    expect(readMeasure('5 gal', 'volume', 'metric')).toEqual({ kind: 'whose', unit: 'gallon' })
    expect(readMeasure('5 gal', 'volume', 'us')).toMatchObject({ value: 5 * GAL })
    expect(readMeasure('1,200 mm', 'length', 'us')).toMatchObject({ kind: 'either' })
  })
})

describe('a dose by label', () => {
  const amount: Amount = { value: 30, manner: { unit: 'g', base: 'bucket', of: 1 } }
  const feed = (nitrogen: number, phosphate: number, potash: number) => ({
    id: 'x',
    label: { nitrogen, phosphate, potash },
  })
  const label = (text: string) => readLabel(text)!
  test('labels are read as they are printed', () => {
    expect(readLabel('4-4-4')).toEqual({ nitrogen: 4, phosphate: 4, potash: 4 })
    expect(readLabel('NPK 15:5:15')).toEqual({ nitrogen: 15, phosphate: 5, potash: 15 })
    expect(readLabel('0,5 - 1 - 2.5')).toEqual({ nitrogen: 0.5, phosphate: 1, potash: 2.5 })
    for (const bad of ['', '4-4', '4-4-4-4', 'a-b-c', '0-0-0', '60-60-10']) expect(readLabel(bad)).toBeNull()
  })
  test('15-15-15 for 4-4-4: a quarter of the weight, all three alike', () => {
    const dose = labelDose({ label: label('4-4-4'), amount }, feed(15, 15, 15), 'nitrogen', setting)
    if (!dose.ok) throw new Error(dose.problem.code)
    expect(dose.value.ratio).toBeCloseTo(4 / 15, 9)
    expect(dose.value.gramsPerLitre).toBeCloseTo((3 * 4) / 15, 9)
    expect(dose.value.changes.phosphate).toBeCloseTo(0, 9)
  })
  test('spoons of a recipe’s feed weigh what feeds like it weigh: meals are light, salts heavy', () => {
    const spoons: Amount = { value: 30, manner: { unit: 'mL', base: 'bucket', of: 1 } }
    const ofLabel = (text: string) => {
      const dose = labelDose({ label: label(text), amount: spoons }, feed(10, 10, 10), 'nitrogen', setting)
      return dose.ok ? dose.value.gramsPerLitre : NaN
    }
    // 3 mL a litre; at 25 % in all it still is a meal of 0.7 g/mL, above it a salt of 1 g/mL.
    expect(ofLabel('5-10-10')).toBeCloseTo(3 * 0.7 * (5 / 10), 9)
    expect(ofLabel('5-11-10')).toBeCloseTo(3 * 1 * (5 / 10), 9)
  })
  test('blood meal for a balanced feed brings no potash, and what the recipe has not is reported', () => {
    const dose = labelDose({ label: label('5-5-5'), amount }, feed(13, 1, 0), 'nitrogen', setting)
    if (!dose.ok) throw new Error(dose.problem.code)
    expect(dose.value.changes).toMatchObject({ potash: -1 })
    expect(dose.value.changes.phosphate).toBeCloseTo(1 / 13 - 1, 9)
    const back = labelDose({ label: label('13-0-0'), amount }, feed(5, 5, 5), 'nitrogen', setting)
    expect(back.ok && back.value.extra.potash).toBeCloseTo((3 * 13) / 100, 9)
    const none = labelDose({ label: label('13-0-0'), amount }, feed(5, 5, 5), 'potash', setting)
    expect(!none.ok && none.problem.code).toBe('no-dressing-for-target')
    const lost = labelDose({ label: label('4-4-4'), amount }, feed(5, 5, 5), 'nitrogen', {
      ...setting,
      bucket: 0,
    })
    expect(!lost.ok && lost.problem.code).toBe('size-not-positive')
  })
})

describe('what units are worth', () => {
  const NIST = 'NIST SP 811, appendix B'
  const checks: [string, string, string, number, () => number][] = [
    ['an ounce', NIST, 'g', 28.349523125, () => gramsIn('oz')],
    ['a pound', NIST, 'g', 453.59237, () => gramsIn('lb')],
    ['a cubic foot', NIST, 'L', 28.316846592, () => litresIn('cubicFoot', 'us')],
    ['a cubic yard', NIST, 'L', 764.554857984, () => litresIn('cubicYard', 'us')],
    ['a US cup', NIST, 'mL', 236.5882365, () => 1000 * litresIn('cup', 'us')],
    ['a US quart', NIST, 'L', 0.946352946, () => litresIn('quart', 'us')],
    ['an imperial gallon', NIST, 'L', 4.54609, () => litresIn('imperialGallon', 'us')],
  ]
  for (const [what, source, unit, expected, computed] of checks)
    outsideCheck({
      module: 'units',
      what,
      source,
      basis: 'standard',
      unit,
      expected,
      tolerance: 1e-7,
      computed,
    })
})
