import { toCents } from './money'
import type { ShoppingLine } from './shoppingList'

/** A little more or less mix where the edge of a pack is near, with what doing it does. */
export interface Nudge {
  kind: 'more' | 'less'
  /** Mix to make instead, litres. */
  litres: number
  /** The change, as a share of what is made now. */
  change: number
  /** Packs fewer. */
  packs: number
  /** Money it saves; null where no price is known. */
  saves: number | null
}

/** Not worth a word: less of the mix than this, and less of the money. Source: our assumption. */
const WORTH = { more: 0.02, saving: 0.04, shareOfCut: 2 }
/** How far an offer goes either way, shares. Source: our assumption. */
const MOST_MORE = 0.25
const MOST_LESS = 0.15
const STEP = 0.01

/** Packs to carry; loads and one's own are no packs. */
const packsOf = (lines: readonly ShoppingLine[]): number =>
  lines.reduce(
    (sum, l) =>
      sum +
      l.packs.reduce(
        (n, p) => n + (p.offer.pack.kind === 'own' || p.offer.pack.kind === 'bulk' ? 0 : p.count),
        0,
      ),
    0,
  )
const costOf = (lines: readonly ShoppingLine[]): number | null =>
  lines.some((l) => l.purchase.cost === null) ? null : lines.reduce((sum, l) => sum + l.purchase.cost!, 0)
const countsOf = (lines: readonly ShoppingLine[]) =>
  JSON.stringify(lines.map((l) => [l.material.id, l.purchase.counts]))

/**
 * The most mix that the same packs make, and the least cut that saves a pack worth saving. Each is carried out before
 * it is offered: `listFor` gives the list for so many litres of mix, null where that cannot be made.
 */
export function nudgesOf(
  litres: number,
  now: readonly ShoppingLine[],
  listFor: (litres: number) => readonly ShoppingLine[] | null,
): Nudge[] {
  if (!now.some((l) => l.litres > 0)) return []
  const steps = (most: number) => Array.from({ length: Math.round(most / STEP) }, (_, i) => (i + 1) * STEP)
  const before = { packs: packsOf(now), cost: costOf(now), counts: countsOf(now) }
  const nudges: Nudge[] = []
  const isLeftOver = now.every((l) => l.purchase.leftover > WORTH.more * l.litres || l.purchase.litres === 0)
  if (isLeftOver && before.packs > 0) {
    const change = steps(MOST_MORE)
      .reverse()
      .find((share) => {
        const list = listFor(litres * (1 + share))
        return list !== null && countsOf(list) === before.counts
      })
    if (change !== undefined && change >= WORTH.more)
      nudges.push({ kind: 'more', litres: litres * (1 + change), change, packs: 0, saves: 0 })
  }
  for (const change of steps(MOST_LESS)) {
    const list = listFor(litres * (1 - change))
    if (!list) continue
    const packs = before.packs - packsOf(list)
    const cost = costOf(list)
    const saves = before.cost === null || cost === null ? null : toCents(before.cost - cost)
    const pays =
      saves === null
        ? packs > 0
        : saves >= WORTH.saving * before.cost! && saves >= WORTH.shareOfCut * change * before.cost!
    if (!pays || (saves ?? 1) <= 0) continue
    nudges.push({ kind: 'less', litres: litres * (1 - change), change, packs, saves })
    break
  }
  return nudges
}
