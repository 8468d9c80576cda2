import { GARDEN_LIMITS } from './limits'

/** How many more photos a garden with so many may keep. */
export const photoRoom = (kept: number): number => Math.max(0, GARDEN_LIMITS.photos.value - kept)
