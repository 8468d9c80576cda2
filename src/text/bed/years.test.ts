import { describe, expect, test } from 'vitest'
import { CROPS } from '@/core/data'
import { GREEN_MANURES, phosphorusStore, waitOf } from '@/core/rotation'
import { greenText, leavesText, phosphorusText, planText, waitText } from './years'

const grew = (year: number, cropId: string) => [{ year, cropId }]

describe('beds over the years in words', () => {
  test('a wait names the family, the years and the rule; every family has its own words', () => {
    const says = (before: string, crop: string, years: number) =>
      waitText(crop, waitOf(grew(2027 - years, before), crop, 2027)!)
    expect(says('garlic', 'leek', 1)).toBe(
      'Too soon: the onion family grew here last year. Leave 4 years between, for white rot, for 15 years and more.',
    )
    expect(says('cabbage', 'kale', 2)).toBe(
      'A little soon: the cabbage family grew here 2 years before, and 4 years is the rule.',
    )
    expect(says('cabbage', 'kale', 4)).toBe('The cabbage family grew here 4 years before: long enough.')
    expect(says('cabbage', 'pea', 1)).toBe('No other of the bean and pea family is known here.')
    expect(says('raspberry', 'raspberry', 1)).toBe('It stays where it is.')
    for (const { id } of CROPS) expect(says(id, id, 9), id).not.toMatch(/same family|undefined/)
  })
  test('phosphorus: years never more than ten, none where a crop takes it, by the square yard in US units', () => {
    const year = (grams: number) => phosphorusStore([grams])
    expect(phosphorusText(null, 'metric')).toMatch(/^No compost/)
    expect(phosphorusText(year(4), 'metric')).toMatch(/^Crops use/)
    // 12.5 g less the 2.5 of a year's crop leave 10, which are four years.
    expect(phosphorusText(year(12.5), 'metric')).toContain('about 10 g/m² of phosphorus')
    expect(phosphorusText(year(12.5), 'metric')).toContain('none for 4 years.')
    expect(phosphorusText(year(90), 'metric')).toContain('none for 10 years and more.')
    // A square yard is 0.836 m2, an ounce 28.35 g: 100 g/m2 are 2.95 oz.
    expect(phosphorusText(year(102.5), 'us')).toContain('2.9 oz/sq yd')
  })
  test('green manures two at most; a plan without crops asks for them', () => {
    expect(greenText([], 'metric')).toBe('')
    expect(greenText(GREEN_MANURES.slice(0, 3), 'metric')).toMatch(
      /sow winter rye or winter tares and dig them in/,
    )
    const alone = greenText([GREEN_MANURES.find((g) => g.id === 'field_bean')!], 'metric')
    expect(alone).toContain('dig it in')
    expect(alone).toContain('8 g/m² to 15 g/m² of nitrogen, most of it from the air')
    // A square yard is 0.836 m2, an ounce 28.35 g: 8 and 15 g/m2 are 0.24 and 0.44 oz. Nothing metric in US units.
    const us = greenText([GREEN_MANURES.find((g) => g.id === 'field_bean')!], 'us')
    expect(us).toContain('0.2 oz/sq yd to 0.4 oz/sq yd')
    for (const text of [us, leavesText('pea', 'us'), leavesText('kale', 'us'), phosphorusText(null, 'us')])
      expect(text).not.toMatch(/m²|\d (cm|g)\b|square metre/)
    expect(leavesText('pea', 'metric')).toMatch(/^After pea: nitrogen/)
    expect(leavesText('fig', 'metric')).toBe('')
    expect(planText({ beds: [], leftOut: 0, crops: [], steps: [] })).toMatch(/^Say what grows/)
  })
})
