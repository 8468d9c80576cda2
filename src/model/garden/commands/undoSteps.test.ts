import { expect, test } from 'vitest'
import { mergeKeyOf, type Command } from '.'

/** Two commands of one type: those that undo as one, and those that are two steps. */
const pair = (one: object, other: object): [Command, Command] => [one as Command, other as Command]
const AS_ONE: [Command, Command][] = [
  ...(['job/rename', 'job/note', 'job/amount', 'job/plan', 'job/planting'] as const).map((type) =>
    pair({ type, jobId: 'a', name: 'x' }, { type, jobId: 'a', name: 'xy' }),
  ),
  pair(
    { type: 'step/move', jobId: 'a', step: 'feed', on: '1' },
    { type: 'step/move', jobId: 'a', step: 'feed' },
  ),
  pair(
    { type: 'mix/lime', jobId: 'a', lime: { target: 6 } },
    { type: 'mix/lime', jobId: 'a', lime: { target: 6.4 } },
  ),
  pair({ type: 'place/set', field: 'elevation' }, { type: 'place/set', field: 'elevation' }),
  pair({ type: 'job/band', jobId: 'a', target: 'pH' }, { type: 'job/band', jobId: 'a', target: 'pH' }),
  pair({ type: 'bed/change', bedId: 'b' }, { type: 'bed/change', bedId: 'b' }),
  ...(['jobBed/change', 'jobBed/spec'] as const).map((type) =>
    pair({ type, jobId: 'a', fillId: 'f' }, { type, jobId: 'a', fillId: 'f' }),
  ),
  pair(
    { type: 'dressing/set', jobId: 'a', line: { id: 'l', gramsPerLitre: 1 } },
    { type: 'dressing/set', jobId: 'a', line: { id: 'l', gramsPerLitre: 2 } },
  ),
  pair(
    { type: 'version/edit', jobId: 'a', versionId: 'v' },
    { type: 'version/edit', jobId: 'a', versionId: 'v' },
  ),
  pair({ type: 'record/edit', recordId: 'r' }, { type: 'record/edit', recordId: 'r' }),
  pair({ type: 'shelf/set', item: { materialId: 'm' } }, { type: 'shelf/set', item: { materialId: 'm' } }),
  ...(
    [
      ['bed/years', 'years'],
      ['heap/set', 'heap'],
      ['test/set', 'test'],
    ] as const
  ).map(([type, of]) => pair({ type, [of]: { id: 'i' }, what: 'w' }, { type, [of]: { id: 'i' }, what: 'w' })),
  pair(
    { type: 'dressingPack/set', item: { dressingId: 'd' } },
    { type: 'dressingPack/set', item: { dressingId: 'd' } },
  ),
]
/** The same of another thing: every word of the key that differs makes two steps. */
const otherwise = (command: Command): Command[] =>
  Object.entries(command).flatMap(([name, value]): Command[] => {
    if (['type', 'name', 'on', 'lime', 'what'].includes(name)) return []
    const id = Object.keys(value as object).find((k) => /id$/i.test(k)) ?? 'id'
    const other = typeof value === 'object' ? { ...(value as object), [id]: 'another' } : 'another'
    return [{ ...command, [name]: other } as Command]
  })

test.each(AS_ONE)('%o and %o undo as one step; of another thing as two', (one, next) => {
  expect(mergeKeyOf(one)).not.toBeNull()
  expect(mergeKeyOf(next)).toBe(mergeKeyOf(one))
  const others = otherwise(one)
  expect(others.length).toBeGreaterThan(0)
  for (const other of others) expect(mergeKeyOf(other), JSON.stringify(other)).not.toBe(mergeKeyOf(one))
})

test('keys of one type are not those of another', () => {
  const keys = AS_ONE.map(([one]) => mergeKeyOf(one))
  expect(new Set(keys).size).toBe(keys.length)
})

test('another way of giving lime, a place taken whole, and what is pressed and not typed are steps of their own', () => {
  const alone = [
    { type: 'mix/lime', jobId: 'a', lime: { mode: 'none' } },
    { type: 'place/set', place: {} },
    { type: 'part/add', jobId: 'a', materialId: 'm', twelfths: 12 },
    { type: 'job/remove', jobId: 'a' },
  ] as unknown as Command[]
  expect(alone.map(mergeKeyOf)).toEqual(alone.map(() => null))
})
