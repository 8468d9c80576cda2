import { PACK_LIMITS } from '@/core/batch'
import type { Material, Pack } from '@/core/data'
import { firstRefusal } from '../garden/commands/refusal'
import { shelfKey, shelfItemOf, type Garden } from '../garden/garden'
import type { Offer, Settings, ShelfItem } from '../garden/schemas'
import { sameData } from '../garden/same'
import { offersOf, shelfEntry } from '../garden/shelfEntry'
import { USUAL_UNITS, writtenHeading, type SheetQuantity, type TableColumn } from './headings'
import { csvOf, unitOf, type Matches, type Sheet, type SheetLook } from './sheet'
import { amountIn, takeRows, wrongCell, type RowProblem } from './table'

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
  problems: RowProblem[]
  look: SheetLook
}

/**
 * Packs, prices and stock from a sheet: rows of one material are its packs, the first the usual one. A material is
 * named as the shelf names it, in full or in short, or by its id. `find` looks it up. What is wrong is named by row, and
 * only what is whole is in the answer; what a sheet does not say of a material stays as it is.
 */
export function shelfFromText(
  text: string,
  { garden, find, units, matches = {} }: ShelfReading,
): ShelfResult {
  const items = new Map<string, ShelfItem>()
  const read = takeRows<never>(text, {
    columns: COLUMNS,
    needed: ['material', 'sold as'],
    matches,
    name: 'material',
    take(cells, sheet) {
      const sold = soldOf(cells, { find, units, sheet })
      const item = withOffer(garden, items.get(sold.material.id), sold)
      const refusal = firstRefusal([{ key: shelfKey(sold.material.id), before: null, after: item }])
      if (refusal) return { refusal }
      items.set(sold.material.id, item)
      return null
    },
  })
  return { items: [...items.values()], ...read }
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
/** A pack as a row tells it; nothing where the cell is empty. */
type Told = Omit<Offer, 'delivery'> & { delivery: number | null }
/** What one row says of a material: how it is sold, and what is on hand of it, litres. */
interface Sold {
  material: Material
  offer: Told
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
    find(cells.material ?? '') ?? wrongCell(cells, 'material', 'the name of a material on the shelf')
  const kind =
    kindOf(cells['sold as'] ?? '') ?? wrongCell(cells, 'sold as', Object.values(SOLD_AS).join(', '))
  const number = (column: Column) => amountIn(sheet, cells, column)
  const [size, gives] = [number('size') ?? 0, number('gives') ?? 0]
  const [price, delivery] = [number('price'), number('delivery')]
  const onHand = number('on hand')
  const seenOn = (cells['seen on'] ?? '').trim()
  if (seenOn !== '' && !/^\d{4}-\d{2}-\d{2}$/.test(seenOn)) wrongCell(cells, 'seen on', 'a day as 2026-03-14')
  if (kind !== 'own' && !(size > 0)) wrongCell(cells, 'size', 'a number above 0')
  const pack = packFrom(kind, {
    litres: tidyIn(size * perOf(given, 'size', 'volume')),
    kg: tidyIn(size * perOf(given, 'size', 'weight')),
    loose: gives * perOf(given, 'gives', 'volume'),
  })
  const large = 'litres' in pack ? pack.litres : 'kg' in pack ? pack.kg : 0
  if (large > PACK_LIMITS.size.value) wrongCell(cells, 'size', 'less: check the unit')
  const offer: Told = {
    pack,
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

/** A material with one more pack; the first of a sheet is the usual one, and says what is on hand. */
function withOffer(
  garden: Garden,
  known: ShelfItem | undefined,
  { material, offer: told, onHand }: Sold,
): ShelfItem {
  const before = shelfItemOf(garden, material.id) ?? shelfEntry(garden, material)
  // What the sheet leaves empty of a pack that is known stays as it is known.
  const same = offersOf(before).find((o) => sameData(o.pack, told.pack))
  const offer: Offer = {
    ...told,
    price: told.price ?? same?.price ?? null,
    place: told.place || (same?.place ?? ''),
    seenOn: told.seenOn ?? same?.seenOn ?? null,
    delivery: told.delivery ?? same?.delivery ?? 0,
  }
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
