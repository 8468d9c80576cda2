import { defineLimits } from '../limits'

/** What the finder takes for met, and what makes one recipe come before another. */
export const FINDER_LIMITS = defineLimits({
  met: {
    value: 0.25,
    low: 0.1,
    high: 0.5,
    unit: 'steps outside a band',
    source:
      'our assumption: half a point of air or water, which nobody could measure; the bench calls it within, too',
  },
  oddParts: {
    value: 24,
    low: 16,
    high: 36,
    unit: 'parts',
    source:
      'common practice, by judgement: so many parts to count are as odd as a mix wholly of badly known materials',
  },
  cheaperOfAKind: {
    value: 0.15,
    low: 0.1,
    high: 0.3,
    unit: 'share of the cost saved',
    source: 'our assumption: so much cheaper is worth a second recipe of the same kinds of material',
  },
  judged: {
    value: 24,
    low: 10,
    high: 60,
    unit: 'recipes',
    source: 'our assumption: so many of the best are looked at as the bench would look at them',
  },
})
