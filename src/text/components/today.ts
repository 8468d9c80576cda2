import type { Shown } from '../base/shown'

export const doneJobs = {
  doneAndPutAway: (jobs: Shown) => `Done and put away (${jobs})`,
  again: 'Again',
  beginAgainForAnotherYear: (title: Shown) => `Begin ${title} again for another year`,
  takeUp: 'Take up',
  takeUpAgain: (title: Shown) => `Take up ${title} again`,
}

export const startTiles = {
  justABatch: 'Just a batch of mix',
  batchOfMix: 'Batch of mix',
  whatAreYouFilling: 'What are you filling?',
  chooseOneToStartA:
    'Choose one to start a job. You will say how big it is, make up a mix by parts, see how it drains in that very container, and get a card of buckets to measure.',
}
