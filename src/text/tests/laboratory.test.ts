import { describe, expect, test } from 'vitest'
import { LAB_METHODS } from '@/core/laboratory'
import { labFollows, type LabAsked } from './laboratory'
import { metalsFollow } from './metals'

const asked: LabAsked = { group: 'medium', doses: [], litres: 40 }
const method = (name: (typeof LAB_METHODS)[number]) => LAB_METHODS.indexOf(name)

describe('a laboratory report in words', () => {
  test('says what it is read by, and that all is well where it is', () => {
    const fine = { method: 0, pH: 6.2, salts: 1.8, nitrogen: 90, potassium: 130, calcium: 150, magnesium: 60 }
    expect(labFollows([fine], { asked, nitrogenExpected: null }, 'metric')).toEqual([
      'Read for most crops. Every figure is as it should be.',
    ])
  })
  test('a figure that is off, as a saturated extract, with the range of its method and what is best', () => {
    // 11 mg/L with one part in two of water: 11 / 0.37 is 30; 11 / 0.5 and 11 / 0.28 are 22 and 39.
    const [, line] = labFollows(
      [{ method: method('oneToTwo'), nitrogen: 11 }],
      { asked, nitrogenExpected: null },
      'metric',
    )
    expect(line).toBe('Nitrogen is low: 30 (22 to 39) mg/L in a saturated extract, best 45 to 150.')
    expect(labFollows([{ method: 0, salts: 0.3 }], { asked, nitrogenExpected: null }, 'metric')[1]).toMatch(
      /^Salts are very low: 0\.30 dS\/m/,
    )
  })
  test('where the range reaches into another verdict, it says so', () => {
    const [, line] = labFollows(
      [{ method: method('oneToTwo'), nitrogen: 14 }],
      { asked, nitrogenExpected: null },
      'metric',
    )
    expect(line).toContain('The method leaves that open: test again before you act.')
  })
  test('doubtful units come before any figure', () => {
    const odd = { method: 0, salts: 0.18, nitrogen: 1, potassium: 130, calcium: 150, magnesium: 60 }
    expect(labFollows([odd], { asked, nitrogenExpected: null }, 'metric')[1]).toMatch(
      /check the units and the method first/,
    )
  })
  test('a dose over all beds, and the most of it where it is held back', () => {
    const dose = {
      figure: 'magnesium' as const,
      dressingId: 'magnesium_sulfate',
      gramsPerLitre: 0.3,
      grams: 12,
      bulkDensity: 1,
      held: true,
    }
    const said = labFollows(
      [{ method: 0, magnesium: 5 }],
      { asked: { ...asked, doses: [dose] }, nitrogenExpected: null },
      'metric',
    ).at(-1)!
    expect(said).toMatch(/^Magnesium: 12 g, .*, of magnesium sulfate .* over all 40 L/)
    expect(said).toContain('test again before more')
    // By units that cannot be right nothing is weighed out.
    const odd = { method: 0, salts: 0.05, potassium: 130, calcium: 150, magnesium: 5 }
    expect(
      labFollows([odd], { asked: { ...asked, doses: [dose] }, nitrogenExpected: null }, 'metric').join(' '),
    ).not.toContain('of magnesium sulfate')
  })
  test('nitrogen beside its course: within a factor of 1.5 it holds, below that feed sooner, above later', () => {
    const beside = (read: number, expected: number) =>
      labFollows([{ method: 0, nitrogen: read }], { asked, nitrogenExpected: expected }, 'metric').at(-1)!
    expect(beside(90, 120)).toBe('120 mg/L of nitrogen was predicted for this week: the course holds.')
    expect(beside(60, 120)).toContain('Begin to feed sooner.')
    expect(beside(140, 60)).toContain('Feed later, and less.')
    // Of next to nothing a factor says nothing.
    expect(beside(4, 9)).toContain('the course holds')
  })
  test('nothing is said of nothing', () =>
    expect(labFollows([{}], { asked, nitrogenExpected: null }, 'metric')).toEqual([]))
})

describe('metals in words', () => {
  const figure = (mean: number) => ({ mean, spread: null, apart: 0, count: 1 })
  test('the limits that are passed and those that are kept, each by name and year, and what to do', () => {
    const [lead, ask] = metalsFollow({ soilLead: figure(150) }, true)
    expect(lead).toContain('Lead 150 mg/kg is above 70 (Canada CCME, farm land 1999)')
    expect(lead).toContain('and keeps 200 (US EPA residential guidance 2024)')
    expect(lead).toContain('No leaf or root crops for small children')
    expect(ask).toContain('follow your local rules')
  })
  test('compost is read by limits of compost', () => {
    expect(metalsFollow({ soilLead: figure(150) }, false)[0]).toContain('EU 2019/1009')
    expect(metalsFollow({}, true)).toEqual([])
  })
})
