import crops from './crops.json'
import type { CropRow } from './types'

/** What a crop is called and the pH it likes, apart from its figures: a page needing its name loads no more. */
export const CROP_ROWS = crops as unknown as readonly CropRow[]

/** A crop's row by its id; undefined for null and where the table has none. */
export const cropRow = (id: string | null | undefined): CropRow | undefined =>
  CROP_ROWS.find((c) => c.id === id)

/**
 * A crop's name by its id; nothing for null and where the table has none.
 *
 * @example
 * cropName('okra') // 'Okra'
 */
export const cropName = (id: string | null | undefined): string => cropRow(id)?.name ?? ''
