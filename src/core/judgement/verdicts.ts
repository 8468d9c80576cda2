import type { Band } from '../data/types'
import type { Evaluation } from '../evaluate'
import { FED, type Fed, type Feeding } from '../nutrients'
import { waterJudged, type Bands } from '../targets'
import type { Days } from '../units'
import { JUDGEMENT_LIMITS } from './limits'

/** How a figure compares with what is wanted; `plain` where nothing is. */
export type Verdict = 'plain' | 'low' | 'good' | 'high'

/**
 * A figure against its band, in the figure's own unit; nearer to an edge than `slack` counts as within.
 * Errors: none; with no band the answer is that nothing is wanted.
 */
export function verdictOf(value: number, band: Band | null, slack: number): Verdict {
  if (band === null) return 'plain'
  return value < band.low - slack ? 'low' : value > band.high + slack ? 'high' : 'good'
}

export interface Verdicts {
  air: Verdict
  water: Verdict
  pH: Verdict
  salts: Verdict
  /** Days between waterings; long ones are no fault. */
  days: Verdict
  /** Drained, where it has to be lifted. */
  weight: Verdict
  feed: Verdict
  /** What has rotted after three years, where the crop stays. */
  lasting: Verdict
}

const L = JUDGEMENT_LIMITS

/**
 * Air against its band, fractions.
 * Source: beside the limit.
 *
 * @example
 * airVerdict(0.1, { low: 0.2, high: 1 }) // 'low'
 */
export const airVerdict = (air: number, band: Band): Verdict => verdictOf(air, band, L.shareSlack.value)
/**
 * Has more of it rotted after three years than what stays can bear? Fraction of the volume.
 * Source: beside the limit.
 *
 * @example
 * isSlump(0.25) // true
 */
export const isSlump = (volumeLost: number): boolean => volumeLost > L.slump.value

/**
 * Does a mix give so much of what a season needs that it counts as all of it? Fraction.
 * Source: beside the limit.
 *
 * @example
 * isFed(0.96) // true
 */
export const isFed = (met: number): boolean => met >= L.fed.value

/**
 * The nutrient of which a mix first gives less than enough, and the day from which; null where it feeds all season.
 * A nutrient that is scarce for some weeks and made up for over the season does not count.
 */
export function firstShort({ met, shortFrom }: Feeding): { element: Fed; day: Days } | null {
  const short = FED.flatMap((element) => {
    const day = shortFrom[element]
    return day !== null && !isFed(met[element]) ? [{ element, day }] : []
  })
  // Of two that run short together the scarcer one is named.
  const sooner = (a: (typeof short)[number], b: (typeof short)[number]) =>
    b.day < a.day || (b.day === a.day && met[b.element] < met[a.element]) ? b : a
  return short.length > 0 ? short.reduce(sooner) : null
}

/** What of an evaluation is compared with the bands. */
type Judged = Pick<Evaluation, 'growing' | 'lime' | 'mix' | 'salts' | 'seasons' | 'weights'>

/**
 * Every figure of an evaluation against what is wanted: the one place where that is decided, for screens and warnings
 * alike.
 * Source: beside each limit.
 */
export function verdictsOf(e: Judged, bands: Bands, perennial: boolean): Verdicts {
  const { growing } = e
  const days = growing?.thirstiestMonth ? growing.watering[growing.thirstiestMonth - 1]!.days.value : null
  const salts = e.salts.most.saturatedExtract
  const third = e.seasons.find((s) => s.years === 3)
  const atMost = (verdict: Verdict): Verdict => (verdict === 'high' ? 'high' : 'plain')
  const atLeast = (verdict: Verdict): Verdict => (verdict === 'high' ? 'good' : verdict)
  // Ground that holds water enough has no fault in more air or more water.
  const ground = bands.plantAvailableWater
  const held = verdictOf(waterJudged(e.mix, bands), ground ?? bands.easilyAvailableWater, L.shareSlack.value)
  const water = ground ? atLeast(held) : held
  const air = airVerdict(e.mix.airFilledPorosity, bands.airFilledPorosity)
  return {
    air: ground && water === 'good' ? atLeast(air) : air,
    water,
    pH: verdictOf(e.lime.pH, bands.pH, L.pHSlack.value),
    salts: verdictOf(salts, bands.electricalConductivity, L.saltsSlack.value),
    days: days === null ? 'plain' : atLeast(verdictOf(days, bands.daysBetweenWaterings, L.daysSlack.value)),
    weight: atMost(verdictOf(e.weights.drained, bands.drainedWeight, 0)),
    feed: !growing ? 'plain' : isFed(growing.feeding.fed) ? 'good' : 'low',
    lasting: perennial && third && isSlump(third.volumeLost) ? 'high' : 'plain',
  }
}
