import type { Shown } from '../base/shown'

export const nextView = {
  nextYear: 'Next year',
  whatTheOldMixHas: 'What the old mix has become is worked out from what went in.',
  writeTheMixDown: 'Write the mix down',
  theMixAsItIs: 'The mix as it is now',
  topItUp: 'Top it up',
  itHasSunkByA: (sunk: Shown) =>
    `It has sunk by ${sunk}: a job for the same mix, as much as fills it up again.`,
  makeTheTopUp: 'Make the top-up',
  useItAgain: 'Use it again?',
  tickWhatIsSo: 'Tick what is so',
  thatIsAll: 'That is all',
  itIsOnTheShelf: 'It is on the shelf as a material of your own, with what is left of it.',
  keepItOnTheShelf: 'Keep it on the shelf',
  freshenIt: 'Freshen it',
  forWhichCrop: 'For which crop',
  whatMostVegetablesLike: 'What most vegetables like',
  noCropIsCalledThat: 'No crop is called that',
  workingItOut: 'Working it out…',
  workOutWhatToAdd: 'Work out what to add',
  whatToAdd: 'What to add',
  whatYouChooseBeginsNext:
    'What you choose begins next year’s job for the same beds, with the old mix in it. Feed is judged there.',
}
