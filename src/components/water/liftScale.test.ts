import { describe, expect, test } from 'vitest'
import { liftScale } from './liftScale'

describe('a scale from zero to the heavier weight', () => {
  test('puts a weight at its share, and marks round weights', () => {
    // 19 of 24 kg; eight marks would be 3 kg apart, the next round step is 5: 0, 5, 10, 15, 20.
    const { light, marks } = liftScale(19, 24)
    expect(light).toBeCloseTo(19 / 24, 12)
    expect(marks.map((m) => m * 24)).toEqual([0, 5, 10, 15, 20].map((kg) => expect.closeTo(kg, 9)))
  })
  test.each([0.4, 0.9, 3, 24, 57, 480])('of %d has four to nine marks, none beyond its end', (heavy) => {
    const { marks } = liftScale(heavy / 2, heavy)
    expect(marks.length).toBeGreaterThanOrEqual(4)
    expect(marks.length).toBeLessThanOrEqual(9)
    expect(marks.at(-1)).toBeLessThanOrEqual(1 + 1e-9)
  })
})
