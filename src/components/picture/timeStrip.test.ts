import fc from 'fast-check'
import { addDays, formatISO, parseISO } from 'date-fns'
import { describe, expect, test } from 'vitest'
import { draws } from '@/core/testing/draws'
import { timeStrip, type TimeItem } from './timeStrip'

const item = (id: string, on: string, until: string | null = null): TimeItem => ({
  id,
  title: 'Test the pH',
  on,
  until,
  state: 'open',
})

describe('a line of time', () => {
  test('runs over whole months; a day lies where it falls', () => {
    // April has 30 days and May 31: 61 days over 610 px are ten px each.
    const { items, columns, today } = timeStrip(
      [item('a', '2027-04-11'), item('b', '2027-05-02', '2027-05-12')],
      '2027-05-01',
      610,
    )
    expect(columns).toEqual([
      { x: 0, width: 300, month: 3, day: null },
      { x: 300, width: 310, month: 4, day: null },
    ])
    expect(items[0]!.x).toBeCloseTo(100, 9)
    expect(items[1]!.x).toBeCloseTo(310, 9)
    expect(items[1]!.width).toBeCloseTo(100, 9)
    expect(today).toBeCloseTo(300, 9)
  })
  test('today beyond its ends is not drawn; nothing is drawn of nothing', () => {
    expect(timeStrip([item('a', '2027-04-11')], '2027-06-01', 600).today).toBeNull()
    expect(timeStrip([], '2027-06-01', 600)).toEqual({ items: [], lanes: 0, columns: [], today: null })
  })
  test('a few days are divided into days, with room for the words of the last', () => {
    // Two days and four more after the second: six columns of a hundred px.
    const { columns, items } = timeStrip(
      [item('a', '2027-12-31'), item('b', '2028-01-01')],
      '2027-12-01',
      600,
    )
    expect(columns.map((c) => [c.day, c.month])).toEqual([
      [31, 11],
      [1, 0],
      [2, 0],
      [3, 0],
      [4, 0],
      [5, 0],
    ])
    expect(items[1]!.x).toBeCloseTo(100, 9)
  })
  test('words that would leave it on the right are on the left', () => {
    const { items } = timeStrip([item('a', '2027-04-02'), item('b', '2027-04-29')], '2027-04-01', 600)
    expect(items.map((i) => i.isLeft)).toEqual([false, true])
  })
  test('whatever is on it, no two bars of a lane touch, words included', () => {
    const day = fc.integer({ min: 0, max: 300 })
    const list = fc.array(fc.tuple(day, fc.option(fc.integer({ min: 1, max: 90 }))), {
      minLength: 1,
      maxLength: 14,
    })
    const iso = (n: number) => formatISO(addDays(parseISO('2027-03-01'), n), { representation: 'date' })
    fc.assert(
      fc.property(list, fc.integer({ min: 320, max: 1100 }), (all, width) => {
        const items = all.map(([on, long], i) => item(`${i}`, iso(on), long === null ? null : iso(on + long)))
        const strip = timeStrip(items, '2027-04-01', width)
        const words = 'Test the pH'.length * 7
        for (let lane = 0; lane < strip.lanes; lane++) {
          const spans = strip.items
            .filter((i) => i.lane === lane)
            .map((i) => (i.isLeft ? [i.textX - words, i.x + i.width] : [i.x, i.textX + words]))
            .sort((a, b) => a[0]! - b[0]!)
          spans.slice(1).forEach((s, k) => expect(s[0]).toBeGreaterThanOrEqual(spans[k]![1]!))
        }
        expect(strip.items).toHaveLength(all.length)
      }),
      draws(),
    )
  })
})
