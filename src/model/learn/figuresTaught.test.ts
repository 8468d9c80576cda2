import { expect, test } from 'vitest'
import type { LearnedShelf } from '../garden/schemas'
import { readingsTaught } from './figuresTaught'

const row = (id: string, from: string[], ...names: string[]) => ({
  id,
  from,
  properties: names.map((name) => ({ name, low: 1, value: 2, high: 3 })),
})
const learned = {
  rows: [
    row('peat', ['a', 'b'], 'pH', 'waterAt10Cm'),
    row('bark', ['b', 'c'], 'bufferCapacity'),
    row('lime', ['d'], 'electricalConductivity', 'dryBulkDensity'),
    row('elsewhere', ['e', 'f'], 'pH', 'waterAt50Cm', 'analysis.nitrogen'),
  ],
} as unknown as LearnedShelf
const taught = readingsTaught(learned, new Set(['peat', 'bark', 'lime']))

test('readings behind a figure are those of the rows of the mix that it hangs on, each counted once', () => {
  // Of peat and bark, b of both; of peat alone; of lime alone, by its salts; of peat by its water and lime by weight.
  for (const [figure, count] of [
    ['pH', 3],
    ['pHAfterLime', 3],
    ['residualLime', 3],
    ['airFilledPorosity', 2],
    ['daysBetweenWaterings', 2],
    ['electricalConductivity', 1],
    ['drainedWeight', 3],
    ['floorLoad', 3],
    ['dryBulkDensity', 3],
    ['costPerLitre', 0],
  ] as const) {
    expect(taught(figure), figure).toBe(count)
    expect(taught(figure), figure).toBe(count)
  }
})
test('nothing learned teaches nothing', () => {
  expect(readingsTaught(undefined, new Set(['peat']))('pH')).toBe(0)
  expect(readingsTaught(learned, new Set())('pH')).toBe(0)
})
