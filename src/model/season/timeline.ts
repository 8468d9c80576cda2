import { addDays, differenceInCalendarDays, parseISO } from 'date-fns'
import { averaged } from '@/core/fieldTests'
import type { Evaluation } from '@/core/evaluate'
import { convertExtract } from '@/core/nutrients'
import type { Entry, Job, MixRecord, Test } from '../garden/schemas'

/** What a season is followed by. */
export const TIMELINES = ['pH', 'salts', 'nitrogen', 'level', 'waterings'] as const
export type Timeline = (typeof TIMELINES)[number]

/** A value on a day, counted from mixing (from planting where no record says when it was mixed). */
export interface DayPoint {
  day: number
  value: number
}
export interface TimelineCourse {
  /** What was to be expected, in the order of days. */
  expected: DayPoint[]
  /** What was read or done. */
  read: DayPoint[]
}

export interface TimelineQuestion {
  job: Job
  record: MixRecord | undefined
  evaluation: Evaluation
  entries: readonly Entry[]
  tests: readonly Test[]
}

/** The day a season is counted from; null where neither mixing nor planting has a day. */
export const seasonStart = ({ job, record }: Pick<TimelineQuestion, 'job' | 'record'>): string | null =>
  record?.madeOn ?? job.plantedOn

/** Days between waterings beyond which it is another matter: rain, a rest, a gap in the log. */
const LONGEST_GAP = 30
/** More points than a chart shows one by one: then each week has its mean. */
const MANY = 200

function byTheWeek(points: readonly DayPoint[]): DayPoint[] {
  if (points.length <= MANY) return [...points]
  const weeks = new Map<number, number[]>()
  for (const { day, value } of points) {
    const week = Math.floor(day / 7)
    weeks.set(week, [...(weeks.get(week) ?? []), value])
  }
  return [...weeks].map(([week, values]) => ({
    day: week * 7 + 3,
    value: values.reduce((s, v) => s + v, 0) / values.length,
  }))
}

/** Expected course of one thing. */
function expectedCourse(of: Timeline, start: string, e: Evaluation): DayPoint[] {
  switch (of) {
    case 'pH':
      return e.acidity.map(({ day, pH }) => ({ day, value: pH }))
    case 'salts': {
      const { course, mix } = e.salts
      if (course.length === 0) return []
      const fresh = mix.electricalConductivity
      return [
        { day: 0, value: fresh.oneToTwo },
        ...course.map(({ day, saturatedExtract }) => ({
          day,
          value: convertExtract(saturatedExtract, 'saturatedExtract', 'oneToTwo'),
        })),
      ]
    }
    case 'nitrogen':
      return (e.growing?.feeding.weeks.nitrogen ?? []).map(({ day, pool }) => ({ day, value: pool }))
    case 'level':
      return [
        { day: 0, value: 0 },
        ...e.seasons.map(({ years, slump }) => ({ day: Math.round(365 * years), value: slump })),
      ]
    case 'waterings': {
      const { watering = [], standing = [] } = e.growing ?? {}
      const from = parseISO(start)
      return standing.flatMap((month, i): DayPoint[] => {
        const value = watering[month - 1]?.days.value
        // The middle of each month it stands in, the first as it is from its start on.
        const day = differenceInCalendarDays(new Date(from.getFullYear(), from.getMonth() + i, 15), from)
        return value === undefined ? [] : [{ day: Math.max(0, day), value: Math.min(LONGEST_GAP, value) }]
      })
    }
  }
}

/** Days of the calendar, counted; cheap enough for thousands of lines. */
const dayNumber = (of: Date) => Date.UTC(of.getFullYear(), of.getMonth(), of.getDate()) / 86_400_000

/** What was read of one thing, oldest first. */
function readCourse(of: Timeline, start: string, q: TimelineQuestion): DayPoint[] {
  const from = dayNumber(parseISO(start))
  const dayAt = (at: string) => dayNumber(new Date(at)) - from
  const values = (kind: Entry['kind']) =>
    q.entries.flatMap((e) =>
      e.kind === kind && e.value !== null ? [{ day: dayAt(e.at), value: e.value }] : [],
    )
  const ofTests = (figure: 'pH' | 'electricalConductivity' | 'sunk') =>
    q.tests.flatMap((t): DayPoint[] => {
      const found = t.finishedAt ? averaged(t.test, t.repeats) : null
      const value = found?.ok ? found.value[figure]?.mean : undefined
      // Salts by another extract are another figure.
      if (value === undefined || (figure === 'electricalConductivity' && t.test !== 'slurry')) return []
      return [{ day: dayAt(t.finishedAt!), value }]
    })
  const atTub = (kind: 'pH' | 'salts') =>
    (q.record?.readings ?? []).flatMap((r) => (r.kind === kind ? [{ day: r.day, value: r.value }] : []))
  const found = ((): DayPoint[] => {
    switch (of) {
      case 'pH':
        return [...atTub('pH'), ...values('pH'), ...ofTests('pH')]
      case 'salts':
        return [...atTub('salts'), ...values('salts'), ...ofTests('electricalConductivity')]
      case 'level':
        return [...values('sunk'), ...ofTests('sunk')]
      case 'waterings': {
        const days = [...new Set(q.entries.flatMap((e) => (e.kind === 'watered' ? [dayAt(e.at)] : [])))].sort(
          (a, b) => a - b,
        )
        return days
          .slice(1)
          .map((day, i) => ({ day, value: day - days[i]! }))
          .filter((p) => p.value <= LONGEST_GAP)
      }
      case 'nitrogen':
        return []
    }
  })()
  return byTheWeek(found.filter((p) => p.day >= 0).sort((a, b) => a.day - b.day))
}

/**
 * A season by one thing: what was to be expected, and what was read. Null where no day is known to count from; `start`
 * is another day to count from, ISO. The expected course ends a little after the last reading, or with the first
 * season.
 */
export function timelineOf(
  of: Timeline,
  question: TimelineQuestion,
  start: string | null = seasonStart(question),
): TimelineCourse | null {
  if (!start) return null
  const read = readCourse(of, start, question)
  const last = Math.max(150, (read.at(-1)?.day ?? 0) + 14)
  const expected = expectedCourse(of, start, question.evaluation)
  const beyond = expected.findIndex((p) => p.day > last)
  return { expected: beyond === -1 ? expected : expected.slice(0, beyond + 1), read }
}

/** The day of the calendar of a day of the season. */
export const dateOf = (start: string, day: number): Date => addDays(parseISO(start), day)
