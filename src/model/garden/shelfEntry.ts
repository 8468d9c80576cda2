import type { Material, Pack } from '@/core/data'
import { KG_PER_POUND, LITRES } from '@/core/units'
import { dressingPackOf, settingsOf, shelfItemOf, type Garden } from './garden'
import type { DressingPack, ShelfItem } from './schemas'

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
  return { ...pack, kg: nearest(POUNDS, pack.kg) }
}

/** A material's shelf entry, or what a shop commonly sells, round in the grower's measures. */
export const shelfEntry = (garden: Garden, material: Material): ShelfItem =>
  shelfItemOf(garden, material.id) ?? {
    materialId: material.id,
    pack: settingsOf(garden).units === 'us' ? usPack(material.pack) : material.pack,
    price: null,
    stock: 0,
  }

/** A dressing's shelf entry, or a kilogram or pound of it where nothing is said. */
export const dressingEntry = (garden: Garden, dressingId: string): DressingPack =>
  dressingPackOf(garden, dressingId) ?? {
    dressingId,
    kg: settingsOf(garden).units === 'us' ? KG_PER_POUND : 1,
    price: null,
    stock: 0,
  }
