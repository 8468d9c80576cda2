import { burdenOf, leavesGraver } from '@/core/appraisal'
import type { Dressing } from '@/core/data'
import type { Trace } from '@/core/data/nutrition'
import { USUAL_LEACHING } from '@/core/growing'
import { appraised, type Unfed } from './withFeed'
import type { LiquidFeedQuestion } from './question'

/** Traces come in three cans, a fortnight apart from the second week on. Source: common practice. */
const CANS = { count: 3, every: 14, from: 14 }

/** A trace feed carried out beside the feeds there are, and the traces it makes up for. */
export interface TraceFeed {
  feeds: LiquidFeedQuestion[]
  mix: Unfed
  traces: Trace[]
}

const inState = ({ evaluation }: Unfed, state: 'short' | 'tooMuch') =>
  evaluation.traces.filter((t) => t.state === state).map((t) => t.trace)

/**
 * The trace feed that makes up for most of what a mix lacks in traces, at the usual rate of its row in three cans; null
 * where nothing lacks, or none helps without too much of another. Feeds that the mix has already stay. Errors: none.
 */
export function traceFeed(before: Unfed, feeds: readonly Dressing[], litres: number): TraceFeed | null {
  const short = inState(before, 'short')
  if (short.length === 0) return null
  const { question } = before.prepared
  const kept = litres * (1 - (question.care.leachingFraction ?? USUAL_LEACHING))
  const tried = feeds.flatMap((dressing): TraceFeed[] => {
    if (dressing.family !== 'trace') return []
    const grams = dressing.dose.high * before.evaluation.fill.mixVolume
    const feed: LiquidFeedQuestion = {
      dressingId: dressing.id,
      gramsPerLitre: Number((grams / kept / CANS.count).toPrecision(2)),
      litres,
      everyDays: CANS.every,
      fromDay: CANS.from,
      untilDay: CANS.from + CANS.every * (CANS.count - 1),
    }
    const liquidFeeds = [...(question.care.liquidFeeds ?? []), feed]
    const mix = appraised({ ...question, care: { ...question.care, liquidFeeds } })
    if (!mix) return []
    const left = inState(mix, 'short')
    const traces = short.filter((t) => !left.includes(t))
    const isWorse =
      inState(mix, 'tooMuch').length > inState(before, 'tooMuch').length ||
      burdenOf(mix.findings) > burdenOf(before.findings) ||
      leavesGraver(before.findings, mix.findings)
    return traces.length > 0 && !isWorse ? [{ feeds: [feed], mix, traces }] : []
  })
  return tried.sort((a, b) => b.traces.length - a.traces.length)[0] ?? null
}
