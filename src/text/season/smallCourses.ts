import { convertExtract } from '@/core/nutrients'
import type { Bands } from '@/core/targets'
import { dateOf, timelineOf, type Timeline, type TimelineQuestion } from '@/model/season/timeline'
import { isoDay, shortDayText } from '../base/dates'
import type { UnitSystem } from '../base/units'
import { timelineWords } from './timeline'

/** What is drawn under the line of a season, in its order. */
const UNDER = ['pH', 'salts', 'nitrogen', 'level'] as const satisfies readonly Timeline[]

/** What each is called where there is room for one line. */
const NAMES: Record<(typeof UNDER)[number], (units: UnitSystem) => string> = {
  pH: () => 'pH',
  salts: () => 'Salts, dS/m, one of mix in two of water',
  nitrogen: () => 'Available nitrogen, mg in a litre',
  level: (units) => `Sunk, ${units === 'us' ? 'inches' : 'cm'}`,
}

export interface CoursesQuestion extends TimelineQuestion {
  bands: Bands
  units: UnitSystem
  /** The day it is counted from, ISO. */
  start: string
}

/**
 * What goes with a season day by day: pH, salts, available nitrogen and level, expected and read, with what the crop
 * likes; in the grower's units. What there is no figure for is left out.
 */
export const smallCourses = (q: CoursesQuestion) =>
  UNDER.flatMap((of) => {
    const course = timelineOf(of, q, q.start)
    if (!course || course.expected.length + course.read.length < 2) return []
    const words = timelineWords(of, q.units)
    const name = NAMES[of](q.units)
    const dated = (points: typeof course.read) =>
      points.map(({ day, value }) => ({ on: isoDay(dateOf(q.start, day)), value }))
    const says = (points: ReturnType<typeof dated>) => {
      const [first, last] = [points[0], points.at(-1)]
      if (!first || !last) return ''
      const from = `${words.write(first.value)} on ${shortDayText(first.on)}`
      return first === last ? from : `${from} to ${words.write(last.value)} on ${shortDayText(last.on)}`
    }
    const [expected, read] = [dated(course.expected), dated(course.read)]
    const limit = of === 'salts' ? saltLimitOf(q.bands) : null
    return [
      {
        id: of,
        name,
        label: [
          `${name}.`,
          expected.length ? `Expected ${says(expected)}.` : '',
          read.length ? `Read ${says(read)}.` : 'Nothing read yet.',
        ]
          .filter(Boolean)
          .join(' '),
        expected,
        read,
        suits: of === 'pH' ? (q.bands.pH ?? null) : null,
        limit,
        isDown: of === 'level',
        write: words.write,
      },
    ]
  })

/** The most salts the crop takes, as the meter reads them in one of mix and two of water, dS/m. */
const saltLimitOf = ({ electricalConductivity }: Bands): number | null =>
  electricalConductivity ? convertExtract(electricalConductivity.high, 'saturatedExtract', 'oneToTwo') : null
