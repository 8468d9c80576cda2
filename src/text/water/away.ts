import { AWAY_LIMITS, type AwayHelp } from '@/core/watering'
import type { AwayAnswer } from '@/model/water/away'
import { allOf } from '../base/labels'
import { counted } from '../base/counted'
import { shortDayText } from '../base/dates'
import { inUnits, percentText, waterText, weightText, type UnitSystem } from '../base/units'
import { CHANGE_TEXTS, daysText } from './wateringPlan'

/** "2 L every third day": days in a list up to so many, after that as a rhythm. */
const LISTED = 6

/** What who waters does, in a sentence or two; `count` containers alike. */
export function awayText({ needs, waterOn, lookOn }: AwayAnswer, count: number, units: UnitSystem): string {
  const lasts = daysText(needs.lasts, needs.within)
  if (needs.needs === 'nothing') return `Nothing: watered well on the day you leave, it lasts ${lasts}.`
  if (needs.needs === 'look')
    return `It lasts about ${lasts}, in a hot week half of that. In hot weather look at it about ${shortDayText(lookOn)}.`
  const each = waterText(needs.litres, units)
  const of = count > 1 ? `${each} for each of ${count}` : each
  if (needs.timesADay > 1)
    return `${of}, ${needs.timesADay === 2 ? 'morning and evening' : `${needs.timesADay} times a day`}, every day.`
  if (waterOn.length <= LISTED) return `${of} on ${allOf(waterOn.map(shortDayText))}.`
  const every = needs.on[1]! - needs.on[0]!
  return `${of} every ${every === 1 ? 'day' : `${every} days`}, first on ${shortDayText(waterOn[0]!)}.`
}

/** How it should weigh; nothing of a bed that nobody lifts. */
export const weighsText = ({ needs, light, heavy, wide }: AwayAnswer, units: UnitSystem): string =>
  wide || needs.needs === 'nothing'
    ? ''
    : `Lift it: about ${weightText(heavy, units)} after watering, about ${weightText(light, units)} when it needs water.`

const HELP_TEXTS: Record<AwayHelp, string> = { ...CHANGE_TEXTS, shade: 'In light shade, out of the wind' }

/** What makes it last longer, the best first. */
export const helpsText = ({ needs }: AwayAnswer, units: UnitSystem): string[] =>
  needs.helps.map(
    ({ help, lasts, enough }) =>
      `${inUnits(HELP_TEXTS[help], units)}: about ${daysText(lasts)}${enough ? ', long enough' : ''}.`,
  )

/** Water for a wick or drip to lay by while nobody is there. Litres for one container. */
export const wickText = ({ needs }: AwayAnswer, units: UnitSystem): string =>
  needs.inAll > 0
    ? `With a wick or a drip bottle: ${waterText(needs.inAll, units)} for each. Try it for two days before you go.`
    : ''

/** What goes with every sheet. */
export const sheetNotes = (): string[] => [
  'Water the mix, not the leaves, early in the day, until a little runs out below.',
  `In a hot or windy week look twice as often: a mix lasts ${percentText(AWAY_LIMITS.hotWeek.value)} of its days.`,
  'Wilted at noon and upright in the evening is heat, not thirst. Wilted in the morning: water at once.',
  'Let water run from a hose that lay in the sun until it is cool. Do not spray standing warm water.',
  'Do not lift what is heavy: tip it to feel the weight.',
]

export const sheetTitle = (from: string, to: string): string =>
  `Watering from ${shortDayText(from)} to ${shortDayText(to)}`
export const stayText = (days: number): string => counted(days, 'day')
