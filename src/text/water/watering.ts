import type { BlendPart } from '@/core/mixing'
import type { Below, Moved } from '@/core/water/moving'
import { waterIn } from '@/core/water/moving/moved'
import type { Watered, WateredFigure } from '@/core/watering'
import type { LikelyRange } from '@/core/ranges'
import type { BelowKind, PourTimes, WaterChange } from '@/model/water/pouring'
import { inUnits, lengthText, percentText, volumeText, type UnitSystem } from '../base/units'

export const BELOW_NAMES: Record<BelowKind, string> = {
  free: 'Drains freely',
  saucer: 'Saucer, left full',
  keptWater: 'Tray kept filled',
}
export const TIMES_NAMES: Record<PourTimes, string> = {
  once: 'Once',
  daily: 'Every morning',
  everyOther: 'Every other morning',
  thrice: 'Three times a day',
}
export const BEGIN_NAMES = {
  drained: 'Watered and drained',
  thirsty: 'Ready for water',
  dry: 'Far too dry',
} as const

/** What stands beside, as the title of its picture. */
const CHANGE_NAMES: Record<WaterChange, string> = {
  gravel: 'over [5 cm|2 in] of gravel',
  noLayers: 'without layers below',
  saucer: 'in a full saucer',
  keptWater: 'in a tray kept filled',
  mulch: 'under [5 cm|2 in] of bark mulch',
  threeSmall: 'in three small waterings',
  deeper: 'half as deep again',
  shallower: 'half as deep',
}
export const changeName = (change: WaterChange, units: UnitSystem): string =>
  inUnits(CHANGE_NAMES[change], units)

/** "40 min", "7 h", "2 days 3 h": time since the start. */
export function sinceText(hours: number): string {
  if (hours < 1) return `${Math.round(hours * 60)} min`
  if (hours < 24) {
    const minutes = Math.round((hours % 1) * 60)
    return minutes > 0 && minutes < 60 ? `${Math.floor(hours)} h ${minutes} min` : `${Math.round(hours)} h`
  }
  const days = Math.floor(hours / 24)
  const rest = Math.floor(hours % 24)
  return `${days} ${days === 1 ? 'day' : 'days'}${rest > 0 ? ` ${rest} h` : ''}`
}

/** Picture of a run at a time, and how far on to the next. */
export function pictureAt({ course }: Moved, hours: number): { picture: number; part: number } {
  const { times } = course
  let [low, high] = [0, times.length - 1]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (times[middle]! <= hours) low = middle
    else high = middle
  }
  const span = times[high]! - times[low]!
  return { picture: low, part: span > 0 ? Math.max(0, Math.min(1, (hours - times[low]!) / span)) : 0 }
}

/** Water and air of the mix near its top, its middle and its foot, at a picture. */
function depths({ course }: Moved, floor: number, picture: number): { water: number; air: number }[] {
  const cells = [...course.heights.keys()].filter((i) => course.heights[i]! > floor)
  return [cells.at(-1)!, cells[cells.length >> 1]!, cells[0]!].map((i) => {
    const water = waterIn(course, picture, i)
    return { water, air: Math.max(0, course.pores[i]! - water) }
  })
}

/** One of the two that stand side by side. */
export interface WateredSide {
  title: string
  watered: Watered
  /** What it is of. */
  parts: readonly BlendPart[]
  /** Height the mix stands on, cm. */
  floor: number
  below: Below
}

/** What drained away; a tray kept filled gives instead of taking. */
const drainedText = (litres: number, units: UnitSystem): string =>
  litres < 0 ? `none; ${volumeText(-litres, units)} came up` : volumeText(litres, units)

/** Figures of a moment, one column a side. */
export function momentRows(sides: readonly WateredSide[], hours: number, units: UnitSystem): string[][] {
  const at = sides.map((s) => ({ ...s, picture: pictureAt(s.watered.moved, hours).picture }))
  const of = (name: 'overSurface' | 'takenUp' | 'evaporated') =>
    at.map((s) => volumeText(s.watered.moved.course[name][s.picture]!, units))
  const deep = (k: number) =>
    at.map((s) => {
      const d = depths(s.watered.moved, s.floor, s.picture)[k]!
      return `${percentText(d.water)} water, ${percentText(d.air)} air`
    })
  const rows = [
    ['At the top', ...deep(0)],
    ['Half-way down', ...deep(1)],
    ['At the foot', ...deep(2)],
    ['Drained away so far', ...at.map((s) => drainedText(s.watered.moved.course.drained[s.picture]!, units))],
    ['Drunk so far', ...of('takenUp')],
    ['Given to the air so far', ...of('evaporated')],
  ]
  if (at.some((s) => s.watered.moved.book.overSurface > 0.005))
    rows.push(['Ran over the rim so far', ...of('overSurface')])
  if (at.some((s) => s.below.kind === 'saucer'))
    rows.push([
      'Stands in the saucer',
      ...at.map((s) => lengthText(s.watered.moved.course.inSaucer[s.picture]!, units)),
    ])
  return rows
}

/** "about 3 h", "none". */
const hoursText = (hours: number) =>
  hours < 0.5 ? 'none' : hours < 48 ? `${Math.round(hours)} h` : `${(hours / 24).toFixed(1)} days`
const between = (range: LikelyRange | undefined, text: (x: number) => string) =>
  range && text(range.low) !== text(range.high) ? ` (${text(range.low)} to ${text(range.high)})` : ''

/** What the whole run comes to, with its likely range, one column a side. */
export function outcomeRows(sides: readonly WateredSide[], days: number, units: UnitSystem): string[][] {
  const row = (label: string, name: WateredFigure, text: (x: number) => string) => [
    label,
    ...sides.map(({ watered }) => text(watered.figures[name]) + between(watered.ranges[name], text)),
  ]
  const litres = (x: number) => drainedText(x, units)
  const thirst = (x: number) => (x >= 24 * days - 1e-6 ? 'more than this time' : sinceText(x))
  return [
    row('Drained away', 'drained', litres),
    row('Foot with less than 10 % air', 'hoursFootShort', hoursText),
    row('Half of the roots with less than 10 % air', 'hoursShortOfAir', hoursText),
    row('Thirsty after', 'firstThirst', thirst),
    row('Hours of thirst by day', 'hoursThirsty', hoursText),
    row('Air in the mix at the end', 'airAtEnd', percentText),
  ]
}

/** What a picture shows at a moment, for those who do not see it. */
export function pictureText({ title, watered, floor }: WateredSide, hours: number): string {
  const { picture } = pictureAt(watered.moved, hours)
  const [top, , foot] = depths(watered.moved, floor, picture)
  return `${title}, after ${sinceText(hours)}: ${percentText(top!.water)} water at the top, ${percentText(foot!.water)} at the foot.`
}

/** What the two differ by most, in one sentence; empty where nothing is worth a word. */
export function differenceText([one, other]: readonly WateredSide[], days: number): string {
  if (!one || !other) return ''
  const short = (s: WateredSide) => s.watered.figures.hoursFootShort
  const thirst = (s: WateredSide) => s.watered.figures.firstThirst
  const said: string[] = []
  const air = short(other) - short(one)
  if (Math.abs(air) >= 3)
    said.push(`its foot is short of air for ${hoursText(Math.abs(air))} ${air > 0 ? 'more' : 'less'}`)
  const dry = thirst(other) - thirst(one)
  if (Math.abs(dry) >= 3)
    said.push(
      Math.max(thirst(one), thirst(other)) >= 24 * days - 1e-6
        ? `it ${dry > 0 ? 'is not' : 'is'} thirsty within this time`
        : `it is thirsty ${hoursText(Math.abs(dry))} ${dry > 0 ? 'later' : 'sooner'}`,
    )
  const gone = other.watered.figures.airAtEnd - one.watered.figures.airAtEnd
  if (Math.abs(gone) >= 0.01)
    said.push(
      `its mix holds ${percentText(Math.abs(gone))} of its volume ${gone > 0 ? 'more' : 'less'} air at the end`,
    )
  return said.length > 0
    ? `${other.title}: ${said.join('; ')}.`
    : 'The two hardly differ: no more than 3 hours of air or thirst, nor 1 % of air.'
}
