import type { Days } from '../units'
import { HEAP_LIMITS as L } from './limits'

/** A reading deep in a heap: C, and whether it was turned that day. Days from when it was built. */
export interface HeatReading {
  day: Days
  temperature: number
  turned?: boolean
}
/** What readings say of a heap. */
export interface HeatLog {
  /** Days at 55 C and above, straight between readings. */
  hotDays: Days
  /** Turns while it was hot. */
  turns: number
  /** It was hot for so long that weed seed and germs are dead: by the rule for a closed vessel, for an open heap. */
  sanitised: { closed: boolean; open: boolean }
  /** The hottest that was read; null without readings. */
  peak: number | null
  /** What is to be done now. */
  next: 'turn-it-is-hot' | 'turn-it-has-cooled' | 'wait' | null
}

/** Days between two readings at or above a temperature, the course between them straight. */
function daysAbove(a: HeatReading, b: HeatReading, limit: number): Days {
  const days = b.day - a.day
  const [low, high] = [Math.min(a.temperature, b.temperature), Math.max(a.temperature, b.temperature)]
  if (low >= limit) return days
  if (high < limit) return 0
  return days * ((high - limit) / (high - low))
}

/**
 * What readings of a heap say: how long it was hot, whether that is enough, whether it wants turning. Readings in any
 * order. Errors: none. Source: US 40 CFR 503, EU 1069/2009 (from memory); turning: common practice.
 *
 * @example
 * heatLog([{ day: 0, temperature: 20 }, { day: 2, temperature: 60 }, { day: 6, temperature: 60 }]).hotDays // 4.25
 */
export function heatLog(readings: readonly HeatReading[]): HeatLog {
  const all = [...readings].sort((a, b) => a.day - b.day)
  const last = all.at(-1)
  const hotDays = all.slice(1).reduce((sum, b, i) => sum + daysAbove(all[i]!, b, L.hot.value), 0)
  const turns = all.filter((r) => r.turned && r.temperature >= L.hot.value).length
  const wasHot = all.some((r) => r.temperature >= L.hot.value)
  const next = !last
    ? null
    : last.temperature > L.tooHot.value
      ? 'turn-it-is-hot'
      : wasHot && last.temperature < L.cooled.value && !last.turned
        ? 'turn-it-has-cooled'
        : 'wait'
  return {
    hotDays,
    turns,
    sanitised: {
      closed: hotDays >= L.hotClosed.value,
      open: hotDays >= L.hotOpen.value && turns >= L.turns.value,
    },
    peak: last ? Math.max(...all.map((r) => r.temperature)) : null,
    next,
  }
}

/** How ripe a compost is. */
export type Ripeness = 'ripe' | 'nearly' | 'unripe'

/**
 * How ripe a compost is, by its rise in a vacuum flask, C above the air, and the index of a cress test; the less ripe
 * of the two counts. Null where neither was done. Source: BGK self-heating grades; Zucconi et al. 1981 (from memory).
 *
 * @example
 * ripeness({ rise: 8, cress: 0.7 }) // 'nearly'
 */
export function ripeness({ rise, cress }: { rise?: number; cress?: number }): Ripeness | null {
  const ORDER = ['ripe', 'nearly', 'unripe'] as const
  const said: Ripeness[] = []
  if (rise !== undefined)
    said.push(rise < L.ripeRise.value ? 'ripe' : rise <= L.nearlyRise.value ? 'nearly' : 'unripe')
  if (cress !== undefined)
    said.push(cress > L.ripeCress.value ? 'ripe' : cress >= L.poorCress.value ? 'nearly' : 'unripe')
  return said.sort((a, b) => ORDER.indexOf(b) - ORDER.indexOf(a))[0] ?? null
}
