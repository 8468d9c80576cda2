import { defineLimits } from '../../limits'

/** What decides how water moves, where the tables of materials say nothing. */
export const MOVING_LIMITS = defineLimits({
  airlessRoots: {
    value: 0.5,
    low: 0.25,
    high: 0.5,
    unit: 'share of the roots',
    source: 'our assumption: a plant short of air at half its roots shows it',
  },
  widestPore: {
    value: 1,
    low: 0.5,
    high: 2,
    unit: 'cm of tension',
    source:
      'Ippisch, Vogel & Bastian 2006 (from memory): wider gaps than some 3 mm do not act as capillaries',
  },
  stalls: {
    value: 0.02,
    low: 0.01,
    high: 0.05,
    unit: 'cm/h',
    source: 'set on our own runs: air of mixes on layers 24 h after watering, within a point as a rule',
  },
  airForRoots: {
    value: 0.1,
    low: 0.05,
    high: 0.15,
    unit: 'fraction of the mix',
    source:
      'Wesseling & van Wijk 1957; Grable & Siemer 1968 (both from memory): gases hardly move below a tenth',
  },
  rootsMakeUp: {
    value: 1,
    low: 0.5,
    high: 1,
    unit: 'share of the roots that can feed the whole plant',
    source: 'Jarvis 1989 for the form; 1, none, is as FAO-56 reckons, over all roots alike',
  },
  driestInPots: {
    value: 1500,
    low: 300,
    high: 3000,
    unit: 'cm',
    source: 'common practice: plants in peat and bark wilt for good long before the 15,000 cm of field soil',
  },
  wilts: {
    value: 0.5,
    low: 0.3,
    high: 0.7,
    unit: 'share of what the plant would take up',
    source: 'our assumption: below half it hangs its leaves by day',
  },
  thirst: {
    value: 0.9,
    low: 0.8,
    high: 0.95,
    unit: 'share of what the plant would take up',
    source: 'our assumption: below it leaves warm and growth slows',
  },
})
