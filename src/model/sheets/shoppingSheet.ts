import type { Pack } from '@/core/data'
import type { DoseLine, MixLine, ShoppingLine } from '../make/shoppingList'
import { csvOf } from './sheet'

const COLUMNS = [
  'material',
  'loose litres to measure',
  'grams',
  'packs',
  'pack',
  'from stock, L',
  'left over, L',
  'cost',
  'water to add, L',
] as const
type Row = Partial<Record<(typeof COLUMNS)[number], string | number>>

const ONCE = { ready: 'on hand', made: 'made first', bag: '' }

/** What to gather for a job as CSV, litres throughout. `packName` says what a pack is called. */
export function shoppingCsv(
  materials: readonly ShoppingLine[],
  mixes: readonly MixLine[],
  doses: readonly DoseLine[],
  packName: (pack: Pack) => string,
): string {
  const rows: Row[] = [
    ...materials.map((l): Row => ({
      material: l.material.name,
      'loose litres to measure': l.litres.toFixed(1),
      packs: l.purchase.counts[0],
      pack: packName(l.pack),
      'from stock, L': l.purchase.fromStock.toFixed(1),
      'left over, L': l.purchase.leftover.toFixed(1),
      cost: l.purchase.cost?.toFixed(2),
      'water to add, L': l.water.toFixed(1),
    })),
    ...mixes.map(({ mix, litres, purchase }): Row => ({
      material: mix.name,
      'loose litres to measure': litres.toFixed(1),
      packs: purchase?.counts[0] ?? ONCE[mix.origin.kind],
      pack: mix.origin.kind === 'bag' ? packName({ kind: 'loose', litres: mix.origin.litres }) : '',
      'left over, L': purchase?.leftover.toFixed(1),
      cost: purchase?.cost?.toFixed(2),
    })),
    ...doses.map((l): Row => ({
      material: l.name,
      grams: l.grams.toFixed(0),
      packs: l.purchase?.packs,
      pack: l.purchase ? packName({ kind: 'mass', kg: l.purchase.pack.kg }) : '',
      cost: l.purchase?.cost?.toFixed(2),
    })),
  ]
  return csvOf(rows, COLUMNS)
}
