import { countProblem } from '@/core/amounts'
import { PUBLISHED } from '@/core/data'
import type { Problem } from '@/core/problems'
import { firstRefusal, type Refusal } from '@/model/garden/commands/refusal'
import { bedKey } from '@/model/garden/garden'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import type { Bed, BedSpec, Settings } from '@/model/garden/schemas'
import { BED_FIELDS, BED_FIELD_NAMES, startingSpec, type BedField } from '@/model/garden/schemas/bedFields'
import { cellReader, cellWriter, type CellReader, type CellWrong, type CellWriter } from './cells'
import { coverFrom, coverText, COVER_WANTED, layersFrom, LAYERS_WANTED, layersText } from './layerCells'
import { csvOf, readSheet } from './sheet'
import { VESSEL_COLUMNS, vesselFromCells, vesselToCells } from './vesselCells'

/** Columns of a sheet of beds, in the order they are written. Lengths are in the grower's unit. */
export const SHEET_COLUMNS: readonly string[] = BED_FIELD_NAMES.flatMap((f) =>
  f === 'vessel' ? VESSEL_COLUMNS : BED_FIELDS[f].column,
)

/** A row that could not be taken: which, by its number in the sheet, and why. */
export interface SheetProblem {
  row: number
  name: string
  why: CellWrong | { problem: Problem } | { refusal: Refusal }
}
export interface SheetResult {
  beds: Bed[]
  problems: SheetProblem[]
}

/** Fields whose cells are made by hand; the others follow from their row. */
const OWN_CELLS: {
  [F in 'layers' | 'cover']: {
    write: (value: BedSpec[F], write: CellWriter) => string
    read: (text: string, write: CellWriter) => BedSpec[F] | undefined
    wanted: string
  }
} = {
  layers: {
    write: (layers, { lengths }) => layersText(layers, lengths),
    read: (text, { lengths }) => layersFrom(text, lengths) ?? undefined,
    wanted: LAYERS_WANTED,
  },
  cover: {
    write: (cover, { lengths }) => coverText(cover, lengths),
    read: (text, { lengths }) => coverFrom(text, lengths),
    wanted: COVER_WANTED,
  },
}

function cellOf(field: Exclude<BedField, 'vessel'>, spec: BedSpec, write: CellWriter): string {
  const { input } = BED_FIELDS[field]
  if (field === 'layers') return OWN_CELLS.layers.write(spec.layers, write)
  if (field === 'cover') return OWN_CELLS.cover.write(spec.cover, write)
  const value = spec[field]
  if (typeof value === 'boolean') return write.yesNo(value)
  if (typeof value === 'string') return value
  // Nothing of it is no figure worth a cell.
  return input.kind === 'measure' && value !== 0 ? write.measure(value, input.quantity) : ''
}

/** One row of the sheet for each bed. */
export function bedsToCsv(beds: readonly Bed[], units: Settings['units']): string {
  const write = cellWriter(units)
  const rows = beds.map((bed) =>
    Object.fromEntries(
      BED_FIELD_NAMES.flatMap((f) =>
        f === 'vessel'
          ? Object.entries(vesselToCells(bed.vessel, write))
          : [[BED_FIELDS[f].column, cellOf(f, bed, write)]],
      ),
    ),
  )
  return csvOf(rows, SHEET_COLUMNS)
}

/** The answer in the cell of a field; the usual one where the cell is empty. Throws a `CellWrong`. */
function fieldFrom(field: BedField, usual: BedSpec, read: CellReader, write: CellWriter): unknown {
  const { input, column } = BED_FIELDS[field]
  if (field === 'layers' || field === 'cover')
    return read.isEmpty(column)
      ? usual[field]
      : (OWN_CELLS[field].read(read.text(column), write) ?? read.wrong(column, OWN_CELLS[field].wanted))
  switch (input.kind) {
    case 'choice':
      return read.choice(column, input.of, usual[field] as string)
    case 'measure':
      return read.measure(column, usual[field] as number, input.quantity)
    case 'yesNo':
      return read.yesNo(column, usual[field] as boolean)
    default:
      return usual[field]
  }
}

/** Reads one row. Throws a `CellWrong` where a cell cannot be read. */
function specFrom(cells: Record<string, string>, units: Settings['units']): BedSpec {
  const read = cellReader(cells, units)
  const write = cellWriter(units)
  const vessel = vesselFromCells(read, write.lengths.read)
  const usual = startingSpec(vessel.kind)
  const fields = BED_FIELD_NAMES.map((f) => [f, fieldFrom(f, usual, read, write)])
  // A name as it was written: what goes out comes in unchanged.
  return { ...(Object.fromEntries(fields) as BedSpec), name: cells.name ?? '', vessel }
}

/** A bed of a row, or why it is none. */
function bedFrom(cells: Record<string, string>, units: Settings['units'], id: string, createdAt: string) {
  const bed: Bed = { ...specFrom(cells, units), id, createdAt }
  const plan = mixNeededFor({ spec: bed, sunkBy: null }, PUBLISHED)
  const uncounted = countProblem(bed.vessel.count)
  const refusal = firstRefusal([{ key: bedKey(bed.id), before: null, after: bed }])
  if (refusal) return { refusal }
  if (!plan.ok) return { problem: plan.problem }
  return uncounted ? { problem: uncounted } : { bed }
}

/**
 * Beds from text pasted out of a spreadsheet or a CSV file: a heading line with some of the columns, tabs, commas or
 * semicolons between. Lengths are in the grower's unit. What is left out takes the usual value of its shape. Rows
 * that cannot be read, or whose bed could not be filled, come back as problems; the others stand. Nothing is stored
 * here.
 */
export function bedsFromText(
  text: string,
  units: Settings['units'],
  newId: () => string,
  createdAt: string,
): SheetResult {
  const { columns, rows, tooMany } = readSheet(text, (h) => h.trim().toLowerCase())
  const known = columns.filter((c) => SHEET_COLUMNS.includes(c))
  const stranger = columns.find((c, i) => !known.includes(c) || columns.indexOf(c) !== i)
  const whole = (column: string, said: string, wanted: string): SheetResult => ({
    beds: [],
    problems: [{ row: 1, name: '', why: { column, text: said, wanted } }],
  })
  if (known.length === 0 || stranger !== undefined)
    return whole('heading', stranger ?? columns[0] ?? '', SHEET_COLUMNS.join(', '))
  if (tooMany) return whole('rows', '', `${GARDEN_LIMITS.sheetRows.value} rows at the most at once`)
  const result: SheetResult = { beds: [], problems: [] }
  for (const { row, cells, surplus } of rows) {
    const name = (cells.name ?? '').trim()
    const refuse = (why: SheetProblem['why']) => result.problems.push({ row, name, why })
    if (surplus.length > 0) {
      refuse({ column: 'surplus', text: surplus.join(', '), wanted: 'no more cells than there are columns' })
      continue
    }
    try {
      const read = bedFrom(cells, units, newId(), createdAt)
      if (read.bed) result.beds.push(read.bed)
      else refuse(read)
    } catch (why) {
      if (why instanceof Error) throw why
      refuse(why as CellWrong)
    }
  }
  return result
}
