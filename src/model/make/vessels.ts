import type { Tables } from '@/core/data'
import type { Job } from '../garden/schemas'
import type { ShoppingLine } from './shoppingList'
import { mixPerLitre } from './useUp'

/** Something to mix in, or a bag whose content makes a batch; litres as a vessel brim-full. */
export interface VesselChoice {
  id: 'tub' | 'barrow' | 'tarp' | `bag:${string}`
  litres: number
  /** Filled to the brim: it measures the batch itself. */
  whole: boolean
  /** Loose litres of the bag. */
  bag?: number
}

/**
 * Common practice: a builder's tub, a garden barrow heaped a little, a tarp of 2 by 3 m rolled from corner to corner.
 */
const COMMON: readonly VesselChoice[] = [
  { id: 'tub', litres: 65, whole: false },
  { id: 'barrow', litres: 90, whole: false },
  { id: 'tarp', litres: 200, whole: false },
]

/** What a job may be mixed in: common things, and batches of one bag of a material each. */
export function vesselsFor(job: Job, list: readonly ShoppingLine[], tables: Tables): VesselChoice[] {
  const per = mixPerLitre(job, tables)
  return [
    ...COMMON,
    ...list.flatMap((l): VesselChoice[] => {
      const mix = per.get(l.material.id)
      const pack = l.packs.find(
        (p) => p.count > 0 && p.offer.pack.kind !== 'bulk' && p.offer.pack.kind !== 'own',
      )
      return mix && pack
        ? [
            {
              id: `bag:${l.material.id}`,
              litres: Number((pack.litres * mix).toFixed(1)),
              whole: true,
              bag: pack.litres,
            },
          ]
        : []
    }),
  ]
}
