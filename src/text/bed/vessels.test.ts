import { expect, test } from 'vitest'
import { sizesText } from './vessels'

test('the sizes of a vessel in one line, in the units of the garden: 61 cm are 24 inches', () => {
  const pot = { kind: 'roundPot', topDiameter: 60.96, baseDiameter: 50.8, height: 40.64 } as const
  expect(sizesText(pot, false, 'us')).toBe(
    'width across the top 24 in, width across the base 20 in, height 16 in',
  )
  // Straight sides have one width.
  expect(sizesText({ ...pot, baseDiameter: pot.topDiameter }, true, 'metric')).toBe(
    'width across the top 61 cm, height 40.6 cm',
  )
})
