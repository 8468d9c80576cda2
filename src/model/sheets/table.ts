import type { Refusal } from '../garden/commands/refusal'
import { GARDEN_LIMITS } from '../garden/limits'
import type { TableColumn } from './headings'
import {
  headingProblem,
  lookOf,
  numberOf,
  numberWanted,
  readSheet,
  rowProblem,
  type CellWrong,
  type Matches,
  type Sheet,
  type SheetLook,
} from './sheet'

/** A row that could not be taken: which, by its number in the sheet, what it calls itself, and why. */
export interface RowProblem<Why = never> {
  row: number
  name: string
  why: CellWrong | { refusal: Refusal } | Why
}

type Cells = Record<string, string>

/** A table to be read from a sheet: what its columns are, and what becomes of a row. */
export interface Table<Why = never> {
  columns: readonly TableColumn[]
  /** Columns that have to be there; one of any where none is named. */
  needed: readonly string[]
  matches: Matches
  /** The column a row calls itself by. */
  name: string
  /** Takes a row; says why where it cannot, or throws a `CellWrong`. */
  take: (cells: Cells, sheet: Sheet) => { refusal: Refusal } | Why | null
}

function tableProblem(sheet: Sheet, { columns, needed, matches }: Table<unknown>): CellWrong | null {
  const known = new Set(sheet.headings.flatMap((h) => (h.means ? [h.means.id] : [])))
  const wanted = columns.map((c) => c.id).join(', ')
  const missing: CellWrong = { column: 'heading', text: sheet.headings[0]?.text ?? '', wanted }
  if (known.size === 0) return missing
  const most = GARDEN_LIMITS.sheetRows.value
  if (sheet.tooMany) return { column: 'rows', text: '', wanted: `${most} rows at the most at once` }
  return (
    headingProblem(sheet, matches) ?? (needed.every((id) => known.has(id)) ? null : { ...missing, text: '' })
  )
}

/**
 * Every row of a sheet handed to `take`, those that cannot be trusted or read left out and said, by row; nothing at all
 * where the headings do not name the table. Errors: none but our own.
 */
export function takeRows<Why = never>(
  text: string,
  table: Table<Why>,
): { problems: RowProblem<Why>[]; look: SheetLook } {
  const sheet = readSheet(text, table.columns, table.matches)
  const look = lookOf(sheet, table.columns, table.matches)
  const trouble = tableProblem(sheet, table)
  if (trouble) return { problems: [{ row: 1, name: '', why: trouble }], look }
  const problems: RowProblem<Why>[] = []
  for (const line of sheet.rows) {
    const why = rowProblem(line) ?? caught(() => table.take(line.cells, sheet))
    if (why) problems.push({ row: line.row, name: (line.cells[table.name] ?? '').trim(), why })
  }
  return { problems, look }
}

/** What `work` says, or the `CellWrong` it throws. */
function caught<T>(work: () => T): T | CellWrong {
  try {
    return work()
  } catch (why) {
    if (why instanceof Error) throw why
    return why as CellWrong
  }
}

/** Stops the reading of a row at a cell. */
export function wrongCell(cells: Cells, column: string, wanted: string): never {
  throw { column, text: (cells[column] ?? '').trim(), wanted } satisfies CellWrong
}

/** An amount in a cell, 0 and up; null where it is empty. Throws a `CellWrong`. */
export function amountIn(sheet: Sheet, cells: Cells, column: string): number | null {
  const cell = (cells[column] ?? '').trim()
  if (cell === '') return null
  const read = numberOf(sheet, cell)
  if (typeof read === 'number' && read >= 0) return read
  return wrongCell(cells, column, typeof read === 'number' ? 'a number, 0 or more' : numberWanted(read))
}
