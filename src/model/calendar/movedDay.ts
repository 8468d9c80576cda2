import { addDays, differenceInCalendarDays, parseISO } from 'date-fns'
import type { Job } from '../garden/schemas'
import { isoDay } from './isoDay'

/** The ISO day the grower has put a task on; undefined where it keeps the day worked out. */
export const movedDay = ({ movedDays }: Pick<Job, 'movedDays'>, step: string): string | undefined =>
  movedDays.find((m) => m.step === step)?.on

/** Days from one ISO day to another, and the ISO day so many days after one. */
export const daysBetween = (from: string, to: string): number =>
  differenceInCalendarDays(parseISO(to), parseISO(from))
export const daysAfter = (iso: string, days: number): string => isoDay(addDays(parseISO(iso), days))
