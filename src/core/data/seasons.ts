import seasons from './seasons.json'
import type { CropSeason } from './types'

// Apart from index.ts, so that a page which asks for no dates loads none of it.
const ROWS = seasons as unknown as readonly CropSeason[]

/**
 * When a crop grows, by its id; undefined for a crop the tables do not know.
 *
 * @example
 * seasonOf('pepper_sweet')?.crop // 'pepper_sweet'
 */
export const seasonOf = (cropId: string): CropSeason | undefined => ROWS.find((row) => row.crop === cropId)

export { ROWS as SEASONS }
