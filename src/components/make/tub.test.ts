import { describe, expect, test } from 'vitest'
import { materialById } from '@/core/data'
import { volumeBelow } from '@/core/geometry'
import { tickOf } from '@/model/garden/commands'
import type { CardLine } from '@/model/make/batchCard'
import { bandCorners } from '../picture/bandCorners'
import { tubBands, tubShape } from './tub'

const measure = (id: string, litres: number): CardLine => ({
  kind: 'measure',
  id,
  what: { material: materialById(id)! },
  twelfths: 12,
  scoopTwelfths: 0,
  litres,
})
const card = {
  index: 1,
  lines: [measure('peat_medium', 20), measure('compost_green', 10), measure('perlite_coarse', 5)],
}

describe('the tub of a batch', () => {
  test('holds what it is said to, in its usual proportions', () => {
    for (const litres of [12, 40, 90]) {
      const shape = tubShape(litres)
      if (shape.kind !== 'roundPot') throw new Error('a tub is round')
      expect(volumeBelow(shape, shape.height)).toBeCloseTo(litres, 6)
      expect(shape.topDiameter / shape.height).toBeCloseTo(1.5, 9)
    }
  })
  test('what is ticked lies below, the next on it, the rest on top: each with its litres', () => {
    const shape = tubShape(60)
    const bands = tubBands(card, new Set([tickOf(1, 'compost_green'), tickOf(0, 'peat_medium')]), shape)
    expect(bands.map((b) => [b.line.id, b.state])).toEqual([
      ['compost_green', 'in'],
      ['peat_medium', 'next'],
      ['perlite_coarse', 'out'],
    ])
    for (const { line, from, to } of bands)
      expect(volumeBelow(shape, to) - volumeBelow(shape, from)).toBeCloseTo(line.litres, 3)
    expect(
      tubBands(card, new Set(card.lines.map((l) => tickOf(1, l.id))), shape).map((b) => b.state),
    ).toEqual(['in', 'in', 'in'])
  })
  test('is drawn about its middle, wider above', () => {
    const shape = tubShape(60)
    const at = { middle: 100, scale: 2, y: (cm: number) => 200 - 2 * cm }
    const [a, b, c, d] = bandCorners(shape, { from: 0, to: 10 }, at)
      .split(' ')
      .map((p) => p.split(',').map(Number))
    expect(a![0]! + d![0]!).toBeCloseTo(200, 6)
    expect(b![0]! + c![0]!).toBeCloseTo(200, 6)
    expect(c![0]! - b![0]!).toBeGreaterThan(d![0]! - a![0]!)
    expect([a![1], b![1]]).toEqual([200, 180])
  })
})
