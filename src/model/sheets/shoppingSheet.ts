import type { Pack } from '@/core/data'
import type { Settings } from '../garden/schemas'
import type { DoseLine, MixLine, ShoppingLine } from '../make/shoppingList'
import { csvOf } from './sheet'
import { SHEET_UNITS } from './sheetUnits'

type Row = Record<string, string | number | null | undefined>

/** Counts of each pack that is bought: "2", "1 + 3"; "0" for none. */
const bought = (counts: readonly number[]) => counts.filter((n) => n > 0).join(' + ') || '0'
/** What those packs are; the usual one where none is bought. */
const packsOf = (packs: readonly { name: string; count: number }[]) =>
  packs
    .filter((p) => p.count > 0)
    .map((p) => p.name)
    .join(' + ') ||
  (packs[0]?.name ?? '')

const ONCE = { ready: 'on hand', made: 'made first', bag: '' }

/** What a job asks for: materials, finished mixes, feed and lime. */
interface Gathered {
  lines: readonly ShoppingLine[]
  mixes: readonly MixLine[]
  doses: readonly DoseLine[]
}

/** What to gather for a job as CSV, in the grower's units. `packName` says what a pack is called. */
export function shoppingCsv(
  { lines: materials, mixes, doses }: Gathered,
  packName: (pack: Pack) => string,
  units: Settings['units'],
): string {
  const { volume, dose } = SHEET_UNITS[units]
  const column = {
    measure: `loose ${volume.name} to measure`,
    stock: `from stock, ${volume.sign}`,
    left: `left over, ${volume.sign}`,
    water: `water to add, ${volume.sign}`,
  }
  const rows: Row[] = [
    ...materials.map((l): Row => ({
      material: l.material.name,
      [column.measure]: volume.of(l.litres),
      packs: bought(l.packs.map((p) => p.count)),
      pack: packsOf(l.packs.map(({ offer, count }) => ({ name: packName(offer.pack), count }))),
      [column.stock]: volume.of(l.purchase.fromStock),
      [column.left]: volume.of(l.purchase.leftover),
      cost: l.purchase.cost?.toFixed(2),
      [column.water]: volume.of(l.water),
    })),
    ...mixes.map(({ mix, litres, purchase }): Row => ({
      material: mix.name,
      [column.measure]: volume.of(litres),
      packs: purchase?.counts[0] ?? ONCE[mix.origin.kind],
      pack: mix.origin.kind === 'bag' ? packName({ kind: 'loose', litres: mix.origin.litres }) : '',
      [column.left]: purchase && volume.of(purchase.leftover),
      cost: purchase?.cost?.toFixed(2),
    })),
    ...doses.map((l): Row => ({
      material: l.name,
      [dose.name]: dose.of(l.grams),
      packs: l.purchase && bought(l.purchase.packs.map((p) => p.count)),
      pack: packsOf(
        (l.purchase?.packs ?? []).map(({ kg, count }) => ({ name: packName({ kind: 'mass', kg }), count })),
      ),
      cost: l.purchase?.cost?.toFixed(2),
    })),
  ]
  return csvOf(rows, [
    'material',
    column.measure,
    dose.name,
    'packs',
    'pack',
    column.stock,
    column.left,
    'cost',
    column.water,
  ])
}
