import { describe, expect, test } from 'vitest'
import { CLIMATES } from '@/core/climate/climates'
import { monthlyReference } from '@/core/climate'
import { PLACE_RANGES } from './climateLimits'
import { monthProblem, monthsFromText, placeProblem } from './climateSheet'
import { placeSchema } from '@/model/garden/schemas'
import { startingPlace } from '@/model/garden/starting'

const rows = (n = 12, cell = (i: number) => `${i},${i + 8},${50 + i}`) =>
  Array.from({ length: n }, (_, i) => cell(i)).join('\n')

describe('a climate from a sheet', () => {
  test('is read, with commas, tabs or semicolons, in either unit', () => {
    const metric = monthsFromText(`tmin,tmax,rain\n${rows()}`, 'metric')
    expect(metric.ok && metric.months[3]).toEqual({ tMin: 3, tMax: 11, rain: 53 })
    const us = monthsFromText(`T min\tT max\tRain\n${rows(12, () => '32\t50\t2')}`, 'us')
    expect(us.ok && us.months[0]).toEqual({ tMin: 0, tMax: 10, rain: 50.8 })
    const dry = monthsFromText(`tmin;tmax\n${rows(12, (i) => `${i},5;20`)}`, 'metric')
    expect(dry.ok && dry.months[2]).toEqual({ tMin: 2.5, tMax: 20, rain: 0 })
  })
  test.each([
    ['no headings', rows(), { column: 'heading' }],
    ['eleven months', `tmin,tmax\n${rows(11, () => '1,2')}`, { column: 'rows', text: '11' }],
    ['a word', `tmin,tmax\n${rows(12, (i) => (i === 4 ? 'cold,2' : '1,2'))}`, { row: 6, column: 'tmin' }],
    ['nights warmer than days', `tmin,tmax\n${rows(12, () => '9,2')}`, { row: 2, column: 'tmax' }],
    ['a furnace', `tmin,tmax\n${rows(12, () => '9,99')}`, { row: 2, column: 'tmax' }],
    ['a flood', `tmin,tmax,rain\n${rows(12, () => '9,20,9999')}`, { row: 2, column: 'rain' }],
    [
      'a cell too many',
      `tmin,tmax\n${rows(12, () => '1,9,3')}`,
      { row: 2, column: 'beyond the last column' },
    ],
    [
      'thousands or a fraction',
      `tmin,tmax,rain\n${rows(12, () => '1,9,"1,200"')}`,
      { row: 2, column: 'rain' },
    ],
    ['Fahrenheit for Celsius', `tmin,tmax\n${rows(12, (i) => `${20 + i},${38 + i}`)}`, { column: 'tmax' }],
    ['a month twice', `month,tmin,tmax\n${rows(12, () => 'May,1,9')}`, { row: 3, column: 'month' }],
    [
      'a month that is none',
      `month,tmin,tmax\n${rows(12, () => 'Brumaire,1,9')}`,
      { row: 2, column: 'month' },
    ],
    ['a heading twice', `tmin,tmin,tmax\n${rows(12, () => '1,2,9')}`, { row: 1, column: 'heading' }],
    ['hundreds of days', `tmin,tmax\n${rows(365, () => '1,9')}`, { column: 'rows', text: '365' }],
    ['years of days', `tmin,tmax\n${rows(900, () => '1,9')}`, { column: 'rows' }],
  ])('tells %s', (_what, text, problem) => {
    const read = monthsFromText(text, 'metric')
    expect(!read.ok && read.problem).toMatchObject(problem)
  })
  test('months may come in any order where they are named', () => {
    const names = ['Jul', 'aug', '9', '10', 'November', 'Dec', '1', '02', 'March', 'April', 'may', 'June']
    const read = monthsFromText(`month,tmin,tmax\n${rows(12, (i) => `${names[i]},${i},${i + 10}`)}`, 'metric')
    // The sheet begins in July: January is its seventh row.
    expect(read.ok && read.months.map((m) => m.tMin)).toEqual([6, 7, 8, 9, 10, 11, 0, 1, 2, 3, 4, 5])
  })
  test('a unit in the heading counts more than the grower’s', () => {
    const read = monthsFromText(`T min (°F),T max (°F),Rain (mm)\n${rows(12, () => '32,50,60')}`, 'metric')
    expect(read.ok && read.months[0]).toEqual({ tMin: 0, tMax: 10, rain: 60 })
    const other = monthsFromText(`tmin C\ttmax C\train in\n${rows(12, () => '1\t20\t2')}`, 'us')
    expect(other.ok && other.months[0]).toEqual({ tMin: 1, tMax: 20, rain: 50.8 })
  })
  test('Celsius for Fahrenheit and millimetres for inches are doubted', () => {
    const cold = monthsFromText(`tmin,tmax\n${rows(12, (i) => `${i},${i + 12}`)}`, 'us')
    expect(!cold.ok && cold.problem).toMatchObject({ column: 'tmax', text: '23 °F in the warmest month' })
    const wet = monthsFromText(`tmin,tmax,rain\n${rows(12, () => '50,70,60')}`, 'us')
    expect(!wet.ok && wet.problem.column).toBe('rain')
  })
  test('each limit of a place, of a month and of a year is tried from both sides', () => {
    const wrongIn = (tMin: number, tMax: number, rain: number) => {
      const read = monthsFromText(`tmin,tmax,rain\n${rows(12, () => `${tMin},${tMax},${rain}`)}`, 'metric')
      return read.ok ? null : read.problem.column
    }
    // The hottest places have 47 C, a garden has a month above 7, the wettest places have 12 m in a year.
    expect([wrongIn(20, 47.9, 10), wrongIn(20, 48.1, 10)]).toEqual([null, 'tmax'])
    expect([wrongIn(0, 7.1, 10), wrongIn(0, 6.9, 10)]).toEqual([null, 'tmax'])
    expect([wrongIn(10, 20, 999), wrongIn(10, 20, 1001)]).toEqual([null, 'rain'])
    const month = { tMin: 5, tMax: 10, rain: 50 }
    for (const [name, column] of [
      ['tMin', 'tmin'],
      ['tMax', 'tmax'],
      ['rain', 'rain'],
    ] as const) {
      const [low, high] = PLACE_RANGES[name]
      const at = (value: number) =>
        monthProblem({ ...month, ...(name === 'rain' ? {} : { tMin: -60, tMax: 55 }), [name]: value })
      expect([at(low), at(high)]).toEqual([null, null])
      expect([at(low - 0.1)?.column, at(high + 0.1)?.column]).toEqual([column, column])
    }
    expect(monthProblem({ tMin: 10, tMax: 9, rain: 0 })?.wanted).toBe('no colder than the nights')
    const place = startingPlace(CLIMATES[0]!)
    for (const field of [
      'latitude',
      'elevation',
      'waterAlkalinity',
      'waterEc',
      'coldestNight',
      'waterEvery',
    ] as const) {
      const [low, high] = PLACE_RANGES[field]
      const at = (value: number | null) => placeProblem({ ...place, [field]: value }, field)
      expect([at(low), at(high)]).toEqual([null, null])
      expect([at(low - 0.01), at(high + 0.01)]).toEqual(Array(2).fill(`between ${low} and ${high}`))
    }
    expect(placeProblem({ ...place, coldestNight: null }, 'coldestNight')).toBeNull()
  })
  test('the six to begin from are believable, differ, and make places', () => {
    expect(CLIMATES).toHaveLength(6)
    const julys = CLIMATES.map((c) => monthlyReference(c, 7))
    expect(new Set(julys.map((j) => j.toFixed(1))).size).toBeGreaterThanOrEqual(5)
    for (const c of CLIMATES) {
      for (const m of c.months) expect(monthProblem({ rain: 0, ...m }), c.id).toBeNull()
      const place = startingPlace(c)
      expect(placeSchema.parse(place)).toEqual(place)
      for (const field of ['latitude', 'elevation', 'waterAlkalinity', 'waterEc', 'waterEvery'] as const) {
        expect(placeProblem(place, field)).toBeNull()
        expect(placeProblem({ ...place, [field]: -999 }, field)).toContain('between')
      }
    }
  })
})
