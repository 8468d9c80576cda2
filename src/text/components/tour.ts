import type { Shown } from '../base/shown'

/** Five pages of the demo, each with what to look at: job, page, sentence. */
export const TOUR: readonly { job: string; page: string; says: string }[] = [
  {
    job: 'fig',
    page: 'containers',
    says: 'Say what you fill and what will grow in it. Drag the fill line: the litres follow.',
  },
  {
    job: 'peppers-27',
    page: 'mix',
    says: 'Put a mix together by parts. The sentence on top says how good it is; press + and − and watch it.',
  },
  {
    job: 'peppers-27',
    page: 'buy',
    says: 'Take the list to the shop: whole packs at least cost, and what is left over.',
  },
  {
    job: 'peppers-27',
    page: 'make',
    says: 'Tick off each bucket at the tub. The card can be printed.',
  },
  {
    job: 'peppers-26',
    page: 'log',
    says: 'Note what you read and pick. It stands beside what was expected, and next year learns from it.',
  },
]

export const tourBar = {
  tour: 'Tour',
  step: (at: Shown, of: Shown) => `${at} of ${of}`,
  next: 'Next',
  finish: 'Finish',
  leave: 'Leave the tour',
}
