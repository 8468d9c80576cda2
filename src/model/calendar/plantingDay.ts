import { addDays, parseISO } from 'date-fns'
import { cropById } from '@/core/data'
import { seasonOf } from '@/core/data/seasons'
import { plantingMonths } from '@/core/season'
import { asJudged } from '../garden/garden'
import type { Job, Place } from '../garden/schemas'
import { isoDay } from './isoDay'

/** When a job is planted, and where that day comes from. */
export interface Planted {
  day: string
  /** Planted on that day, as the grower said. */
  said: boolean
  /**
   * As said, or by a month chosen; else the day the mix is ready, or the first after it in a month that suits the crop
   * at the place: the usual month where no place is known, or where no month suits.
   */
  from: 'told' | 'month' | 'ready' | 'place' | 'usual' | 'unsuited'
}

/**
 * The month most crops go out in where no place says, and where the sun stands in the south. Source: common practice.
 */
const USUAL_MONTH = { north: 5, south: 11 }
const MIDDLE = 15

/** The middle of a month, the next to come on or after a day. */
function middleOf(month: number, notBefore: string): string {
  const from = parseISO(notBefore)
  const year = from.getMonth() + 1 > month ? from.getFullYear() + 1 : from.getFullYear()
  return isoDay(new Date(year, month - 1, MIDDLE))
}

/** The day a grower has said or chosen the month of; null where neither. */
export function plannedDay(job: Job): Planted | null {
  if (job.plantedOn) return { day: job.plantedOn, said: true, from: 'told' }
  if (job.plantMonth === null) return null
  return { day: middleOf(job.plantMonth, job.createdAt), said: false, from: 'month' }
}

/**
 * The day a job is taken to be planted: as said, or not before `readyOn`, the ISO day its mix has rested: that day
 * where its month suits the crop, else the first of the next month that does; where none suits, of the usual month.
 */
export function plantingDay(job: Job, place: Place | undefined, readyOn: string): Planted {
  const planned = plannedDay(job)
  if (planned) return planned
  const crop = cropById(asJudged(job).cropId)
  const season = crop && seasonOf(crop.id)
  if (!crop || !season) return { day: readyOn, said: false, from: 'ready' }
  const suiting = place ? plantingMonths(crop, season, place) : []
  // Too cold or too hot all year: whoever grows it all the same plants it when others do.
  const from = suiting.length > 0 ? 'place' : place ? 'unsuited' : 'usual'
  const months = suiting.length > 0 ? suiting : [USUAL_MONTH[(place?.latitude ?? 1) < 0 ? 'south' : 'north']]
  for (let days = 0; days <= 366; days++) {
    const day = addDays(parseISO(readyOn), days)
    if (months.includes(day.getMonth() + 1))
      return { day: isoDay(day), said: false, from: days === 0 ? 'ready' : from }
  }
  return { day: readyOn, said: false, from: 'ready' }
}
