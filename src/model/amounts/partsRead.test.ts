import { expect, test } from 'vitest'
import { PUBLISHED } from '@/core/data'
import { startingPlan } from '../garden/starting'
import { flatOf } from '../mix/prepareRecipe'
import { mixOfARound } from '../make/useUp'
import { readParts } from './partsRead'

const FOOT = 28.316846592

test.each([
  ['9', 108],
  ['2½', 30],
  ['1/3', 4],
  ['half a part', 6],
  ['three', 36],
  ['1.25 parts', 15],
  // Buckets of 10 L.
  ['25 L', 30],
  ['5.5 cu ft', Math.round((12 * 5.5 * FOOT) / 10)],
  ['0', null],
  ['-2', null],
  ['some', null],
  ['', null],
  ['5000', null],
  ['4 kg', null],
])('D9: a part may be typed: “%s”', (text, twelfths) => expect(readParts(text, 10, 'metric')).toBe(twelfths))

test('B6: a bucket to each part makes what the parts of the recipe make together', () => {
  const parts = [
    { materialId: 'peat_medium', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 12 },
  ]
  const flat = flatOf(
    parts.map((p) => ({ id: p.materialId, parts: p.twelfths })),
    [],
    PUBLISHED,
  )
  if (!flat.ok) throw new Error(flat.problem.code)
  // Three buckets of 10 L, less what is lost in blending.
  const plan = { ...startingPlan('metric'), bucket: 10 }
  expect(mixOfARound({ parts, mixes: [], plan }, PUBLISHED)).toBeCloseTo(30 * (1 - flat.value.lossHere), 9)
  expect(mixOfARound({ parts: [], mixes: [], plan }, PUBLISHED)).toBeNull()
})
