import type { Compared } from '@/model/mix/compare'
import { numberText } from '../base/counted'
import { percentText, pHText } from '../base/units'

/** Less of a difference than this nobody acts on: of days between waterings, of food, of pH. Source: our assumption. */
const SEEN = { days: 0.1, fed: 0.05, pH: 0.15 }

/** Days between waterings in the thirstiest month; null where no place or crop is known. */
function daysOf({ answer }: Compared): number | null {
  const growing = answer.ok ? answer.value.growing : null
  return growing?.thirstiestMonth ? growing.watering[growing.thirstiestMonth - 1]!.days.value : null
}

/** What changes for the hand where a mix without peat takes the place of one with it, a sentence each. */
export function changesText(now: Compared, then: Compared): string[] {
  if (!now.answer.ok || !then.answer.ok) return []
  const [a, b] = [now.answer.value, then.answer.value]
  const said: string[] = []
  const [daysA, daysB] = [daysOf(now), daysOf(then)]
  if (daysA !== null && daysB !== null) {
    const more = daysA / daysB - 1
    if (more > SEEN.days) said.push(`Water ${percentText(more)} more often, less each time.`)
    else if (more < -SEEN.days) said.push(`Water ${percentText(-more)} less often.`)
    else said.push('Water as often as now.')
  }
  const [fedA, fedB] = [a.growing?.feeding.fed, b.growing?.feeding.fed]
  if (fedA !== undefined && fedB !== undefined && fedA - fedB > SEEN.fed)
    said.push(
      `It feeds ${percentText(fedA - fedB)} less of the season: begin with liquid feed in week 2 or 3.`,
    )
  const drawdown = (b.growing?.feeding.drawdown ?? 0) - (a.growing?.feeding.drawdown ?? 0)
  if (drawdown > LEAST_DRAWDOWN)
    said.push(
      `Wood and bark tie up ${numberText(drawdown)} mg of nitrogen a litre in the first month: the feed offered with it counts that.`,
    )
  const [endA, endB] = [a.acidity.at(-1)!.pH, b.acidity.at(-1)!.pH]
  if (Math.abs(endB - endA) > SEEN.pH)
    said.push(`pH ends at ${pHText(endB)}, not ${pHText(endA)}: read it in a month.`)
  said.push(
    'The top dries pale while the core is wet: lift the pot, do not look. Do not press it in; fill it high, for it sinks.',
  )
  return said
}
/** mg for a litre of mix. Source: our assumption: less is lost in the noise of a feed. */
const LEAST_DRAWDOWN = 15
