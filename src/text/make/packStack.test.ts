import { expect, test } from 'vitest'
import { rateNumber, rateText } from '../base/units'
import { fillingMark } from '../bed/filling'
import { packStack } from '@/model/make/packStack'

const line = (stock: number, counts: readonly [litres: number, count: number][], need: number) => {
  const bought = counts.reduce((sum, [litres, count]) => sum + litres * count, 0)
  return {
    litres: need,
    screened: 0,
    packs: counts.map(([litres, count]) => ({ offer: {} as never, litres, count })),
    purchase: { leftover: stock + bought - need } as never,
  }
}
test('a stack is what is there and the packs; together they are what is needed and what is left', () => {
  // 35 L on the shelf and a bag of 100 L, of which 50 L are needed: 85 L stay.
  expect(packStack(line(35, [[100, 1]], 50))).toEqual({ need: 50, there: 35, packs: [100], left: 85 })
  expect(packStack(line(60, [[100, 0]], 50))).toEqual({ need: 50, there: 60, packs: [], left: 10 })
  expect(
    packStack(
      line(
        0,
        [
          [20, 2],
          [70, 1],
        ],
        90,
      ),
    ),
  ).toEqual({ need: 90, there: 0, packs: [20, 20, 70], left: 20 })
})
test('a lift is in buckets by the quarter, small ones in litres', () => {
  const mark = (loose: number) =>
    fillingMark({ code: 'lift', number: 1, of: 1, loose, belowRim: 14, pile: null }, 10, 'metric')
  // 23.8 L in buckets of 10 L is 2.38, nearer to a half than to a quarter; 19 and 29 would be 2 and 3.
  expect(mark(23.8)).toEqual({ title: '2½ buckets', text: 'to 14 cm below the rim' })
  expect([mark(19), mark(29), mark(3.7)].map((m) => m!.title)).toEqual(['2 buckets', '3 buckets', '3.7 L'])
})
test('a chart counts money as a number, whatever sign a sum is shown with', () => {
  expect(rateNumber(0.15, 'metric')).toBe(0.15)
  // A US gallon is 3.785 L.
  expect(rateNumber(0.15, 'us')).toBeCloseTo(0.15 * 3.785, 3)
  expect(rateText(0.15, 'metric')).toBe('0.15/L')
})
