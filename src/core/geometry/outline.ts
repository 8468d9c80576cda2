import type { Centimetres, SquareCentimetres } from '../units'
import { areaAt, bodyWidths } from './areaAt'
import { bodyRow } from './bodies'
import { overHeight } from './overHeight'
import { bodyOf, rimHeight, shapeHeight, type Shape } from './shape'

/**
 * Longest and narrowest width of the inside at a height above the base, cm.
 * Source: plane geometry.
 *
 * @example
 * widthsAt({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 0) // { long: 38, narrow: 38 }
 */
export function widthsAt(shape: Shape, z: Centimetres): { long: Centimetres; narrow: Centimetres } {
  const [a, b] = bodyWidths(bodyOf(shape), Math.min(Math.max(z, 0), rimHeight(shape)))
  return { long: Math.max(a, b), narrow: Math.min(a, b) }
}

/**
 * Width that a section through the shape shows at a height, cm: along its length, or across where that shows more.
 * A mound thins evenly in area, so its width goes with the root.
 * Source: plane geometry. Range: heights from 0 to that of the shape.
 *
 * @example
 * sectionWidth({ kind: 'halfCylinder', length: 100, diameter: 24 }, 12) // 24
 */
export function sectionWidth(shape: Shape, z: Centimetres): Centimetres {
  const body = bodyOf(shape)
  const rim = rimHeight(shape)
  const [along, across] = bodyWidths(body, Math.min(z, rim))
  const width = bodyRow(body).seen === 'along' ? along : across
  return shape.kind === 'mounded' && z > rim
    ? width * Math.sqrt(Math.max(0, 1 - (z - rim) / shape.moundHeight))
    : width
}

/**
 * Way round the inside at a height, cm. Ovals by Ramanujan's first formula (1914), within 0.5 % to 5:1.
 *
 * @example
 * perimeterAt({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 0) // 119.4
 */
export function perimeterAt(shape: Shape, z: Centimetres): Centimetres {
  const body = bodyOf(shape)
  const { plan } = bodyRow(body)
  if (typeof plan === 'object') return plan.around(body)
  const { long, narrow } = widthsAt(shape, z)
  if (plan === 'box') return 2 * (long + narrow)
  const [a, b] = [long / 2, narrow / 2]
  return Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)))
}

/**
 * Inside of the wall wetted by mix up to a height, cm2: what can evaporate through cloth or clay. The way round summed
 * over the height; slopes of tapered sides are neglected (under 2 % for usual tapers). A lying half-cylinder gives
 * its curved wall and two ends in closed form.
 * Source: plane geometry.
 * Height in cm, from 0 to that of the shape; above it the answer stays.
 *
 * @example
 * wallArea({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 29) // 3537
 */
export function wallArea(shape: Shape, to: Centimetres): SquareCentimetres {
  const body = bodyOf(shape)
  const closed = bodyRow(body).wall
  const top = Math.min(to, rimHeight(shape))
  if (closed) return closed(body, top)
  return overHeight((z) => perimeterAt(body, z), top)
}

/**
 * Narrowest width a container stands on, cm. A lying half-cylinder is taken to stand in a cradle as wide as itself.
 * Source: plane geometry.
 *
 * @example
 * footWidth({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }) // 38
 */
export function footWidth(shape: Shape): Centimetres {
  const body = bodyOf(shape)
  return Math.min(...(bodyRow(body).cradle?.(body) ?? bodyWidths(body, 0)))
}

/**
 * Ground or floor a container takes, cm2: its base, or the cradle it stands in.
 * Source: plane geometry.
 *
 * @example
 * footprintOf({ kind: 'halfCylinder', length: 100, diameter: 24 }) // 2400
 */
export function footprintOf(shape: Shape): SquareCentimetres {
  const body = bodyOf(shape)
  const [along, across] = bodyRow(body).cradle?.(body) ?? [0, 0]
  return Math.max(areaAt(body, 0), along * across)
}

/**
 * Area the wind sees of the container's broad side, cm2: mean long width times height.
 * Source: plane geometry.
 *
 * @example
 * broadSide({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }) // 1240
 */
export function broadSide(shape: Shape): SquareCentimetres {
  const height = shapeHeight(shape)
  const widths = [0, height / 2, height].map((z) => widthsAt(shape, z).long)
  return ((widths[0]! + 4 * widths[1]! + widths[2]!) / 6) * height
}

/**
 * Soil surface at a height, m2, for what falls on it or rises from it.
 * Source: plane geometry.
 *
 * @example
 * surfaceSquareMetres({ kind: 'halfCylinder', length: 100, diameter: 24 }, 12) // 0.24
 */
export const surfaceSquareMetres = (shape: Shape, z: Centimetres): number => areaAt(shape, z) / 10_000
