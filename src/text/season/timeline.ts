import { dateOf, type Timeline, type TimelineCourse } from '@/model/season/timeline'
import { isoDay, shortDayText } from '../base/dates'
import { pHText, type UnitSystem } from '../base/units'

export const TIMELINE_NAMES: readonly { value: Timeline; label: string }[] = [
  { value: 'pH', label: 'pH' },
  { value: 'salts', label: 'Salts' },
  { value: 'nitrogen', label: 'Nitrogen' },
  { value: 'level', label: 'Level' },
  { value: 'waterings', label: 'Waterings' },
]

const INCH = 2.54
/** How a timeline is written: its axis, and a value of it in the grower's units. */
export function timelineWords(of: Timeline, units: UnitSystem) {
  const us = units === 'us'
  switch (of) {
    case 'pH':
      return { axis: 'pH', shown: (x: number) => x, write: pHText }
    case 'salts':
      return {
        axis: 'dS/m, one of mix in two of water',
        shown: (x: number) => x,
        write: (x: number) => x.toFixed(1),
      }
    case 'nitrogen':
      return {
        axis: 'available nitrogen, mg in a litre',
        shown: (x: number) => x,
        write: (x: number) => x.toFixed(0),
      }
    case 'level':
      return {
        axis: us ? 'inches sunk' : 'cm sunk',
        shown: (x: number) => (us ? x / INCH : x),
        write: (x: number) => (us ? x / INCH : x).toFixed(1),
      }
    case 'waterings':
      return { axis: 'days between waterings', shown: (x: number) => x, write: (x: number) => x.toFixed(1) }
  }
}

/** Why there is nothing to read on a timeline yet. */
export const NOTHING_READ: Record<Timeline, string> = {
  pH: 'No pH read yet.',
  salts: 'No salts read yet.',
  nitrogen: 'Nitrogen is not read with a meter: this is what the mix was expected to have available.',
  level: 'No sinking measured yet.',
  waterings: 'Not watered twice yet.',
}

/** The same as a table: each day with what was expected or read. */
export function timelineRows(
  course: TimelineCourse,
  start: string,
  of: Timeline,
  units: UnitSystem,
): string[][] {
  const { write } = timelineWords(of, units)
  const day = (d: number) => shortDayText(isoDay(dateOf(start, d)))
  const days = [...new Set([...course.expected, ...course.read].map((p) => p.day))].sort((a, b) => a - b)
  const at = (points: TimelineCourse['read'], d: number) =>
    points
      .filter((p) => p.day === d)
      .map((p) => write(p.value))
      .join(', ')
  return days.map((d) => [day(d), at(course.expected, d), at(course.read, d)])
}
