import { describe, expect, test } from 'vitest'
import { CLIMATES } from '@/core/data/climates'
import { monthlyReference } from '@/core/climate'
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
  ])('tells %s', (_what, text, problem) => {
    const read = monthsFromText(text, 'metric')
    expect(!read.ok && read.problem).toMatchObject(problem)
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
