import { CROP_PHOSPHORUS, SEEN_BY_TEST, SOIL_A_SQUARE_METRE } from './limits'

interface Spread {
  low: number
  value: number
  high: number
}
/** What compost and manure have left of their phosphorus in a bed. */
export interface PhosphorusStore {
  /** g/m2 over what crops took; never less than none. */
  surplus: Spread
  /** How much more of it a soil test shows, mg/kg by Mehlich-3. */
  rise: Spread
  /** Years that crops can draw on it with none given. */
  years: Spread
}

/**
 * Phosphorus of a bed over years, from what each year brought, g/m2, the oldest first. Crops take their share every
 * year, of the year's own first. A surplus moves little in soil and stays. Errors: none; fewer than none given counts
 * as none. Source: mass balance; `CROP_PHOSPHORUS`, `SEEN_BY_TEST` (from memory).
 *
 * @example
 * phosphorusStore([12.5]).surplus.value // 10
 */
export function phosphorusStore(given: readonly number[]): PhosphorusStore {
  const left = (taken: number) =>
    given.reduce((store, grams) => Math.max(0, store + Math.max(0, grams) - taken), 0)
  const { low, value, high } = CROP_PHOSPHORUS
  const surplus = { low: left(high), value: left(value), high: left(low) }
  const shown = (grams: number, share: number) => (1000 * grams * share) / SOIL_A_SQUARE_METRE
  return {
    surplus,
    rise: {
      low: shown(surplus.low, SEEN_BY_TEST.low),
      value: shown(surplus.value, SEEN_BY_TEST.value),
      high: shown(surplus.high, SEEN_BY_TEST.high),
    },
    years: { low: surplus.low / high, value: surplus.value / value, high: surplus.high / low },
  }
}
