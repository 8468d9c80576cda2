import { format, parseISO } from 'date-fns'

/** "14 Mar 2026" from an ISO date. */
export const dayText = (iso: string) => format(parseISO(iso), 'd MMM yyyy')

/** "14 Mar": where the year goes without saying. */
export const shortDayText = (iso: string) => format(parseISO(iso), 'd MMM')

/** Today as an ISO date in the grower's own time zone. */
export const isoDay = (date: Date) => format(date, 'yyyy-MM-dd')
