import { expect, test } from 'vitest'
import { roomFor, within } from './endLabels'

test('a chart leaves room for its longest name, and never more than a third of itself', () => {
  expect(roomFor([], 600)).toBe(20)
  expect(roomFor(['pH', 'Potting mix'], 600)).toBe('Potting mix'.length * 7 + 20)
  expect(roomFor(['a very long name of a mix that nobody reads to its end'], 300)).toBe(100)
})
test('a name is cut where its room ends, and says so', () => {
  expect(within('expected', 56)).toBe('expected')
  expect(within('expected', 55)).toBe('expect…')
  expect(within('expected', 0)).toBe('…')
})
