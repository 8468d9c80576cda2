import type { Centimetres, SquareCentimetres } from '../units'
import { areaAt } from './areaAt'
import { shapeHeight, type Shape } from './shape'

/**
 * Longest and narrowest width of the inside at a height above the base, cm.
 * Source: plane geometry.
 *
 * @example
 * widthsAt({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 0) // { long: 38, narrow: 38 }
 */
export function widthsAt(shape: Shape, z: Centimetres): { long: Centimetres; narrow: Centimetres } {
  const height = shapeHeight(shape)
  const t = height > 0 ? Math.min(Math.max(z / height, 0), 1) : 0
  const between = (from: number, to: number) => from + (to - from) * t
  const pair = (a: number, b: number) => ({ long: Math.max(a, b), narrow: Math.min(a, b) })
  switch (shape.kind) {
    case 'roundPot':
      return pair(
        between(shape.baseDiameter, shape.topDiameter),
        between(shape.baseDiameter, shape.topDiameter),
      )
    case 'box':
    case 'oval':
      return pair(between(shape.baseLength, shape.topLength), between(shape.baseWidth, shape.topWidth))
    case 'fabricBag': {
      const d = shape.diameter * (1 + 4 * shape.bulge * t * (1 - t))
      return pair(d, d)
    }
    case 'halfCylinder':
      return pair(shape.length, 2 * Math.sqrt(Math.max(0, z * (shape.diameter - z))))
    case 'polygonBed': {
      const span = (of: 'x' | 'y') => {
        const all = shape.corners.map((c) => c[of])
        return Math.max(...all) - Math.min(...all)
      }
      return pair(span('x'), span('y'))
    }
    case 'mounded':
      return widthsAt(shape.body, Math.min(z, shapeHeight(shape.body)))
  }
}

/**
 * Way round the inside at a height, cm. Ovals by Ramanujan's first formula (1914), within 0.5 % to 5:1.
 *
 * @example
 * perimeterAt({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 0) // 119.4
 */
export function perimeterAt(shape: Shape, z: Centimetres): Centimetres {
  if (shape.kind === 'mounded') return perimeterAt(shape.body, Math.min(z, shapeHeight(shape.body)))
  if (shape.kind === 'polygonBed')
    return shape.corners.reduce((sum, a, i) => {
      const b = shape.corners[(i + 1) % shape.corners.length]!
      return sum + Math.hypot(a.x - b.x, a.y - b.y)
    }, 0)
  const { long, narrow } = widthsAt(shape, z)
  if (shape.kind === 'box' || shape.kind === 'halfCylinder') return 2 * (long + narrow)
  const [a, b] = [long / 2, narrow / 2]
  return Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)))
}

/**
 * Inside of the wall wetted by mix up to a height, cm2: what can evaporate through cloth or clay. Sixty-four-slice
 * midpoint sum; slopes of tapered sides are neglected (under 2 % for usual tapers). A lying half-cylinder gives its
 * curved wall and two ends in closed form.
 * Source: plane geometry.
 * Height in cm, from 0 to that of the shape; above it the answer stays.
 *
 * @example
 * wallArea({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 29) // 3537
 */
export function wallArea(shape: Shape, to: Centimetres): SquareCentimetres {
  if (shape.kind === 'halfCylinder') {
    const r = shape.diameter / 2
    const half = Math.acos(Math.max(-1, (r - Math.min(to, r)) / r))
    return 2 * r * half * shape.length + 2 * areaOfSegment(r, half)
  }
  if (shape.kind === 'mounded') return wallArea(shape.body, Math.min(to, shapeHeight(shape.body)))
  const slices = 64
  const top = Math.min(to, shapeHeight(shape))
  let sum = 0
  for (let i = 0; i < slices; i++) sum += perimeterAt(shape, ((i + 0.5) / slices) * top)
  return (sum * top) / slices
}
const areaOfSegment = (r: Centimetres, half: number) => r * r * (half - Math.sin(half) * Math.cos(half))

/**
 * Narrowest width a container stands on, cm. A lying half-cylinder is taken to stand in a cradle as wide as itself.
 * Source: plane geometry.
 *
 * @example
 * footWidth({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }) // 38
 */
export const footWidth = (shape: Shape): Centimetres =>
  shape.kind === 'halfCylinder' ? Math.min(shape.length, shape.diameter) : widthsAt(shape, 0).narrow

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
