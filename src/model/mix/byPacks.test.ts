import { once } from '@/core/testing/once'
import { prepareJob } from '@/model/mix/evaluateJob'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import { shelfItem } from '@/model/garden/shelfEntry'
import { looseLitresOfPack } from '@/core/batch'
import { materialById } from '@/core/data'
import { demoGarden } from '@/demo/demoGarden'
import { changesOf } from '../garden/commands'
import { jobsOf, type Garden } from '../garden/garden'
import type { AnyData, Job } from '../garden/schemas'
import { quantitiesOf } from '../make/quantities'
import { useUpOffers } from '../make/useUp'
import { byPacks } from './byPacks'
import { recipeOf } from './versions'

const garden = once<Garden>(
  () =>
    new Map<string, AnyData>([
      ...demoGarden(),
      ['shelf/peat_medium', shelfItem('peat_medium', { kind: 'compressed', litres: 107 }, 20, 60)],
      ['shelf/perlite_coarse', shelfItem('perlite_coarse', { kind: 'loose', litres: 100 }, 18, 0)],
    ]),
)
const bale = once(() => looseLitresOfPack(materialById('peat_medium')!, { kind: 'compressed', litres: 107 }))

describe('a recipe by packs', () => {
  test('one bale and a bag and a half: buckets of what they give, and all of it is made', () => {
    const told = byPacks(
      garden(),
      [
        { materialId: 'peat_medium', count: 1 },
        { materialId: 'perlite_coarse', count: 1.5 },
        { materialId: 'pumice', count: 0 },
      ],
      10,
    )
    if (!told.ok) throw new Error(told.problem.code)
    expect(told.value.parts).toEqual([
      { materialId: 'peat_medium', twelfths: Math.round(1.2 * bale()) },
      { materialId: 'perlite_coarse', twelfths: 180 },
    ])
    // Fine grains fall between coarse ones: less than was tipped in, but not by much.
    expect(told.value.litres).toBeLessThan(bale() + 150)
    expect(told.value.litres).toBeGreaterThan(0.9 * (bale() + 150))
  })
  test('the job then makes that, by the mark just that, and one undo takes both back', () => {
    const told = byPacks(
      garden(),
      [
        { materialId: 'peat_medium', count: 1 },
        { materialId: 'perlite_coarse', count: 1 },
      ],
      10,
    )
    if (!told.ok) throw new Error(told.problem.code)
    const job = jobsOf(garden()).find((j) => j.parts.length > 1)!
    const changes = changesOf(garden(), {
      type: 'recipe/replace',
      jobId: job.id,
      recipe: { ...recipeOf(job), mixes: [], parts: told.value.parts },
      what: 'a mix by packs',
      amount: told.value.litres,
    })
    expect(changes).toHaveLength(1)
    const after = changes[0]!.after as Job
    const exact = quantitiesOf(
      { ...after, plan: { ...after.plan, rounding: 'exact' } },
      prepareJob({ ...after, plan: { ...after.plan, rounding: 'exact' } }, undefined, PUBLISHED),
    )
    if (!exact.ok) throw new Error(exact.problem.code)
    expect(exact.value.toBlend).toBeCloseTo(told.value.litres, 9)
    expect(exact.value.plan.blendLitres).toBeCloseTo(told.value.litres, 9)
    const peat = exact.value.plan.totals.find((t) => t.id === 'peat_medium')!
    expect(Math.abs(peat.litres / bale() - 1)).toBeLessThan(0.01)
    expect(exact.value.plan.largestShareError).toBe(0)
  })
  test('what makes no sense is reported', () => {
    const code = (materialId: string, count: number) => {
      const told = byPacks(garden(), [{ materialId, count }], 10)
      return told.ok ? 'ok' : told.problem.code
    }
    expect(code('moon_dust', 1)).toBe('unknown-material')
    expect(code('pumice', -1)).toBe('part-not-positive')
    expect(code('pumice', 0)).toBe('no-parts')
    expect(code('pumice', NaN)).toBe('part-not-positive')
  })
})

test('using up a pack or what is on hand tells how much mix that is', () => {
  const job = {
    parts: [
      { materialId: 'peat_medium', twelfths: 36 },
      { materialId: 'perlite_coarse', twelfths: 12 },
    ],
    mixes: [],
  } as unknown as Job
  const offers = useUpOffers(garden(), job)
  expect(offers.map((o) => [o.materialId, o.what])).toEqual([
    ['peat_medium', 'pack'],
    ['peat_medium', 'stock'],
    ['perlite_coarse', 'pack'],
  ])
  const [pack, stock, perlite] = offers
  expect(pack!.loose).toBeCloseTo(bale(), 9)
  expect(stock!.mix / stock!.loose).toBeCloseTo(pack!.mix / pack!.loose, 9)
  // Three of peat to one of perlite: a litre of perlite goes three times as far.
  expect(perlite!.mix / perlite!.loose).toBeCloseTo((3 * pack!.mix) / pack!.loose, 9)
})
