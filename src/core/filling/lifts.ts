import { volumeBetween, type Shape } from '../geometry'
import type { Centimetres, Litres } from '../units'

export interface Lift {
  /** Level it comes to when watered in, cm above the inside of the base. */
  top: Centimetres
  litres: Litres
}

/** Less than this is not parted again, cm. Source: common practice. */
const LEAST_LIFT = 8
const MOST_LIFTS = 4

/**
 * Parts in which a container is filled and soaked, each a quarter of the depth or, where it is shallow, fewer: cm and
 * litres of mix in place. `from` is where the mix begins (the layers, or old mix), `to` the fill line. Source: common
 * practice.
 *
 * @example
 * liftsOf({ kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 }, 19, 25)
 * // [{ top: 25, litres: 3.771 }]
 */
export function liftsOf(shape: Shape, from: Centimetres, to: Centimetres): Lift[] {
  const depth = to - from
  if (!(depth > 0)) return []
  const count = Math.min(MOST_LIFTS, Math.max(1, Math.floor(depth / LEAST_LIFT)))
  return Array.from({ length: count }, (_, i) => {
    const low = from + (depth * i) / count
    const top = from + (depth * (i + 1)) / count
    return { top, litres: volumeBetween(shape, low, top) }
  })
}
