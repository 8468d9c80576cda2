import { isOwn, type Material, type Pack } from '@/core/data'
import { KG_PER_POUND, LITRES } from '@/core/units'
import { dressingPackOf, settingsOf, shelfItemOf, type Garden } from './garden'
import type { DressingPack, Offer, ShelfItem } from './schemas'

/** Sizes packs are sold in in US shops: cubic feet pressed, quarts and cubic feet loose, pounds. Common practice. */
const PRESSED = [1, 2.2, 3, 3.8, 5.5].map((n) => n * LITRES.cubicFoot)
const LOOSE = [
  ...[2, 4, 8, 16].map((n) => n * LITRES.usQuart),
  ...[1, 1.5, 2, 3].map((n) => n * LITRES.cubicFoot),
]
const POUNDS = [1, 2, 5, 10, 11, 25, 40, 50].map((n) => n * KG_PER_POUND)

/** The size nearest in proportion. */
const nearest = (sizes: readonly number[], to: number) =>
  sizes.reduce((a, b) => (Math.abs(Math.log(b / to)) < Math.abs(Math.log(a / to)) ? b : a))

/** A pack as a US shop would sell it. */
function usPack(pack: Pack): Pack {
  if (pack.kind === 'compressed') return { ...pack, litres: nearest(PRESSED, pack.litres) }
  if (pack.kind === 'loose') return { ...pack, litres: nearest(LOOSE, pack.litres) }
  if (pack.kind === 'block' || pack.kind === 'mass') return { ...pack, kg: nearest(POUNDS, pack.kg) }
  return pack
}

/** A price nobody told. */
const UNPRICED = { price: null, place: '', seenOn: null }

/**
 * What a grower who adds a material of these families mostly has in a heap or in the ground. Source: our assumption.
 */
const OWN_HEAP: ReadonlySet<Material['family']> = new Set(['compost', 'manure', 'soil', 'mix'])

/**
 * A material's shelf entry, or what a shop commonly sells, round in the grower's measures; a compost or soil of the
 * grower's own comes from the heap.
 */
export const shelfEntry = (garden: Garden, material: Material): ShelfItem =>
  shelfItemOf(garden, material.id) ?? shelfItem(material.id, usualPack(garden, material), null, 0)

function usualPack(garden: Garden, material: Material): Pack {
  if (isOwn(material.id) && OWN_HEAP.has(material.family)) return { kind: 'own' }
  return settingsOf(garden).units === 'us' ? usPack(material.pack) : material.pack
}

/** Sold by the load, in most places. Source: common practice. */
const BY_THE_LOAD: ReadonlySet<Material['family']> = new Set([
  'compost',
  'manure',
  'soil',
  'sand',
  'aggregate',
  'bark',
  'wood',
])
/** From here on a load is less work than bags, litres. Source: our assumption, eight bags. */
const LOAD_FROM = 300
/** Loads come by so much, litres. */
const LOAD_STEP = 100

/** How a material is sold for so many litres: where nobody has said, by the load from a good many bags on. */
export function offersFor(garden: Garden, material: Material, litres: number): Offer[] {
  const told = offersOf(shelfEntry(garden, material))
  const byLoad =
    litres >= LOAD_FROM &&
    shelfItemOf(garden, material.id) === undefined &&
    told[0]!.pack.kind !== 'own' &&
    BY_THE_LOAD.has(material.family)
  return byLoad ? [{ ...told[0]!, pack: { kind: 'bulk', litres: LOAD_STEP } }] : told
}

/** A material sold in one pack, with so many loose litres on hand. */
export const shelfItem = (
  materialId: string,
  pack: Pack,
  price: number | null,
  stock: number,
): ShelfItem => ({
  materialId,
  pack,
  ...UNPRICED,
  price,
  delivery: 0,
  others: [],
  stock,
})

/** A dressing sold in one pack of so many kg, with so many on hand. */
export const dressingItem = (
  dressingId: string,
  kg: number,
  price: number | null,
  stock: number,
): DressingPack => ({ dressingId, kg, ...UNPRICED, price, others: [], stock })

/** Every way a material is sold, the usual one first. */
export const offersOf = ({ pack, price, place, seenOn, delivery, others }: ShelfItem): Offer[] => [
  { pack, price, place, seenOn, delivery },
  ...others,
]

/** Every pack a dressing is sold in, the usual one first. */
export const dressingOffers = ({ kg, price, place, seenOn, others }: DressingPack) => [
  { kg, price, place, seenOn },
  ...others,
]

/** Money for a kg of a dressing from the cheapest of its packs; null where no price is known. */
export function pricePerKg(item: DressingPack): number | null {
  const prices = dressingOffers(item).flatMap(({ kg, price }) => (price === null ? [] : [price / kg]))
  return prices.length === 0 ? null : Math.min(...prices)
}

/** A dressing's shelf entry, or a kilogram or pound of it where nothing is said. */
export const dressingEntry = (garden: Garden, dressingId: string): DressingPack =>
  dressingPackOf(garden, dressingId) ??
  dressingItem(dressingId, settingsOf(garden).units === 'us' ? KG_PER_POUND : 1, null, 0)
