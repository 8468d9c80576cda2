import { expect, test } from 'vitest'
import { startingTest } from '../learn/startingTest'
import type { Entry, Test } from '../garden/schemas'
import { readingsOf } from './readings'

const AT = '2026-06-01T10:00:00.000Z'
const done = (test: Test['test'], repeats: Test['repeats'], finishedAt: string | null = AT): Test => ({
  ...startingTest('t', test, { jobId: 'j' }, AT),
  finishedAt,
  repeats,
})
const noted = (kind: Entry['kind'], value: number | null, at = AT) =>
  ({ id: `${kind} ${at}`, jobId: 'j', at, kind, value, note: '', expected: null }) as unknown as Entry

test('a test speaks of what it read alone, and of nothing before it is finished', () => {
  const tests = [done('slurry', [{ pH: 6 }, { pH: 6.4 }]), done('dropTest', [{ seconds: 4 }])]
  expect(readingsOf('pH', { entries: [], tests })).toEqual([
    { at: AT, value: expect.closeTo(6.2, 9) as number },
  ])
  expect(readingsOf('salts', { entries: [], tests })).toEqual([])
  expect(readingsOf('pH', { entries: [], tests: [done('slurry', [{ pH: 6 }], null)] })).toEqual([])
})
test('the log and the tests go together, the oldest first; a line without a figure is none', () => {
  const [before, after] = ['2026-05-20T10:00:00.000Z', '2026-06-09T10:00:00.000Z']
  const entries = [
    noted('pH', 5.8, after),
    noted('pH', null, after),
    noted('pH', 6.6, before),
    noted('sunk', 3),
  ]
  const read = readingsOf('pH', { entries, tests: [done('slurry', [{ pH: 6 }])] })
  expect(read.map((r) => r.value)).toEqual([6.6, 6, 5.8])
  expect(readingsOf('sunk', { entries, tests: [] })).toEqual([{ at: AT, value: 3 }])
})
