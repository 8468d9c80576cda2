import { expect, test } from 'vitest'
import { dotScale, EDGE, type DotRow } from './dotRows'

const row = (dots: number[], range?: DotRow['range']): DotRow => ({
  id: 'a',
  name: 'A',
  dots,
  at: dots[0]!,
  text: '',
  range,
})

test('one scale for all rows, from zero where asked: half the most lies half-way', () => {
  const at = dotScale([row([4]), row([2], { low: 1, high: 8 })], 120)
  expect([at(0), at(8)]).toEqual([EDGE, 120 - EDGE])
  expect(at(4)).toBeCloseTo(60, 9)
})
test('from the least to the most where it does not begin at zero; a limit lies within', () => {
  const at = dotScale([row([5, 7])], 120, { zero: false, also: [9] })
  expect([at(5), at(9)]).toEqual([EDGE, 120 - EDGE])
  expect(at(7)).toBeCloseTo(60, 9)
})
test('all alike lies somewhere, and within', () => {
  expect(dotScale([row([6])], 120, { zero: false })(6)).toBe(EDGE)
})
