import { PLAN_LIMITS, type MonthPlan, type PlanChange, type WateringPlan } from '@/core/watering'
import { MOST_LEACHED } from '@/core/nutrients'
import { USUAL_LEACHING } from '@/core/growing'
import { MONTHS } from '../base/months'
import { doseWeightText, inUnits, percentText, volumeText, type UnitSystem } from '../base/units'

/** "every 4 days", "every day", "3 times a day". */
export function rhythmText({ interval, timesADay }: Pick<MonthPlan, 'interval' | 'timesADay'>): string {
  if (timesADay > 1) return timesADay === 2 ? 'twice a day' : `${timesADay} times a day`
  return interval === 1 ? 'every day' : `every ${interval} days`
}

/** "4 days", "half a day", "more than 45 days". */
export function daysText(days: number, within = true): string {
  if (!within) return `more than ${Math.floor(days)} days`
  if (days < 0.75) return `${Math.max(1, Math.round(days * 24))} hours`
  const whole = days < 10 ? Math.round(days * 2) / 2 : Math.round(days)
  return whole === 1 ? 'a day' : `${whole} days`
}

/** What to do in the month looked at. */
export const planText = ({ month }: WateringPlan, units: UnitSystem): string =>
  !month.within
    ? `In ${MONTHS[month.month - 1]}: nothing from above for ${Math.floor(month.untilThirst)} days or more.`
    : `In ${MONTHS[month.month - 1]}: ${volumeText(month.litres, units)} ${rhythmText(month)}, ${
        month.timesADay > 1 ? 'from the morning on' : 'in the morning'
      }.`

export function awayText({ month, range }: WateringPlan): string {
  if (!month.within) return 'It stays moist all that time, as long as what is below stays as chosen.'
  const likely =
    range && daysText(range.low) !== daysText(range.high)
      ? ` (likely ${daysText(range.low)} to ${daysText(range.high)})`
      : ''
  return `Left alone after a good watering it is thirsty in ${daysText(month.untilThirst, month.within)}${likely} and wilts in ${daysText(
    month.untilWilting,
    month.within,
  )}. In a hot week count on half of that.`
}

export function drainText(plan: WateringPlan, units: UnitSystem): string {
  if (plan.drainedShare < 0.005)
    return 'Hardly anything drains away: salts stay in the mix. Once a month water until some runs out below.'
  const salts =
    plan.saltsAWeek > 0.05 ? `, and about ${doseWeightText(plan.saltsAWeek, units)} of salts with it` : ''
  return `${percentText(plan.drainedShare)} of the water drains away, ${volumeText(plan.drainedAWeek, units)} a week${salts}. ${leachingText(plan)}`
}

/** What the salts of the water ask for; nothing where the usual draining is enough. */
function leachingText({ leachingNeeded: needed }: WateringPlan): string {
  if (needed > MOST_LEACHED)
    return 'However much drains, this water leaves more salt than the crop takes: use rain water, or mix it in.'
  return needed > USUAL_LEACHING ? `The salts of your water need ${percentText(needed)} of it to drain.` : ''
}

/** What it still suffers under the plan; empty where nothing. */
export function sufferText({ hoursThirsty, hoursShortOfAir, overSurface }: WateringPlan): string {
  const said: string[] = []
  if (hoursThirsty >= 1)
    said.push(
      `It is still thirsty for ${Math.round(hoursThirsty)} hours in two weeks: this pot is too small for it.`,
    )
  if (hoursShortOfAir >= PLAN_LIMITS.airless.value)
    said.push(`Half of its roots have too little air for ${Math.round(hoursShortOfAir)} hours in two weeks.`)
  if (overSurface > 0.05) said.push('Pour slowly, in two goes: some of it runs over the rim.')
  return said.join(' ')
}

export const CHANGE_TEXTS: Record<PlanChange, string> = {
  mulch: 'A mulch of bark, [5 cm|2 in]',
  saucer: 'A saucer left full below',
  largerPot: 'A container a fifth larger each way',
  moreCompost: 'A tenth more compost in the mix',
}

/** Hours without air that are worth a word. */
const WORTH_A_WORD = 3
/** How long it lasts as it is, then with each change, the most helpful first. */
export const lastingRows = ({ options, month }: WateringPlan, units: UnitSystem) => [
  { name: 'As it is', days: month.untilThirst, within: month.within, beware: '' },
  ...options.map(({ change, untilThirst, hoursShortOfAir }) => ({
    name: inUnits(CHANGE_TEXTS[change], units),
    days: untilThirst,
    within: true,
    beware:
      hoursShortOfAir >= WORTH_A_WORD
        ? `little air for ${Math.round(hoursShortOfAir)} hours after each watering`
        : '',
  })),
]

export const MONTH_HEAD = ['Month', 'Water', 'Each time', 'Used a day', 'Thirsty in'] as const
export const monthRows = ({ months }: WateringPlan, units: UnitSystem): string[][] =>
  months.map((m) => [
    MONTHS[m.month - 1]!,
    m.within ? rhythmText(m) : 'none from above',
    m.within ? volumeText(m.litres, units) : '–',
    volumeText(m.use, units),
    daysText(m.untilThirst, m.within),
  ])
