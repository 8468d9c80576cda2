import type { Centimetres, Litres, SquareCentimetres } from '../units'
import { CM3_PER_LITRE } from '../units'

/** Longest inside length believed without question, cm: beyond it a slip of the unit is likelier than a bed. */
export const LARGEST_LENGTH = 5000
/** Deepest inside height believed, cm. */
export const LARGEST_HEIGHT = 300
/** Most that a filled bag may be wider halfway up than at its rim, fraction of its diameter. */
const LARGEST_BULGE = 0.5

type Sizes<K extends string> = Record<K, Centimetres>
type Tapered = Sizes<'topLength' | 'topWidth' | 'baseLength' | 'baseWidth' | 'height'>
interface Corner {
  x: Centimetres
  y: Centimetres
}

/** What is measured of each shape of sides, cm inside; heights are measured up from the inside of the base. */
export interface BodySizes {
  /** Round pot, tub or half-barrel with straight sides: a cone cut twice. */
  roundPot: Sizes<'topDiameter' | 'baseDiameter' | 'height'>
  /** Box, trough, window box or raised bed, straight or tapered. */
  box: Tapered
  /** Tapered oval tub. */
  oval: Tapered
  /** Fabric bag: `diameter` at top and base, belly wider by `bulge` (fraction of the diameter) halfway up. */
  fabricBag: Sizes<'diameter' | 'height'> & { bulge: number }
  /** Half a cylinder lying down: a gutter or a split barrel. Its height is half its diameter. */
  halfCylinder: Sizes<'length' | 'diameter'>
  /** Straight-sided bed of any outline, corners in order. */
  polygonBed: { corners: Corner[]; height: Centimetres }
}
export type BodyKind = keyof BodySizes
export type Body = { [K in BodyKind]: { kind: K } & BodySizes[K] }[BodyKind]

/**
 * One number asked about a shape: the largest that is believed, whether it is a length or a share of one, and what it
 * measures, as a sheet heads it.
 */
export interface SizeRow {
  limit: number
  of: 'length' | 'share'
  is: string
}

/** What the rest of the app has to know of a shape: `t` is the height over that of the whole, 0 to 1. */
interface BodyRow<B> {
  sizes: { [K in Exclude<keyof B, 'corners'>]: SizeRow }
  height: (b: B) => Centimetres
  /** Inside at a height, the way it is long as growers measure it and across that. */
  widths: (b: B, z: Centimetres, t: number) => [along: Centimetres, across: Centimetres]
  /** What it is from above: area and way round follow from its two widths. */
  plan: 'oval' | 'box' | Plan<B>
  /** Which of the widths a section shows. */
  seen: 'along' | 'across'
  /** Where its area at a height is no polynomial of the fifth degree or less: litres below a height. */
  volume?: (b: B, z: Centimetres) => Litres
  /** Where its wall is no stack of rings: cm2 below a height. */
  wall?: (b: B, z: Centimetres) => SquareCentimetres
  /** Where it stands on more than its base: widths of what bears it, cm. */
  cradle?: (b: B) => [along: Centimetres, across: Centimetres]
  /** The same so many times as deep, where that is not its height alone. */
  deeper?: (b: B, by: number) => B
}
interface Plan<B> {
  area: (b: B) => SquareCentimetres
  around: (b: B) => Centimetres
}

const length = (is: string): SizeRow => ({ limit: LARGEST_LENGTH, of: 'length', is })
const height: SizeRow = { limit: LARGEST_HEIGHT, of: 'length', is: 'height' }
const lerp = (from: number, to: number, t: number) => from + (to - from) * t

const tapered: Omit<BodyRow<Tapered>, 'plan'> = {
  sizes: {
    topLength: length('length'),
    topWidth: length('width'),
    baseLength: length('base length'),
    baseWidth: length('base width'),
    height,
  },
  height: (b) => b.height,
  widths: (b, _z, t) => [lerp(b.baseLength, b.topLength, t), lerp(b.baseWidth, b.topWidth, t)],
  seen: 'along',
}

const span = (corners: readonly Corner[], of: 'x' | 'y') => {
  const all = corners.map((c) => c[of])
  return Math.max(...all) - Math.min(...all)
}
const sides = (corners: readonly Corner[]) =>
  corners.map((a, i) => [a, corners[(i + 1) % corners.length]!] as const)

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
export const polygonArea = (corners: readonly Corner[]): SquareCentimetres =>
  Math.abs(sides(corners).reduce((twice, [a, b]) => twice + a.x * b.y - b.x * a.y, 0)) / 2

/** Chord of a circle at a height above its lowest point, cm. */
const chord = (diameter: Centimetres, z: Centimetres) => 2 * Math.sqrt(Math.max(0, z * (diameter - z)))
/** Half the angle a chord spans at the centre. */
const halfAngle = (radius: Centimetres, z: Centimetres) =>
  Math.acos(Math.max(-1, (radius - Math.min(z, radius)) / radius))
/** Area of a circle below a chord, cm2: R² (θ - sin θ cos θ). */
const segment = (radius: Centimetres, z: Centimetres): SquareCentimetres => {
  const half = halfAngle(radius, z)
  return radius * radius * (half - Math.sin(half) * Math.cos(half))
}

/**
 * Every shape of sides there is, and all that is particular to one: geometry, checks, stored form, sheets, forms and
 * drawings read these rows. Lengths in cm, inside.
 * Source: plane and solid geometry. A bag's radius is R (1 + 4 b t (1 - t)): a parabola through rim, belly and base
 * (our assumption; a filled bag hangs much like it). A lying half-cylinder stands in a cradle as wide as itself.
 */
export const BODIES: { readonly [K in BodyKind]: BodyRow<BodySizes[K]> } = {
  roundPot: {
    sizes: { topDiameter: length('length'), baseDiameter: length('base length'), height },
    height: (b) => b.height,
    widths: (b, _z, t) => {
      const d = lerp(b.baseDiameter, b.topDiameter, t)
      return [d, d]
    },
    plan: 'oval',
    seen: 'along',
  },
  box: { ...tapered, plan: 'box' },
  oval: { ...tapered, plan: 'oval' },
  fabricBag: {
    sizes: { diameter: length('length'), height, bulge: { limit: LARGEST_BULGE, of: 'share', is: 'bulge' } },
    height: (b) => b.height,
    widths: (b, _z, t) => {
      const d = b.diameter * (1 + 4 * b.bulge * t * (1 - t))
      return [d, d]
    },
    plan: 'oval',
    seen: 'along',
  },
  halfCylinder: {
    sizes: { length: length('length'), diameter: length('width') },
    height: (b) => b.diameter / 2,
    widths: (b, z) => [b.length, chord(b.diameter, z)],
    plan: 'box',
    // From its end, where its shape is.
    seen: 'across',
    volume: (b, z) => (b.length * segment(b.diameter / 2, z)) / CM3_PER_LITRE,
    wall: (b, z) => {
      const r = b.diameter / 2
      return 2 * r * halfAngle(r, z) * b.length + 2 * segment(r, z)
    },
    cradle: (b) => [b.length, b.diameter],
    deeper: (b, by) => ({ ...b, diameter: b.diameter * by }),
  },
  polygonBed: {
    sizes: { height },
    height: (b) => b.height,
    widths: (b) => [span(b.corners, 'x'), span(b.corners, 'y')],
    plan: {
      area: (b) => polygonArea(b.corners),
      around: (b) => sides(b.corners).reduce((sum, [p, q]) => sum + Math.hypot(p.x - q.x, p.y - q.y), 0),
    },
    seen: 'along',
  },
}

/** The row of a shape. The kind says which: TypeScript cannot follow a union through a table. */
export const bodyRow = <B extends Body>({ kind }: B): BodyRow<B> => BODIES[kind] as unknown as BodyRow<B>

/**
 * The numbers of a shape by the names of its row.
 *
 * @example
 * sizesOf({ kind: 'halfCylinder', length: 100, diameter: 24 }).map(([key]) => key)
 * // ['length', 'diameter']
 */
export const sizesOf = (body: Body): [key: string, value: number, row: SizeRow][] =>
  Object.entries(BODIES[body.kind].sizes as Record<string, SizeRow>).map(([key, row]) => [
    key,
    (body as unknown as Record<string, number>)[key]!,
    row,
  ])

/**
 * The same shape with every length changed; a share of one stays.
 *
 * @example
 * withLengths({ kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, (cm) => cm / 2)
 * // { kind: 'fabricBag', diameter: 19, height: 16, bulge: 0.03 }
 */
export function withLengths(body: Body, change: (cm: Centimetres) => Centimetres): Body {
  const lengths = sizesOf(body).filter(([, , { of }]) => of === 'length')
  const corners =
    'corners' in body ? { corners: body.corners.map(({ x, y }) => ({ x: change(x), y: change(y) })) } : {}
  return {
    ...body,
    ...Object.fromEntries(lengths.map(([key, cm]) => [key, change(cm)])),
    ...corners,
  } as Body
}
