import type { Material, Pack } from '@/core/data'
import { KG_PER_POUND, LITRES } from '@/core/units'
import { firstRefusal, type Refusal } from '../garden/commands/refusal'
import { shelfKey, shelfItemOf, type Garden } from '../garden/garden'
import type { Offer, Settings, ShelfItem } from '../garden/schemas'
import { offersOf, shelfEntry } from '../garden/shelfEntry'
import { readNumber } from '../numbers'
import type { CellWrong } from './cells'
import { csvOf, numberWanted, readSheet } from './sheet'

/** Columns of a sheet of the shelf: a row for each pack, what is on hand with the first of a material. */
const COLUMNS = [
  'material',
  'sold as',
  'size',
  'gives',
  'price',
  'delivery',
  'where',
  'seen on',
  'on hand',
] as const
type Column = (typeof COLUMNS)[number]

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

/** Units of the numbers, as the headings tell them. */
const UNITS = {
  metric: { volume: 'L', weight: 'kg', perVolume: 1, perWeight: 1 },
  us: { volume: 'gal', weight: 'lb', perVolume: LITRES.usGallon, perWeight: KG_PER_POUND },
} as const

/** The heading of each column in the grower's units; a size is in the unit its way of selling is counted in. */
export const shelfHeadings = (units: Settings['units']): Record<Column, string> => {
  const { volume, weight } = UNITS[units]
  return {
    material: 'material',
    'sold as': 'sold as',
    size: `size, ${volume} or ${weight}`,
    gives: `gives, ${volume}`,
    price: 'price',
    delivery: 'delivery',
    where: 'where',
    'seen on': 'seen on',
    'on hand': `on hand, ${volume}`,
  }
}
/** Six decimals out, four in: what goes out in gallons comes in as the same litres. */
const tidy = (x: number) => String(Number(x.toFixed(6)))
const tidyIn = (x: number) => Number(x.toFixed(4))

/** Everything on the shelf as CSV, in the grower's units; `nameOf` names a material. */
export function shelfToCsv(
  items: readonly ShelfItem[],
  nameOf: (id: string) => string,
  units: Settings['units'],
): string {
  const { perVolume, perWeight } = UNITS[units]
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

/** A row that could not be taken: which, by its number in the sheet, and why. */
export interface ShelfProblem {
  row: number
  name: string
  why: { column: string; text: string; wanted: string } | { refusal: Refusal }
}

const squeeze = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')
const columnOf = (cell: string): string =>
  COLUMNS.find((c) => squeeze(cell.split(',')[0]!) === squeeze(c)) ?? ''

/**
 * Packs, prices and stock from a sheet: rows of one material are its packs, the first the usual one. A material is
 * named as the shelf names it, in full or in short, or by its id. `find` looks it up. What is wrong is told by row, and
 * only what is whole is in the answer; what a sheet does not say of a material stays as it is.
 */
export function shelfFromText(
  text: string,
  garden: Garden,
  find: Find,
  units: Settings['units'],
): { items: ShelfItem[]; problems: ShelfProblem[] } {
  const { columns, rows, tooMany } = readSheet(text, columnOf)
  const whole = (column: string, wanted: string) => ({
    items: [],
    problems: [{ row: 1, name: '', why: { column, text: '', wanted } }],
  })
  if (tooMany) return whole('rows', '500 rows at most')
  if (!columns.includes('material') || !columns.includes('sold as'))
    return whole('heading', COLUMNS.join(', '))
  const problems: ShelfProblem[] = []
  const items = new Map<string, ShelfItem>()
  for (const { row, cells } of rows) {
    const name = cells.material ?? ''
    try {
      const sold = soldOf(cells, find, units)
      const item = withOffer(garden, items.get(sold.material.id), sold)
      const refusal = firstRefusal([{ key: shelfKey(sold.material.id), before: null, after: item }])
      if (refusal) problems.push({ row, name, why: { refusal } })
      else items.set(sold.material.id, item)
    } catch (why) {
      if (why instanceof Error) throw why
      problems.push({ row, name, why: why as CellWrong })
    }
  }
  return { items: [...items.values()], problems }
}

type Find = (name: string) => Material | undefined
type Cells = Record<string, string>
function wrong(cells: Cells, column: Column, wanted: string): never {
  throw { column, text: cells[column] ?? '', wanted } satisfies CellWrong
}
/** A number of a cell; null where it is empty. */
function numberIn(cells: Cells, column: Column): number | null {
  const cell = (cells[column] ?? '').trim()
  if (cell === '') return null
  const read = readNumber(cell)
  if (typeof read === 'number' && read >= 0) return read
  return wrong(cells, column, typeof read === 'number' ? 'a number, 0 or more' : numberWanted(read))
}

/** What one row says of a material: how it is sold, and what is on hand of it, litres. */
interface Sold {
  material: Material
  offer: Offer
  onHand: number | null
}
/** Throws a `CellWrong`. */
function soldOf(cells: Cells, find: Find, units: Settings['units']): Sold {
  const { perVolume, perWeight } = UNITS[units]
  const material =
    find(cells.material ?? '') ?? wrong(cells, 'material', 'the name of a material on the shelf')
  const kind = kindOf(cells['sold as'] ?? '') ?? wrong(cells, 'sold as', Object.values(SOLD_AS).join(', '))
  const [size, gives] = [numberIn(cells, 'size') ?? 0, numberIn(cells, 'gives') ?? 0]
  const [price, delivery] = [numberIn(cells, 'price'), numberIn(cells, 'delivery') ?? 0]
  const onHand = numberIn(cells, 'on hand')
  const seenOn = (cells['seen on'] ?? '').trim()
  if (seenOn !== '' && !/^\d{4}-\d{2}-\d{2}$/.test(seenOn)) wrong(cells, 'seen on', 'a day as 2026-03-14')
  if (kind !== 'own' && !(size > 0)) wrong(cells, 'size', 'a number above 0')
  const offer: Offer = {
    pack: packFrom(kind, tidyIn, { size, gives, perVolume, perWeight }),
    price: kind === 'own' ? 0 : price,
    place: (cells.where ?? '').trim(),
    seenOn: seenOn || null,
    delivery,
  }
  return { material, offer, onHand: onHand === null ? null : tidyIn(onHand * perVolume) }
}

/** A material with one more pack; the first of a sheet is the usual one, and says what is on hand. */
function withOffer(
  garden: Garden,
  known: ShelfItem | undefined,
  { material, offer, onHand }: Sold,
): ShelfItem {
  if (known) return { ...known, others: [...known.others, offer] }
  const before = shelfItemOf(garden, material.id) ?? shelfEntry(garden, material)
  return { ...offer, materialId: material.id, others: [], stock: onHand ?? before.stock }
}

function packFrom(
  kind: Pack['kind'],
  tidy: (x: number) => number,
  { size, gives, perVolume, perWeight }: Record<'size' | 'gives' | 'perVolume' | 'perWeight', number>,
): Pack {
  const litres = tidy(size * perVolume)
  const kg = tidy(size * perWeight)
  const loose = gives * perVolume
  switch (kind) {
    case 'own':
      return { kind }
    case 'mass':
      return { kind, kg }
    case 'block':
      return { kind, kg, ...(loose > 0 ? { litresPerKg: tidy(loose / kg) } : {}) }
    case 'compressed':
      return { kind, litres, ...(loose > 0 ? { swell: tidy(loose / litres) } : {}) }
    default:
      return { kind, litres }
  }
}
