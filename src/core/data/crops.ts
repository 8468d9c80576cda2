import figures from './cropFigures.json'
import { CROP_ROWS } from './cropTable'
import type { Crop, CropProperties } from './types'

const FIGURES = new Map(
  (figures as unknown as readonly (CropProperties & { crop: string })[]).map(({ crop, ...properties }) => [
    crop,
    properties,
  ]),
)

/** Every crop, with its figures. */
export const CROPS: readonly Crop[] = CROP_ROWS.map((row) => ({ ...row, properties: FIGURES.get(row.id)! }))

/**
 * A crop of the tables by its id; undefined for null and where the tables have none.
 *
 * @example
 * cropById('pepper_sweet')?.perennial // false
 */
export const cropById = (id: string | null | undefined): Crop | undefined => CROPS.find((c) => c.id === id)
