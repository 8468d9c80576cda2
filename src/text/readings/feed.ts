import { firstShort, isFed } from '@/core/judgement'
import { FED, type Feeding } from '@/core/nutrients'
import { allOf } from '../base/labels'
import { doseWeightText, percentText, type UnitSystem } from '../base/units'
import type { WeekRow } from './reading'

/** Less of a nutrient than this in a season is not worth a word beside more of another, g. */
const LEAST_SHORT = 0.05

const capitalised = (word: string) => `${word[0]!.toUpperCase()}${word.slice(1)}`

/** How long a mix feeds its crop, and what runs short first. */
export function feedSpan(feeding: Feeding): string {
  const short = firstShort(feeding)
  if (!short) return 'feeds it all season'
  const weeks = Math.floor(short.day / 7) - 1
  return weeks > 0
    ? `${weeks} ${weeks === 1 ? 'week' : 'weeks'}, then ${short.element} runs short`
    : `short of ${short.element} from the start`
}

/** What a season still needs, as "3.2 g of nitrogen and 1.1 g of potassium"; nothing where it lacks nothing. */
export function shortText({ toFeed, met }: Feeding, units: UnitSystem): string {
  const all = FED.filter((e) => !isFed(met[e]))
  const worth = all.filter((e) => toFeed[e] > LEAST_SHORT)
  const short = worth.length > 0 ? worth : all
  return allOf(short.map((e) => `${doseWeightText(toFeed[e], units)} of ${e}`))
}

/**
 * The season of every nutrient as a picture: what is taken up against what is wanted, week by week, the scarcest first.
 */
export function nutrientWeeks(feeding: Feeding): { byWeek: WeekRow[]; label: string } {
  const { weeks, met, shortFrom } = feeding
  const first = firstShort(feeding)?.element ?? null
  const byWeek = [...FED]
    .sort((a, b) => met[a] - met[b])
    .map((e): WeekRow => {
      const most = Math.max(1e-9, ...weeks[e].map((w) => w.demand))
      const short = isFed(met[e]) ? null : shortFrom[e]
      return {
        name: capitalised(e),
        weeks: weeks[e].map((w) => ({ wanted: w.demand / most, met: Math.min(w.uptake, w.demand) / most })),
        shortFrom: short === null ? null : weeks[e].findIndex((w) => w.day >= short),
        isFirst: e === first,
      }
    })
  return {
    byWeek,
    label: `Week by week, what the crop wants of each nutrient and gets: ${feedSpan(feeding)}.`,
  }
}

/** The season of every nutrient as a table. */
export const nutrientTable = ({ weeks, enough, met }: Feeding) => ({
  head: ['Nutrient', 'taken up', 'enough', 'met'],
  rows: FED.map((e) => [
    capitalised(e),
    weeks[e].reduce((sum, w) => sum + w.uptake, 0).toFixed(0),
    enough[e].toFixed(0),
    percentText(met[e]),
  ]),
})
