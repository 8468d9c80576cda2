import { LITRES } from '@/core/units'
import type { Settings } from './schemas'

/** Bucket and tub as growers usually have them, litres; mix that watering-in settles, fraction. */
const SETTLING = 0.07
const STARTING_PLAN = {
  bucket: 10,
  scoop: 1,
  vessel: 90,
  settling: SETTLING,
  rounding: 'more',
  wholeVessel: false,
} as const
/** The same as sold in gallons and quarts. */
const STARTING_PLAN_US = {
  bucket: 5 * LITRES.usGallon,
  scoop: LITRES.usQuart,
  vessel: 25 * LITRES.usGallon,
  settling: SETTLING,
  rounding: 'more',
  wholeVessel: false,
} as const

export const startingPlan = (units: Settings['units']) => (units === 'us' ? STARTING_PLAN_US : STARTING_PLAN)
