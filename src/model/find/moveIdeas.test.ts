import { expect, test } from 'vitest'
import { PUBLISHED } from '@/core/data'
import { mayTake } from './moveIdeas'

/** Nothing of the mix is asked where nothing comes in. */
const take = (move: Parameters<typeof mayTake>[0]) =>
  mayTake(move, {} as never, { question: { tables: PUBLISHED } } as never)

test('what takes a part away brings nothing in that would have to be meant for the mix', () => {
  expect(take({ kind: 'takeAway', material: 'peat_medium', parts: 1 })).toBe(true)
})
