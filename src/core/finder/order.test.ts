import { expect, test } from 'vitest'
import type { Finding } from '../appraisal'
import { PUBLISHED } from '../data'
import { inOrder, rankFound, type Found, type Look } from './order'
import type { Candidate } from './problem'

/** A recipe of so many parts of peat to one of perlite, missing its targets by so many steps. */
const recipe = (peat: number, cost: number, miss = 0): Candidate => ({
  parts: [
    { id: 'peat_medium', parts: peat },
    { id: 'perlite_coarse', parts: 1 },
  ],
  score: miss,
  misses: { airFilledPorosity: miss },
  balance: 0,
  figures: { costPerLitre: cost } as Candidate['figures'],
})
const peatOf = ({ parts }: Candidate) => parts[0]!.parts

test('what meets everything comes first, of that the cheaper, then the plainer; unknown cost comes last', () => {
  const cheap = recipe(9, 0.1)
  const plain = recipe(2, 0.2)
  const odd = recipe(8, 0.2)
  const unknown = recipe(1, 0)
  const near = recipe(3, 0.01, 0.3)
  const far = recipe(4, 0.01, 0.6)
  const list = inOrder({ families: [far, odd, unknown, near], front: [plain, cheap, odd] }, PUBLISHED)
  expect(list.map(peatOf)).toEqual([9, 2, 8, 1, 3, 4])
  // Two that miss alike to a fiftieth of a step are as good as each other: the cheaper first.
  const alike = [recipe(5, 0.3, 0.4), recipe(6, 0.2, 0.405)]
  expect(inOrder({ families: alike, front: [] }, PUBLISHED).map(peatOf)).toEqual([6, 5])
})

test('of those looked at, what less is said against; then the likelier by tenths; then what fits better', () => {
  const watch = [{ topic: 'ph-high', severity: 'watch' }] as Finding[]
  const grave = [{ topic: 'ph-low', severity: 'grave' }] as Finding[]
  const found = (
    peat: number,
    look: { findings: Finding[]; chance: number | null } | null,
    miss = 0,
  ): Found => ({
    candidate: recipe(peat, 0.1, miss),
    onFront: false,
    look: look as Look | null,
  })
  const order = (list: Found[]) => rankFound(list).map((f) => peatOf(f.candidate))
  expect(
    order([
      found(1, null),
      found(2, { findings: grave, chance: 1 }),
      found(3, { findings: watch, chance: 0.9 }),
      found(4, { findings: [], chance: 0.3 }),
      found(5, { findings: [], chance: 0.8 }),
      found(6, { findings: [], chance: null }),
      found(7, { findings: [], chance: 0 }),
    ]),
  ).toEqual([5, 4, 7, 6, 3, 2, 1])
  // 0.78 and 0.82 are one tenth: the better fit first, whichever way they came.
  const pair = [found(1, { findings: [], chance: 0.82 }, 0.5), found(2, { findings: [], chance: 0.78 }, 0.1)]
  expect(order(pair)).toEqual([2, 1])
  expect(order(pair.toReversed())).toEqual([2, 1])
})
