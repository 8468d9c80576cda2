import { defineLimits } from '../limits'

const NRAES = 'NRAES-54, On-Farm Composting Handbook, Rynk 1992 (from memory)'

/** How a heap is built, heated and judged. */
export const HEAP_LIMITS = defineLimits({
  leastCarbon: { value: 25, low: 20, high: 28, unit: 'C:N by weight, dry', source: NRAES },
  mostCarbon: { value: 35, low: 30, high: 40, unit: 'C:N by weight, dry', source: NRAES },
  bestCarbon: { value: 30, low: 25, high: 32, unit: 'C:N by weight, dry', source: NRAES },
  driest: { value: 0.45, low: 0.4, high: 0.5, unit: 'of its weight is water', source: NRAES },
  wettest: { value: 0.65, low: 0.6, high: 0.7, unit: 'of its weight is water', source: NRAES },
  bestMoisture: { value: 0.55, low: 0.5, high: 0.6, unit: 'of its weight is water', source: NRAES },
  densest: {
    value: 0.6,
    low: 0.55,
    high: 0.7,
    unit: 'kg/L',
    source: 'NRAES-54: heavier heaps lack air; sticks open them (from memory)',
  },
  leastVolume: {
    value: 500,
    low: 400,
    high: 1000,
    unit: 'litres',
    source: 'common practice: smaller ones seldom pass 50 C',
  },
  hot: { value: 55, low: 55, high: 65, unit: 'C', source: 'US 40 CFR 503; EU 1069/2009 (from memory)' },
  hotClosed: {
    value: 3,
    low: 3,
    high: 7,
    unit: 'days at 55 C in a closed vessel',
    source: 'US 40 CFR 503 (from memory)',
  },
  hotOpen: {
    value: 15,
    low: 15,
    high: 21,
    unit: 'days at 55 C in an open heap',
    source: 'US 40 CFR 503 (from memory)',
  },
  turns: { value: 5, low: 5, high: 5, unit: 'turns in those days', source: 'US 40 CFR 503 (from memory)' },
  tooHot: { value: 68, low: 65, high: 70, unit: 'C', source: 'common practice: what rots dies above it' },
  cooled: {
    value: 45,
    low: 40,
    high: 50,
    unit: 'C',
    source: 'common practice: turn it when it has fallen so far',
  },
  ripeRise: {
    value: 10,
    low: 10,
    high: 10,
    unit: 'C above the air in a vacuum flask',
    source: 'BGK self-heating test, grade V (from memory)',
  },
  nearlyRise: {
    value: 20,
    low: 20,
    high: 20,
    unit: 'C above the air in a vacuum flask',
    source: 'BGK self-heating test, grade IV (from memory)',
  },
  ripeCress: {
    value: 0.8,
    low: 0.8,
    high: 0.8,
    unit: 'germination index',
    source: 'Zucconi et al. 1981 (from memory)',
  },
  poorCress: {
    value: 0.6,
    low: 0.5,
    high: 0.6,
    unit: 'germination index',
    source: 'Zucconi et al. 1981 (from memory)',
  },
})

/**
 * What is left of a heap once it is ripe, shares of what it was built of; they bring the range of what it comes to.
 * Source: NRAES-54, On-Farm Composting Handbook, Rynk 1992 (from memory).
 */
export const HEAP_LEFT = {
  volume: { low: 0.35, value: 0.5, high: 0.65 },
  dry: { low: 0.4, value: 0.55, high: 0.7 },
  nitrogen: { low: 0.45, value: 0.7, high: 0.9 },
}
