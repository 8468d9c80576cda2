import type { Shown } from '../base/shown'

export const makeStation = {
  backToQuantities: 'Back to quantities',
  batches: 'Batches',
  mixItInPlace: 'Or mix it in the bed, layer by layer',
  printTheCard: 'Print the card',
  oneBigStepAtA: 'One big step at a time',
  leftHand: 'Left hand',
  ranShortOrUsedSomething: 'Ran short, or used something else',
  thisBatchAsPlannedAgain: 'This batch as planned again',
  timeTheTurning5Minutes: 'Time the turning: 5 minutes',
  allTogether: 'All together:',
  ofDone: (doneCount: Shown, cards: Shown) => `${doneCount} of ${cards} done.`,
  clearAllTicks: 'Clear all ticks',
  turning: (card: Shown) => `Turning ${card}`,
}
