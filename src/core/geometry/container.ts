import { fail, succeed, type Outcome } from '../outcome'
import type { Centimetres, Litres, SquareCentimetres } from '../units'
import { openSurface } from './areaAt'
import { LARGEST_HEIGHT, sizesOf, type SizeRow } from './bodies'
import { footprintOf } from './outline'
import { bodyOf, shapeHeight, type Shape } from './shape'
import { volumeBelow } from './volumeBelow'

/** Texture of the ground under a bed that is open below. */
export type SubsoilTexture = 'coarse' | 'loam' | 'clay'

/** Where water leaves. */
export type Base =
  | { kind: 'drainHoles' }
  /** Holes up the side: everything below them is a reservoir. Height in cm above the inside of the base. */
  | { kind: 'sideHoles'; height: Centimetres }
  | { kind: 'onSoil'; texture: SubsoilTexture }
  /** Bottomless on paving or roofing: water leaves along the foot. */
  | { kind: 'onPaving' }
  /** No hole at all: full of water to the top until it is emptied or dried out. */
  | { kind: 'closed' }

/** A container or bed as it will be filled. Lengths in cm, inside. */
export interface Container {
  shape: Shape
  /** Lip left free below the rim. */
  headspace: Centimetres
  base: Base
}

export interface ContainerVolumes {
  /** Height of mix above the base, cm. */
  mixHeight: Centimetres
  /** Volume of mix in place, litres, for one container. */
  mixVolume: Litres
  /** Volume to the rim, litres. */
  rimVolume: Litres
  /** Top surface of the mix, cm2. */
  surface: SquareCentimetres
  /** Footprint on floor or ground, cm2: the base for pots, the widest part for beds and bags. */
  footprint: SquareCentimetres
  /** Volume below the side holes, litres; 0 without them. */
  reservoirVolume: Litres
}

/** A triangle. */
const LEAST_CORNERS = 3
const MOUND: SizeRow = { limit: LARGEST_HEIGHT, of: 'length', is: 'heaped' }
/** The named sizes of a shape, its mound among them. */
const sizesOfShape = (shape: Shape): ReturnType<typeof sizesOf> => [
  ...sizesOf(bodyOf(shape)),
  ...(shape.kind === 'mounded'
    ? [['moundHeight', shape.moundHeight, MOUND] as [string, number, SizeRow]]
    : []),
]

/** True where two straight edges of a closed outline cross away from their shared corner. */
function outlineCrosses(corners: { x: number; y: number }[]): boolean {
  const side = (a: { x: number; y: number }, b: { x: number; y: number }, c: { x: number; y: number }) =>
    Math.sign((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x))
  const n = corners.length
  for (let i = 0; i < n; i++)
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue
      const [a, b, c, d] = [corners[i]!, corners[(i + 1) % n]!, corners[j]!, corners[(j + 1) % n]!]
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true
    }
  return false
}

/**
 * Is a container one that could stand in a garden? The first problem found, or the container itself.
 * Range: the limits of `BODIES`, cm.
 * Errors: a size that is none, too small or too large; an outline that crosses itself.
 */
export function checkContainer(container: Container): Outcome<Container> {
  const { shape, headspace, base } = container
  for (const [field, value, { limit, of }] of sizesOfShape(shape)) {
    if (!Number.isFinite(value)) return fail({ code: 'not-a-number', field })
    if (of === 'share' ? value < 0 : value <= 0)
      return fail({ code: of === 'share' ? 'size-negative' : 'size-not-positive', field, value })
    if (value > limit) return fail({ code: 'size-too-large', field, value, limit })
  }
  const body = bodyOf(shape)
  if ('corners' in body && (body.corners.length < LEAST_CORNERS || outlineCrosses(body.corners)))
    return fail({ code: 'outline-crosses-itself' })
  if (!Number.isFinite(headspace)) return fail({ code: 'not-a-number', field: 'headspace' })
  if (headspace < 0) return fail({ code: 'size-negative', field: 'headspace', value: headspace })
  const height = shapeHeight(shape)
  if (headspace >= height) return fail({ code: 'headspace-fills-container', headspace, height })
  if (base.kind === 'sideHoles') {
    if (!Number.isFinite(base.height)) return fail({ code: 'not-a-number', field: 'sideHoles' })
    if (base.height < 0) return fail({ code: 'size-negative', field: 'sideHoles', value: base.height })
    const mixHeight = height - headspace
    if (base.height >= mixHeight) return fail({ code: 'hole-above-mix', holeHeight: base.height, mixHeight })
  }
  return succeed(container)
}

/** Is a shape wider at its base than at its top? */
function isWiderBelow(shape: Shape): boolean {
  const sizes: Record<string, number> = Object.fromEntries(
    sizesOf(bodyOf(shape)).map(([key, cm]) => [key, cm]),
  )
  return Object.entries(sizes).some(([key, base]) => base > (sizes[key.replace(/^base/, 'top')] ?? base))
}

/**
 * What it takes to fill one container: heights, volumes and areas.
 * Errors: any problem of `checkContainer`. Notes: a base wider than the top.
 * @example a 30/22 x 28 cm pot with a 3 cm lip holds about 12.9 L of mix; to the rim it holds 14.98 L.
 */
export function containerVolumes(container: Container): Outcome<ContainerVolumes> {
  const checked = checkContainer(container)
  if (!checked.ok) return checked
  const { shape, headspace, base } = container
  const height = shapeHeight(shape)
  const mixHeight = height - headspace
  return succeed(
    {
      mixHeight,
      mixVolume: volumeBelow(shape, mixHeight),
      rimVolume: volumeBelow(shape, height),
      surface: openSurface(shape, mixHeight),
      footprint: footprintOf(shape),
      reservoirVolume: base.kind === 'sideHoles' ? volumeBelow(shape, base.height) : 0,
    },
    isWiderBelow(shape) ? { code: 'wider-below' } : null,
  )
}
