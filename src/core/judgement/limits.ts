import type { Litres } from '../units'

/** Less mix than this in each is for sowing and pricking out, litres. Source: common practice: modules and small pots. */
export const SEEDLING_VOLUME: Litres = 1
