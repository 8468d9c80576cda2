import { countProblem } from '@/core/amounts'
import { PUBLISHED } from '@/core/data'
import type { Problem } from '@/core/problems'
import { firstRefusal } from '@/model/garden/commands/refusal'
import { bedKey } from '@/model/garden/garden'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import type { Bed, BedSpec, Settings } from '@/model/garden/schemas'
import { BED_FIELDS, BED_FIELD_NAMES, startingSpec, type BedField } from '@/model/garden/schemas/bedFields'
import { cellReader, cellWriter, type CellReader, type CellWriter } from './cells'
import { coverFrom, coverText, COVER_WANTED, layersFrom, LAYERS_WANTED, layersText } from './layerCells'
import { writtenHeading, type SheetQuantity, type TableColumn } from './headings'
import { csvOf, type Matches, type Sheet, type SheetLook } from './sheet'
import { takeRows, type RowProblem } from './table'
import { VESSEL_COLUMNS, VESSEL_LENGTHS, vesselFromCells, vesselToCells } from './vesselCells'

/** Columns of a sheet of beds, in the order they are written. Lengths are in the grower's unit. */
export const SHEET_COLUMNS: readonly string[] = BED_FIELD_NAMES.flatMap((f) =>
  f === 'vessel' ? VESSEL_COLUMNS : BED_FIELDS[f].column,
)
/** What the numbers of a column measure; nothing where it is counted, chosen or named. */
function quantityOf(id: string): SheetQuantity | undefined {
  if (VESSEL_LENGTHS.has(id)) return 'length'
  const field = BED_FIELD_NAMES.find((f) => BED_FIELDS[f].column === id)
  if (field === 'layers' || field === 'cover') return 'length'
  const input = field && BED_FIELDS[field].input
  return input?.kind === 'measure' ? input.quantity : undefined
}
/** Columns of plain numbers. */
const COUNTED: ReadonlySet<string> = new Set(['count', 'bulge'])
const COLUMNS: readonly TableColumn[] = SHEET_COLUMNS.map((id) => ({
  id,
  quantity: quantityOf(id),
  counts: COUNTED.has(id),
}))
/** The headings as they are written, each with its unit. */
export const bedHeadings = (units: Settings['units']): string[] =>
  COLUMNS.map((c) => writtenHeading(c, units))

/** A row that could not be taken: beside its cells, a bed that cannot be filled. */
export type SheetProblem = RowProblem<{ problem: Problem }>
export interface SheetResult {
  beds: Bed[]
  problems: SheetProblem[]
  look: SheetLook
}

/** What new beds are known by, and what headings mean that nobody knows. */
interface BedReading {
  newId: () => string
  createdAt: string
  matches?: Matches
}

/** Fields whose cells are made by hand; the others follow from their row. */
const OWN_CELLS: {
  [F in 'layers' | 'cover']: {
    write: (value: BedSpec[F], write: CellWriter) => string
    read: (text: string, length: (inCell: string) => number | null) => BedSpec[F] | undefined
    wanted: string
  }
} = {
  layers: {
    write: (layers, { length }) => layersText(layers, length),
    read: (text, length) => layersFrom(text, length) ?? undefined,
    wanted: LAYERS_WANTED,
  },
  cover: {
    write: (cover, { length }) => coverText(cover, length),
    read: (text, length) => coverFrom(text, length),
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
  const headings = bedHeadings(units)
  const rows = beds.map((bed) => {
    const cells = new Map(
      BED_FIELD_NAMES.flatMap((f) =>
        f === 'vessel'
          ? Object.entries(vesselToCells(bed.vessel, write))
          : [[BED_FIELDS[f].column, cellOf(f, bed, write)] as const],
      ),
    )
    return Object.fromEntries(SHEET_COLUMNS.map((id, i) => [headings[i]!, cells.get(id) ?? '']))
  })
  return csvOf(rows, headings)
}

/** The answer in the cell of a field; the usual one where the cell is empty. Throws a `CellWrong`. */
function fieldFrom(field: BedField, usual: BedSpec, read: CellReader): unknown {
  const { input, column } = BED_FIELDS[field]
  if (field === 'layers' || field === 'cover')
    return read.isEmpty(column)
      ? usual[field]
      : (OWN_CELLS[field].read(read.text(column), (inCell) => read.lengthIn(column, inCell)) ??
          read.wrong(column, OWN_CELLS[field].wanted))
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
function specFrom(cells: Record<string, string>, units: Settings['units'], sheet: Sheet): BedSpec {
  const read = cellReader(cells, units, sheet)
  const vessel = vesselFromCells(read)
  const usual = startingSpec(vessel.kind)
  const fields = BED_FIELD_NAMES.map((f) => [f, fieldFrom(f, usual, read)])
  // A name as it was written: what goes out comes in unchanged.
  return { ...(Object.fromEntries(fields) as BedSpec), name: cells.name ?? '', vessel }
}

/** A bed of a row, or why it is none. */
function bedFrom(spec: BedSpec, id: string, createdAt: string) {
  const bed: Bed = { ...spec, id, createdAt }
  const plan = mixNeededFor({ spec: bed, sunkBy: null }, PUBLISHED)
  const uncounted = countProblem(bed.vessel.count)
  const refusal = firstRefusal([{ key: bedKey(bed.id), before: null, after: bed }])
  if (refusal) return { refusal }
  if (!plan.ok) return { problem: plan.problem }
  return uncounted ? { problem: uncounted } : { bed }
}

/**
 * Beds from text pasted out of a spreadsheet or a CSV file: a heading line with some of the columns, tabs, commas or
 * semicolons between. Lengths are in the unit of their heading, else the grower's. What is left out takes the usual
 * value of its shape. Rows that cannot be read, or whose bed could not be filled, come back as problems; the others
 * are taken. Nothing is stored here.
 */
export function bedsFromText(
  text: string,
  units: Settings['units'],
  { newId, createdAt, matches = {} }: BedReading,
): SheetResult {
  const beds: Bed[] = []
  const read = takeRows<{ problem: Problem }>(text, {
    columns: COLUMNS,
    needed: [],
    matches,
    name: 'name',
    take(cells, sheet) {
      const found = bedFrom(specFrom(cells, units, sheet), newId(), createdAt)
      if (!found.bed) return found
      beds.push(found.bed)
      return null
    },
  })
  return { beds, ...read }
}
