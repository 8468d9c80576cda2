import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draws } from '../testing/draws'
import { outsideCheck } from '../testing/outsideCheck'
import { readSoil } from './soil'
import { SOIL_ELEMENTS, SOIL_METHODS } from './soilFields'

describe('reports on field soil', () => {
  test('every element has a band by every method, in order, and its ends count as enough', () => {
    for (const method of SOIL_METHODS)
      for (const element of SOIL_ELEMENTS) {
        const at = (value: number) => readSoil({ [element]: value }, method)[0]!
        const { low, high } = at(1).wanted
        expect(low, `${element} by ${method}`).toBeLessThan(high)
        expect(at(low).grade).toBe('enough')
        expect(at(high).grade).toBe('enough')
        expect(at(low * 0.99).grade).toBe('low')
        expect(at(high * 1.01).grade).toBe('high')
        expect(at(0).grade).toBe('veryLow')
      }
  })
  test('phosphorus by each method has a band of its own; what a method does not draw has that beside it', () => {
    const low = (method: (typeof SOIL_METHODS)[number]) => readSoil({ phosphorus: 1 }, method)[0]!.wanted.low
    // Olsen and Morgan draw less out of the same soil than Bray, and Bray less than Mehlich-3 (extension tables).
    expect(low('mehlich3')).toBeGreaterThan(low('bray'))
    expect(low('bray')).toBeGreaterThan(low('olsen'))
    expect(low('olsen')).toBeGreaterThan(low('morgan'))
    expect(readSoil({ iron: 5 }, 'olsen')[0]!.grade).toBe('enough')
    expect(readSoil({ iron: 5 }, 'mehlich3')[0]!.grade).toBe('veryLow')
  })
  test('more is never read as less, and what the report leaves out is left out', () => {
    const ORDER = ['veryLow', 'low', 'enough', 'high', 'veryHigh']
    fc.assert(
      fc.property(
        fc.constantFrom(...SOIL_ELEMENTS),
        fc.constantFrom(...SOIL_METHODS),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        (element, method, value, more) => {
          const grade = (v: number) => ORDER.indexOf(readSoil({ [element]: v }, method)[0]!.grade)
          expect(grade(value + more)).toBeGreaterThanOrEqual(grade(value))
        },
      ),
      draws(200),
    )
    expect(readSoil({}, 'mehlich3')).toEqual([])
  })
  outsideCheck({
    module: 'laboratory',
    what: 'Mehlich-3 phosphorus from which no more is given',
    source: 'Penn State and Rutgers vegetable bands: 100 to 120 mg/kg (from memory)',
    basis: 'published',
    unit: 'mg/kg',
    expected: { low: 100, high: 120 },
    tolerance: 0,
    computed: () => readSoil({ phosphorus: 1 }, 'mehlich3')[0]!.wanted.high,
  })
})
