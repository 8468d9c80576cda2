import { defineLimits } from '../limits'

/** What decides how much water is used, and how much of it is there to use. */
export const WATERING_LIMITS = defineLimits({
  leastDepletion: {
    value: 0.1,
    low: 0.1,
    high: 0.2,
    unit: 'fraction',
    source: 'FAO-56, table 22 and its note',
  },
  mostDepletion: {
    value: 0.8,
    low: 0.7,
    high: 0.8,
    unit: 'fraction',
    source: 'FAO-56, table 22 and its note',
  },
  depletionPerMm: {
    value: 0.04,
    low: 0.03,
    high: 0.05,
    unit: '1/(mm/day)',
    source: 'FAO-56, note to table 22',
  },
  depletionAt: { value: 5, low: 5, high: 5, unit: 'mm/day', source: 'FAO-56, note to table 22' },
  bareSurface: {
    value: 0.4,
    low: 0.3,
    high: 0.5,
    unit: 'times ET0',
    source: 'FAO-56, wet bare soil now and then',
  },
  coverSaves: {
    value: 0.5,
    low: 0.25,
    high: 0.8,
    unit: 'share of what the bare surface gives to the air',
    source: 'FAO-56 chapter 10: an organic mulch over all the surface',
  },
  fineCoverSaves: {
    value: 0.5,
    low: 0.2,
    high: 0.8,
    unit: 'times what a coarse cover saves',
    source: 'our assumption: fine stuff lies close on the mix and hands its water on',
  },
  wholeCover: {
    value: 5,
    low: 3,
    high: 8,
    unit: 'cm',
    source: 'common practice: a thinner mulch leaves gaps',
  },
  wetTop: {
    value: 0.85,
    low: 0.6,
    high: 1.15,
    unit: 'times ET0',
    source: 'FAO-56, soil wetted every day',
  },
  rootsReach: {
    value: 2,
    low: 1.5,
    high: 3,
    unit: 'times the least room of a plant',
    source: 'our assumption: roots go beyond what a plant needs, but not through any tub',
  },
  rainShed: {
    value: 0.5,
    low: 0.3,
    high: 0.9,
    unit: 'share of what falls on leaf over the rim',
    source: 'common practice',
  },
  wetMonth: {
    value: 1.5,
    low: 1,
    high: 2,
    unit: 'rain over use',
    source: 'our assumption: by half more falls than plants take up',
  },
})
