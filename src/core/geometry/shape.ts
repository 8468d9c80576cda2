import type { Centimetres } from '../units'
import { bodyRow, withLengths, type Body } from './bodies'

/**
 * Inside of a container or bed, all lengths in cm, heights measured up from the inside of the base: sides of one of
 * the shapes of `BODIES`, or such sides filled above the rim, where the dome thins evenly in area up to its top.
 * `areaAt` and `volumeBelow` are all the rest of the core needs to know.
 */
export type Shape = Body | Mounded
export interface Mounded {
  kind: 'mounded'
  body: Body
  moundHeight: Centimetres
}

export type ShapeKind = Shape['kind']

/**
 * The shape that has the sides: of a heap the one under its mound.
 *
 * @example
 * bodyOf({ kind: 'mounded', body: { kind: 'halfCylinder', length: 100, diameter: 24 }, moundHeight: 5 })
 * // { kind: 'halfCylinder', length: 100, diameter: 24 }
 */
export const bodyOf = (shape: Shape): Body => (shape.kind === 'mounded' ? shape.body : shape)

/**
 * Height of the sides, cm; a mound rises above it.
 *
 * @example
 * rimHeight({ kind: 'mounded', body: { kind: 'halfCylinder', length: 100, diameter: 24 }, moundHeight: 5 }) // 12
 */
export const rimHeight = (shape: Shape): Centimetres => {
  const body = bodyOf(shape)
  return bodyRow(body).height(body)
}

/**
 * Height of the inside, cm, mound included.
 *
 * @example
 * shapeHeight({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }) // 32
 */
export const shapeHeight = (shape: Shape): Centimetres =>
  rimHeight(shape) + (shape.kind === 'mounded' ? shape.moundHeight : 0)

/**
 * A shape with every length so many times as long.
 *
 * @example
 * larger({ kind: 'halfCylinder', length: 100, diameter: 24 }, 1.5)
 * // { kind: 'halfCylinder', length: 150, diameter: 36 }
 */
export function larger(shape: Shape, by: number): Shape {
  if (shape.kind === 'mounded')
    return { ...shape, body: withLengths(shape.body, (cm) => cm * by), moundHeight: shape.moundHeight * by }
  return withLengths(shape, (cm) => cm * by)
}

/**
 * A shape with sides so many times as deep; a mound stays as high.
 *
 * @example
 * deeper({ kind: 'halfCylinder', length: 100, diameter: 24 }, 1.5)
 * // { kind: 'halfCylinder', length: 100, diameter: 36 }
 */
export function deeper(shape: Shape, by: number): Shape {
  if (shape.kind === 'mounded') return { ...shape, body: deeper(shape.body, by) as Body }
  const own = bodyRow(shape).deeper
  return own ? own(shape, by) : ({ ...shape, height: bodyRow(shape).height(shape) * by } as Body)
}
