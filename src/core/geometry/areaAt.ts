import type { Centimetres, SquareCentimetres } from '../units'
import { shapeHeight, type Shape } from './shape'

const lerp = (from: number, to: number, t: number) => from + (to - from) * t

/**
 * Shoelace area of a polygon, cm2, whichever way round its corners run.
 * Source: shoelace formula.
 * Corners in cm, three or more, no side crossing another.
 *
 * @example
 * polygonArea([
 *   { x: 0, y: 0 },
 *   { x: 3, y: 0 },
 *   { x: 3, y: 2 },
 * ]) // 3
 */
export function polygonArea(corners: { x: number; y: number }[]): SquareCentimetres {
  let twice = 0
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length]!
    twice += a.x * b.y - b.x * a.y
  })
  return Math.abs(twice) / 2
}

/**
 * Inside cross-section at a height above the base.
 *
 * Unit: cm2. Range: 0 to the shape's height; outside it the answer is 0.
 * Source: plane geometry. The bulging bag's radius is R (1 + 4 b t (1 - t)) with t the relative height:
 * a parabola through rim, belly and base (our assumption; a filled bag hangs much like it).
 *
 * @example
 * areaAt({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 0) // 1134
 */
export function areaAt(shape: Shape, z: Centimetres): SquareCentimetres {
  const height = shapeHeight(shape)
  if (!(z >= 0 && z <= height)) return 0
  const t = height > 0 ? z / height : 0
  switch (shape.kind) {
    case 'roundPot':
      return (Math.PI / 4) * lerp(shape.baseDiameter, shape.topDiameter, t) ** 2
    case 'box':
      return lerp(shape.baseLength, shape.topLength, t) * lerp(shape.baseWidth, shape.topWidth, t)
    case 'oval':
      return (
        (Math.PI / 4) * lerp(shape.baseLength, shape.topLength, t) * lerp(shape.baseWidth, shape.topWidth, t)
      )
    case 'fabricBag':
      return (Math.PI / 4) * (shape.diameter * (1 + 4 * shape.bulge * t * (1 - t))) ** 2
    case 'halfCylinder':
      return shape.length * 2 * Math.sqrt(Math.max(0, z * (shape.diameter - z)))
    case 'polygonBed':
      return polygonArea(shape.corners)
    case 'mounded': {
      const rim = shapeHeight(shape.body)
      if (z <= rim) return areaAt(shape.body, z)
      return areaAt(shape.body, rim) * (1 - (z - rim) / shape.moundHeight)
    }
  }
}

/**
 * Ground the open top of a mix covers, cm2: of a heap that of the bed it stands on, for its own top is a point.
 * Range: heights from 0 to that of the shape. Source: plane geometry.
 *
 * @example
 * openSurface({ kind: 'mounded', body: { kind: 'polygonBed', corners: [
 *   { x: 0, y: 0 },
 *   { x: 100, y: 0 },
 *   { x: 0, y: 100 },
 * ], height: 20 }, moundHeight: 10 }, 30) // 5000
 */
export const openSurface = (shape: Shape, z: Centimetres): SquareCentimetres =>
  shape.kind === 'mounded' ? openSurface(shape.body, Math.min(z, shapeHeight(shape.body))) : areaAt(shape, z)
