import type { Centimetres, SquareCentimetres } from '../units'
import { bodyRow, type Body } from './bodies'
import { rimHeight, shapeHeight, type Shape } from './shape'

/** Widths of the sides at a height within them, cm. */
export function bodyWidths(body: Body, z: Centimetres): [along: Centimetres, across: Centimetres] {
  const row = bodyRow(body)
  const height = row.height(body)
  return row.widths(body, z, height > 0 ? z / height : 0)
}

function bodyArea(body: Body, z: Centimetres): SquareCentimetres {
  const { plan } = bodyRow(body)
  if (typeof plan === 'object') return plan.area(body)
  const [along, across] = bodyWidths(body, z)
  return (plan === 'oval' ? Math.PI / 4 : 1) * along * across
}

/**
 * Inside cross-section at a height above the base.
 *
 * Unit: cm2. Range: 0 to the shape's height; outside it the answer is 0.
 * Source: plane geometry, by the rows of `BODIES`.
 *
 * @example
 * areaAt({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 0) // 1134
 */
export function areaAt(shape: Shape, z: Centimetres): SquareCentimetres {
  if (!(z >= 0 && z <= shapeHeight(shape))) return 0
  if (shape.kind !== 'mounded') return bodyArea(shape, z)
  const rim = rimHeight(shape)
  return z <= rim ? bodyArea(shape.body, z) : bodyArea(shape.body, rim) * (1 - (z - rim) / shape.moundHeight)
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
  shape.kind === 'mounded' ? areaAt(shape.body, Math.min(z, rimHeight(shape))) : areaAt(shape, z)
