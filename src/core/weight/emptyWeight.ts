import { wallArea, type Shape } from '../geometry'
import type { Centimetres, Kilograms } from '../units'

/** What the sides of a container are made of. */
export const WALL_MATERIALS = ['plastic', 'fabric', 'terracotta', 'timber', 'metal'] as const
export type WallMaterial = (typeof WALL_MATERIALS)[number]

/** Weight of the sides, kg/m2. Source: our assumption by usual wall thickness. */
export const WALL_WEIGHT: Readonly<Record<WallMaterial, number>> = {
  plastic: 2.5,
  fabric: 0.4,
  terracotta: 24,
  timber: 12,
  metal: 8,
}

/**
 * Weight of an empty container: its sides up to a height, by the material they are made of. kg; lengths in cm.
 * Errors: none; the shape is checked by `checkContainer`. Source: `WALL_WEIGHT`.
 *
 * @example
 * emptyWeight('fabric', { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 29) // 0.1415
 */
export const emptyWeight = (wall: WallMaterial, shape: Shape, height: Centimetres): Kilograms =>
  (WALL_WEIGHT[wall] * wallArea(shape, height)) / 10_000
