import { format, parseISO } from 'date-fns'
import type { Entry, EntryKind, Settings } from '../garden/schemas'
import { USUAL_UNITS } from './headings'
import { LOG_COLUMNS, MEASURES } from './logSheet'
import { csvOf } from './sheet'

/** As fine as the moment was noted. */
const timeFormat = (at: string) => {
  const moment = parseISO(at)
  if (moment.getMilliseconds() > 0) return 'HH:mm:ss.SSSxxx'
  return moment.getSeconds() > 0 ? 'HH:mm:ssxxx' : 'HH:mmxxx'
}
/** The fewest figures that come in as the same value again. */
function shortest(value: number, per: number): string {
  const asRead = (x: number) => Number(x.toPrecision(READ_FIGURES))
  let written = NaN
  for (let figures = 1; figures <= MOST_FIGURES && asRead(written * per) !== asRead(value); figures++)
    written = Number((value / per).toPrecision(figures))
  return String(written)
}
/** A value is read to seven figures; two more carry it through a change of units. */
const READ_FIGURES = 7
const MOST_FIGURES = 10

/**
 * A log as CSV, in the grower's units, its times by the clock on the wall with their distance from UTC (RFC 3339);
 * `bedName` names a bed, `kindName` a kind.
 */
export function logCsv(
  entries: readonly Entry[],
  units: Settings['units'],
  bedName: (fillId: string | null) => string,
  kindName: (kind: EntryKind) => string,
): string {
  const unitOf = (kind: EntryKind) => {
    const quantity = MEASURES[kind]
    return quantity && USUAL_UNITS[units][quantity]
  }
  return csvOf(
    entries.map((e) => ({
      date: format(parseISO(e.at), 'yyyy-MM-dd'),
      time: format(parseISO(e.at), timeFormat(e.at)),
      bed: bedName(e.fillId),
      what: kindName(e.kind),
      value: e.value === null ? '' : shortest(e.value, unitOf(e.kind)?.per ?? 1),
      unit: e.value === null ? '' : (unitOf(e.kind)?.sign ?? ''),
      number: e.count ?? '',
      expected: e.expected === null ? '' : e.expected.toFixed(2),
      note: e.note,
    })),
    LOG_COLUMNS,
  )
}
