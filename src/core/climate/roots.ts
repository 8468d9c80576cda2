import type { Crop } from '../data/types'
import type { Fraction, Litres } from '../units'
import { WATERING_LIMITS } from './limits'
import { FULL_LEAF, type Leaf } from './stages'

const L = WATERING_LIMITS

/**
 * Mix that the roots of all plants hold, litres: as many times the least room of a full-grown plant as roots reach,
 * less while the plant is small (by the root of its leaf); never more than there is.
 * Source: our assumption: one lettuce does not drink a tub dry.
 *
 * @example
 * rootedVolume(cropById('lettuce'), 1, 40) // 5
 */
export const rootedVolume = (
  crop: Pick<Crop, 'properties'>,
  plants: number,
  mixVolume: Litres,
  leaf: Leaf = FULL_LEAF,
): Litres =>
  Math.min(
    mixVolume,
    plants * L.rootsReach.value * crop.properties.minRootVolume.value * Math.sqrt(leaf.share),
  )

/** Square metres of a face of a cube of a litre. */
const LITRE_FACE = 0.01

/**
 * Share of the surface above the roots, roots being as wide as they are deep where there is room for it. What dries the
 * rest of the surface dries mix they do not reach. Litres and m2. Source: geometry; the shape is our assumption.
 *
 * @example
 * rootedAreaOf({ plants: 1, surface: 0.16 }, 8, 64) // 0.25
 */
export function rootedAreaOf(
  { plants, surface }: { plants: number; surface: number },
  rooted: Litres,
  mixVolume: Litres,
): Fraction {
  if (rooted >= mixVolume || !(surface > 0)) return 1
  const cubes = (plants * LITRE_FACE * (rooted / plants) ** (2 / 3)) / surface
  return Math.min(1, Math.max(cubes, rooted / mixVolume))
}

/** Litres of a square metre, a cm deep. */
const LITRES_PER_CM = 10

/**
 * Mix below the roots whose water rises to them as they dry, litres, as if they held it: half of what lies right below
 * them. Source: `WATERING_LIMITS.risesToRoots` and `risesFrom`.
 *
 * @example
 * risesTo(10, 1, { surface: 0.1, mixVolume: 20 }) // 5
 */
export function risesTo(
  rooted: Litres,
  rootedArea: Fraction,
  { surface, mixVolume }: { surface: number; mixVolume: Litres },
): Litres {
  const reach = LITRES_PER_CM * L.risesFrom.value * rootedArea * surface
  return L.risesToRoots.value * Math.min(rootedArea * mixVolume - rooted, reach)
}
