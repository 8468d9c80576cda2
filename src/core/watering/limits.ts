import { defineLimits } from '../limits'

/** What decides whether a change to a watering plan is offered. */
export const PLAN_LIMITS = defineLimits({
  worthwhile: {
    value: 0.2,
    low: 0.1,
    high: 0.5,
    unit: 'days',
    source: 'Our assumption: five hours longer are worth a change, less is not',
  },
  airless: {
    value: 6,
    low: 3,
    high: 12,
    unit: 'hours',
    source: 'Our assumption: roots of most crops bear some hours without air, not a day',
  },
})
