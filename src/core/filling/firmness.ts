import type { Fraction } from '../units'
import { FILLING_LIMITS } from './limits'

/** How a mix is put in. */
export const FIRMNESSES = ['loose', 'firmed', 'pressed'] as const
export type Firmness = (typeof FIRMNESSES)[number]

/**
 * Share of the volume that a mix loses on being firmed or pressed, beside what watering-in settles. Only air goes.
 * Fraction, 0 where it is filled loosely. Source: beside the limits.
 *
 * @example
 * pressedLoss('firmed') // 0.07
 */
export const pressedLoss = (firmness: Firmness): Fraction =>
  firmness === 'loose' ? 0 : FILLING_LIMITS[firmness].value
