import type { Centimetres } from '../units'

/**
 * Inside of a container or bed, all lengths in cm, heights measured up from the inside of the base.
 * Mixes are held by one of these; `areaAt` and `volumeBelow` are all the rest of the core needs to know.
 */
export type Shape =
  /** Round pot, tub or half-barrel with straight sides: a cone cut twice. */
  | { kind: 'roundPot'; topDiameter: Centimetres; baseDiameter: Centimetres; height: Centimetres }
  /** Box, trough, window box or raised bed, straight or tapered. */
  | {
      kind: 'box'
      topLength: Centimetres
      topWidth: Centimetres
      baseLength: Centimetres
      baseWidth: Centimetres
      height: Centimetres
    }
  /** Tapered oval tub. */
  | {
      kind: 'oval'
      topLength: Centimetres
      topWidth: Centimetres
      baseLength: Centimetres
      baseWidth: Centimetres
      height: Centimetres
    }
  /** Fabric bag: `diameter` at top and base, belly wider by `bulge` (fraction of the diameter) halfway up. */
  | { kind: 'fabricBag'; diameter: Centimetres; height: Centimetres; bulge: number }
  /** Half a cylinder lying down: a gutter or a split barrel. Its height is half its diameter. */
  | { kind: 'halfCylinder'; length: Centimetres; diameter: Centimetres }
  /** Straight-sided bed of any outline, corners in order. */
  | { kind: 'polygonBed'; corners: { x: Centimetres; y: Centimetres }[]; height: Centimetres }
  /** Any of the above filled above the rim: the dome thins evenly in area from the rim to its top. */
  | { kind: 'mounded'; body: Shape; moundHeight: Centimetres }

export type ShapeKind = Shape['kind']

/**
 * Height of the inside, cm, mound included.
 *
 * @example
 * shapeHeight({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }) // 32
 */
export function shapeHeight(shape: Shape): Centimetres {
  if (shape.kind === 'halfCylinder') return shape.diameter / 2
  if (shape.kind === 'mounded') return shapeHeight(shape.body) + shape.moundHeight
  return shape.height
}
