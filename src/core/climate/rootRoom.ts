import type { Crop } from '../data/types'
import type { Fraction, Litres } from '../units'

/**
 * Twice the pot makes 1.43 times the plant: log2(1.43).
 * Source: Poorter et al. 2012, Funct. Plant Biol. 39:839-850, a mean over 65 studies (from memory).
 */
const BY_POT_SIZE = Math.log2(1.43)

/** Of the room a crop usually wants, less than this keeps it from cropping. Source: our assumption on trade pots. */
export const LEAST_ROOM: Fraction = 0.35

/**
 * Size of a plant as a share of its full size, by its root room: 1 with the room of its row or more.
 * Litres for one plant. Source: `BY_POT_SIZE`.
 *
 * @example
 * sizeInRoom({ properties: { minRootVolume: { value: 30 } } }, 15) // 0.6993
 */
export const sizeInRoom = (
  { properties }: { properties: { minRootVolume: { value: Litres } } },
  room: Litres,
): Fraction => Math.min(1, (room / properties.minRootVolume.value) ** BY_POT_SIZE)

/** A crop as large as its root room lets it grow: leaf, height and the nitrogen it takes up. Litres for one plant. */
export function inRootRoom(crop: Crop, room: Litres): Crop {
  const size = sizeInRoom(crop, room)
  if (size === 1) return crop
  const { canopyArea, canopyHeight, seasonNitrogen } = crop.properties
  const times = <P extends { low: number; value: number; high: number }>(p: P, by: number): P => ({
    ...p,
    low: p.low * by,
    value: p.value * by,
    high: p.high * by,
  })
  return {
    ...crop,
    properties: {
      ...crop.properties,
      canopyArea: times(canopyArea, size),
      // A plant of half the leaf is less than half as low.
      canopyHeight: times(canopyHeight, Math.sqrt(size)),
      seasonNitrogen: times(seasonNitrogen, size),
    },
  }
}
