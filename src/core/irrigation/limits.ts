import { defineLimits } from '../limits'

/** How far water is treated. */
export const WATER_TREATMENT_LIMITS = defineLimits({
  toPH: {
    value: 6,
    low: 5.8,
    high: 6.5,
    unit: 'pH that an acid brings water to',
    source: 'common practice: a third of the alkalinity is left as a guard',
  },
  leastLeft: {
    value: 0.6,
    low: 0.6,
    high: 1.2,
    unit: 'meq/L that an acid leaves',
    source: 'common practice: a guard against falling too far',
  },
  mostForPhosphoric: {
    value: 1.5,
    low: 1,
    high: 1.5,
    unit: 'meq/L taken out with phosphoric acid',
    source: 'common practice: beyond it there is too much phosphate',
  },
  leastAcid: {
    value: 2,
    low: 1,
    high: 3,
    unit: 'mL or g of acid in 100 L',
    source: 'our assumption: less nobody measures',
  },
})
