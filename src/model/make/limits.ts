import { defineLimits } from '@/core/limits'

/** What a plan of making may ask for. */
export const PLAN_LIMITS = defineLimits({
  amount: {
    value: 100_000,
    low: 50_000,
    high: 200_000,
    unit: 'L',
    source: 'our assumption: four lorry loads; more is a slip of the unit',
  },
  settling: {
    value: 0.5,
    low: 0.3,
    high: 0.6,
    unit: 'fraction',
    source: 'our assumption: even loose leaf mould sinks by less than half when watered in',
  },
})
