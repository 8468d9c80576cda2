import type { Due } from '@/model/season/season'
import type { MonthSuits } from '@/core/season'

export const SUITS_NAMES: Record<MonthSuits, string> = {
  frost: 'nights too cold',
  cold: 'too cold to grow',
  fair: 'passable',
  best: 'ideal',
  hot: 'too hot',
}

/** The sign of each, wherever months are drawn. */
export const SUITS_MARKS: Record<MonthSuits, string> = {
  frost: '✻',
  cold: '–',
  fair: '·',
  best: '●',
  hot: '!',
}

export const FOLLOW_UP_TEXTS: Record<Due['code'], { title: string; text: string }> = {
  'correct-ph': { title: 'Bring the pH right', text: '' },
  flush: {
    title: 'Flush the salts',
    text: 'More salts were read than it bears. Two to three times the pot’s volume of good water in one day, and no feed until you have read it again.',
  },
  water: { title: 'Water', text: 'By its size, its month and when it was last watered. Feel it first.' },
  dress: { title: 'Put on what was held back', text: 'Scatter it round the plants, scratch it in, water.' },
  'test-ph-first': {
    title: 'Test the pH',
    text: 'A fortnight after mixing: by now the lime has begun to work. Note it in the log.',
  },
  'test-ph-again': {
    title: 'Test the pH again',
    text: 'Six weeks after mixing the pH should be where the mix was meant to be.',
  },
  shade: {
    title: 'Shade and shelter',
    text: 'A week out of hard sun and wind, until new roots have taken hold.',
  },
  feed: {
    title: 'Begin to feed',
    text: 'A week before the mix alone runs short. Liquid feed by its label, or a dressing on top.',
  },
  'check-salts': {
    title: 'Check the salts',
    text: 'Your water brings salt. Water until a fifth runs out below; where a meter says too much, flush with twice the pot’s volume of the softest water you have.',
  },
  'top-up': {
    title: 'Look at the level',
    text: 'Where it has sunk below the gap you left, top up with the same mix, not over the stems.',
  },
  harvest: { title: 'First harvest', text: 'Likely between these days; pick young.' },
  'bring-in': {
    title: 'Clear or bring in',
    text: 'From here on, nights are colder than it survives outside.',
  },
  winter: {
    title: 'Get it ready for winter',
    text: 'Pots together by a wall, off the ground so that they drain; wrap the pot, not only the plant.',
  },
  'look-back': {
    title: 'Look back',
    text: 'What would you do again? Note it in the record, freshen the old mix or make it a part of the next.',
  },
}
