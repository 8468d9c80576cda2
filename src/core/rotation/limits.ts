import { defineLimits } from '../limits'

const JUDGED = 'our assumption: the family that waits outweighs what feeds whom'

/** What an order of crops costs: the least is planned. */
export const ROTATION_LIMITS = defineLimits({
  notAtAll: {
    value: 1000,
    low: 500,
    high: 5000,
    unit: 'cost of a crop a bed has no room for',
    source: JUDGED,
  },
  tooEarly: { value: 100, low: 60, high: 200, unit: 'cost of a family too early in a pinch', source: JUDGED },
  early: { value: 20, low: 10, high: 40, unit: 'cost of a family too early by the rule', source: JUDGED },
  hungryAfterHungry: {
    value: 4,
    low: 2,
    high: 8,
    unit: 'cost of a heavy feeder after another',
    source: 'common practice: light, root or legume in between',
  },
  hungryAfterLegume: {
    value: 3,
    low: 1,
    high: 6,
    unit: 'gain of a heavy feeder after a legume',
    source: 'common practice',
  },
})

/**
 * g of phosphorus that a crop takes from a square metre in a year. Source: mass balances of vegetables (from memory).
 */
export const CROP_PHOSPHORUS = { low: 1.5, value: 2.5, high: 4 }
/** Share of a surplus that a Mehlich-3 test shows. Source: long trials with compost (from memory; the least sure). */
export const SEEN_BY_TEST = { low: 0.2, value: 1 / 3, high: 0.55 }
/** kg of soil below a square metre, 20 cm deep at 1.2 kg/L. Source: common practice. */
export const SOIL_A_SQUARE_METRE = 240
