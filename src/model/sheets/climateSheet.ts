import { CLIMATE_LIMITS, PLACE_RANGES } from './climateLimits'
import type { Place, Settings } from '@/model/garden/schemas'
import { USUAL_UNITS, type TableColumn } from './headings'
import { headingProblem, numberOf, numberWanted, readSheet, unitOf, type Matches } from './sheet'

type Months = Place['months']

/** Why a climate could not be read: in which row (2 is the first month), which column, and what was wanted. */
export interface ClimateProblem {
  row: number | null
  column: string
  text: string
  wanted: string
}

/** Columns of a sheet of months, as growers and weather services write them. */
const COLUMNS = [
  { id: 'month', counts: true },
  { id: 'tmin', also: ['t min', 'min', 'low', 'mean minimum'], quantity: 'temperature' },
  { id: 'tmax', also: ['t max', 'max', 'high', 'mean maximum'], quantity: 'temperature' },
  { id: 'rain', also: ['rainfall', 'precipitation'], quantity: 'rain' },
] as const satisfies readonly TableColumn[]
type Measured = 'tmin' | 'tmax' | 'rain'
const MEASURES = { tmin: 'temperature', tmax: 'temperature', rain: 'rain' } as const
/** Letters that tell months apart. */
const SHORTEST_MONTH = 3
const NAMES = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']

/** Columns of stations and years that say nothing of a month. */
const LEFT_OUT: Matches = { year: '', Year: '', station: '', Station: '', name: '', Name: '' }

/** 0 for January; null where it names no month. */
function monthOf(text: string): number | null {
  const word = text.trim().toLowerCase()
  const byName = word.length < SHORTEST_MONTH ? -1 : NAMES.indexOf(word.slice(0, SHORTEST_MONTH))
  if (byName >= 0) return byName
  return /^(0?[1-9]|1[0-2])$/.test(word) ? Number(word) - 1 : null
}

/**
 * Twelve months from a CSV or pasted rows with the headings tmin, tmax and (where known) rain; January first, or in
 * any order with a heading month. Degrees and rain in the unit of their heading ("tmin F", "rain mm"), otherwise the
 * grower's. All or nothing: the first problem is reported and nothing is taken.
 */
export function monthsFromText(
  text: string,
  units: Settings['units'],
): { ok: true; months: Months } | { ok: false; problem: ClimateProblem } {
  const fail = (row: number | null, column: string, cell: string, wanted: string) =>
    ({ ok: false, problem: { row, column, text: cell, wanted } }) as const
  const sheet = readSheet(text, COLUMNS, LEFT_OUT)
  const { rows, headings } = sheet
  const has = (id: 'month' | Measured) => headings.some((h) => h.means?.id === id)
  if (!has('tmin') || !has('tmax'))
    return fail(1, 'heading', headings.map((h) => h.text).join(', '), 'tmin, tmax and rain')
  const strange = headingProblem(sheet, LEFT_OUT)
  if (strange?.column === 'quote')
    return fail(sheet.openQuote, 'quotation marks', '"', 'quotation marks in pairs')
  if (strange)
    return strange.column === 'twice'
      ? fail(1, 'heading', strange.text, 'each column once')
      : fail(1, 'heading', strange.text, 'month, tmin, tmax, rain, with or without their unit')
  if (sheet.tooMany || rows.length !== 12) {
    const count = sheet.tooMany ? 'hundreds' : String(rows.length)
    return fail(null, 'rows', count, '12, one for each month')
  }
  const order = new Map<number, (typeof rows)[number]>()
  for (const [i, row] of rows.entries()) {
    if (row.surplus.length > 0)
      return fail(row.row, 'beyond the last column', row.surplus.join(', '), 'nothing')
    if (row.halves !== null)
      return fail(row.row, 'commas', row.halves, 'semicolons between cells, or numbers with a point')
    const name = has('month') ? row.cells.month! : null
    const month = name === null ? i : monthOf(name)
    if (month === null) return fail(row.row, 'month', name!, 'a name such as March, or 1 to 12')
    if (order.has(month)) return fail(row.row, 'month', name!, 'each month once')
    order.set(month, row)
  }
  const months: Months = []
  for (let i = 0; i < 12; i++) {
    const { row, cells } = order.get(i)!
    const value = { tmin: 0, tmax: 0, rain: 0 }
    for (const of of ['tmin', 'tmax', 'rain'] as const) {
      const cell = cells[of] ?? ''
      if (of === 'rain' && cell.trim() === '') continue
      const read = numberOf(sheet, cell)
      if (typeof read !== 'number') return fail(row, of, cell, numberWanted(read))
      const unit = unitOf(sheet, of) ?? USUAL_UNITS[units][MEASURES[of]]
      value[of] = (read + (unit.plus ?? 0)) * unit.per
    }
    const month = { tMin: value.tmin, tMax: value.tmax, rain: value.rain }
    const problem = monthProblem(month)
    if (problem) return fail(row, problem.column, cells[problem.column] ?? '', problem.wanted)
    months.push(month)
  }
  const doubt = doubtOf(months)
  return doubt ? fail(null, doubt.column, doubt.text, doubt.wanted) : { ok: true, months }
}

/**
 * Figures that no place on earth has, taken in the unit they seem to be in.
 */
function doubtOf(months: Months): { column: string; text: string; wanted: string } | null {
  const warmest = Math.max(...months.map((m) => m.tMax))
  const rain = months.reduce((sum, m) => sum + m.rain, 0)
  if (warmest > CLIMATE_LIMITS.warmest.value)
    return {
      column: 'tmax',
      text: `${warmest.toFixed(0)} °C in the warmest month`,
      wanted: 'degrees Celsius; where they are Fahrenheit, the headings tmin F and tmax F',
    }
  if (warmest < CLIMATE_LIMITS.coolest.value)
    return {
      column: 'tmax',
      text: `${(warmest * 1.8 + 32).toFixed(0)} °F in the warmest month`,
      wanted: 'degrees Fahrenheit; where they are Celsius, the headings tmin C and tmax C',
    }
  if (rain > CLIMATE_LIMITS.wettest.value)
    return {
      column: 'rain',
      text: `${(rain / 1000).toFixed(0)} m in a year`,
      wanted: 'the rain of each month; where it is in mm, the heading rain mm',
    }
  return null
}

const outside = (value: number, range: keyof typeof PLACE_RANGES, unit = ''): string | null => {
  const [low, high] = PLACE_RANGES[range]
  return value >= low && value <= high ? null : `between ${low} and ${high}${unit && ` ${unit}`}`
}

/** What nobody would believe of a month. C and mm. */
export function monthProblem(m: Months[number]): { column: 'tmin' | 'tmax' | 'rain'; wanted: string } | null {
  const problem = (column: 'tmin' | 'tmax' | 'rain', wanted: string | null) => wanted && { column, wanted }
  return (
    problem('tmin', outside(m.tMin, 'tMin', '°C')) ||
    problem('tmax', outside(m.tMax, 'tMax', '°C')) ||
    problem('tmax', m.tMax < m.tMin ? 'no colder than the nights' : null) ||
    problem('rain', outside(m.rain, 'rain', 'mm')) ||
    null
  )
}

/** What nobody would believe of a place, by field; the months apart. */
export function placeProblem(place: Place, field: keyof Place): string | null {
  const value = place[field]
  return typeof value === 'number' && field in PLACE_RANGES
    ? outside(value, field as keyof typeof PLACE_RANGES)
    : null
}
