import { looseLitresOfPack } from '@/core/batch'
import { materialIn } from '@/core/data'
import { fail, succeed, type Outcome } from '@/core/outcome'
import type { Garden } from '../garden/garden'
import type { Part } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { shelfEntry } from '../garden/shelfEntry'
import { flatOf } from './prepareRecipe'
import { linesOf } from './questionOfJob'

/** So many packs of a material, halves and other shares too. */
export interface PackCount {
  materialId: string
  count: number
}

export interface ByPacks {
  parts: Part[]
  /** Mix that all of it makes, litres. */
  litres: number
}

/**
 * A recipe by packs: one bale, four bags, two tubs. Parts are buckets of what each gives loose; just enough is made
 * that no pack more is needed.
 * Errors: no packs; less than none of one; a material nobody knows; those of `flattenRecipe`. Source: pack conversions
 * as `looseLitresOfPack`.
 */
export function byPacks(garden: Garden, packs: readonly PackCount[], bucket: number): Outcome<ByPacks> {
  const tables = tablesOf(garden)
  const parts: Part[] = []
  /** How much of its measure in whole twelfths the packs of each give. */
  const used: number[] = []
  for (const { materialId, count } of packs) {
    const material = materialIn(tables, materialId)
    if (!material) return fail({ code: 'unknown-material', material: materialId })
    if (!(count >= 0)) return fail({ code: 'part-not-positive', material: materialId, value: count })
    if (count === 0) continue
    const loose = count * looseLitresOfPack(material, shelfEntry(garden, material).pack)
    const twelfths = Math.max(1, Math.round((12 * loose) / bucket))
    parts.push({ materialId, twelfths })
    used.push((12 * loose) / bucket / twelfths)
  }
  if (parts.length === 0) return fail({ code: 'no-parts' })
  const flat = flatOf(linesOf(parts), [], tables)
  if (!flat.ok) return flat
  const { measured, lossHere } = flat.value
  const litres = (measured / 12) * bucket * (1 - lossHere)
  return succeed({ parts, litres: litres * Math.min(1, ...used) })
}
