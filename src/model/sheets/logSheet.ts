import { isValid, parseISO } from 'date-fns'
import { CM_PER_INCH, GRAMS_PER_OUNCE, KG_PER_POUND, LITRES } from '@/core/units'
import { ENTRY_KINDS, type Entry, type EntryKind, type Settings } from '../garden/schemas'
import { LONGEST_RECIPE_NOTE } from '../garden/limits'
import { entryProblem, type EntryProblem } from '../season/entryProblem'
import { readNumber } from '../numbers'
import type { CellWrong } from './cells'
import { numberWanted, readSheet } from './sheet'

/** Columns of a sheet of the log; only the day and what it is have to be there. */
export const LOG_COLUMNS = ['date', 'time', 'bed', 'what', 'value', 'unit', 'number', 'note'] as const
type Column = (typeof LOG_COLUMNS)[number]

/** A row that could not be taken. */
export interface LogProblem {
  row: number
  name: string
  why: { column: string; text: string; wanted: string }
}

/** What a value is kept in, by kind: how many of the core's unit each unit is. */
const LITRE = {
  l: 1,
  litre: 1,
  litres: 1,
  gal: LITRES.usGallon,
  gallon: LITRES.usGallon,
  gallons: LITRES.usGallon,
}
const GRAM = { g: 1, kg: 1000, oz: GRAMS_PER_OUNCE, lb: 1000 * KG_PER_POUND }
const KILO = { kg: 1, g: 0.001, lb: KG_PER_POUND, oz: KG_PER_POUND / 16 }
const CENTIMETRE = { cm: 1, mm: 0.1, in: CM_PER_INCH }
const CONDUCTIVITY = { 'ds/m': 1, 'ms/cm': 1, 'us/cm': 0.001, 'µs/cm': 0.001 }
const UNITS: Partial<Record<EntryKind, Record<string, number>>> = {
  watered: LITRE,
  fed: GRAM,
  salts: CONDUCTIVITY,
  weight: KILO,
  harvest: KILO,
  sunk: CENTIMETRE,
}
/** The unit where a sheet names none. */
const USUAL: Record<Settings['units'], Partial<Record<EntryKind, string>>> = {
  metric: { watered: 'l', fed: 'g', salts: 'ds/m', weight: 'kg', harvest: 'kg', sunk: 'cm' },
  us: { watered: 'gal', fed: 'oz', salts: 'ds/m', weight: 'lb', harvest: 'lb', sunk: 'in' },
}
/** Words of meters and spreadsheets for a kind. */
const WORDS: Record<string, EntryKind> = {
  ec: 'salts',
  conductivity: 'salts',
  watering: 'watered',
  water: 'watered',
  feed: 'fed',
  level: 'sunk',
  picked: 'harvest',
  yield: 'harvest',
}

const squeeze = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')
const columnOf = (cell: string): string => {
  const wanted = squeeze(cell)
  if (wanted === 'day') return 'date'
  if (wanted === 'kind' || wanted === 'reading') return 'what'
  return LOG_COLUMNS.find((c) => squeeze(c) === wanted) ?? ''
}
/** Seven figures: what goes out in gallons comes in as the same litres. */
const tidy = (x: number) => Number(x.toPrecision(7))

interface LogReading {
  units: Settings['units']
  kindOf: (word: string) => EntryKind | undefined
  bedOf: (name: string) => string | null | undefined
  newId: () => string
}

/**
 * Lines of a log from a sheet: of a meter, of a spreadsheet, or as the log itself is saved. What is wrong is told by
 * row, and only what is whole is in the answer. `kindOf` and `bedOf` read what the log writes: null for all beds,
 * undefined where there is none called that.
 */
export function logFromText(
  text: string,
  jobId: string,
  reading: LogReading,
): { entries: Entry[]; problems: LogProblem[] } {
  const { columns, rows, tooMany } = readSheet(text, columnOf)
  const whole = (column: string, wanted: string) => ({
    entries: [],
    problems: [{ row: 1, name: '', why: { column, text: '', wanted } }],
  })
  if (tooMany) return whole('rows', '500 rows at most')
  if (!columns.includes('date') || !columns.includes('what')) return whole('heading', LOG_COLUMNS.join(', '))
  const entries: Entry[] = []
  const problems: LogProblem[] = []
  for (const { row, cells } of rows)
    try {
      entries.push(entryOf(cells, jobId, reading))
    } catch (why) {
      if (why instanceof Error) throw why
      problems.push({ row, name: (cells.what ?? '').trim(), why: why as CellWrong })
    }
  return { entries, problems }
}

type Cells = Record<string, string>
const cellIn = (cells: Cells, column: Column) => (cells[column] ?? '').trim()
function wrong(cells: Cells, column: Column, wanted: string): never {
  throw { column, text: cellIn(cells, column), wanted } satisfies CellWrong
}

/** One line. Throws a `CellWrong`. */
function entryOf(cells: Cells, jobId: string, { units, kindOf, bedOf, newId }: LogReading): Entry {
  const cell = (column: Column) => cellIn(cells, column)
  const at = dayIn(cells)
  const kind =
    kindOf(cell('what')) ?? WORDS[squeeze(cell('what'))] ?? wrong(cells, 'what', ENTRY_KINDS.join(', '))
  const fillId = cell('bed') === '' ? null : bedOf(cell('bed'))
  if (fillId === undefined) wrong(cells, 'bed', 'the name of a bed of this job, or nothing')
  const [value, count] = [numberIn(cells, 'value'), numberIn(cells, 'number')]
  const unit = squeezeUnit(cell('unit')) || (USUAL[units][kind] ?? '')
  const factor = UNITS[kind] ? UNITS[kind][unit] : 1
  if (factor === undefined) wrong(cells, 'unit', Object.keys(UNITS[kind]!).join(', '))
  if (count !== null && !Number.isInteger(count)) wrong(cells, 'number', 'a whole number')
  const entry: Entry = {
    id: newId(),
    jobId,
    fillId,
    at,
    kind,
    value: value === null ? null : tidy(value * factor),
    count,
    expected: null,
    note: cell('note').slice(0, LONGEST_RECIPE_NOTE),
  }
  const problem = entryProblem(entry)
  if (problem) wrong(cells, COLUMN_OF[problem.code] ?? 'value', WANTED[problem.code])
  return entry
}
const COLUMN_OF: Partial<Record<EntryProblem['code'], Column>> = { 'no-word': 'note', 'not-whole': 'number' }

function dayIn(cells: Cells): string {
  const date = cellIn(cells, 'date')
  const day = parseISO(`${date}T${cellIn(cells, 'time') || '12:00'}`)
  if (!/^\d{4}-\d{2}-\d{2}$/.test(date) || !isValid(day)) wrong(cells, 'date', 'a day as 2026-03-14')
  return day.toISOString()
}

/** A number of a cell; null where it is empty. */
function numberIn(cells: Cells, column: Column): number | null {
  const text = cellIn(cells, column)
  if (text === '') return null
  const read = readNumber(text)
  if (typeof read === 'number' && read >= 0) return read
  return wrong(cells, column, typeof read === 'number' ? 'a number, 0 or more' : numberWanted(read))
}

const WANTED: Record<EntryProblem['code'], string> = {
  'out-of-range': 'what a meter reads in a mix',
  'below-nothing': 'a number, 0 or more',
  'not-whole': 'a whole number',
  'no-number': 'a number',
  'no-word': 'a word',
  'nothing-picked': 'a weight, or a number of pieces',
}
const squeezeUnit = (text: string) => text.toLowerCase().replace(/\s/g, '')
