import { PACK_LIMITS } from '@/core/batch'
import type { Material, Pack } from '@/core/data'
import { firstRefusal, type Refusal } from '../garden/commands/refusal'
import { shelfKey, shelfItemOf, type Garden } from '../garden/garden'
import type { Offer, Settings, ShelfItem } from '../garden/schemas'
import { offersOf, shelfEntry } from '../garden/shelfEntry'
import type { CellWrong } from './cells'
import { USUAL_UNITS, writtenHeading, type SheetQuantity, type TableColumn } from './headings'
import {
  csvOf,
  headingProblem,
  lookOf,
  numberOf,
  numberWanted,
  readSheet,
  rowProblem,
  unitOf,
  type Matches,
  type Sheet,
  type SheetLook,
} from './sheet'

/** Columns of a sheet of the shelf: a row for each pack, what is on hand with the first of a material. */
const COLUMNS = [
  { id: 'material' },
  { id: 'sold as', also: ['pack', 'packed as'] },
  { id: 'size', also: ['size of a pack'], quantity: 'pack' },
  { id: 'gives', quantity: 'volume' },
  { id: 'price', also: ['cost'], counts: true },
  { id: 'delivery', counts: true },
  { id: 'where', also: ['shop', 'supplier'] },
  { id: 'seen on', also: ['price seen on'] },
  { id: 'on hand', also: ['stock'], quantity: 'volume' },
] as const satisfies readonly TableColumn[]
type Column = (typeof COLUMNS)[number]['id']
const SHELF_COLUMNS: readonly string[] = COLUMNS.map((c) => c.id)

/** What a sheet calls the ways of selling. */
const SOLD_AS: Record<Pack['kind'], string> = {
  loose: 'bag',
  mass: 'bag by weight',
  compressed: 'pressed bale',
  block: 'dry block',
  bulk: 'bulk',
  own: 'own',
}
const kindOf = (text: string): Pack['kind'] | undefined =>
  (Object.keys(SOLD_AS) as Pack['kind'][]).find((k) => SOLD_AS[k] === text.trim().toLowerCase())

/** The heading of each column in the grower's units; a size is in the unit its way of selling is counted in. */
export const shelfHeadings = (units: Settings['units']) =>
  Object.fromEntries(COLUMNS.map((c) => [c.id, writtenHeading(c, units)])) as Record<Column, string>
/** Six decimals out, four in: what goes out in gallons comes in as the same litres. */
const tidy = (x: number) => String(Number(x.toFixed(6)))
const tidyIn = (x: number) => Number(x.toFixed(4))

/** Everything on the shelf as CSV, in the grower's units; `nameOf` names a material. */
export function shelfToCsv(
  items: readonly ShelfItem[],
  nameOf: (id: string) => string,
  units: Settings['units'],
): string {
  const perVolume = USUAL_UNITS[units].volume.per
  const perWeight = USUAL_UNITS[units].weight.per
  const head = shelfHeadings(units)
  const rows = items.flatMap((item) =>
    offersOf(item).map((offer, i) => {
      const { pack, price, place, seenOn, delivery } = offer
      const gives =
        pack.kind === 'compressed' && pack.swell
          ? pack.swell * pack.litres
          : pack.kind === 'block' && pack.litresPerKg
            ? pack.litresPerKg * pack.kg
            : null
      return {
        [head.material]: nameOf(item.materialId),
        [head['sold as']]: SOLD_AS[pack.kind],
        [head.size]:
          'litres' in pack ? tidy(pack.litres / perVolume) : 'kg' in pack ? tidy(pack.kg / perWeight) : '',
        [head.gives]: gives === null ? '' : tidy(gives / perVolume),
        [head.price]: price === null ? '' : tidy(price),
        [head.delivery]: delivery > 0 ? tidy(delivery) : '',
        [head.where]: place,
        [head['seen on']]: seenOn ?? '',
        [head['on hand']]: i === 0 ? tidy(item.stock / perVolume) : '',
      }
    }),
  )
  return csvOf(rows, Object.values(head))
}

export interface ShelfResult {
  items: ShelfItem[]
  problems: ShelfProblem[]
  look: SheetLook
}

/** A row that could not be taken: which, by its number in the sheet, and why. */
export interface ShelfProblem {
  row: number
  name: string
  why: { column: string; text: string; wanted: string } | { refusal: Refusal }
}

/**
 * Packs, prices and stock from a sheet: rows of one material are its packs, the first the usual one. A material is
 * named as the shelf names it, in full or in short, or by its id. `find` looks it up. What is wrong is told by row, and
 * only what is whole is in the answer; what a sheet does not say of a material stays as it is.
 */
export function shelfFromText(
  text: string,
  { garden, find, units, matches = {} }: ShelfReading,
): ShelfResult {
  const sheet = readSheet(text, COLUMNS, matches)
  const look = lookOf(sheet, COLUMNS, matches)
  const whole = (column: string, wanted: string): ShelfResult => ({
    items: [],
    problems: [{ row: 1, name: '', why: { column, text: '', wanted } }],
    look,
  })
  if (sheet.tooMany) return whole('rows', '500 rows at most')
  const has = (id: Column) => sheet.headings.some((h) => h.means?.id === id)
  const strange = headingProblem(sheet, matches)
  if (strange) return { items: [], problems: [{ row: 1, name: '', why: strange }], look }
  if (!has('material') || !has('sold as')) return whole('heading', SHELF_COLUMNS.join(', '))
  const problems: ShelfProblem[] = []
  const items = new Map<string, ShelfItem>()
  for (const line of sheet.rows) {
    const { row, cells } = line
    const name = cells.material ?? ''
    const torn = rowProblem(line)
    if (torn) {
      problems.push({ row, name, why: torn })
      continue
    }
    try {
      const sold = soldOf(cells, { find, units, sheet })
      const item = withOffer(garden, items.get(sold.material.id), sold)
      const refusal = firstRefusal([{ key: shelfKey(sold.material.id), before: null, after: item }])
      if (refusal) problems.push({ row, name, why: { refusal } })
      else items.set(sold.material.id, item)
    } catch (why) {
      if (why instanceof Error) throw why
      problems.push({ row, name, why: why as CellWrong })
    }
  }
  return { items: [...items.values()], problems, look }
}

export interface ShelfReading {
  garden: Garden
  /** Looks a material up by what a sheet calls it. */
  find: Find
  units: Settings['units']
  matches?: Matches
}
type Find = (name: string) => Material | undefined
type Cells = Record<string, string>
function wrong(cells: Cells, column: Column, wanted: string): never {
  throw { column, text: cells[column] ?? '', wanted } satisfies CellWrong
}
/** A number of a cell; null where it is empty. */
function numberIn(sheet: Sheet, cells: Cells, column: Column): number | null {
  const cell = (cells[column] ?? '').trim()
  if (cell === '') return null
  const read = numberOf(sheet, cell)
  if (typeof read === 'number' && read >= 0) return read
  return wrong(cells, column, typeof read === 'number' ? 'a number, 0 or more' : numberWanted(read))
}

/** What one row says of a material: how it is sold, and what is on hand of it, litres. */
interface Sold {
  material: Material
  offer: Offer
  onHand: number | null
}
interface SoldIn {
  find: Find
  units: Settings['units']
  sheet: Sheet
}
/** What one of a column's unit is in litres or kg: by its heading, else by the grower's units. */
function perOf({ units, sheet }: SoldIn, column: Column, quantity: SheetQuantity): number {
  const named = unitOf(sheet, column)
  if (quantity !== 'volume' && quantity !== 'weight') return 1
  // One heading for litres and kilograms: which system it names.
  const system = column === 'size' && named ? (named.per === 1 ? 'metric' : 'us') : units
  return column !== 'size' && named ? named.per : USUAL_UNITS[system][quantity].per
}
/** Throws a `CellWrong`. */
function soldOf(cells: Cells, given: SoldIn): Sold {
  const { find, sheet } = given
  const material =
    find(cells.material ?? '') ?? wrong(cells, 'material', 'the name of a material on the shelf')
  const kind = kindOf(cells['sold as'] ?? '') ?? wrong(cells, 'sold as', Object.values(SOLD_AS).join(', '))
  const number = (column: Column) => numberIn(sheet, cells, column)
  const [size, gives] = [number('size') ?? 0, number('gives') ?? 0]
  const [price, delivery] = [number('price'), number('delivery') ?? 0]
  const onHand = number('on hand')
  const seenOn = (cells['seen on'] ?? '').trim()
  if (seenOn !== '' && !/^\d{4}-\d{2}-\d{2}$/.test(seenOn)) wrong(cells, 'seen on', 'a day as 2026-03-14')
  if (kind !== 'own' && !(size > 0)) wrong(cells, 'size', 'a number above 0')
  const most = PACK_LIMITS.size.value
  if (size > most) wrong(cells, 'size', `at most ${most}`)
  const offer: Offer = {
    pack: packFrom(kind, {
      litres: tidyIn(size * perOf(given, 'size', 'volume')),
      kg: tidyIn(size * perOf(given, 'size', 'weight')),
      loose: gives * perOf(given, 'gives', 'volume'),
    }),
    price: kind === 'own' ? 0 : price,
    place: (cells.where ?? '').trim(),
    seenOn: seenOn || null,
    delivery,
  }
  return {
    material,
    offer,
    onHand: onHand === null ? null : tidyIn(onHand * perOf(given, 'on hand', 'volume')),
  }
}

const isDeepEqual = (a: Pack, b: Pack) =>
  JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort())

/** A material with one more pack; the first of a sheet is the usual one, and says what is on hand. */
function withOffer(
  garden: Garden,
  known: ShelfItem | undefined,
  { material, offer: told, onHand }: Sold,
): ShelfItem {
  const before = shelfItemOf(garden, material.id) ?? shelfEntry(garden, material)
  // What the sheet leaves empty of a pack that is known stays as it is known.
  const same = offersOf(before).find((o) => isDeepEqual(o.pack, told.pack))
  const offer = same
    ? {
        ...told,
        price: told.price ?? same.price,
        place: told.place || same.place,
        seenOn: told.seenOn ?? same.seenOn,
        delivery: told.delivery || same.delivery,
      }
    : told
  if (known) return { ...known, others: [...known.others, offer] }
  return { ...offer, materialId: material.id, others: [], stock: onHand ?? before.stock }
}

/** A pack by its size, and by what it gives loose where that is known. */
function packFrom(
  kind: Pack['kind'],
  { litres, kg, loose }: Record<'litres' | 'kg' | 'loose', number>,
): Pack {
  switch (kind) {
    case 'own':
      return { kind }
    case 'mass':
      return { kind, kg }
    case 'block':
      return { kind, kg, ...(loose > 0 ? { litresPerKg: tidyIn(loose / kg) } : {}) }
    case 'compressed':
      return { kind, litres, ...(loose > 0 ? { swell: tidyIn(loose / litres) } : {}) }
    default:
      return { kind, litres }
  }
}
