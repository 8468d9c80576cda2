import type { ShoppingLine } from './shoppingList'

/** What is bought of a material against what is needed, loose litres: what is there already, then each pack. */
export interface PackStack {
  need: number
  there: number
  packs: number[]
  left: number
}

/** Whatever is needed or left and comes in no pack of the list is on the shelf or bought already. */
export function packStack({
  litres,
  screened,
  packs,
  purchase,
}: Pick<ShoppingLine, 'litres' | 'screened' | 'packs' | 'purchase'>): PackStack {
  const need = litres + screened
  const bought = packs.flatMap((p) => Array.from({ length: p.count }, () => p.litres))
  const there = need + purchase.leftover - bought.reduce((sum, l) => sum + l, 0)
  return { need, there: Math.max(0, there), packs: bought, left: purchase.leftover }
}
