import Papa from 'papaparse'
import { GARDEN_LIMITS } from '../garden/limits'
import type { ReadNumber } from '../numbers'

/** One row of a sheet: its number there (the heading is 1), its cells by column, and those beyond the last column. */
export interface SheetRow {
  row: number
  cells: Record<string, string>
  surplus: string[]
}

export interface Sheet {
  columns: string[]
  rows: SheetRow[]
  /** More rows than are read at once: none of them was. */
  tooMany: boolean
}

/** Text that a spreadsheet would run as a formula (OWASP, CSV injection), and text that already wears the guard. */
const FORMULA = /^'*[=+\-@\t\r]/
const GUARDED = /^'+[=+\-@\t\r]/

/**
 * Rows as CSV (RFC 4180). Text that a spreadsheet would run as a formula is guarded by an apostrophe (OWASP); the
 * byte-order mark tells it that the file is UTF-8.
 */
export const csvOf = (rows: readonly object[], columns?: readonly string[]): string =>
  `\uFEFF${Papa.unparse(rows as object[], {
    columns: columns ? [...columns] : undefined,
    escapeFormulae: FORMULA,
  })}`

/**
 * A sheet pasted or read from a file: a heading line, then rows, with tabs, commas or semicolons between. `heading`
 * makes a column's name of what stands in the first line. The guard of `csvOf` is taken off again.
 */
export function readSheet(text: string, heading: (cell: string) => string): Sheet {
  const most = GARDEN_LIMITS.sheetRows.value
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ',', ';'],
    preview: most + 2,
  })
  const [head = [], ...rest] = parsed.data
  const columns = head.map(heading)
  while (columns.at(-1) === '') columns.pop()
  if (rest.length > most) return { columns, rows: [], tooMany: true }
  const rows = rest.map((list, i) => {
    const plain = list.map((cell) => (GUARDED.test(cell) ? cell.slice(1) : cell))
    const cells = Object.fromEntries(columns.map((column, k) => [column, plain[k] ?? '']))
    return { row: i + 2, cells, surplus: plain.slice(columns.length).filter((c) => c.trim() !== '') }
  })
  return { columns, rows, tooMany: false }
}

/** What a cell that holds no clear number should have held. */
export const numberWanted = (read: Exclude<ReadNumber, number>) =>
  read === null ? 'a number' : `a number that can be read in one way, not ${read.either.join(' or ')}`
