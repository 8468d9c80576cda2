import { expect, test } from 'vitest'
import { FED, type Feeding } from '@/core/nutrients'
import { feedSpan, nutrientTable, nutrientWeeks, shortText } from './feed'

const each = <T>(value: T, change: Partial<Record<(typeof FED)[number], T>> = {}) => ({
  ...(Object.fromEntries(FED.map((e) => [e, value])) as Record<(typeof FED)[number], T>),
  ...change,
})
const feeding = (change: Partial<Feeding>): Feeding => ({
  weeks: each([{ day: 7, supply: 5, demand: 4, uptake: 3, leached: 0, pool: 2 }]),
  earlyNitrogen: 0,
  drawdown: 0,
  enough: each(4),
  met: each(1),
  fed: 1,
  limiting: 'nitrogen',
  shortFrom: each<number | null>(null),
  toFeed: each(0),
  ...change,
})

test('says how long it feeds and what runs short first, by the week before the first that lacks', () => {
  expect(feedSpan(feeding({}))).toBe('feeds it all season')
  const short = {
    met: each(1, { potassium: 0.4, sulfur: 0.5 }),
    shortFrom: each<number | null>(null, { potassium: 70, sulfur: 84 }),
  }
  // The tenth week is the first that lacks: nine weeks fed.
  expect(feedSpan(feeding(short))).toBe('9 weeks, then potassium runs short')
  expect(feedSpan(feeding({ ...short, shortFrom: each<number | null>(null, { sulfur: 7 }) }))).toBe(
    'short of sulfur from the start',
  )
  // Short for a week, made up for over the season: not named.
  expect(feedSpan(feeding({ met: each(0.97), shortFrom: each<number | null>(14) }))).toBe(
    'feeds it all season',
  )
})
test('names what is still to be given, each with its weight, and never nothing at all', () => {
  const met = each(1, { nitrogen: 0.5, potassium: 0.6 })
  expect(shortText(feeding({ met, toFeed: each(0, { nitrogen: 3, potassium: 1.2 }) }), 'metric')).toBe(
    '3.0 g of nitrogen and 1.2 g of potassium',
  )
  expect(shortText(feeding({ met, toFeed: each(0, { nitrogen: 0.02, potassium: 2 }) }), 'metric')).toBe(
    '2.0 g of potassium',
  )
  expect(shortText(feeding({ met, toFeed: each(0, { nitrogen: 0.02, potassium: 0.01 }) }), 'metric')).toMatch(
    /of nitrogen and .* of potassium/,
  )
})
test('the table has a row for each of six: taken up over the season, enough, share', () => {
  expect(nutrientTable(feeding({ met: each(0.75) })).rows[0]).toEqual(['Nitrogen', '3', '4', '75 %'])
  expect(nutrientTable(feeding({})).rows).toHaveLength(6)
})

test('the weeks as a picture: the first that runs short is marked in its week, the scarcest row first', () => {
  const week = (day: number, uptake: number) => ({ day, supply: 0, demand: 4, uptake, leached: 0, pool: 0 })
  const of = feeding({
    weeks: each([week(7, 4), week(14, 4), week(21, 4)], {
      potassium: [week(7, 4), week(14, 1), week(21, 5)],
    }),
    met: each(1, { potassium: 0.6 }),
    shortFrom: each<number | null>(null, { potassium: 14 }),
  })
  const { byWeek, label } = nutrientWeeks(of)
  expect(byWeek).toHaveLength(FED.length)
  // A quarter of what week 2 wants; more than is wanted is not drawn.
  expect(byWeek[0]).toEqual({
    name: 'Potassium',
    weeks: [
      { wanted: 1, met: 1 },
      { wanted: 1, met: 0.25 },
      { wanted: 1, met: 1 },
    ],
    shortFrom: 1,
    isFirst: true,
  })
  expect(byWeek.slice(1).every((r) => r.shortFrom === null && !r.isFirst)).toBe(true)
  expect(label).toContain(feedSpan(of))
})
