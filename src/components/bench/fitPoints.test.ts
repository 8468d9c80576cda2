import { describe, expect, test } from 'vitest'
import type { Found } from '@/core/finder'
import { fitSentence } from '@/text/mix/finder'
import { FIT_ROOM, fitPoints } from './fitPoints'

const one = (id: string, cost: number, chance: number | null, score = 0): Found => ({
  candidate: {
    parts: [{ id, parts: 1 }],
    score,
    misses: score > 0 ? { pH: score } : {},
    balance: 0,
    figures: { costPerLitre: cost } as Found['candidate']['figures'],
  },
  onFront: false,
  look: chance === null ? null : ({ chance, dosesPerLitre: 0.05 } as Found['look']),
})
const SIZE = { width: 400, height: 200 }

describe('cost against fit', () => {
  const found = [
    one('peat_medium', 0.3, 0.9),
    one('compost_green', 0.1, 0.1),
    one('perlite_coarse', 0.2, 0.5),
  ]
  test('the cheapest lies left, the dearest right, half-way half-way; the surest highest; doses cost too', () => {
    const points = fitPoints(found, SIZE)
    expect(points.map((p) => p.rank)).toEqual([2, 3, 1])
    points.forEach((p, i) => expect(p.cost).toBeCloseTo([0.15, 0.25, 0.35][i]!, 9))
    const [cheap, middle, dear] = points
    expect([cheap!.x, dear!.x]).toEqual([FIT_ROOM.left, SIZE.width - FIT_ROOM.right])
    expect(middle!.x).toBeCloseTo((cheap!.x + dear!.x) / 2, 9)
    expect([cheap!.y, dear!.y]).toEqual([SIZE.height - FIT_ROOM.bottom, FIT_ROOM.top])
    expect(middle!.y).toBeCloseTo((cheap!.y + dear!.y) / 2, 9)
  })
  test('what has no price or no chance has no place, and keeps its number in the list', () => {
    const points = fitPoints([one('peat_fine', Infinity, 0.9), one('peat_fine', 0.1, null), ...found], SIZE)
    expect(points.map((p) => p.rank).sort()).toEqual([3, 4, 5])
  })
  test('on the front is what nothing beats in both; a miss counts against it', () => {
    const front = (list: Found[]) =>
      fitPoints(list, SIZE).flatMap((p) => (p.isFront ? [p.found.candidate.parts[0]!.id] : []))
    expect(front(found)).toEqual(['compost_green', 'perlite_coarse', 'peat_medium'])
    expect(front([one('peat_medium', 0.1, 0.9), ...found.slice(1)])).toEqual(['peat_medium'])
    expect(front([one('peat_medium', 0.1, 0, 0.4), one('compost_green', 0.2, 0, 0.1)])).toHaveLength(2)
  })
  test('says which is best and which is cheapest, in one sentence where they are one', () => {
    const said = fitSentence(fitPoints(found, SIZE), 'metric')
    expect(said).toMatch(/^Best: number 1, 1 medium peat, at .*0\.350? a litre\. Cheapest: number 2, /)
    expect(fitSentence(fitPoints([found[0]!], SIZE), 'metric')).toContain('number 1')
    expect(fitSentence([], 'metric')).toBe('')
  })
})
