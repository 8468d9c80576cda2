import { defineLimits } from '../limits'

/** Tensions at which water counts as drained, easy or hard to take. */
export const WATER_LIMITS = defineLimits({
  subsoilCoarse: {
    value: 60,
    low: 30,
    high: 120,
    unit: 'cm',
    source: 'common practice: field capacity, half to double',
  },
  subsoilLoam: {
    value: 100,
    low: 50,
    high: 200,
    unit: 'cm',
    source: 'common practice: field capacity, half to double',
  },
  subsoilClay: {
    value: 150,
    low: 75,
    high: 300,
    unit: 'cm',
    source: 'common practice: field capacity, half to double',
  },
  easyInPots: { value: 50, low: 50, high: 50, unit: 'cm', source: 'De Boodt & Verdonck 1972' },
  bufferInPots: { value: 100, low: 100, high: 100, unit: 'cm', source: 'De Boodt & Verdonck 1972' },
  easyInGround: {
    value: 400,
    low: 200,
    high: 600,
    unit: 'cm',
    source: 'common practice: tensiometers at 20 to 60 kPa',
  },
  bufferInGround: {
    value: 800,
    low: 400,
    high: 1200,
    unit: 'cm',
    source: 'common practice: twice the easy tension',
  },
})
