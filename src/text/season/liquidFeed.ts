import type { Dressing } from '@/core/data'
import { liquidRow } from '@/core/data/liquids'
import { feedSolution, type Clash, type FeedSolution, type MeterCheck, type Stock } from '@/core/liquid'
import { FED, FLAG_LIMITS } from '@/core/nutrients'
import { LITRES } from '@/core/units'
import type { LiquidOffer } from '@/model/mix/liquidOffers'
import type { LiquidFeedLine } from '@/model/garden/schemas'
import { allOf } from '../base/labels'
import { dayText, shortDayText } from '../base/dates'
import { lowerFirst, numberText } from '../base/counted'
import { doseSpoons } from '../make/measures'
import { moneyText } from '../base/sums'
import { feedName } from '../shelf/dressings'
import {
  doseWeightText,
  liquidText,
  percentText,
  pHText,
  temperatureText,
  volumeText,
  waterText,
  type UnitSystem,
} from '../base/units'

/** A can as growers have it, litres. */
export const usualCan = (units: UnitSystem): number => (units === 'metric' ? 10 : 2 * LITRES.usGallon)
/** Sizes of can to choose from, litres. */
export const cansFor = (units: UnitSystem): number[] =>
  units === 'metric' ? [5, 7, 9, 10, 12] : [1, 2, 3].map((n) => n * LITRES.usGallon)

const isPoured = (dressing: Dressing) => liquidRow(dressing)?.form === 'liquid'

/** "45 mL (3 tablespoons, level)", "4.5 g (¾ teaspoon, level)": so many grams of a feed as they are measured. */
export function feedAmountText(dressing: Dressing, grams: number, units: UnitSystem): string {
  const density = dressing.bulkDensity.value
  const amount = isPoured(dressing) ? liquidText(grams / density, units) : doseWeightText(grams, units)
  // A spoon of a liquid is full, not level.
  const spoons = doseSpoons(grams, density, units)
  return `${amount} (${isPoured(dressing) ? spoons.replace(', level', '') : spoons})`
}

/** "45 mL (3 tablespoons) in 10 L of water". */
export const canText = (dressing: Dressing, gramsPerLitre: number, can: number, units: UnitSystem): string =>
  `${feedAmountText(dressing, gramsPerLitre * can, units)} in ${waterText(can, units)} of water`

/** "every day", "every week", "every 2 weeks", "every 3 days". */
export const rhythmOfFeed = (days: number): string =>
  days === 1
    ? 'every day'
    : days === 7
      ? 'every week'
      : days % 7 === 0
        ? `every ${days / 7} weeks`
        : `every ${days} days`

/** "2 L for each of 3 pots, 6 L in all". Litres for one, and how many there are. */
export const toEachLitres = (litres: number, count: number, units: UnitSystem): string =>
  count === 1
    ? waterText(litres, units)
    : `${waterText(litres, units)} for each of ${count}, ${waterText(litres * count, units)} in all`

/** "Every week from 12 Jun to 3 Oct 2027.", "Every week from 12 Jun, as long as it grows." ISO; null without an end. */
export const whenText = ({ everyDays }: Pick<LiquidFeedLine, 'everyDays'>, from: string, to: string | null) =>
  `${capitalised(rhythmOfFeed(everyDays))} from ${shortDayText(from)}${to === null ? ', as long as it grows' : ` to ${dayText(to)}`}.`
const capitalised = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Less of a nutrient than this in a litre of feed is not worth a word, mg. */
const LEAST_SAID = 3
/** "240 mg/L nitrogen, 79 phosphorus, 398 potassium": what a feed brings, in parts per million. */
export function bringsText({ charge }: FeedSolution): string {
  const brought = FED.filter((e) => charge[e] >= LEAST_SAID)
  return brought.map((e, i) => `${numberText(charge[e])} ${i === 0 ? 'mg/L ' : ''}${e}`).join(', ')
}

const conductivityText = (x: number) => `${numberText(x, x < 1 ? 2 : 1)} dS/m`
/** What a meter reads in a feed made up with one's own water. dS/m. */
export function meterText({ conductivity }: FeedSolution, water: number | null): string {
  const adds = `It adds ${conductivityText(conductivity)}`
  return water === null
    ? `${adds} to what a meter reads in your water.`
    : `${adds}: a meter in the can reads about ${conductivityText(water + conductivity)}.`
}

/** A word about ammonium; nothing where there is little. */
export const ammoniumText = ({ ammoniumShare }: FeedSolution, units: UnitSystem): string =>
  ammoniumShare > FLAG_LIMITS.ammoniumShare.value
    ? `${percentText(ammoniumShare)} of its nitrogen is ammonium or urea: not while the mix is below ${temperatureText(FLAG_LIMITS.coldMix.value, units)}.`
    : ''

/** "Soluble feed 20-20-20: 4.5 g in 10 L of water, 2 L each, every week." */
export const offerTitle = ({ feeds, byStage }: Pick<LiquidOffer, 'feeds' | 'byStage'>): string =>
  byStage
    ? `${feedName(feeds[0]!.dressingId)} by stage`
    : allOf(feeds.map((f, i) => (i === 0 ? feedName(f.dressingId) : lowerFirst(feedName(f.dressingId)))))

/** One feed of an offer: "45 mL in 10 L of water: 2 L each, every week"; by stage with the week it begins. */
export function offerLine(
  feed: LiquidOffer['feeds'][number],
  { dressing, can, units, byStage }: { dressing: Dressing; can: number; units: UnitSystem; byStage: boolean },
): string {
  const amount = canText(dressing, feed.gramsPerLitre, can, units)
  const given = `${amount}: ${waterText(feed.litres, units)} each, ${rhythmOfFeed(feed.everyDays)}`
  return byStage ? `From week ${Math.floor(feed.fromDay / 7) + 1}: ${given}` : given
}

const A_LITRE = 1000
/** What a season of a feed takes and costs: "Takes 420 g in the season, $3.20." g; money where a price is known. */
export function seasonText(
  dressing: Dressing,
  grams: number,
  money: number | null,
  units: UnitSystem,
): string {
  const mL = grams / dressing.bulkDensity.value
  const poured = mL < A_LITRE ? liquidText(mL, units) : volumeText(mL / A_LITRE, units)
  const amount = isPoured(dressing) ? poured : doseWeightText(grams, units)
  return `Takes ${amount} in the season${money === null ? '' : `, ${moneyText(money)}`}.`
}

/** What an offer comes to: how far it feeds, what is still short, salts and pH with it. */
export function offerText({ fed, fedWithout, stillShort, salts, pH, traces }: LiquidOffer): string {
  const after = `Salts at most ${numberText(salts, 1)} dS/m, pH ${pHText(pH)} at the end.`
  if (traces.length > 0)
    return `Makes up for ${allOf(traces)}, which the mix lacks or its pH holds back. ${after}`
  const feeds = `Feeds the crop to ${percentText(fed)} of enough, ${percentText(fedWithout)} without it`
  const short = stillShort ? `; ${stillShort} is still short` : ''
  return `${feeds}${short}. ${after}`
}

/** What goes into a tank of stock. */
export const stockLines = (stock: Stock, litres: number, units: UnitSystem): string[] =>
  stock.parts.map(
    ({ dressing, gramsPerLitre }) =>
      `${feedAmountText(dressing, gramsPerLitre * litres, units)} of ${lowerFirst(feedName(dressing.id))}`,
  )
/** More than cold water dissolves. */
export const tooStrongText = ({ tooStrong }: Stock): string =>
  tooStrong
    .map(
      ({ dressing, dissolves }) =>
        `Cold water dissolves ${numberText(dissolves)} g/L of ${lowerFirst(feedName(dressing.id))}: choose a smaller ratio.`,
    )
    .join(' ')

/** Why two tanks are needed; nothing where one will do. */
export const clashText = (clashes: readonly Clash[], tanks: number): string => {
  const [first] = clashes
  if (!first) return ''
  const why = `${feedName(first.calcium.id)} and ${lowerFirst(feedName(first.other.id))} fall out together in a stock (calcium ${first.with}).`
  return tanks === 0
    ? `${why} No two tanks keep these feeds apart: give one of them on another day.`
    : `${why} Keep them in two tanks; in the can they go together.`
}

/** What a reading in the made-up feed says. */
export function checkText({ share, ratio }: MeterCheck, injector: number): string {
  if (ratio === null) return 'The meter shows no more than your water: no feed is drawn.'
  const part = `That is ${percentText(share)} of the strength meant`
  return Math.abs(share - 1) <= NEAR
    ? `${part}: right, as far as a meter shows.`
    : `${part}: the stock goes in at 1 to ${numberText(ratio)}, not 1 to ${numberText(injector)}.`
}
/** A meter and a stock made up by weight agree to a tenth. Source: common practice. */
const NEAR = 0.1

/** What an injector should draw while a bucket fills. Litres. */
export const bucketTestText = (feed: number, drawn: number, units: UnitSystem): string =>
  `While ${volumeText(feed, units)} of feed runs out it draws ${liquidText(drawn * 1000, units)} of stock: test it with a bucket and a measuring jug.`

/** What a feed of a line brings to its water. */
export const solutionOf = (dressing: Dressing, gramsPerLitre: number): FeedSolution =>
  feedSolution([{ dressing, gramsPerLitre }])
