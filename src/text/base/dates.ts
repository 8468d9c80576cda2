import { z } from 'zod/mini'
import { MONTHS } from './months'
import type { Sentence } from './problems.en'

/** A day or a moment as the clock of the grower has it. A day alone begins at their midnight. */
export const localDay = (iso: string): Date => new Date(iso.length === 10 ? `${iso}T00:00` : iso)

/** Does the month come first, as in the language of the browser? Said once, when the page begins. */
let monthFirst = false
export function setDateOrder(language: string): void {
  const parts = new Intl.DateTimeFormat(language).formatToParts(0).map((p) => p.type)
  monthFirst = parts.indexOf('month') < parts.indexOf('day') && parts[0] !== 'year'
}

/** "14 Mar", or "Mar 14" where the month comes first: where the year goes without saying. */
export function shortDayText(iso: string): string {
  const day = localDay(iso)
  const month = MONTHS[day.getMonth()]!.slice(0, 3)
  return monthFirst ? `${month} ${day.getDate()}` : `${day.getDate()} ${month}`
}

/** "14 Mar 2026", "Mar 14, 2026" from an ISO date. */
export const dayText = (iso: string) =>
  `${shortDayText(iso)}${monthFirst ? ',' : ''} ${localDay(iso).getFullYear()}`

/** The day a moment falls on, as an ISO date in the grower's own time zone. */
export { isoDay } from '@/model/calendar/isoDay'

const day = z.iso.date()
/** Is it a day of the calendar with a year of four digits, "2026-03-14"? A date field may be half filled. */
export const isDay = (text: string): boolean => day.safeParse(text).success
/** What is wrong with a date field, null where nothing is; what was done is "mixed", "planted". */
export const dayProblem = (text: string, done: string): Sentence | null =>
  isDay(text)
    ? null
    : text === ''
      ? { why: 'No day yet.', fix: `Choose the day it was ${done}.` }
      : { why: 'This is not a day of the calendar.', fix: 'Type a year of four digits.' }
