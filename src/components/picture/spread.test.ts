import fc from 'fast-check'
import { expect, test } from 'vitest'
import { draws } from '@/core/testing/draws'
import { spread } from './spread'

test('labels that have room lie where they belong; those that touch share what is off', () => {
  expect(spread([10, 60, 90], { gap: 20, top: 0, bottom: 100 })).toEqual([10, 60, 90])
  // Two at one height: ten up, ten down.
  expect(spread([50, 50], { gap: 20, top: 0, bottom: 100 })).toEqual([40, 60])
  expect(spread([0, 0], { gap: 20, top: 0, bottom: 100 })).toEqual([0, 20])
  expect(spread([], { gap: 20, top: 0, bottom: 100 })).toEqual([])
})
test('whatever is labelled: none touch, none change places, none are off the drawing while there is room', () => {
  const heights = fc.array(fc.integer({ min: 0, max: 400 }), { maxLength: 9 })
  fc.assert(
    fc.property(heights, (list) => {
      const places = spread(list, { gap: 40, top: 0, bottom: 400 })
      const order = list.map((_, i) => i).sort((a, b) => places[a]! - places[b]!)
      for (const [k, i] of order.entries()) {
        expect(places[i]).toBeGreaterThanOrEqual(0)
        expect(places[i]).toBeLessThanOrEqual(400)
        if (k === 0) continue
        expect(places[i]! - places[order[k - 1]!]!).toBeGreaterThanOrEqual(40 - 1e-9)
        expect(list[i]).toBeGreaterThanOrEqual(list[order[k - 1]!]!)
      }
    }),
    draws(),
  )
})
