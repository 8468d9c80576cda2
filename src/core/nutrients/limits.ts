import { defineLimits } from '../limits'

/** What makes feed and conditioners stand out. */
export const FLAG_LIMITS = defineLimits({
  charTakes: {
    value: 4,
    low: 2,
    high: 10,
    unit: 'mg of nitrogen taken up by a litre of mix',
    source: 'our assumption: less is nothing a plant shows',
  },
  crystalsSwell: {
    value: 80,
    low: 60,
    high: 100,
    unit: 'mL for a gram',
    source: 'Bowman, Evans & Paul 1990, JASHS 115:382-386 (from memory): in hard or feed water',
  },
  swollenShare: {
    value: 0.02,
    low: 0.01,
    high: 0.05,
    unit: 'share of the volume',
    source: 'our assumption: a finger of lift in a deep pot',
  },
})
