import { formatISO } from 'date-fns'

/** A day as an ISO date, by the local calendar. */
export const isoDay = (date: Date): string => formatISO(date, { representation: 'date' })
