import { expect, test } from 'vitest'
import { soilFollows } from './soilReport'

test('a report on field soil: each element with its band, what to give where it is low, what to leave where it is high', () => {
  // Mehlich-3 bands of vegetables: phosphorus 35 to 110, potassium 110 to 300, magnesium 70 to 300 mg/kg.
  const said = soilFollows(
    [{ soilMethod: 0, soilPhosphorus: 240, soilPotassium: 80, soilMagnesium: 150 }],
    'metric',
  )
  expect(said[0]).toMatch(/^Phosphorus 240 mg\/kg is far too high \(35 to 110 is enough\)\. Give no compost/)
  expect(said[1]).toMatch(
    /^Potassium 80 mg\/kg is low \(110 to 300 is enough\)\. Give 20 to 40 g\/m² of potassium/,
  )
  expect(said[2]).toBe('Magnesium 150 mg/kg is enough.')
  expect(said.at(-1)).toMatch(/What your laboratory advises/)
  // 20 g/m2 are 0.59 oz on a square yard of 0.836 m2.
  expect(soilFollows([{ soilPotassium: 80 }], 'us')[0]).toContain('0.6 to 1.2 oz/sq yd')
  // Olsen draws less out of the same soil: its band ends at 45 mg/kg.
  expect(soilFollows([{ soilMethod: 2, soilPhosphorus: 50 }], 'metric')[0]).toContain('is high (15 to 45')
  expect(soilFollows([{}], 'metric')).toEqual([])
  expect(soilFollows([], 'metric')).toEqual([])
})
