import type { Shown } from '../base/shown'

export const learnedView = {
  noReadingYetThatSpeaks: 'No reading of your materials yet.',
  beginWithATest: 'Begin with a test',
  phOfAMixThat: ': pH of a mix that is recorded, or a drained pot.',
  aReadingItWasLearned: 'A reading it was learned from has been removed.',
  seeWhatTheyTeach: 'See what they teach',
  workItOutAgain: 'Work it out again',
  onTheShelf: 'On the shelf',
  theReadingsAreAsThe: 'Your readings agree with the tables.',
  forgetWhatWasLearnedOf: (name: Shown) => `Forget what was learned of ${name}`,
  forgetAllOfIt: 'Forget all of it',
  readings: 'Readings',
  expected: (expected: Shown) => `, ${expected} expected`,
  takeItIn: 'Take it in',
  leaveItOut: 'Leave it out',
  takeIn: 'Take in',
  leaveOut: 'Leave out',
  leftOut: 'left out',
  learnedFrom: 'learned from',
  notLearnedFromYet: 'not used yet',
}
