import type { Material } from '@/core/data'
import { shelfItemOf, type Garden } from './garden'
import type { ShelfItem } from './schemas'

/** A material's shelf entry, or what a shop commonly sells. */
export const shelfEntry = (garden: Garden, material: Material): ShelfItem =>
  shelfItemOf(garden, material.id) ?? { materialId: material.id, pack: material.pack, price: null, stock: 0 }
