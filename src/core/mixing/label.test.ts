import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { outsideCheck } from '../testing/outsideCheck'
import { labelShares } from '.'

const shares = (given: (number | null)[]) => {
  const found = labelShares(given)
  if (!found.ok) throw new Error(found.problem.code)
  return found.value
}
const list = fc
  .array(fc.option(fc.double({ min: 0.01, max: 0.2, noNaN: true }), { nil: null }), {
    minLength: 1,
    maxLength: 4,
  })
  .map((given) => [...given, null])

describe('shares from a label', () => {
  for (const [k, exact] of [11 / 18, 5 / 18, 2 / 18].entries())
    outsideCheck({
      module: 'mixing',
      what: `share ${k + 1} of three ingredients in falling order`,
      source: 'Whitworth, Choice and Chance: a stick broken in three, longest piece first',
      basis: 'published',
      unit: '',
      expected: exact,
      tolerance: 1e-12,
      computed: () => shares([null, null, null]).middle[k]!,
    })
  test('means are those of sticks broken at random', () => {
    // A linear congruential source, so that the same sticks are broken every time.
    let a = 7
    const random = () => (a = (Math.imul(a, 1664525) + 1013904223) >>> 0) / 2 ** 32
    const sums = [0, 0, 0, 0]
    const rounds = 20_000
    for (let i = 0; i < rounds; i++) {
      const cuts = [0, random(), random(), random(), 1].sort((x, y) => x - y)
      cuts
        .slice(1)
        .map((c, j) => c - cuts[j]!)
        .sort((x, y) => y - x)
        .forEach((piece, j) => (sums[j]! += piece))
    }
    shares([null, null, null, null]).middle.forEach((m, j) =>
      expect(Math.abs(m - sums[j]! / rounds)).toBeLessThan(0.005),
    )
  })
  test('sum to the whole, keep what is said, fall in order; so do the corners', () => {
    fc.assert(
      fc.property(list, (given) => {
        const { middle, corners } = shares(given)
        for (const one of [middle, ...corners]) {
          expect(one.reduce((s, x) => s + x, 0)).toBeCloseTo(1, 9)
          given.forEach((share, i) => share !== null && expect(one[i]).toBe(share))
          const open = one.filter((_, i) => given[i] === null)
          open.forEach((x, i) => i > 0 && expect(x).toBeLessThanOrEqual(open[i - 1]! + 1e-12))
        }
        expect(corners).toHaveLength(given.filter((share) => share === null).length)
      }),
      draws(),
    )
  })
  test('a share is more than none and at most all', () => {
    for (const share of [0, -0.1, 1.01, NaN])
      expect(labelShares([share, null])).toMatchObject({ ok: false, problem: { code: 'value-out-of-range' } })
    expect(labelShares([1])).toMatchObject({ ok: true })
  })
  test('shares a label has rounded are made whole; those that cannot be are refused', () => {
    expect(shares([0.5, 0.33, 0.16]).middle.reduce((s, x) => s + x, 0)).toBeCloseTo(1, 12)
    const code = (given: (number | null)[]) => {
      const found = labelShares(given)
      return found.ok ? 'fine' : found.problem.code
    }
    expect(code([])).toBe('no-parts')
    expect(code([0.5, 0.3])).toBe('shares-do-not-add-up')
    expect(code([0.7, 0.3, null])).toBe('shares-do-not-add-up')
    expect(code([0.7, 0.5])).toBe('shares-do-not-add-up')
    expect(code([-0.1, null])).toBe('value-out-of-range')
    expect(code([60, null])).toBe('value-out-of-range')
  })
})
