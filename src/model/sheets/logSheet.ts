import { firstRefusal } from '../garden/commands/refusal'
import { entryKey } from '../garden/garden'
import { isValid, parseISO } from 'date-fns'
import { ENTRY_KINDS, type Entry, type EntryKind, type Settings } from '../garden/schemas'
import { LONGEST_RECIPE_NOTE } from '../garden/limits'
import { entryProblem, type EntryProblem } from '../season/entryProblem'
import { squeezed, UNIT_WORDS, USUAL_UNITS, type SheetQuantity, type TableColumn } from './headings'
import type { Matches, Sheet, SheetLook } from './sheet'
import { amountIn, takeRows, wrongCell, type RowProblem } from './table'

/** Columns of a sheet of the log; only the day and what it is have to be there. */
const COLUMNS = [
  { id: 'date', also: ['day'] },
  { id: 'time' },
  { id: 'bed' },
  { id: 'what', also: ['kind', 'reading'] },
  { id: 'value', also: ['amount'], anyQuantity: true },
  { id: 'unit', also: ['units'] },
  { id: 'number', also: ['pieces'], counts: true },
  { id: 'expected' },
  { id: 'note', also: ['notes', 'remark'] },
] as const satisfies readonly TableColumn[]
type Column = (typeof COLUMNS)[number]['id']
export const LOG_COLUMNS: readonly string[] = COLUMNS.map((c) => c.id)

export interface LogResult {
  entries: Entry[]
  problems: RowProblem[]
  /** Lines that are in the log already: they are left out. */
  already: number
  look: SheetLook
}

/** What the number of a kind measures; nothing where it has no unit. */
export const MEASURES: Partial<Record<EntryKind, SheetQuantity>> = {
  watered: 'volume',
  fed: 'dose',
  salts: 'salts',
  weight: 'weight',
  harvest: 'weight',
  sunk: 'length',
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

const wordFor = (word: string): EntryKind | undefined =>
  Object.hasOwn(WORDS, squeezed(word)) ? WORDS[squeezed(word)] : undefined

/** Seven figures: what goes out in gallons comes in as the same litres. */
const tidy = (x: number) => Number(x.toPrecision(7))

interface LogReading {
  units: Settings['units']
  kindOf: (word: string) => EntryKind | undefined
  bedOf: (name: string) => string | null | undefined
  newId: () => string
  /** Lines that are in the log: they are not taken again. */
  known?: readonly Entry[]
}

/** What makes two lines one: the moment, the bed and what was noted. */
const sameness = ({ at, fillId, kind, value, count, note }: Entry) =>
  JSON.stringify([Date.parse(at), fillId, kind, value === null ? null : tidy(value), count, note.trim()])

/**
 * Lines of a log from a sheet: of a meter, of a spreadsheet, or as the log itself is saved. What is wrong is named by
 * row, and only what is whole is in the answer. `kindOf` and `bedOf` read what the log writes: null for all beds,
 * undefined where there is none called that.
 */
export function logFromText(
  text: string,
  jobId: string,
  reading: LogReading,
  matches: Matches = {},
): LogResult {
  const entries: Entry[] = []
  const known = new Set((reading.known ?? []).map(sameness))
  let already = 0
  const read = takeRows<never>(text, {
    columns: COLUMNS,
    needed: ['date', 'what'],
    matches,
    name: 'what',
    take(cells, sheet) {
      const entry = entryOf({ cells, sheet }, jobId, reading)
      const refusal = firstRefusal([{ key: entryKey(entry.id), before: null, after: entry }])
      if (refusal) return { refusal }
      if (known.has(sameness(entry))) already++
      else entries.push(entry)
      return null
    },
  })
  return { entries, already, ...read }
}

type Cells = Record<string, string>
const cellIn = (cells: Cells, column: Column) => (cells[column] ?? '').trim()
/** The cells of a line, and the sheet it stands in. */
interface Line {
  cells: Cells
  sheet: Sheet
}

/** How many of the core's unit one of a line's is: by its own cell, the heading of the values, else the grower's. */
function factorOf({ cells, sheet }: Line, kind: EntryKind, units: Settings['units']): number {
  const quantity = MEASURES[kind]
  const word = squeezed(cellIn(cells, 'unit')) || (headingWord(sheet) ?? '')
  if (!quantity)
    return word === '' || word === 'ph' ? 1 : wrongCell(cells, 'unit', `nothing: ${kind} has no unit`)
  if (word === '') return USUAL_UNITS[units][quantity].per
  const known = UNIT_WORDS[quantity]
  return Object.hasOwn(known, word)
    ? known[word]!.per
    : wrongCell(cells, 'unit', unitSigns(quantity).join(', '))
}
const headingWord = (sheet: Sheet) => sheet.headings.find((h) => h.means?.id === 'value')?.means?.word
const unitSigns = (quantity: SheetQuantity) => [
  ...new Set(Object.values(UNIT_WORDS[quantity]).map((u) => u.sign)),
]

/** One line. Throws a `CellWrong`. */
function entryOf(line: Line, jobId: string, { units, kindOf, bedOf, newId }: LogReading): Entry {
  const { cells } = line
  const cell = (column: Column) => cellIn(cells, column)
  const at = dayIn(cells)
  const kind =
    kindOf(cell('what')) ?? wordFor(cell('what')) ?? wrongCell(cells, 'what', ENTRY_KINDS.join(', '))
  const fillId = cell('bed') === '' ? null : bedOf(cell('bed'))
  if (fillId === undefined) wrongCell(cells, 'bed', 'the name of a bed of this job, or nothing')
  const [value, count] = [amountIn(line.sheet, cells, 'value'), amountIn(line.sheet, cells, 'number')]
  const factor = value === null ? 1 : factorOf(line, kind, units)
  const note = cell('note')
  if (note.length > LONGEST_RECIPE_NOTE) wrongCell(cells, 'note', `${LONGEST_RECIPE_NOTE} letters at most`)
  if (count !== null && kind !== 'harvest') wrongCell(cells, 'number', 'nothing: only a harvest is counted')
  if (count !== null && !Number.isInteger(count)) wrongCell(cells, 'number', 'a whole number')
  const entry: Entry = {
    id: newId(),
    jobId,
    fillId,
    at,
    kind,
    value: value === null ? null : tidy(value * factor),
    count,
    expected: null,
    note,
  }
  const problem = entryProblem(entry)
  if (problem) wrongCell(cells, COLUMN_OF[problem.code] ?? 'value', WANTED[problem.code])
  return entry
}
const COLUMN_OF: Partial<Record<EntryProblem['code'], Column>> = { 'no-word': 'note', 'not-whole': 'number' }

/**
 * The moment of a line, as RFC 3339 has it: the day, the time by the clock on the wall, and its distance from UTC where
 * it is given; noon where there is no time.
 */
function dayIn(cells: Cells): string {
  const date = cellIn(cells, 'date')
  const time = cellIn(cells, 'time') || '12:00'
  if (!/^\d{1,2}:\d{2}(:\d{2}(\.\d{1,3})?)?(Z|[+-]\d{2}:\d{2})?$/.test(time))
    wrongCell(cells, 'time', 'a time as 14:30, or 14:30+01:00')
  const day = parseISO(`${date}T${time.padStart(time.indexOf(':') === 1 ? time.length + 1 : 0, '0')}`)
  const { first, last } = LOG_YEARS
  if (!/^\d{4}-\d{2}-\d{2}$/.test(date) || !isValid(day)) wrongCell(cells, 'date', 'a day as 2026-03-14')
  if (day.getFullYear() < first || day.getFullYear() > last)
    wrongCell(cells, 'date', `a day of the years ${first} to ${last}`)
  return day.toISOString()
}
/** Years a garden's log is kept in. */
const LOG_YEARS = { first: 1900, last: 2200 } as const

const WANTED: Record<EntryProblem['code'], string> = {
  'out-of-range': 'what a meter reads in a mix',
  'too-much': 'less: check the unit',
  'below-nothing': 'a number, 0 or more',
  'not-whole': 'a whole number',
  'no-number': 'a number',
  'no-word': 'a word',
  'nothing-picked': 'a weight, or a number of pieces',
}
