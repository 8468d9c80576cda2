import { PUBLISHED } from '@/core/data'
import { countProblem } from '@/core/amounts'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import { CM_PER_INCH, LITRES } from '@/core/units'
import {
  STANDINGS,
  VESSEL_KINDS,
  WALLS,
  type Bed,
  type Settings,
  type Vessel,
  type VesselKind,
} from '@/model/garden/schemas'
import { startingBed } from '@/model/garden/starting'
import { FIRMNESSES } from '@/core/filling'
import { firstRefusal, type Refusal } from '@/model/garden/commands/refusal'
import { bedKey } from '@/model/garden/garden'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import { readNumber } from '../numbers'
import { coverFrom, coverText, COVER_WANTED, layersFrom, LAYERS_WANTED, layersText } from './layerCells'
import { csvOf, numberWanted, readSheet } from './sheet'
import type { Problem } from '@/core/problems'

/** Columns of a sheet of beds, in the order they are written. Lengths in the unit of the heading. */
export const SHEET_COLUMNS = [
  'name',
  'shape',
  'count',
  'length',
  'width',
  'base length',
  'base width',
  'height',
  'heaped',
  'lip',
  'water leaves',
  'hole height',
  'sides',
  'stands on',
  'root balls',
  'corners',
  'bulge',
  'layers',
  'cover',
  'filling',
  'carried',
] as const
type Column = (typeof SHEET_COLUMNS)[number]
const LENGTHS: readonly Column[] = [
  'length',
  'width',
  'base length',
  'base width',
  'height',
  'heaped',
  'lip',
  'hole height',
]
const OUTLETS = ['drainHoles', 'sideHoles', 'closed', 'onPaving', 'coarse', 'loam', 'clay'] as const

/** What growers may write for a shape, beside the name the sheet itself writes. */
const SHAPE_WORDS: Record<string, VesselKind> = {
  pot: 'roundPot',
  round: 'roundPot',
  tub: 'roundPot',
  barrel: 'roundPot',
  trough: 'box',
  windowbox: 'box',
  planter: 'box',
  bed: 'raisedBed',
  bag: 'fabricBag',
  splitbarrel: 'gutter',
}

/** A row that could not be taken: which, by its number in the sheet, and why. */
export interface SheetProblem {
  row: number
  name: string
  why: { column: string; text: string; wanted: string } | { problem: Problem } | { refusal: Refusal }
}
export interface SheetResult {
  beds: Bed[]
  problems: SheetProblem[]
}

const factor = (units: Settings['units']) => (units === 'us' ? CM_PER_INCH : 1)
const volume = (units: Settings['units']) => (units === 'us' ? LITRES.usGallon : 1)
/** Six decimals out, a thousandth of a millimetre in: what goes out in inches comes in as the same centimetres. */
const tidy = (x: number) => String(Number(x.toFixed(6)))
const tidyIn = (x: number) => Number(x.toFixed(4))

const squeeze = (text: string) => text.toLowerCase().replace(/[^a-z]/g, '')
const oneOf = <T extends string>(list: readonly T[], text: string): T | undefined =>
  list.find((x) => squeeze(x) === squeeze(text))

const lengthCells = (units: Settings['units']) => ({
  write: (cm: number) => tidy(cm / factor(units)),
  read: (inUnits: number) => tidyIn(inUnits * factor(units)),
})

/** One row of the sheet for each bed; `corners` as "0,0 240,0 …" from above. */
export function bedsToCsv(beds: readonly Bed[], units: Settings['units']): string {
  const per = factor(units)
  const lengths = lengthCells(units)
  const rows = beds.map((bed) => {
    const { vessel } = bed
    const body = vessel.shape.kind === 'mounded' ? vessel.shape.body : vessel.shape
    const size = {
      roundPot: (b: { topDiameter: number; baseDiameter: number }) => [
        b.topDiameter,
        undefined,
        b.baseDiameter,
      ],
      fabricBag: (b: { diameter: number }) => [b.diameter],
      halfCylinder: (b: { length: number; diameter: number }) => [b.length, b.diameter],
      polygonBed: () => [],
    }
    const [length, width, baseLength, baseWidth] =
      body.kind === 'box' || body.kind === 'oval'
        ? [body.topLength, body.topWidth, body.baseLength, body.baseWidth]
        : (size[body.kind] as (b: typeof body) => (number | undefined)[])(body)
    const cell = (cm: number | undefined) => (cm === undefined ? '' : tidy(cm / per))
    const row: Record<Column, string> = {
      name: bed.name,
      shape: vessel.kind,
      count: String(vessel.count),
      length: cell(length),
      width: cell(width),
      'base length': cell(baseLength),
      'base width': cell(baseWidth),
      height: cell('height' in body ? body.height : undefined),
      heaped: cell(vessel.shape.kind === 'mounded' ? vessel.shape.moundHeight : undefined),
      lip: cell(vessel.headspace),
      'water leaves': vessel.base.kind === 'onSoil' ? vessel.base.texture : vessel.base.kind,
      'hole height': cell(vessel.base.kind === 'sideHoles' ? vessel.base.height : undefined),
      sides: bed.wall,
      'stands on': bed.standing,
      'root balls': bed.rootBalls ? tidy(bed.rootBalls / volume(units)) : '',
      corners:
        body.kind === 'polygonBed' ? body.corners.map((c) => `${cell(c.x)},${cell(c.y)}`).join(' ') : '',
      bulge: body.kind === 'fabricBag' ? tidy(body.bulge * 100) : '',
      layers: layersText(bed.layers, lengths),
      cover: coverText(bed.cover, lengths),
      filling: bed.firmness,
      carried: bed.carried ? 'yes' : 'no',
    }
    return row
  })
  return csvOf(rows, SHEET_COLUMNS)
}

/** Reads one row; throws a SheetProblem's why where a cell cannot be read. */
function bedOf(cells: Record<string, string>, units: Settings['units'], id: string, createdAt: string): Bed {
  const text = (column: Column) => (cells[column] ?? '').trim()
  const wrong = (column: Column, wanted: string): never => {
    throw { column, text: text(column), wanted }
  }
  const read = (column: Column, otherwise: number): number => {
    if (text(column) === '') return otherwise
    const parsed = readNumber(text(column))
    if (typeof parsed !== 'number') return wrong(column, numberWanted(parsed))
    return LENGTHS.includes(column) ? tidyIn(parsed * factor(units)) : parsed
  }
  const kind =
    oneOf(VESSEL_KINDS, text('shape')) ??
    SHAPE_WORDS[squeeze(text('shape'))] ??
    (text('shape') === '' ? 'roundPot' : wrong('shape', VESSEL_KINDS.join(', ')))
  const bed = startingBed(id, createdAt, kind)
  const { shape } = bed.vessel
  const body = shape.kind === 'mounded' ? shape.body : shape
  const length = (otherwise: number) => read('length', otherwise)
  const sized = ((): Exclude<Vessel['shape'], { kind: 'mounded' }> => {
    switch (body.kind) {
      case 'roundPot': {
        const topDiameter = length(body.topDiameter)
        return {
          ...body,
          topDiameter,
          baseDiameter: read('base length', text('length') === '' ? body.baseDiameter : topDiameter),
          height: read('height', body.height),
        }
      }
      case 'box':
      case 'oval': {
        const topLength = length(body.topLength)
        const topWidth = read('width', body.topWidth)
        return {
          ...body,
          topLength,
          topWidth,
          baseLength: read('base length', text('length') === '' ? body.baseLength : topLength),
          baseWidth: read('base width', text('width') === '' ? body.baseWidth : topWidth),
          height: read('height', body.height),
        }
      }
      case 'fabricBag':
        return {
          ...body,
          diameter: length(body.diameter),
          height: read('height', body.height),
          bulge: read('bulge', body.bulge * 100) / 100,
        }
      case 'halfCylinder':
        return { ...body, length: length(body.length), diameter: read('width', body.diameter) }
      case 'polygonBed': {
        const corners = text('corners')
          .split(/\s+/)
          .filter(Boolean)
          .map((pair) => {
            const [x, y, more] = pair.split(',').map(Number)
            if (x === undefined || y === undefined || more !== undefined || !Number.isFinite(x + y))
              return wrong('corners', 'pairs such as 0,0 240,0 240,120')
            return { x: tidyIn(x * factor(units)), y: tidyIn(y * factor(units)) }
          })
        return {
          ...body,
          corners: corners.length ? corners : body.corners,
          height: read('height', body.height),
        }
      }
    }
  })()
  const outlet =
    text('water leaves') === ''
      ? null
      : (oneOf(OUTLETS, text('water leaves')) ?? wrong('water leaves', OUTLETS.join(', ')))
  const base: Vessel['base'] =
    outlet === null
      ? bed.vessel.base
      : outlet === 'coarse' || outlet === 'loam' || outlet === 'clay'
        ? { kind: 'onSoil', texture: outlet }
        : outlet === 'sideHoles'
          ? { kind: 'sideHoles', height: read('hole height', 4) }
          : { kind: outlet }
  const lengths = lengthCells(units)
  const layers = layersFrom(text('layers'), lengths) ?? wrong('layers', LAYERS_WANTED)
  const cover = coverFrom(text('cover'), lengths)
  const carried = text('carried').toLowerCase()
  return {
    ...bed,
    // As it stands: what goes out comes in unchanged.
    name: cells.name ?? '',
    layers: text('layers') === '' ? bed.layers : layers,
    cover: cover === undefined ? wrong('cover', COVER_WANTED) : cover,
    firmness:
      text('filling') === ''
        ? bed.firmness
        : (oneOf(FIRMNESSES, text('filling')) ?? wrong('filling', FIRMNESSES.join(', '))),
    carried:
      carried === ''
        ? bed.carried
        : ['yes', 'no'].includes(carried)
          ? carried === 'yes'
          : wrong('carried', 'yes, no'),
    wall: text('sides') === '' ? bed.wall : (oneOf(WALLS, text('sides')) ?? wrong('sides', WALLS.join(', '))),
    standing:
      text('stands on') === ''
        ? bed.standing
        : (oneOf(STANDINGS, text('stands on')) ?? wrong('stands on', STANDINGS.join(', '))),
    rootBalls: tidyIn(read('root balls', 0) * volume(units)),
    vessel: {
      kind,
      shape:
        shape.kind === 'mounded'
          ? { ...shape, body: sized, moundHeight: read('heaped', shape.moundHeight) }
          : sized,
      headspace: read('lip', bed.vessel.headspace),
      base,
      count: read('count', 1),
    },
  }
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
  const known = columns.filter((c) => (SHEET_COLUMNS as readonly string[]).includes(c))
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
      const bed = bedOf(cells, units, newId(), createdAt)
      const plan = mixNeededFor({ spec: bed, sunkBy: null }, PUBLISHED)
      const uncounted = countProblem(bed.vessel.count)
      const refusal = firstRefusal([{ key: bedKey(bed.id), before: null, after: bed }])
      if (refusal) refuse({ refusal })
      else if (!plan.ok) refuse({ problem: plan.problem })
      else if (uncounted) refuse({ problem: uncounted })
      else result.beds.push(bed)
    } catch (why) {
      if (why instanceof Error) throw why
      refuse(why as { column: string; text: string; wanted: string })
    }
  }
  return result
}
