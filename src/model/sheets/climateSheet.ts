import Papa from 'papaparse'
import { z } from 'zod'
import type { Place, Settings } from '@/model/garden/schemas'

type Months = Place['months']

/** Why a climate could not be read: in which row (2 is January), which column, and what was wanted. */
export interface ClimateProblem {
  row: number | null
  column: string
  text: string
  wanted: string
}

const COLUMNS = ['tmin', 'tmax', 'rain'] as const
const number = z
  .string()
  .trim()
  .min(1)
  .transform((t) => Number(t.replace(',', '.')))
  .pipe(z.number())

/**
 * Twelve months from a CSV or pasted rows with the headings tmin, tmax and (where known) rain, January first. Degrees
 * and rain in the grower's units. All or nothing: the first problem is reported and nothing is taken.
 */
export function monthsFromText(
  text: string,
  units: Settings['units'],
): { ok: true; months: Months } | { ok: false; problem: ClimateProblem } {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ',', ';'],
    transformHeader: (h) => h.toLowerCase().replace(/[^a-z]/g, ''),
  })
  const fail = (row: number | null, column: string, cell: string, wanted: string) =>
    ({ ok: false, problem: { row, column, text: cell, wanted } }) as const
  const headings = parsed.meta.fields ?? []
  const missing = (['tmin', 'tmax'] as const).find((c) => !headings.includes(c))
  if (missing) return fail(1, 'heading', headings.join(', '), 'tmin, tmax and rain')
  if (parsed.data.length !== 12)
    return fail(null, 'rows', String(parsed.data.length), '12, January to December')
  const us = units === 'us'
  const months: Months = []
  for (const [i, cells] of parsed.data.entries()) {
    const value = { tmin: 0, tmax: 0, rain: 0 }
    for (const column of COLUMNS) {
      const cell = cells[column] ?? ''
      if (column === 'rain' && cell.trim() === '') continue
      const read = number.safeParse(cell)
      if (!read.success) return fail(i + 2, column, cell, 'a number')
      value[column] = read.data
    }
    const degrees = (t: number) => (us ? (t - 32) / 1.8 : t)
    const month = {
      tMin: degrees(value.tmin),
      tMax: degrees(value.tmax),
      rain: us ? value.rain * 25.4 : value.rain,
    }
    const problem = monthProblem(month)
    if (problem) return fail(i + 2, problem.column, cells[problem.column] ?? '', problem.wanted)
    months.push(month)
  }
  return { ok: true, months }
}

/** What nobody would believe of a month. C and mm. */
export function monthProblem(m: Months[number]): { column: 'tmin' | 'tmax' | 'rain'; wanted: string } | null {
  if (!(m.tMin >= -60 && m.tMin <= 45)) return { column: 'tmin', wanted: 'between -60 and 45 °C' }
  if (!(m.tMax >= -60 && m.tMax <= 55)) return { column: 'tmax', wanted: 'between -60 and 55 °C' }
  if (m.tMax < m.tMin) return { column: 'tmax', wanted: 'no colder than the nights' }
  if (!(m.rain >= 0 && m.rain <= 3000)) return { column: 'rain', wanted: 'between 0 and 3000 mm' }
  return null
}

/** What nobody would believe of a place, by field; the months apart. */
export function placeProblem(place: Place, field: keyof Place): string | null {
  const between = (low: number, high: number) =>
    (place[field] as number) >= low && (place[field] as number) <= high ? null : `between ${low} and ${high}`
  switch (field) {
    case 'latitude':
      return between(-70, 70)
    case 'elevation':
      return between(-430, 5000)
    case 'waterAlkalinity':
      return between(0, 20)
    case 'waterEc':
      return between(0, 10)
    case 'coldestNight':
      return place.coldestNight === null ? null : between(-60, 25)
    case 'waterEvery':
      return between(0.25, 30)
    default:
      return null
  }
}
