import { wallArea, type Shape } from '../geometry'
import type { Centimetres, Kilograms } from '../units'
import { WALL_WEIGHT, type WallMaterial } from './walls'

/**
 * Weight of an empty container: its sides up to a height, by the material they are made of. kg; lengths in cm.
 * Errors: none; the shape is checked by `checkContainer`. Source: `WALL_WEIGHT`.
 *
 * @example
 * emptyWeight('fabric', { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 }, 29) // 0.1415
 */
export const emptyWeight = (wall: WallMaterial, shape: Shape, height: Centimetres): Kilograms =>
  (WALL_WEIGHT[wall] * wallArea(shape, height)) / 10_000
