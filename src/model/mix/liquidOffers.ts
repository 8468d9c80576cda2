import { burdenOf, leavesGraver } from '@/core/appraisal'
import type { Dressing } from '@/core/data'
import type { Trace } from '@/core/data/nutrition'
import { dressingIn } from '@/core/data/dressings'
import { LIQUID_IDS, liquidRow } from '@/core/data/liquids'
import { USUAL_LEACHING } from '@/core/growing'
import { firstShort, isFed } from '@/core/judgement'
import { defineLimits } from '@/core/limits'
import { feedDays, feedSolution } from '@/core/liquid'
import { FED, mgPerGram, saltLimit, seasonDays, USUAL_SALT_LIMIT, type Fed } from '@/core/nutrients'
import { SEASON_LIMITS } from '@/core/season'
import { appraised, WORTH, type Unfed } from './withFeed'
import type { LiquidFeedQuestion, MixQuestion } from './question'
import { byStage } from './stagedFeed'
import { traceFeed } from './traceFeed'
import { verdictOf, type Verdict } from './verdict'

/** How strong a feed may be, and how much water carries it. */
export const LIQUID_LIMITS = defineLimits({
  strongest: {
    value: 3,
    low: 2,
    high: 3.5,
    unit: 'dS/m of water and feed together',
    source: 'common practice: vegetables in pots at most 2.5 to 3',
  },
  overSalts: {
    value: 1.5,
    low: 1,
    high: 2,
    unit: 'of the salts the crop takes in the saturated extract',
    source: 'our assumption: the mix holds water besides, and a seventh drains',
  },
  weakest: {
    value: 0.2,
    low: 0.1,
    high: 0.3,
    unit: 'dS/m that a feed adds',
    source: 'our assumption: weaker feed is not worth a can so often',
  },
  littleNitrogen: {
    value: 30,
    low: 20,
    high: 50,
    unit: 'mg/L of nitrogen',
    source: 'our assumption: as `weakest`, for urea, which no meter shows',
  },
  leastWater: {
    value: 0.05,
    low: 0.03,
    high: 0.1,
    unit: 'litres for a litre of mix',
    source: 'our assumption: less does not wet it through',
  },
  mostWater: {
    value: 0.2,
    low: 0.1,
    high: 0.3,
    unit: 'litres for a litre of mix',
    source: 'our assumption: more runs out below',
  },
  canOfWater: {
    value: 10,
    low: 5,
    high: 20,
    unit: 'litres for a square metre or a plant at the most',
    source: 'common practice: a can to a square metre',
  },
})
const L = LIQUID_LIMITS

/**
 * Days between feeds that a grower keeps: of what rots first, where a week is too seldom, where it is next to
 * nothing.
 */
const SLOW = [14, 7] as const
const OFTEN = [7, 3, 1] as const
const RARER = [14, 28] as const
/** Of its nitrogen so much is organic where a feed has to rot first. */
const MOSTLY = 0.5
/** So many are shown, of so many feeds each. */
const SHOWN = 3
const MOST_FEEDS = 2
/** A strength is mended so often for what drains. */
const ROUNDS = 3
/** Share of a season's food that a second feed has to add. Source: our assumption. */
const WORTH_A_SECOND = 0.05

/** A way to feed a mix with water, carried out and judged whole. Plain data. */
export interface LiquidOffer {
  feeds: LiquidFeedQuestion[]
  /** One feed, stronger in the stages in which the crop takes more up. */
  byStage: boolean
  /** Traces that it makes up for; empty for a feed of what is needed by the gram. */
  traces: Trace[]
  /** Share of enough that the crop gets, and without the feeds. */
  fed: number
  fedWithout: number
  /** What is still short with it; null where nothing is. */
  stillShort: Fed | null
  /** Most salts of the season, dS/m in the saturated extract, and pH at its end. */
  salts: number
  pH: number
  verdict: Verdict
  /** What is said first of the mix is the same with the feed as without it. */
  saysTheSame: boolean
}

export interface LiquidRequest {
  question: MixQuestion
  answered: readonly string[]
}

/** Feeds that go into water: the published ones, then the grower's own. */
export const liquidFeedsIn = ({ tables }: Pick<MixQuestion, 'tables'>): Dressing[] => [
  ...LIQUID_IDS.flatMap((id) => dressingIn(tables, id) ?? []),
  ...tables.dressings.filter((d) => !LIQUID_IDS.includes(d.id) && liquidRow(d) !== undefined),
]

/**
 * The best ways to feed a mix with water from the week before it runs short: each feed as strong and as often as
 * fills one
 * of the nutrients that lack, then what it still lacks beside it, carried out and appraised whole; what leaves least to
 * be said first, then what feeds most. Last, what makes up for traces. Empty where the mix feeds its crop, or no crop is chosen. A generator: yields
 * the share done. Errors: none. Source: mass balance; strengths beside the limits.
 */
export function* liquidOffers({ question, answered }: LiquidRequest): Generator<number, LiquidOffer[]> {
  const plain = { ...question, care: { ...question.care, liquidFeeds: [] } }
  const unfed = appraised(plain)
  if (!unfed) return []
  const all = liquidFeedsIn(question)
  const shownTo = { unfed, answered: new Set(answered) }
  const traces = traceOffer(question, all, answered)
  if (!hungryFrom(unfed)) return traces
  const singles: Tried[] = []
  for (const [i, dressing] of all.entries()) {
    singles.push(...bestWith(unfed, dressing, []))
    yield (0.6 * (i + 1)) / all.length
  }
  const found = singles.sort(byWorth).slice(0, SHOWN * 2)
  const tried = [...found]
  for (const [i, one] of found.entries()) {
    if (one.feeds.length < MOST_FEEDS && hungryFrom(one.mix))
      for (const dressing of all)
        if (dressing.id !== one.feeds[0]!.dressingId) tried.push(...bestWith(one.mix, dressing, one.feeds))
    yield 0.6 + (0.4 * (i + 1)) / found.length
  }
  const shown = new Map<string, Tried>()
  for (const one of tried.sort(byWorth)) {
    const { dressingId } = one.feeds[0]!
    if (shown.size < SHOWN && !shown.has(dressingId)) shown.set(dressingId, one)
  }
  const best = [...shown.values()]
  const staged = best.flatMap((one) => stagedAs(one) ?? []).slice(0, 1)
  return [...[...best, ...staged].map((one) => offerOf(one, shownTo)), ...traces]
}

/** What makes up for traces beside the feeds there are, which stay; nothing without a crop. */
function traceOffer(
  question: MixQuestion,
  feeds: readonly Dressing[],
  answered: readonly string[],
): LiquidOffer[] {
  const now = question.crops.length > 0 ? appraised(question) : null
  const tried = now && traceFeed(now, feeds, waterFor(now))
  return tried ? [offerOf(tried, { unfed: now, answered: new Set(answered) })] : []
}

interface Tried {
  feeds: LiquidFeedQuestion[]
  mix: Unfed
  byStage?: boolean
  traces?: Trace[]
}
const feedingOf = ({ evaluation }: Unfed) => evaluation.growing?.feeding ?? null
const fedOf = (mix: Unfed) => feedingOf(mix)?.fed ?? 0
const hungryFrom = (mix: Unfed) => {
  const feeding = feedingOf(mix)
  return feeding && firstShort(feeding)
}
/** Least to be said first, then what feeds clearly better, then the fewest cans; enough is enough. */
const byWorth = (a: Tried, b: Tried) =>
  burdenOf(a.mix.findings) - burdenOf(b.mix.findings) ||
  Math.round((enoughOf(b.mix) - enoughOf(a.mix)) / WORTH) ||
  a.feeds.length - b.feeds.length
const enoughOf = (mix: Unfed) => (hungryFrom(mix) ? fedOf(mix) : 1)

/**
 * One more feed beside those there are, as it fills each nutrient that lacks; the best of these where it is
 * worth it.
 */
function bestWith(before: Unfed, dressing: Dressing, feeds: readonly LiquidFeedQuestion[]): Tried[] {
  const feeding = feedingOf(before)!
  const tried = FED.flatMap((element): Tried[] => {
    if (isFed(feeding.met[element])) return []
    const best = filled(before, { dressing, element, feeds })
    const worth = feeds.length === 0 ? WORTH : WORTH_A_SECOND
    const helps =
      best &&
      fedOf(best.mix) > fedOf(before) + worth &&
      burdenOf(best.mix.findings) <= burdenOf(before.findings) &&
      !leavesGraver(before.findings, best.mix.findings)
    return helps ? [best] : []
  })
  return tried.sort(byWorth).slice(0, 1)
}

/** Share by which the salts of a feed by stage have to lie below those of a steady one. Source: our assumption. */
const FEWER_SALTS = 0.03

/**
 * A single feed given by stage instead, carried out: worth showing where it feeds as well and leaves fewer salts, or
 * feeds clearly better. Null elsewhere.
 */
function stagedAs({ feeds, mix }: Tried): Tried | null {
  const { question } = mix.prepared
  const [feed] = feeds
  const dressing = feed && dressingIn(question.tables, feed.dressingId)
  if (!dressing || feeds.length > 1) return null
  const most = Math.min(strongestFor(mix, dressing), mostFor(mix, dressing, feed.litres))
  const parts = byStage(feed, question.crops[0]!, most)
  const staged = parts && appraised({ ...question, care: { ...question.care, liquidFeeds: parts } })
  if (!staged || burdenOf(staged.findings) > burdenOf(mix.findings)) return null
  const saltsOf = ({ evaluation }: Unfed) => evaluation.salts.most.saturatedExtract
  const gained = fedOf(staged) - fedOf(mix)
  const isGentler = gained > -WORTH / 2 && saltsOf(staged) < saltsOf(mix) * (1 - FEWER_SALTS)
  return isGentler || gained > WORTH ? { feeds: parts, mix: staged, byStage: true } : null
}

interface Filling {
  dressing: Dressing
  element: Fed
  feeds: readonly LiquidFeedQuestion[]
}

/**
 * A feed strong enough to fill one nutrient: what the drain takes is made up for, as far as crop and dressing bear.
 * Null where it cannot be given or worked out.
 */
function filled(before: Unfed, { dressing, element, feeds }: Filling): Tried | null {
  const { question } = before.prepared
  const held = mgPerGram(dressing, element)
  if (!(held > 0)) return null
  let wanted = feedingOf(before)!.toFeed[element] * 1000
  let best: Tried | null = null
  for (let round = 0; round < ROUNDS; round++) {
    const feed = givenAs(before, dressing, wanted / held)
    // As much is given already as crop and dressing bear.
    if (!feed || feed.gramsPerLitre <= (best?.feeds.at(-1)!.gramsPerLitre ?? 0)) break
    const all = [...feeds, feed]
    const mix = appraised({ ...question, care: { ...question.care, liquidFeeds: all } })
    if (!mix) break
    best = { feeds: all, mix }
    const feeding = feedingOf(mix)!
    if (isFed(feeding.met[element])) break
    wanted += feeding.toFeed[element] * 1000
  }
  return best
}

/**
 * So many grams in a season as cans of feed, as often and as strong as the crop and the dressing bear; null for none.
 */
function givenAs(mix: Unfed, dressing: Dressing, grams: number): LiquidFeedQuestion | null {
  const first = hungryFrom(mix)
  const { crops, care } = mix.prepared.question
  if (!first) return null
  const fromDay = Math.max(SEASON_LIMITS.feedBefore.value, first.day - SEASON_LIMITS.feedBefore.value)
  const litres = waterFor(mix)
  const kept = litres * (1 - (care.leachingFraction ?? USUAL_LEACHING))
  const until = seasonDays(crops[0]!)
  const strength = (everyDays: number) => {
    const times = feedDays({ from: fromDay, until, every: everyDays }).length
    return times > 0 ? grams / (kept * times) : Infinity
  }
  const most = Math.min(strongestFor(mix, dressing), mostFor(mix, dressing, litres))
  const everyDays = rhythmFor(dressing, strength, most)
  const gramsPerLitre = measured(Math.min(strength(everyDays), most))
  return until > fromDay && gramsPerLitre > 0
    ? { dressingId: dressing.id, gramsPerLitre, litres, everyDays, fromDay, untilDay: null }
    : null
}

/** How often: once a week; rarer where that would be next to nothing, more often where it would be too strong. */
function rhythmFor(dressing: Dressing, strength: (everyDays: number) => number, most: number): number {
  const isSlow = (dressing.nitrogenForms?.organic ?? 0) > MOSTLY
  const isWeak = (everyDays: number) => {
    const { conductivity, charge } = feedSolution([{ dressing, gramsPerLitre: strength(everyDays) }])
    return conductivity < L.weakest.value && charge.nitrogen < L.littleNitrogen.value
  }
  const rare = RARER.filter((days) => strength(days) <= most && isWeak(days / 2))
  if (rare.length > 0) return rare.at(-1)!
  if (isSlow) return strength(SLOW[0]) <= most ? SLOW[0] : SLOW[1]
  return OFTEN.find((days) => strength(days) <= most) ?? OFTEN.at(-1)!
}

/** g in a litre of water at which one feeding is as much as its row bears. */
function mostFor({ prepared, evaluation }: Unfed, dressing: Dressing, litres: number): number {
  const kept = litres * (1 - (prepared.question.care.leachingFraction ?? USUAL_LEACHING))
  return (dressing.dose.limit * evaluation.fill.mixVolume) / kept
}

/** As it is measured out: two figures. */
const measured = (x: number) => Number(x.toPrecision(2))

/** g in a litre of water at which a feed is as strong as the crop bears. */
function strongestFor({ prepared }: Unfed, dressing: Dressing): number {
  const { crops, place } = prepared.question
  const salts = crops[0] ? saltLimit(crops[0].properties) : USUAL_SALT_LIMIT
  const most = Math.min(L.strongest.value, L.overSalts.value * salts) - (place?.waterConductivity ?? 0)
  if (!(most > 0)) return 0
  const atOne = feedSolution([{ dressing, gramsPerLitre: 1 }]).conductivity
  // Conductivity grows a little less than strength does, so that this errs to the weak side.
  return atOne > 0 ? most / atOne : Infinity
}

/** Water that carries a feed to one container: what it drinks between waterings when it is thirstiest. Litres. */
function waterFor({ prepared, evaluation }: Unfed): number {
  const { growing, fill } = evaluation
  const { mixVolume, surface } = fill
  const month = growing?.thirstiestMonth
  const usable = month ? growing.watering[month - 1]!.usable : (mixVolume * L.mostWater.value) / 2
  const plants = prepared.input.growing?.plants ?? 1
  const most = Math.min(
    mixVolume * L.mostWater.value,
    L.canOfWater.value * Math.max(plants, surface / 10_000),
  )
  const litres = Math.min(most, Math.max(mixVolume * L.leastWater.value, usable))
  return litres < 1 ? Math.max(0.05, Math.round(litres * 20) / 20) : Math.round(litres * 2) / 2
}

function offerOf(
  { feeds, mix, byStage: isStaged = false, traces = [] }: Tried,
  { unfed, answered }: { unfed: Unfed; answered: ReadonlySet<string> },
): LiquidOffer {
  const { evaluation, prepared, judgements } = mix
  const verdict = verdictOf(prepared, evaluation, { judgements, answered })
  const before = verdictOf(unfed.prepared, unfed.evaluation, { judgements: unfed.judgements, answered })
  return {
    feeds,
    byStage: isStaged,
    traces,
    fed: fedOf(mix),
    fedWithout: fedOf(unfed),
    stillShort: hungryFrom(mix)?.element ?? null,
    salts: evaluation.salts.most.saturatedExtract,
    pH: evaluation.acidity.at(-1)!.pH,
    verdict,
    saysTheSame: verdict.first?.topic === before.first?.topic,
  }
}
