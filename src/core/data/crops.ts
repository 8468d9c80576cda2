import figures from './cropFigures.json'
import { CROP_ROWS } from './cropTable'
import type { Crop, CropFigures } from './types'

const FIGURES = new Map(
  (figures as unknown as readonly (CropFigures & { crop: string })[]).map(({ crop, ...rest }) => [
    crop,
    rest,
  ]),
)

/** Every crop, with its figures. */
export const CROPS: readonly Crop[] = CROP_ROWS.map((row) => ({ ...row, ...FIGURES.get(row.id)! }))

/**
 * A crop of the tables by its id; undefined for null and where the tables have none.
 *
 * @example
 * cropById('pepper_sweet')?.perennial // false
 */
export const cropById = (id: string | null | undefined): Crop | undefined => CROPS.find((c) => c.id === id)
