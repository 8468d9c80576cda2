import Papa from 'papaparse'
import { GARDEN_LIMITS } from '../garden/limits'
import { readNumber, type DecimalSign, type ReadNumber } from '../numbers'
import { headingOf, isNumeric, type Heading, type TableColumn } from './headings'

/**
 * One row of a sheet: its number there (the heading is 1), its cells by column, and what is wrong with the row itself.
 */
export interface SheetRow {
  row: number
  cells: Record<string, string>
  /** Cells beyond the last column. */
  surplus: string[]
  /** Two neighbours that may be one number cut at its decimal comma. */
  halves: string | null
}

export type Separator = 'tab' | 'comma' | 'semicolon'
const SIGNS: Record<Separator, string> = { tab: '\t', semicolon: ';', comma: ',' }

export interface Sheet {
  /** What stands in the first line, and which column each is; null where nobody knows it. */
  headings: { text: string; means: Heading | null }[]
  rows: SheetRow[]
  /** More rows than are read at once: none of them was. */
  tooMany: boolean
  /** Line whose quotation marks do not pair: where its cell ends is anybody's guess, and lines may lie within it. */
  openQuote: number | null
  separator: Separator
  /** How its numbers write a fraction, where they say so. */
  decimal: DecimalSign | null
}

/** Which column a heading is that nobody knows, by the grower's word: an id, or nothing to leave the column out. */
export type Matches = Readonly<Record<string, string>>

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

const parsedBy = (text: string, separator: Separator, most: number) =>
  Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', delimiter: SIGNS[separator], preview: most })
const linesBy = (text: string, separator: Separator, most: number): string[][] =>
  parsedBy(text, separator, most).data

/** A line without the empty cells at its end. */
function trimmed(line: readonly string[]): string[] {
  const cells = [...line]
  while (cells.length > 0 && cells.at(-1)!.trim() === '') cells.pop()
  return cells
}

/** The separator under which most headings are known; of equal ones, under which more lines are alike. */
function separatorOf(text: string, columns: readonly TableColumn[]): Separator {
  const rank = (separator: Separator): [number, number] => {
    const lines = linesBy(text, separator, 50)
    const head = trimmed(lines[0] ?? [])
    const known = head.filter((cell) => headingOf(cell, columns) !== null).length
    const alike = lines.filter((line) => trimmed(line).length <= head.length).length
    return [known, alike / Math.max(1, lines.length)]
  }
  const ranked = (Object.keys(SIGNS) as Separator[]).map((separator) => ({
    separator,
    rank: rank(separator),
  }))
  return ranked.reduce((a, b) =>
    b.rank[0] > a.rank[0] || (b.rank[0] === a.rank[0] && b.rank[1] > a.rank[1]) ? b : a,
  ).separator
}

/** A cell that can only be a number with a decimal comma, or only one with a point. */
const BY_COMMA = /^[-+−]?(0,\d+|\d+,\d{1,2}|\d+,\d{4,}|\d{1,3}(\.\d{3})+,\d+)$/
const BY_POINT = /^[-+−]?(0\.\d+|\d+\.\d{1,2}|\d+\.\d{4,}|\d{1,3}(,\d{3})+\.\d+)$/

/** How the numbers of a sheet write a fraction; null where none says so, or they differ. */
function decimalOf(lines: readonly (readonly string[])[]): DecimalSign | null {
  const some = (like: RegExp) => lines.some((line) => line.some((cell) => like.test(cell.trim())))
  const [comma, point] = [some(BY_COMMA), some(BY_POINT)]
  return comma === point ? null : comma ? 'comma' : 'point'
}

const DIGITS = /^\d+$/
const SIGNED = /^[-+−]?\d+$/
/**
 * Neighbours between commas that may be the two halves of 6,5: plain digits behind plain digits, in a line that is
 * shorter than the heading or where the second is in a column of words.
 */
function halvesOf(line: readonly string[], isNumber: readonly boolean[]): string | null {
  const short = line.length < isNumber.length
  const at = line.findIndex(
    (cell, i) =>
      i > 0 &&
      DIGITS.test(cell.trim()) &&
      SIGNED.test(line[i - 1]!.trim()) &&
      (short || isNumber[i] === false),
  )
  return at < 0 ? null : `${line[at - 1]!.trim()},${line[at]!.trim()}`
}

/**
 * A table pasted or read from a file: a heading line with the words of `columns`, then rows. Separator and decimal sign
 * are found by what fits all of it; `matches` says what headings mean that nobody knows. The guard of `csvOf` is taken
 * off again. What cannot be trusted (a number cut at its comma, cells beyond the last column) is said by row.
 */
export function readSheet(text: string, columns: readonly TableColumn[], matches: Matches = {}): Sheet {
  const most = GARDEN_LIMITS.sheetRows.value
  const bare = text.replace(/^\uFEFF/, '')
  const separator = separatorOf(bare, columns)
  const { data, errors } = parsedBy(bare, separator, most + 2)
  const quote = errors.find((e) => e.type === 'Quotes')
  const openQuote = quote ? (quote.row ?? 0) + 1 : null
  const [head = [], ...rest] = data
  const headings = trimmed(head).map((cell) => ({
    text: cell.trim(),
    means: meaning(cell, columns, matches),
  }))
  const decimal = decimalOf(rest)
  const numbers = new Set(columns.filter(isNumeric).map((c) => c.id))
  const numeric = headings.map(({ means }) => means === null || numbers.has(means.id))
  const sheet = { headings, separator, decimal, openQuote }
  if (rest.length > most) return { ...sheet, rows: [], tooMany: true }
  const rows = rest.map((list, i) => {
    const plain = list.map((cell) => (GUARDED.test(cell) ? cell.slice(1) : cell))
    const cells: Record<string, string> = Object.create(null)
    headings.forEach(({ means }, k) => {
      if (means) cells[means.id] = plain[k] ?? ''
    })
    return {
      row: i + 2,
      cells,
      surplus: plain.slice(headings.length).filter((c) => c.trim() !== ''),
      halves: separator === 'comma' ? halvesOf(list, numeric) : null,
    }
  })
  return { ...sheet, rows, tooMany: false }
}

function meaning(cell: string, columns: readonly TableColumn[], matches: Matches): Heading | null {
  const known = headingOf(cell, columns)
  const said = Object.hasOwn(matches, cell.trim()) ? matches[cell.trim()]! : ''
  return known ?? (columns.some((c) => c.id === said) ? { id: said, unit: null, word: '' } : null)
}

/** How a sheet was read, for the eyes of the one who brought it. */
export interface SheetLook {
  separator: Separator
  decimal: DecimalSign | null
  /** Headings nobody knows, asked about: those with a word given for them too. */
  strangers: string[]
  /** Columns that a stranger may be. */
  free: string[]
}
export function lookOf(sheet: Sheet, columns: readonly TableColumn[], matches: Matches): SheetLook {
  const { headings, separator, decimal } = sheet
  const asked = (text: string) => Object.hasOwn(matches, text)
  const named = new Set(headings.flatMap((h) => (h.means && !asked(h.text) ? [h.means.id] : [])))
  return {
    separator,
    decimal,
    strangers: [
      ...new Set(headings.flatMap((h) => (h.text !== '' && (!h.means || asked(h.text)) ? [h.text] : []))),
    ],
    free: columns.flatMap((c) => (named.has(c.id) ? [] : [c.id])),
  }
}

/** A cell, a row or the heading that cannot be taken: the column, what it says and what was wanted. */
export interface CellWrong {
  column: string
  text: string
  wanted: string
}

/**
 * What is wrong with a sheet as a whole: a quotation mark without its second, a heading that nobody knows and no word
 * was given for, or one named twice.
 */
export function headingProblem({ headings, openQuote }: Sheet, matches: Matches): CellWrong | null {
  if (openQuote !== null) return { column: 'quote', text: String(openQuote), wanted: '' }
  const strange = headings.find((h) => h.text !== '' && !h.means && !Object.hasOwn(matches, h.text))
  if (strange) return { column: 'stranger', text: strange.text, wanted: '' }
  const ids = headings.flatMap((h) => (h.means ? [h.means.id] : []))
  const twice = ids.find((id, i) => ids.indexOf(id) !== i)
  return twice === undefined ? null : { column: 'twice', text: twice, wanted: '' }
}

/** What is wrong with a row as a whole. */
export function rowProblem({ surplus, halves }: SheetRow): CellWrong | null {
  if (surplus.length > 0)
    return { column: 'surplus', text: surplus.join(', '), wanted: 'no more cells than there are columns' }
  return halves === null ? null : { column: 'halves', text: halves, wanted: '' }
}

/** A number of a cell by the sheet's own decimal sign. */
export const numberOf = ({ decimal }: Pick<Sheet, 'decimal'>, cell: string): ReadNumber =>
  readNumber(cell, decimal ?? undefined)

/** The unit that a heading names for a column, if any. */
export const unitOf = ({ headings }: Pick<Sheet, 'headings'>, id: string): Heading['unit'] =>
  headings.find((h) => h.means?.id === id)?.means?.unit ?? null

/** What a cell that holds no clear number should have held. */
export const numberWanted = (read: Exclude<ReadNumber, number>) =>
  read === null ? 'a number' : `a number that can be read in one way, not ${read.either.join(' or ')}`
