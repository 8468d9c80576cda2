import type { Material, Pack } from '@/core/data'
import { KG_PER_POUND, LITRES } from '@/core/units'
import { firstRefusal, type Refusal } from '../garden/commands/refusal'
import { shelfKey, shelfItemOf, type Garden } from '../garden/garden'
import type { Offer, Settings, ShelfItem } from '../garden/schemas'
import { offersOf, shelfEntry } from '../garden/shelfEntry'
import { readNumber } from '../numbers'
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
  find: (name: string) => Material | undefined,
  units: Settings['units'],
): { items: ShelfItem[]; problems: ShelfProblem[] } {
  const { columns, rows, tooMany } = readSheet(text, columnOf)
  if (tooMany)
    return {
      items: [],
      problems: [{ row: 1, name: '', why: { column: 'rows', text: '', wanted: '500 rows at most' } }],
    }
  if (!columns.includes('material') || !columns.includes('sold as'))
    return {
      items: [],
      problems: [{ row: 1, name: '', why: { column: 'heading', text: '', wanted: COLUMNS.join(', ') } }],
    }
  const { perVolume, perWeight } = UNITS[units]
  const problems: ShelfProblem[] = []
  const items = new Map<string, ShelfItem>()
  for (const { row, cells } of rows) {
    const name = cells.material ?? ''
    const wrong = (column: Column, wanted: string) =>
      problems.push({ row, name, why: { column, text: cells[column] ?? '', wanted } })
    const material = find(name)
    const kind = kindOf(cells['sold as'] ?? '')
    /** A number of a cell; null where it is empty, undefined where it is wrong and told. */
    const numberIn = (column: Column): number | null | undefined => {
      const cell = (cells[column] ?? '').trim()
      if (cell === '') return null
      const read = readNumber(cell)
      if (typeof read === 'number' && read >= 0) return read
      wrong(column, typeof read === 'number' ? 'a number of nought or more' : numberWanted(read))
      return undefined
    }
    if (!material) {
      wrong('material', 'the name of a material on the shelf')
      continue
    }
    if (!kind) {
      wrong('sold as', Object.values(SOLD_AS).join(', '))
      continue
    }
    const [size, gives, price, delivery, onHand] = (
      ['size', 'gives', 'price', 'delivery', 'on hand'] as const
    ).map(numberIn)
    const seenOn = (cells['seen on'] ?? '').trim()
    if (seenOn !== '' && !/^\d{4}-\d{2}-\d{2}$/.test(seenOn)) {
      wrong('seen on', 'a day as 2026-03-14')
      continue
    }
    if ([size, gives, price, delivery, onHand].includes(undefined)) continue
    if (kind !== 'own' && !(size! > 0)) {
      wrong('size', 'a number above nought')
      continue
    }
    const offer: Offer = {
      pack: packFrom(kind, tidyIn, { size: size ?? 0, gives: gives ?? 0, perVolume, perWeight }),
      price: kind === 'own' ? 0 : (price ?? null),
      place: (cells.where ?? '').trim(),
      seenOn: seenOn || null,
      delivery: delivery ?? 0,
    }
    const known = items.get(material.id)
    const before = shelfItemOf(garden, material.id) ?? shelfEntry(garden, material)
    const item: ShelfItem = known
      ? { ...known, others: [...known.others, offer] }
      : {
          ...offer,
          materialId: material.id,
          others: [],
          stock: onHand === null ? before.stock : tidyIn(onHand! * perVolume),
        }
    const refusal = firstRefusal([{ key: shelfKey(material.id), before: null, after: item }])
    if (refusal) problems.push({ row, name, why: { refusal } })
    else items.set(material.id, item)
  }
  return { items: [...items.values()], problems }
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
