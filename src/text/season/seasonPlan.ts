import { cropInText } from '../base/cropInText'
import type { GrowingOutlook } from '@/core/growing'
import type { Feeding } from '@/core/nutrients'
import { shortDayText, dayText } from '../base/dates'
import { lowerFirst } from '../base/counted'
import { dressingName, feedName } from '../shelf/dressings'
import { FOLLOW_UP_TEXTS } from './season'
import type { Due } from '@/model/season/season'
import { MONTHS } from '../base/months'
import { shortText } from '../readings/feed'
import { correctionText } from '../tests/testFollows'
import { percentText, pHText, type UnitSystem, doseWeightText, intervalText, volumeText } from '../base/units'
import type { Crop } from '@/core/data'

/** What a crop likes, or what is usual where none is chosen. */
export const cropLikesText = (crop: Crop | undefined): string =>
  crop
    ? `Likes ${percentText(crop.airFilledPorosity.low)} to ${percentText(crop.airFilledPorosity.high)} air after draining, pH ${pHText(crop.pH.low)} to ${pHText(crop.pH.high)}, moisture: ${crop.moisture}.`
    : 'Sets what the mix has to meet. Without one: what most vegetables like.'

/** What the months of a place say of the one chosen; nothing where it suits or none is. Months 1 to 12. */
export function monthText(planting: readonly number[], asked: number | null, cropName: string): string {
  if (planting.length === 0)
    return `Outside, your months never suit ${cropInText(cropName)} from planting to harvest: it wants glass or a warm wall.`
  if (asked === null || planting.includes(asked)) return ''
  const from = planting.map((m) => MONTHS[m - 1]!.slice(0, 3)).join(', ')
  return `Planted in ${MONTHS[asked - 1]} it would want shelter; outside from ${from}.`
}

/** What is still to be given in feed; nothing where the mix gives enough. */
export function stillToFeedText(feeding: Feeding | null, units: UnitSystem): string {
  const short = feeding ? shortText(feeding, units) : ''
  return short && ` Each container still needs ${short} over the season.`
}

/** What one container of a bed gets, g. */
export interface DoseToEach {
  bed: string
  grams: number
}

/** "39 g to each", or where the beds differ "39 g to each Fig pot, 12 g to each Trough". */
export function toEachText(doses: readonly DoseToEach[], units: UnitSystem): string {
  const each = doses.map(({ bed, grams }) => ({ bed, weight: doseWeightText(grams, units) }))
  return each.every((d) => d.weight === each[0]!.weight)
    ? `${each[0]?.weight ?? doseWeightText(0, units)} to each`
    : each.map((d) => `${d.weight} to each ${d.bed}`).join(', ')
}

/** A harvest that cold nights come before outside. */
const UNDER_GLASS = 'Likely between these days under glass or indoors; outside cold nights come before it.'

/** From when a manured bed is safe to eat from. Source: US 7 CFR 205.203. */
const manureText = (day: string) =>
  `There is manure in the mix. Unless it is proven composted, eat nothing raw that touches soil before ${dayText(day)}.`

/** What the log made of a thing due; nothing where it made nothing. */
function dueSaid({ correction, read, lastOn, litres, code, feedId }: Due, units: UnitSystem): string {
  if (correction && read !== undefined)
    return `pH ${pHText(read)} was read. ${correctionText(correction, units)}`
  if (code === 'feed' && lastOn && !feedId)
    return `Fed on ${shortDayText(lastOn)}: again two weeks later, as long as it grows.`
  if (code === 'top-up' && litres !== undefined && litres > 0)
    return `It has sunk: ${volumeText(litres, units)} of the same mix tops it up, not over the stems.`
  return ''
}

/**
 * A thing due in words, with its days. `doses` is what was held back for one container of each bed, `feed` a word about
 * what is still to be given, or about the liquid feed that is due.
 */
export function dueText(due: Due, doses: readonly DoseToEach[], feed: string, units: UnitSystem) {
  if (due.feedId && due.dressingId)
    return {
      title: `Feed: ${lowerFirst(feedName(due.dressingId))}`,
      text: `${feed}${due.lastOn ? ` Fed last on ${shortDayText(due.lastOn)}.` : ''}`,
      ...daysOf(due),
    }
  const { title, text } = FOLLOW_UP_TEXTS[due.code]
  const said = dueSaid(due, units)
  return {
    title: due.dressingId ? `${dressingName(due.dressingId)}: ${toEachText(doses, units)}` : title,
    text:
      said ||
      `${due.underGlass ? UNDER_GLASS : `${text}${due.code === 'feed' ? feed : ''}`}${due.safeFrom ? ` ${manureText(due.safeFrom)}` : ''}`,
    ...daysOf(due),
  }
}

/** When a thing is due. */
const daysOf = (due: Due) => ({
  when: due.until ? `${shortDayText(due.on)} to ${dayText(due.until)}` : dayText(due.on),
  ...(due.movedFrom && { movedFrom: shortDayText(due.movedFrom) }),
})

/** Less of the water that rain brings is not worth a word. */
const RAIN_HELPS = 0.2

/** Longer than this, rain and the look of the plant say more than a calculation, days. */
const SELDOM = 21

/** What the rain of a usual year does; `share` of what the plants use. */
const rainWord = (share: number, wet: boolean): string =>
  wet
    ? 'more rain than it uses'
    : share >= 1
      ? 'rain is enough in most years'
      : share >= RAIN_HELPS
        ? `rain brings ${percentText(share)} of it`
        : ''

/** How often it wants water, month by month while it stands; what rain does, where it does much. */
export const wateringRows = ({ watering, standing, wetMonths }: GrowingOutlook): string[][] =>
  watering.length === 0
    ? []
    : standing.map((month) => {
        const { days, rain, use } = watering[month - 1]!
        const often = days.value > SELDOM ? 'seldom: feel it' : intervalText(days.value)
        return [MONTHS[month - 1]!, often, rainWord(rain / use.value, wetMonths.includes(month))]
      })
