import fc from 'fast-check'
import { addDays, formatISO, parseISO } from 'date-fns'
import { describe, expect, test } from 'vitest'
import { draws } from '@/core/testing/draws'
import { courseRow, ROW, type SmallCourse } from './timeCourses'
import { movedOn, timeStrip, type TimeItem } from './timeStrip'

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
  test('words that have no room beside their bar end in an ellipsis within the picture, and others are whole', () => {
    const long = { ...item('a', '2027-04-01', '2027-04-20'), title: 'Sphagnum peat: loosen and wet it' }
    const cut = timeStrip([long], '2027-04-01', 300).items[0]!
    expect(cut.title).toMatch(/^Sph.*…$/)
    // A letter takes seven px on the average.
    expect(cut.textX + 7 * cut.title.length).toBeLessThanOrEqual(300)
    expect(timeStrip([long], '2027-04-01', 1200).items[0]!.title).toBe(long.title)
  })
  test('today beyond its ends is not drawn; nothing is drawn of nothing', () => {
    expect(timeStrip([item('a', '2027-04-11')], '2027-06-01', 600).today).toBeNull()
    expect(timeStrip([], '2027-06-01', 600)).toMatchObject({ items: [], lanes: 0, columns: [], today: null })
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
  test('reaches back to the first day a task can be moved to', () => {
    const bound = { ...item('a', '2027-06-11'), movable: { from: '2027-04-20' } }
    expect(timeStrip([bound], '2027-04-20', 600).begin).toBe('2027-04-01')
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

describe('a task moved along the line', () => {
  // April and May: 61 days from 1 April.
  const strip = { begin: '2027-04-01', days: 61 }
  const task = (movable: NonNullable<TimeItem['movable']> = {}) => ({ ...item('a', '2027-04-11'), movable })
  test('goes by whole days, over the end of a month', () => {
    expect(movedOn(task(), -3, strip)).toBe('2027-04-08')
    expect(movedOn(task(), 21, strip)).toBe('2027-05-02')
  })
  test('keeps within the line, and within what it is bound to', () => {
    expect(movedOn(task(), -40, strip)).toBe('2027-04-01')
    expect(movedOn(task(), 400, strip)).toBe('2027-05-31')
    expect(movedOn(task({ to: '2027-04-13' }), 9, strip)).toBe('2027-04-13')
    expect(movedOn(task({ from: '2027-04-09' }), -9, strip)).toBe('2027-04-09')
  })
})

describe('a small course under the line', () => {
  // Ten px a day.
  const strip = timeStrip([item('a', '2027-04-11'), item('b', '2027-05-02')], '2027-05-01', 610)
  const course: SmallCourse = {
    id: 'pH',
    name: 'pH',
    label: '',
    expected: [
      { on: '2027-04-11', value: 5 },
      { on: '2027-05-11', value: 7 },
    ],
    read: [{ on: '2027-04-21', value: 6 }],
    suits: { low: 5, high: 7 },
    limit: null,
    isDown: false,
    write: (x) => x.toFixed(1),
  }
  test('lies on the days of the line; half the span is half the height', () => {
    const { line, read, from, to, band } = courseRow(course, strip, 610)
    const [first, last] = line.split(' ').map((p) => p.split(',').map(Number))
    expect(first![0]).toBeCloseTo(100, 9)
    expect(last![0]).toBeCloseTo(400, 9)
    expect(read[0]!.x).toBeCloseTo(200, 9)
    expect(read[0]!.y).toBeCloseTo((first![1]! + last![1]!) / 2, 1)
    expect(from).toBeCloseTo(100, 9)
    expect(to).toBeCloseTo(400, 9)
    // The band spans all there is: from the highest point to the lowest.
    expect(band!.y).toBeCloseTo(last![1]!, 1)
    expect(band!.y + band!.height).toBeCloseTo(first![1]!, 1)
  })
  test('what sinks goes down from nothing', () => {
    const { line } = courseRow({ ...course, suits: null, isDown: true }, strip, 610)
    const [first, last] = line.split(' ').map((p) => Number(p.split(',')[1]))
    expect(last!).toBeGreaterThan(first!)
    expect(last!).toBeLessThanOrEqual(ROW)
  })
  test('a limit is drawn where the values come near it, and the last figures have their words', () => {
    expect(courseRow({ ...course, limit: 20 }, strip, 610).limit).toBeNull()
    expect(courseRow({ ...course, limit: 8 }, strip, 610).limit).toBeLessThan(ROW / 2)
    expect(courseRow(course, strip, 610).words.map((w) => w.text)).toEqual(['6.0', '7.0'])
  })
})
