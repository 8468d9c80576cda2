import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draws } from '../testing/draws'
import { AWAY_LIMITS, needsWhileAway } from '.'

const month = (untilThirst: number, litres = 2) => ({
  untilThirst,
  within: true,
  interval: Math.max(0.25, untilThirst >= 1 ? Math.floor(untilThirst) : untilThirst),
  timesADay: untilThirst >= 1 ? 1 : Math.ceil(1 / untilThirst),
  litres,
  use: 0.5,
})
const stay = (untilThirst: number, days: number, movable = false) =>
  needsWhileAway({ options: [] }, month(untilThirst), { days, movable })

describe('a stay away', () => {
  test('a hot week halves what it lasts: between that and the mean somebody looks, beyond it somebody waters', () => {
    const hot = AWAY_LIMITS.hotWeek.value
    expect(stay(7 / hot, 7).needs).toBe('nothing')
    expect(stay(7 / hot - 0.01, 7).needs).toBe('look')
    expect(stay(7, 7).needs).toBe('look')
    expect(stay(6.99, 7).needs).toBe('water')
  })
  test('every third day of a week is the third and the sixth: two waterings', () => {
    const { on, inAll } = stay(3.4, 7)
    expect(on).toEqual([3, 6])
    expect(inAll).toBe(4)
  })
  test('twice a day is both times on each day, but for the day of coming home', () => {
    const { on, timesADay, inAll } = stay(0.5, 4)
    expect(on).toEqual([1, 2, 3])
    expect(timesADay).toBe(2)
    expect(inAll).toBe(12)
  })
  test('one that is never thirsty in the days followed needs nothing', () => {
    expect(
      needsWhileAway({ options: [] }, { ...month(45), within: false }, { days: 60, movable: true }).needs,
    ).toBe('nothing')
  })
  test('shade helps what can be carried there, by what it saves; enough is what lasts the stay', () => {
    expect(stay(3, 7).helps).toEqual([])
    const [shade] = stay(3, 7, true).helps
    expect(shade).toEqual({ help: 'shade', lasts: 3 / AWAY_LIMITS.shade.value, enough: false })
    expect(stay(3, 5, true).helps[0]!.enough).toBe(true)
    expect(stay(20, 7, true).helps).toEqual([])
  })
  test('the days between waterings are never longer than it lasts, and no stay ends with a thirsty day', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 30, noNaN: true }),
        fc.integer({ min: 1, max: 60 }),
        (untilThirst, days) => {
          const { needs, on } = stay(untilThirst, days)
          if (needs !== 'water') return
          const marks = [0, ...on, days]
          const gaps = marks.slice(1).map((d, i) => d - marks[i]!)
          // Several times a day: a day is the least a sheet counts in.
          expect(Math.max(...gaps)).toBeLessThanOrEqual(Math.max(1, untilThirst))
        },
      ),
      draws(300),
    )
  })
  test('what helps most comes first', () => {
    const options = [
      { change: 'mulch' as const, untilThirst: 4, hoursShortOfAir: 0 },
      { change: 'saucer' as const, untilThirst: 8, hoursShortOfAir: 0 },
    ]
    const { helps } = needsWhileAway({ options }, month(3), { days: 7, movable: true })
    expect(helps.map((h) => [h.help, h.enough])).toEqual([
      ['saucer', true],
      ['shade', false],
      ['mulch', false],
    ])
  })
})
