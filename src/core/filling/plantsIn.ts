import type { Crop } from '../data/types'
import type { Litres, SquareCentimetres } from '../units'

export interface PlantRoom {
  /** By root room and by space between plants; at least one by space. */
  byRoot: number
  bySpace: number
  /** The lesser of the two: zero where one plant has too little root room. */
  count: number
}

/**
 * Plants one container has room for. Root room is the crop's least volume for one plant; space a square of its spacing.
 * Litres of mix and cm2 of surface. Source: arithmetic on the crop tables (common practice).
 * Range: 0 and up for both.
 *
 * @example
 * plantsIn(cropById('zucchini'), 55, 5000) // { byRoot: 2, bySpace: 1, count: 1 }
 */
export function plantsIn(crop: Pick<Crop, 'properties'>, mix: Litres, surface: SquareCentimetres): PlantRoom {
  const { minRootVolume, spacing } = crop.properties
  const byRoot = Math.floor(mix / minRootVolume.value + 1e-9)
  const bySpace = Math.max(1, Math.floor(surface / spacing.value ** 2 + 1e-9))
  return { byRoot, bySpace, count: Math.min(byRoot, bySpace) }
}
