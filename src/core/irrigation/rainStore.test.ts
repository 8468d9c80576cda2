import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draws } from '../testing/draws'
import { barrelFor, rainYear, ROOF_LIMITS, type RainStoreQuestion } from '.'

const twelve = <T>(one: T) => Array.from({ length: 12 }, () => one)
const year = fc.array(fc.double({ min: 0, max: 150, noNaN: true }), { minLength: 12, maxLength: 12 })
const question: fc.Arbitrary<RainStoreQuestion> = fc.record({
  rain: year,
  use: year,
  roof: fc.double({ min: 0, max: 200, noNaN: true }),
  barrel: fc.double({ min: 0, max: 5000, noNaN: true }),
})

describe('rain in a barrel', () => {
  test('a month of 60 mm on 20 m2: ten falls of 6 mm, half a millimetre of each let go, four fifths caught', () => {
    const { months } = rainYear({ rain: twelve(60), use: twelve(0), roof: 20, barrel: 1e6 })
    for (const m of months) expect(m.caught).toBeCloseTo(10 * 5.5 * 20 * 0.8, 9)
  })
  test('nothing is made or lost', () => {
    fc.assert(
      fc.property(question, (q) => {
        const { months, stored, share } = rainYear(q)
        const sum = (of: 'caught' | 'used' | 'overflow') => months.reduce((s, m) => s + m[of], 0)
        expect(sum('caught') - sum('used') - sum('overflow')).toBeCloseTo(stored, 5)
        expect(share).toBeGreaterThanOrEqual(0)
        expect(share).toBeLessThanOrEqual(1 + 1e-12)
        for (const m of months) expect(m.used).toBeLessThanOrEqual(m.wanted + 1e-9)
      }),
      draws(200),
    )
  })
  test('a larger barrel or roof never gives less, and thirst never more', () => {
    fc.assert(
      fc.property(question, fc.double({ min: 1, max: 3, noNaN: true }), (q, times) => {
        const before = rainYear(q)
        for (const more of [{ barrel: q.barrel * times }, { roof: q.roof * times }]) {
          const after = rainYear({ ...q, ...more })
          expect(after.share).toBeGreaterThanOrEqual(before.share - 1e-9)
          expect(after.without).toBeLessThanOrEqual(before.without)
        }
      }),
      draws(100),
    )
  })
  test('steady rain of more than is wanted leaves no day without, once a barrel holds what lies between two falls', () => {
    const q = { rain: twelve(60), use: twelve(10), roof: 20 }
    expect(rainYear({ ...q, barrel: 200 }).without).toBe(0)
    // Less than a day is wanted: every day between falls is without.
    expect(rainYear({ ...q, barrel: 0 }).without).toBeGreaterThan(200)
    expect(barrelFor(q, 1)).toBe(100)
    expect(barrelFor({ ...q, rain: twelve(0) }, 0.5)).toBeNull()
  })
  test('rain that only washes the roof is not caught, and a little more is', () => {
    const least = ROOF_LIMITS.firstFlush.value * ROOF_LIMITS.falls.value
    const caught = (mm: number) =>
      rainYear({ rain: twelve(mm), use: twelve(0), roof: 10, barrel: 100 }).months[0]!.caught
    expect(caught(least)).toBe(0)
    expect(caught(least * 1.01)).toBeGreaterThan(0)
  })
})
