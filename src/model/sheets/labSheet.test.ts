import { describe, expect, test } from 'vitest'
import { labFromText } from './labSheet'

describe('a report as it is pasted', () => {
  test('names, values and units as laboratories print them', () => {
    const { figures, problems } = labFromText(
      [
        'Analysis;Result;Unit',
        'pH;6,1;',
        'EC;1850;µS/cm',
        'NO3;400;mg/l',
        'P2O5\t20\tmg/L',
        'K, 3.2, mmol/L',
        'Magnesium: 45 ppm',
        'B 250 µg/L',
      ].join('\n'),
    )
    expect(problems).toEqual([])
    expect(figures.pH).toBe(6.1)
    expect(figures.salts).toBeCloseTo(1.85, 12)
    // 14.007 / 62.004 of nitrate is nitrogen; 61.95 / 141.94 of P2O5 is phosphorus; 39.098 mg to a mmol of potassium.
    expect(figures.nitrogen).toBeCloseTo(90.36, 1)
    expect(figures.phosphorus).toBeCloseTo(8.73, 2)
    expect(figures.potassium).toBeCloseTo(125.1, 1)
    expect(figures.magnesium).toBe(45)
    expect(figures.boron).toBeCloseTo(0.25, 12)
  })
  test('nitrate and ammonium together are the nitrogen, but for a report that gives it itself', () => {
    expect(labFromText('NO3-N 60 mg/L\nNH4-N 20 mg/L').figures).toEqual({ nitrogen: 80, ammonium: 20 })
    expect(labFromText('N 90 mg/L\nNH4-N 20 mg/L').figures).toEqual({ nitrogen: 90, ammonium: 20 })
    expect(labFromText('NO3 10 mmol/L').figures.nitrogen).toBeCloseTo(140.07, 1)
  })
  test('a line nobody can read is named with its number, and the others are taken', () => {
    const { figures, problems } = labFromText('pH 6\nFluoride 0.3 mg/L\nK some\nCa 100 lb/acre\n\nMg 20')
    expect(figures).toEqual({ pH: 6, magnesium: 20 })
    expect(problems).toEqual([
      { row: 2, code: 'unknown-name', text: 'Fluoride' },
      { row: 3, code: 'no-number', text: 'K some' },
      { row: 4, code: 'unknown-unit', text: 'Ca: lb/acre' },
    ])
  })
  test('nothing is read of nothing', () => expect(labFromText(' \n')).toEqual({ figures: {}, problems: [] }))
})
