import type { Verdict } from '@/core/judgement'
import type { Evaluation } from '@/core/evaluate'

/** A stretch of a scale, 0 to 1. */
export interface Span {
  from: number
  to: number
}

/** What is at hand of one thing against what is wanted, week by week; each of the season's highest demand, 0 to 1. */
export interface WeekRow {
  name: string
  weeks: { wanted: number; met: number }[]
  /** Index of the first week that is short; null where none is. */
  shortFrom: number | null
  /** The one that runs short first. */
  isFirst: boolean
}
interface WeekPoint {
  week: number
  value: number
  text: string
}
/** A figure through the weeks, with what suits. */
export interface WeekCourse {
  points: WeekPoint[]
  /** The same under another condition, with its name: "with rain water". */
  beside?: { name: string; points: WeekPoint[] }
  suits: { low: number; high: number } | null
}

/** What is behind "Why?": a paragraph, a table, or a picture with its sentence. */
export type Why =
  | string
  | { head: string[]; rows: string[][] }
  | { byWeek: WeekRow[]; label: string }
  | { course: WeekCourse; label: string }

/** One figure of a mix in words, as a gauge shows it. */
export interface Reading {
  id: string
  label: string
  /** The field's own term. */
  term: string
  value: string
  /** The band in words. */
  wanted: string
  verdict: Verdict
  advice: string
  /** Where the value lies on its scale, 0 to 1; null draws no scale. */
  position: number | null
  band: Span | null
  /** The likely range: by a figure of the draws, known at once, or none. */
  likely:
    | { kind: 'drawn'; figure: string; write: (x: number) => string; place: ((x: number) => number) | null }
    | { kind: 'known'; text: string; span: Span | null }
    | null
  /** Where it would stand in another mix; null where that one has no such figure. */
  ghost: (other: Evaluation) => { position: number; text: string } | null
  /** Worked out when somebody asks. */
  why: () => Why[]
}

/** "likely 14–21 %": the unit once, where both ends have the same. */
export function likelyText(low: string, high: string): string {
  if (low === high) return `likely ${low}`
  const unit = /[^\d.,]*$/.exec(low)?.[0] ?? ''
  return `likely ${high.endsWith(unit) ? low.slice(0, low.length - unit.length) : low}–${high}`
}

/** "from your 3 readings". */
export const fromReadingsText = (count: number): string =>
  count === 1 ? 'from your reading' : `from your ${count} readings`

/** A list in words: "a, b, c". */
export const listed = <T>(list: readonly T[], write: (one: T) => string): string => list.map(write).join(', ')
