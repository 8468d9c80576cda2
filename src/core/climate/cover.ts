import type { Material } from '../data/types'
import type { Centimetres, Fraction } from '../units'
import { WATERING_LIMITS } from './limits'

const L = WATERING_LIMITS
/** Where in the size classes 2 mm stands: what comes after it is fine. */
const FINE_FROM = 3

/**
 * Share of what a bare surface gives to the air that a cover on it keeps back: half where it is coarse and lies thick
 * enough, less where it is thin or fine. Thickness in cm, at least zero.
 * Source: FAO-56 chapter 10 for the half; the rest beside the limits.
 *
 * @example
 * coverSaving(materialById('pine_bark_coarse'), 5) // 0.49
 */
export function coverSaving({ sizeShares }: Pick<Material, 'sizeShares'>, thickness: Centimetres): Fraction {
  const fine = sizeShares.slice(FINE_FROM).reduce((sum, s) => sum + s, 0)
  const whole = L.coverSaves.value * (1 - fine * (1 - L.fineCoverSaves.value))
  return whole * Math.min(1, thickness / L.wholeCover.value)
}
