import growth from './growth.json'
import type { CropGrowth } from './types'

// Apart from index.ts, so that a page which works out no season loads none of it.
const ROWS = growth as unknown as readonly CropGrowth[]

/**
 * How a crop grows, by its id; undefined for a crop the tables do not know.
 *
 * @example
 * growthOf('pepper_sweet')?.weeksAsTransplant // 9
 */
export const growthOf = (cropId: string): CropGrowth | undefined => ROWS.find((row) => row.crop === cropId)

export { ROWS as GROWTH }
