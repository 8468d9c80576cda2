import { CM3_PER_LITRE, type Centimetres, type Litres } from '../units'
import { areaAt } from './areaAt'
import { bodyRow } from './bodies'
import { overHeight } from './overHeight'
import { rimHeight, shapeHeight, type Shape } from './shape'

/**
 * Volume between the base and a height, the integral of `areaAt`.
 *
 * Unit: litres. Range: heights are held within 0 and the shape's height.
 * Every straight or bulging side gives an area of at most the fourth degree in height, for which the
 * three-point rule is exact (for tapered boxes it equals the prismatoid rule); a shape of another kind brings a
 * closed form, as the lying half-cylinder does: V = L (R^2 acos((R - z)/R) - (R - z) sqrt(2 R z - z^2)).
 * Source: plane geometry; the rule as in `overHeight`.
 *
 * @example
 * volumeBelow({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 29) // 34.32
 */
export function volumeBelow(shape: Shape, z: Centimetres): Litres {
  const top = Math.min(Math.max(z, 0), shapeHeight(shape))
  if (shape.kind === 'mounded') {
    const rim = rimHeight(shape)
    const above = top - rim
    const body = volumeBelow(shape.body, Math.min(top, rim))
    if (above <= 0) return body
    return body + (areaAt(shape.body, rim) * (above - above ** 2 / (2 * shape.moundHeight))) / CM3_PER_LITRE
  }
  const closed = bodyRow(shape).volume
  if (closed) return closed(shape, top)
  return overHeight((at) => areaAt(shape, at), top) / CM3_PER_LITRE
}

/**
 * Volume between two heights, litres.
 * Source: solid geometry.
 *
 * @example
 * volumeBetween({ kind: 'halfCylinder', length: 100, diameter: 24 }, 0, 10) // 17.84
 */
export const volumeBetween = (shape: Shape, from: Centimetres, to: Centimetres): Litres =>
  volumeBelow(shape, to) - volumeBelow(shape, from)

/**
 * Height to which a volume fills a shape, cm: `volumeBelow` turned round by bisection, to 1e-6 cm.
 * A volume above the shape's own gives its full height.
 * Errors: none; a volume above all of it gives the height.
 *
 * @example
 * heightForVolume({ kind: 'halfCylinder', length: 100, diameter: 24 }, 20) // 10.91
 */
export function heightForVolume(shape: Shape, volume: Litres): Centimetres {
  let low = 0
  let high = shapeHeight(shape)
  if (volume >= volumeBelow(shape, high)) return high
  while (high - low > 1e-6) {
    const mid = (low + high) / 2
    if (volumeBelow(shape, mid) < volume) low = mid
    else high = mid
  }
  return (low + high) / 2
}
