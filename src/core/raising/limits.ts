import { defineLimits } from '../limits'

/** How plants are raised. */
export const RAISING_LIMITS = defineLimits({
  comesUp: {
    value: 0.8,
    low: 0.6,
    high: 0.95,
    unit: 'of the seed that comes up',
    source: 'common practice: fresh seed of vegetables, in warmth that suits it',
  },
  kept: {
    value: 0.9,
    low: 0.8,
    high: 0.98,
    unit: 'of the seedlings that are planted out',
    source: 'common practice: weak ones and losses',
  },
  pricked: {
    value: 10,
    low: 7,
    high: 14,
    unit: 'days at 20 C from coming up to pricking out',
    source: 'common practice: at the first true leaf',
  },
  inTray: {
    value: 100,
    low: 60,
    high: 150,
    unit: 'seedlings in an open tray',
    source: 'common practice',
  },
  hardening: {
    value: 8,
    low: 6,
    high: 14,
    unit: 'days of hardening off',
    source: 'common practice: a week to ten days, out by day and in by night',
  },
  usual: {
    value: 20,
    low: 18,
    high: 22,
    unit: 'C by which the weeks of a transplant are given',
    source: 'common practice',
  },
  baseCool: {
    value: 4,
    low: 2,
    high: 5,
    unit: 'C below which cool crops hardly grow',
    source: 'common practice',
  },
  baseWarm: {
    value: 10,
    low: 8,
    high: 12,
    unit: 'C below which warm crops hardly grow',
    source: 'common practice',
  },
  warmCrop: {
    value: 8,
    low: 7,
    high: 10,
    unit: 'C of the coolest germination from which a crop counts as warm',
    source: 'our assumption: it parts tomatoes and beans from cabbages and peas',
  },
  slowest: { value: 0.5, low: 0.4, high: 0.6, unit: 'of the usual growth', source: 'our assumption' },
  fastest: {
    value: 1.4,
    low: 1.2,
    high: 1.6,
    unit: 'of the usual growth',
    source: 'our assumption: beyond it plants are drawn',
  },
  settles: {
    value: 0.1,
    low: 0.05,
    high: 0.15,
    unit: 'more mix than the cells hold',
    source: 'common practice: settling and waste',
  },
})
