import type { Shown } from '../base/shown'

export const compareView = {
  compareMixes: 'Compare mixes',
  allInTheBedThe: 'All in the bed, the crop and the season of this job.',
  addAMix: 'Add a mix',
  noMixOfThatName: 'No mix of that name',
  addTwoOrMore: 'Add two or more',
  addOneMore: 'Add one more',
  versionsOfThisMixMixes: (x: Shown) =>
    `${x}: versions of this mix, mixes to begin from, those of your other jobs, or a bagged one from its label.`,
  withoutPeat: 'Find one without peat',
  withoutPeatName: 'Without peat',
  lookingWithoutPeat: 'Looking for a mix without peat that behaves like this one …',
  noneWithoutPeat: 'No mix of the materials there are comes near it without peat.',
  changes: 'What changes without peat',
  bag: (id: Shown) => `bag ${id}`,
  taking: (name: Shown) => `taking ${name}`,
}
