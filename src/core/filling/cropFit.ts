import type { Crop } from '../data/types'
import type { Centimetres, Litres } from '../units'
import type { MixNeeded } from './mixNeeded'
import { SEEDLING_VOLUME } from './limits'
import { plantsIn, type PlantRoom } from './plantsIn'

export interface CropFit {
  room: PlantRoom
  /** Plants counted on: as many as were asked for, or as have room, one at least. */
  plants: number
  /** Depth of mix wanted and there, where it is too little; null where it does. cm. */
  tooShallow: { wanted: Centimetres; there: Centimetres } | null
  /** Root room one plant wants and one container has, where it is too little for one; litres. */
  tooSmall: { wanted: Litres; there: Litres } | null
  /** More asked for than have room. */
  crowded: boolean
  /** A module or small pot: plants are raised in it and move on before they need room. */
  raising: boolean
}

/**
 * How a crop fits a filled container: depth, root room, space. `asked` is the number of plants the grower wants in
 * each; null for as many as have room. Source: the crop's least depth and volume, and its spacing (common practice).
 * Litres, cm and cm2; `asked` 1 and up.
 */
export function cropFit(crop: Pick<Crop, 'properties'>, plan: MixNeeded, asked: number | null): CropFit {
  const { minDepth, minRootVolume } = crop.properties
  // A tray of many is raised in as a small pot is: each has no more room than that.
  const raising = plan.space / Math.max(1, asked ?? 1) < SEEDLING_VOLUME
  const depth = plan.mixHeight - plan.floor
  const room = plantsIn(crop, plan.space, plan.surface)
  return {
    room,
    plants: Math.max(1, asked ?? room.count),
    tooShallow: !raising && depth < minDepth.value ? { wanted: minDepth.value, there: depth } : null,
    tooSmall: !raising && room.byRoot === 0 ? { wanted: minRootVolume.value, there: plan.space } : null,
    raising,
    crowded: !raising && asked !== null && asked > room.count && room.byRoot > 0,
  }
}
