import { once } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import type { Found } from '@/core/finder'
import { demoGarden } from '@/demo/demoGarden'
import { gainsText, givesUpText } from '@/text/mix/offers'
import { jobsOf } from '../garden/garden'
import type { Job } from '../garden/schemas'
import { bestOf } from '../mix/compare'
import { mixSources } from '../mix/mixSources'
import { threeMixes } from './threeMixes'

const found = (ids: string[], chance: number | null, costPerLitre: number, dosesPerLitre = 0): Found =>
  ({
    candidate: { parts: ids.map((id) => ({ id, parts: 1 })), misses: {}, figures: { costPerLitre } },
    onFront: false,
    look:
      chance === null
        ? null
        : {
            findings: [],
            feeds: [],
            chance,
            pH: 6.4,
            limeGramsPerLitre: 0,
            dosesPerLitre,
            air: 0.2,
            water: 0.2,
          },
  }) as unknown as Found

describe('three mixes to begin with', () => {
  const peat = once(() => found(['peat_medium', 'perlite_coarse'], 0.9, 0.3))
  const cheap = once(() => found(['peat_fine', 'sand_sharp'], 0.7, 0.1))
  const coir = once(() => found(['coir_pith', 'pumice'], 0.8, 0.4))
  const bark = once(() => found(['pine_bark_fine', 'pumice'], 0.5, 0.2))
  test('the likeliest, the cheapest of those hardly less likely, and one without peat', () => {
    const offers = threeMixes([peat(), coir(), cheap(), bark()], PUBLISHED)
    expect(offers.map((o) => o.reason)).toEqual(['likeliest', 'cheapest', 'peat-free'])
    expect(offers.map((o) => o.found)).toEqual([peat(), cheap(), coir()])
    expect(offers[1]!.against).toMatchObject({ saves: expect.closeTo(0.2, 9) as number })
    expect(gainsText(offers[1]!, 'metric')).toContain('0.200 less')
    expect(givesUpText(offers[1]!)).toContain('2 batches of 10 fewer')
    expect(givesUpText(offers[2]!)).toContain('costs more')
    expect(givesUpText(offers[0]!)).toBe('')
  })
  test('beside a first without peat another without is no offer for that', () => {
    const offers = threeMixes([coir(), bark(), peat()], PUBLISHED)
    expect(offers.map((o) => o.reason)).toContain('other')
    expect(offers.map((o) => o.reason)).not.toContain('peat-free')
  })
  test('one that is much less likely is not offered for its price, and what nobody looked at not at all', () => {
    const junk = found(['sand_sharp'], 0.2, 0.01)
    expect(threeMixes([peat(), junk], PUBLISHED).map((o) => o.reason)).toEqual(['likeliest', 'other'])
    expect(threeMixes([found(['peat_fine'], null, 0.1)], PUBLISHED)).toEqual([])
    expect(threeMixes([], PUBLISHED)).toEqual([])
  })
  test('doses count in the cost, unknown prices do not make a mix cheap, and three are enough', () => {
    const dear = found(['peat_fine', 'sand_sharp'], 0.9, 0.1, 0.5)
    const unknown = found(['leaf_mould'], 0.9, NaN)
    const offers = threeMixes([peat(), dear, unknown, coir(), bark()], PUBLISHED)
    expect(offers).toHaveLength(3)
    expect(offers[0]!.found).toBe(peat())
    expect(offers.find((o) => o.found === unknown)?.reason).toBe('peat-free')
    expect(offers.find((o) => o.found === dear)?.reason).not.toBe('cheapest')
    expect(
      gainsText(
        offers.find((o) => o.found === unknown)!,
        'metric',
      ),
    ).not.toContain('NaN')
  })
})

describe('the best others beside a mix', () => {
  const garden = once(() => demoGarden())
  const job = once(() => jobsOf(garden()).find((j): j is Job => j.id === 'peppers-27')!)
  const rivals = once(() =>
    mixSources(garden(), job())
      .filter((s) => s.kind !== 'bench' && !s.problem)
      .map((s) => ({ id: s.id, name: '', recipe: s.recipe, corners: [] })),
  )
  test('are those with the fewest faults, as many as asked for, whatever the order they stand in', () => {
    const two = bestOf(garden(), job(), rivals(), 2)
    expect(two).toHaveLength(2)
    expect(bestOf(garden(), job(), [...rivals()].reverse(), 2).sort()).toEqual([...two].sort())
    expect(bestOf(garden(), job(), rivals(), 1)).toEqual(two.slice(0, 1))
    const broken = { id: 'x', name: '', corners: [], recipe: { ...job(), parts: [] } }
    expect(bestOf(garden(), job(), [broken], 2)).toEqual([])
  })
})
