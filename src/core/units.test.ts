import { execFileSync } from 'node:child_process'
import { describe, expect, test } from 'vitest'
import { outsideCheck } from './testing/outsideCheck'
import {
  CM_PER_FOOT,
  CM_PER_INCH,
  GRAMS_PER_LITRE_PER_OUNCE_PER_US_GALLON,
  GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD,
  GRAMS_PER_OUNCE,
  KG_PER_POUND,
  KPA_PER_PSF,
  LITRES,
} from './units'

const NIST = 'NIST SP 811 (2008), appendix B'

describe('unit factors', () => {
  const exact: [string, number, number, string][] = [
    ['US gallon', LITRES.usGallon, 3.785412, 'L'],
    ['US liquid quart', LITRES.usQuart, 0.9463529, 'L'],
    ['US cup', LITRES.usCup, 0.2365882, 'L'],
    ['US teaspoon', LITRES.usTeaspoon, 0.004928922, 'L'],
    ['imperial gallon', LITRES.imperialGallon, 4.54609, 'L'],
    ['cubic foot', LITRES.cubicFoot, 28.31685, 'L'],
    ['cubic yard', LITRES.cubicYard, 764.5549, 'L'],
    ['pound', KG_PER_POUND, 0.4535924, 'kg'],
    ['ounce', GRAMS_PER_OUNCE, 28.34952, 'g'],
  ]
  for (const [what, computed, expected, unit] of exact)
    outsideCheck({
      module: 'units',
      what: `${what} in ${unit}`,
      source: NIST,
      basis: 'standard',
      unit,
      expected,
      // The tables print seven figures.
      tolerance: expected * 1e-6,
      computed: () => computed,
    })
  outsideCheck({
    module: 'units',
    what: 'one pound per cubic yard in grams per litre',
    source: NIST,
    basis: 'standard',
    unit: 'g/L',
    expected: 0.5932764,
    tolerance: 1e-6,
    computed: () => GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD,
  })
  outsideCheck({
    module: 'units',
    what: 'one pound-force per square foot in kilopascals',
    source: NIST,
    basis: 'standard',
    unit: 'kPa',
    expected: 0.04788026,
    tolerance: 1e-8,
    computed: () => KPA_PER_PSF,
  })

  test('hang together: 27 cubic feet, 4 quarts, 16 cups, 3 teaspoons', () => {
    expect(LITRES.cubicYard).toBeCloseTo(27 * LITRES.cubicFoot, 9)
    expect(LITRES.usGallon).toBeCloseTo(4 * LITRES.usQuart, 12)
    expect(LITRES.usGallon).toBeCloseTo(16 * LITRES.usCup, 12)
    expect(LITRES.usTablespoon).toBeCloseTo(3 * LITRES.usTeaspoon, 15)
    expect(LITRES.imperialBushel).toBeCloseTo(8 * LITRES.imperialGallon, 9)
    expect(CM_PER_FOOT).toBeCloseTo(12 * CM_PER_INCH, 12)
    expect(LITRES.cubicInch * 1000).toBeCloseTo(CM_PER_INCH ** 3, 9)
  })
})

/** Debian's `units`, where it is installed: an independent table of factors. */
function gnuUnits(from: string, to: string): number | null {
  try {
    return Number(execFileSync('units', ['-t', '-o', '%.12g', from, to]).toString().trim())
  } catch {
    return null
  }
}

describe.runIf(gnuUnits('1 inch', 'cm') !== null)('against GNU units', () => {
  const pairs: [string, string, number][] = [
    ['gallon', 'liter', LITRES.usGallon],
    ['brgallon', 'liter', LITRES.imperialGallon],
    ['brbushel', 'liter', LITRES.imperialBushel],
    ['foot^3', 'liter', LITRES.cubicFoot],
    ['yard^3', 'liter', LITRES.cubicYard],
    ['uscup', 'liter', LITRES.usCup],
    ['ustablespoon', 'liter', LITRES.usTablespoon],
    ['usteaspoon', 'liter', LITRES.usTeaspoon],
    ['pound', 'kg', KG_PER_POUND],
    ['pound/yard^3', 'g/liter', GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD],
    ['ounce/gallon', 'g/liter', GRAMS_PER_LITRE_PER_OUNCE_PER_US_GALLON],
    ['lbf/ft^2', 'kPa', KPA_PER_PSF],
  ]
  for (const [from, to, ours] of pairs)
    outsideCheck({
      module: 'units',
      what: `${from} in ${to}`,
      source: 'GNU units 2.22',
      basis: 'reference program',
      unit: to,
      expected: gnuUnits(from, to) ?? NaN,
      tolerance: ours * 1e-9,
      computed: () => ours,
    })
})
