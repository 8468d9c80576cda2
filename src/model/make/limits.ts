import { defineLimits } from '@/core/limits'

/** What a plan of making may ask for. */
export const PLAN_LIMITS = defineLimits({
  settling: {
    value: 0.5,
    low: 0.3,
    high: 0.6,
    unit: 'fraction',
    source: 'our assumption: even loose leaf mould sinks by less than half when watered in',
  },
})
