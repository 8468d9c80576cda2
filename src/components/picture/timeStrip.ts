import {
  addDays,
  addMonths,
  differenceInCalendarDays,
  endOfMonth,
  formatISO,
  getDate,
  getMonth,
  max,
  parseISO,
  startOfMonth,
} from 'date-fns'

/** Something on a line of time, by ISO days. */
export interface TimeItem {
  id: string
  title: string
  on: string
  /** Its last day; null where it is one day's work. */
  until: string | null
  state: 'done' | 'open' | 'late'
  /** What is picked is drawn in leaf. */
  isHarvest?: boolean
  /** It can be put on another day, from one ISO day to another where it is bound. */
  movable?: { from?: string; to?: string }
}
interface Placed extends TimeItem {
  x: number
  width: number
  lane: number
  /** Where its words begin, or end where they are on its left. */
  textX: number
  isLeft: boolean
}
export interface Strip {
  items: Placed[]
  lanes: number
  /** Months, or days where it is short, px; months from 0. */
  columns: { x: number; width: number; month: number; day: number | null }[]
  today: number | null
  /** First day, ISO, and how many days it shows. */
  begin: string
  days: number
  /** Where an ISO day begins, px. */
  at: (day: string) => number
}
const NO_STRIP: Strip = { items: [], lanes: 0, columns: [], today: null, begin: '', days: 0, at: () => 0 }

/**
 * The day a task comes to lie on when it is moved by so many px of a strip or by days: within the strip and within
 * what the task is bound to, ISO.
 */
export function movedOn(item: TimeItem, by: number, { begin, days }: Pick<Strip, 'begin' | 'days'>): string {
  const last = iso(addDays(parseISO(begin), days - 1))
  const from = latest(item.movable?.from ?? begin, begin)
  const to = earliest(item.movable?.to ?? last, last)
  return earliest(latest(iso(addDays(parseISO(item.on), by)), from), to)
}
const iso = (day: Date) => formatISO(day, { representation: 'date' })
const latest = (a: string, b: string) => (a > b ? a : b)
const earliest = (a: string, b: string) => (a < b ? a : b)

/** A letter of 13.5 px, on the average; the least width of a bar; room between bar and words, px. */
const LETTER = 7
const LEAST = 9
const APART = 6
/** A line of fewer days is divided into days, and has so many more for the words of the last. */
const SHORT = 21
const ROOM = 4

/** Words in so many px; what has no room ends in an ellipsis. */
function cutTo(words: string, room: number): string {
  const most = Math.floor(room / LETTER)
  return words.length <= most ? words : `${words.slice(0, Math.max(1, most - 1)).trimEnd()}…`
}

/**
 * A line of time, px: whole months from the first day to the last, or days where those are few, `least` at the least;
 * bars in as few lanes as keep them and their words apart, in the order they begin.
 */
export function timeStrip(items: readonly TimeItem[], today: string, width: number, least = 0): Strip {
  if (items.length === 0 || width <= 0) return NO_STRIP
  const days = items.flatMap((i) => [i.movable?.from ?? i.on, i.on, i.until ?? i.on]).sort()
  const [first, last] = [parseISO(days[0]!), parseISO(days.at(-1)!)]
  const isShort = differenceInCalendarDays(last, first) < SHORT
  const begin = isShort ? first : startOfMonth(first)
  const end = isShort ? max([addDays(last, ROOM), addDays(first, least - 1)]) : endOfMonth(last)
  const all = differenceInCalendarDays(end, begin) + 1
  const at = (day: Date) => (differenceInCalendarDays(day, begin) / all) * width
  const ends: number[] = []
  const placed = [...items]
    .sort((a, b) => a.on.localeCompare(b.on))
    .map((item): Placed => {
      const x = Math.min(at(parseISO(item.on)), width - LEAST - 1)
      const wide = Math.max(LEAST, at(parseISO(item.until ?? item.on)) - x)
      const words = item.title.length * LETTER
      const isLeft = x + wide + APART + words > width && x - APART - words >= 0
      const from = isLeft ? x - APART - words : x
      const to = isLeft ? x + wide : x + wide + APART + words
      const free = ends.findIndex((last) => last + APART <= from)
      const lane = free < 0 ? ends.length : free
      ends[lane] = to
      const textX = isLeft ? x - APART : x + wide + APART
      return {
        ...item,
        title: cutTo(item.title, isLeft ? textX : width - textX),
        x,
        width: wide,
        lane,
        isLeft,
        textX,
      }
    })
  const columns = []
  const next = (day: Date) => (isShort ? addDays(day, 1) : addMonths(day, 1))
  for (let day = begin; day <= end; day = next(day)) {
    const x = at(day)
    const wide = Math.min(width, at(next(day))) - x
    columns.push({ x, width: wide, month: getMonth(day), day: isShort ? getDate(day) : null })
  }
  const now = at(parseISO(today))
  return {
    items: placed,
    lanes: ends.length,
    columns,
    today: now >= 0 && now <= width ? now : null,
    begin: iso(begin),
    days: all,
    at: (day) => at(parseISO(day)),
  }
}
