import type { Shown } from '../base/shown'

export const prepareStation = {
  gettingReady: (job: Shown) => `${job}: getting ready`,
  beforeMixing: 'Before mixing',
  mix: 'Mix',
  lineOfTime: 'What is got ready, on a line of time; the list below says the same.',
  nothingOfThisMixHas: 'Nothing of this mix has to be got ready beforehand.',
  by: (buyBy: Shown) => `by ${buyBy}.`,
  theList: 'The list',
  afterMixingBeforePlanting: 'After mixing, before planting',
  otherSteps: 'More',
  anotherStepCalendarPaper: 'another step, calendar, print',
  anotherStep: 'Another step',
  screenChargeHeatWash: 'screen, charge, heat, wash …',
  searchTheSteps: 'Search the steps',
  noSuchStepForThis: 'No such step for this mix',
  onToMixing: 'Go to Make',
  print: 'Print',
  mixingDay: 'Mixing day',
  atTheEarliest: (earliest: Shown) => `${earliest} at the earliest`,
  whileYouGetReady: 'While you get ready',
}
