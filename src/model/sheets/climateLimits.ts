import { defineLimits } from '@/core/limits'

/** Beyond these a sheet of months is asked about: it seems to be in another unit. */
export const CLIMATE_LIMITS = defineLimits({
  warmest: {
    value: 48,
    low: 47,
    high: 50,
    unit: 'C, mean of the days of the warmest month',
    source: 'common practice: the hottest places reach 47 C',
  },
  coolest: {
    value: 7,
    low: 5,
    high: 10,
    unit: 'C, mean of the days of the warmest month',
    source: 'common practice: no garden has a cooler one',
  },
  wettest: {
    value: 12_000,
    low: 12_000,
    high: 13_000,
    unit: 'mm in a year',
    source: 'common practice: the wettest places have 12 m',
  },
})

/**
 * What is possible for a place, least and most: C, mm in a month, degrees, m, meq/L, dS/m, mg/L, m2, litres,
 * days. Common practice.
 */
export const PLACE_RANGES = {
  tMin: [-60, 45],
  tMax: [-60, 55],
  rain: [0, 3000],
  latitude: [-70, 70],
  elevation: [-430, 5000],
  waterAlkalinity: [0, 20],
  waterEc: [0, 10],
  waterSodium: [0, 11_000],
  waterChloride: [0, 20_000],
  waterBoron: [0, 100],
  roof: [0, 100_000],
  barrel: [0, 1_000_000],
  coldestNight: [-60, 25],
  waterEvery: [0.25, 30],
} as const satisfies Record<string, readonly [number, number]>
