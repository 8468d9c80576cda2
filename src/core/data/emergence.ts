import emergence from './emergence.json'

/** How warm a seed, tuber or cutting wants it, C, and how long it takes at its best. */
export interface Emergence {
  crop: string
  /** What it is begun from: 'seed', 'tuber', 'cutting' and the like. */
  from: string
  /** Nothing comes below `least` and above `most`; between `bestLow` and `bestHigh` it is quickest. */
  least: number
  bestLow: number
  bestHigh: number
  most: number
  /** Days to emerge or root at its best. */
  days: { low: number; high: number }
  confidence: string
}
/** Source: Harrington & Minges 1954; Knott's Handbook (from memory); cuttings: common practice. */
const ROWS: readonly Emergence[] = emergence

/**
 * How a crop comes up, by its id; undefined for one that is bought as a plant.
 *
 * @example
 * emergenceOf('leek')?.least // 3
 */
export const emergenceOf = (cropId: string): Emergence | undefined => ROWS.find((row) => row.crop === cropId)

export { ROWS as EMERGENCE }
