import type { Strip } from './timeStrip'

/** A value on an ISO day. */
interface OnDay {
  on: string
  value: number
}
/** One thing through the season, to be drawn small under a line of time. */
export interface SmallCourse {
  id: string
  name: string
  /** The whole of it in a sentence. */
  label: string
  expected: readonly OnDay[]
  read: readonly OnDay[]
  /** What suits, where something does; a limit not to be passed, where there is one. */
  suits: { low: number; high: number } | null
  limit: number | null
  /** More of it is farther down, as of what sinks. */
  isDown: boolean
  write: (value: number) => string
}
interface Word {
  x: number
  y: number
  text: string
  isLeft: boolean
}
export interface CourseRow {
  /** Points of the expected line, "x,y x,y". */
  line: string
  read: { x: number; y: number }[]
  band: { y: number; height: number } | null
  limit: number | null
  /** Where the course begins and ends, px. */
  from: number
  to: number
  words: Word[]
}

/** Height of a row, and of what lies above and below the values, px. */
export const ROW = 70
const TOP = 26
const FOOT = 8
/** Room between a mark and its words; about the width of a figure, px. */
const APART = 7
const WORD = 44

/** A course in its row: days where the strip has them, values from the least to the most there are. */
export function courseRow(course: SmallCourse, strip: Strip, width: number): CourseRow {
  const { expected, read, suits, limit, isDown, write } = course
  const points = [...expected, ...read]
  const values = points.map((p) => p.value)
  const isReached = limit !== null && values.some((v) => v > limit / 2)
  const all = [...values, ...(suits ? [suits.low, suits.high] : [0]), ...(isReached ? [limit] : [])]
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const span = high - low || 1
  const y = (value: number) => {
    const share = (value - low) / span
    return TOP + (isDown ? share : 1 - share) * (ROW - TOP - FOOT)
  }
  const at = (p: OnDay) => ({ x: strip.at(p.on), y: y(p.value) })
  const drawn = expected.map(at)
  const wordAt = (p: OnDay | undefined, above = 4): Word[] => {
    if (!p) return []
    const place = at(p)
    const isLeft = place.x + APART + WORD > width
    const beside = isLeft ? place.x - APART : place.x + APART
    return place.x < 0 || place.x > width
      ? []
      : [{ x: beside, y: place.y + above, text: write(p.value), isLeft }]
  }
  const days = points.map((p) => strip.at(p.on))
  return {
    line: drawn.map((p) => `${round(p.x)},${round(p.y)}`).join(' '),
    read: read.map(at),
    band: suits
      ? { y: y(isDown ? suits.low : suits.high), height: Math.abs(y(suits.low) - y(suits.high)) }
      : null,
    limit: isReached ? y(limit) : null,
    from: Math.max(0, Math.min(width, ...days)),
    to: Math.min(width, Math.max(0, ...days)),
    words: [
      ...wordAt(read.at(-1), expected.length > 0 ? -7 : 4),
      ...wordAt(lastWithin(expected, strip, width)),
    ],
  }
}

/** The last of the expected that the strip shows. */
const lastWithin = (expected: readonly OnDay[], strip: Strip, width: number) =>
  expected.filter((p) => strip.at(p.on) <= width).at(-1)
const round = (x: number) => Math.round(x * 10) / 10
