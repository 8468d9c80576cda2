import { describe, expect, test } from 'vitest'
import { needsWhileAway } from '@/core/watering'
import type { AwayAnswer } from '@/model/water/away'
import { awayFragment, readAwaySheet } from '@/model/water/awaySheet'
import { awayText, helpsText, sheetNotes, weighsText, wickText } from './away'

const DAYS = Array.from({ length: 40 }, (_, i) => new Date(2027, 6, 1 + i))
const iso = (day: number) => {
  const d = DAYS[day]!
  return `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`
}
/** A stay from 1 July 2027 on. */
const stay = (untilThirst: number, days: number, timesADay = 1): AwayAnswer => {
  const needs = needsWhileAway(
    { options: [{ change: 'saucer', untilThirst: untilThirst * 2, hoursShortOfAir: 0 }] },
    {
      untilThirst,
      within: true,
      interval: timesADay > 1 ? 1 / timesADay : Math.floor(untilThirst),
      timesADay,
      litres: 2,
      use: 0.5,
    },
    { days, movable: true },
  )
  return { needs, waterOn: needs.on.map(iso), lookOn: iso(needs.look), light: 9, heavy: 12, wide: false }
}

describe('what who waters reads', () => {
  test('the days by name where they are few, a rhythm where they are many', () => {
    expect(awayText(stay(3.4, 7), 4, 'metric')).toBe('2 L for each of 4 on 4 Jul and 7 Jul.')
    expect(awayText(stay(2.5, 21), 1, 'metric')).toBe('2 L every 2 days, first on 3 Jul.')
    expect(awayText(stay(0.5, 5, 2), 1, 'metric')).toBe('2 L, morning and evening, every day.')
  })
  test('what needs nothing, and what needs a look half way to its thirst', () => {
    expect(awayText(stay(20, 7), 1, 'metric')).toBe(
      'Nothing: watered well on the day you leave, it lasts 20 days.',
    )
    expect(awayText(stay(8, 7), 1, 'metric')).toContain('look at it about 5 Jul')
  })
  test('weight to lift by, but of no bed in the ground', () => {
    expect(weighsText(stay(3, 7), 'metric')).toContain('12 kg after watering')
    expect(weighsText({ ...stay(3, 7), wide: true }, 'metric')).toBe('')
  })
  test('what helps says whether it is enough; a wick takes what all waterings together give', () => {
    expect(helpsText(stay(4, 7), 'metric')[0]).toBe('A saucer left full below: about 8 days, long enough.')
    expect(helpsText(stay(3, 7), 'metric')[0]).not.toContain('long enough')
    expect(wickText(stay(3, 7), 'metric')).toContain('4 L for each')
    expect(wickText(stay(20, 7), 'metric')).toBe('')
  })
})

describe('the sheet in a link', () => {
  const sheet = {
    title: 'Watering',
    beds: [{ name: 'Trough', does: ['2 L every day.'] }],
    notes: sheetNotes(),
  }
  test('comes out as it went in', () => {
    expect(readAwaySheet(`#${awayFragment(sheet)}`)).toMatchObject(sheet)
  })
  test('cut short, of something else, or with marks of another kind it is no sheet', () => {
    const whole = awayFragment(sheet)
    expect(readAwaySheet(`#${whole.slice(0, -20)}`)).toBeNull()
    expect(readAwaySheet('#mix=abc')).toBeNull()
    expect(readAwaySheet('#away=%%%')).toBeNull()
    expect(readAwaySheet('')).toBeNull()
    expect(readAwaySheet(`#${awayFragment({ ...sheet, title: 'x'.repeat(300) })}`)).toBeNull()
  })
  test('line breaks are taken out', () => {
    const read = readAwaySheet(`#${awayFragment({ ...sheet, title: 'a\nb' })}`)
    expect(read!.title).toBe('a b')
  })
})
