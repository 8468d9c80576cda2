import { materialIn } from '@/core/data'
import type { ShelfChange } from '../garden/commands'
import { dressingPackOf, type Garden } from '../garden/garden'
import type { DressingPack, ShelfItem } from '../garden/schemas'
import { dressingEntry, shelfEntry } from '../garden/shelfEntry'
import { tablesOf } from '../garden/tables'
import type { Bought, DoseLine, ShoppingLine } from './shoppingList'

/** What was bought, as it stands on the shelf then. Mixes in bags are not kept there. */
export function shelvedOf(garden: Garden, bought: readonly Bought[]): ShelfChange {
  const materials: ShelfItem[] = []
  const dressings: DressingPack[] = []
  for (const { id, amount } of bought) {
    const material = materialIn(tablesOf(garden), id)
    if (material) {
      const item = shelfEntry(garden, material)
      if (amount > 0) materials.push({ ...item, stock: item.stock + amount })
    } else if (!id.startsWith('mix:') && amount > 0) {
      const item = dressingEntry(garden, id)
      dressings.push({ ...item, stock: item.stock + amount })
    }
  }
  return { materials, dressings }
}

/** What a job leaves of a thing that is kept count of: in loose litres, or kg of a lime or feed. */
export interface Left {
  id: string
  unit: 'litres' | 'kg'
  /** On the shelf before, ticked as bought, gone into it. */
  had: number
  bought: number
  used: number
  /** What should be left; below zero where more went in than there was. */
  left: number
  /** What would be left had the rest of the list been bought too; null where there is none. */
  leftIfBought: number | null
}

/** Less than this is nothing: half a cupful, or a gram. */
const LEAST_LEFT = { litres: 0.1, kg: 0.001 }
/** More went in than there was: how was that? */
export const isShort = ({ left, unit }: Left): boolean => left < -LEAST_LEFT[unit]

/** What there was of something, what was bought, what went in, and what was to be bought. */
interface Kept {
  id: string
  unit: Left['unit']
  had: number
  bought?: Bought | null
  into: number
  toBuy?: number
}

/**
 * What is left of everything a job took that is kept count of: with stock on the shelf, or ticked as bought. One's own
 * is taken as it is needed. `used` is what went in, by id, where it was not as listed; what went in for something else
 * is not on the list.
 */
export function leftOver(
  garden: Garden,
  list: readonly ShoppingLine[],
  doses: readonly DoseLine[],
  used: ReadonlyMap<string, number> = new Map(),
): Left[] {
  const leftOf = ({ id, unit, had, bought = null, into, toBuy = 0 }: Kept): Left[] => {
    if (had <= LEAST_LEFT[unit] && !bought) return []
    const left = had + (bought?.amount ?? 0) - into
    const row = { id, unit, had, bought: bought?.amount ?? 0, used: into }
    return [{ ...row, left, leftIfBought: toBuy > 0 ? left + toBuy : null }]
  }
  const listed = new Set(list.map((l) => l.material.id))
  return [
    ...list.flatMap((l) => {
      if (l.packs.some((p) => p.offer.pack.kind === 'own' && p.count > 0)) return []
      const into = (used.get(l.material.id) ?? l.litres) + l.screened
      const { stock: had, bought, purchase } = l
      return leftOf({ id: l.material.id, unit: 'litres', had, bought, into, toBuy: purchase.litres })
    }),
    ...[...used].flatMap(([id, litres]) => {
      const material = listed.has(id) ? undefined : materialIn(tablesOf(garden), id)
      return material
        ? leftOf({ id, unit: 'litres', had: shelfEntry(garden, material).stock, into: litres })
        : []
    }),
    ...doses.flatMap(({ id, bought, purchase, stock }) =>
      purchase
        ? leftOf({ id, unit: 'kg', had: stock, bought, into: purchase.need, toBuy: purchase.bought })
        : [],
    ),
  ]
}

/** The shelf as it is with so much left of each. */
export function shelfWith(garden: Garden, left: ReadonlyMap<string, number>): ShelfChange {
  const materials: ShelfItem[] = []
  const dressings: DressingPack[] = []
  for (const [id, stock] of left) {
    const material = materialIn(tablesOf(garden), id)
    const amount = Math.max(0, Number(stock.toFixed(3)))
    if (material) materials.push({ ...shelfEntry(garden, material), stock: amount })
    else if (dressingPackOf(garden, id)) dressings.push({ ...dressingEntry(garden, id), stock: amount })
  }
  return { materials, dressings }
}
