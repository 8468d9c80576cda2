import type { Shown } from '../base/shown'

export const labelsView = {
  addressOthersUse: 'Address others reach this app by',
  withoutItTheCode: 'without it the code holds the recipe in words, and no link',
  addressProblem: {
    why: 'No phone can open that.',
    fix: 'Type the whole address, with https:// or http:// before it, as another machine sees it.',
  },
  labels: 'Labels',
  theCodeOpensTheRecord: 'The code opens the record on this device and carries the recipe to any other.',
  onceTheMixIsRecorded: 'Once you record the mix, the label shows the day too.',
  size: 'Size',
  printTheSheet: 'Print the sheet',
  saveOneAsAPicture: 'Save one as a picture',
  backToFilling: 'Back to filling',
  theFirstAreOnThe: (shown: Shown) =>
    `The first ${shown} are on the sheet: choose one bed at a time for the rest.`,
  oneForEachContainer: 'One for each container',
  oneForEachBed: 'One for each bed',
  from90MmWideTwoIn: '90 mm wide, two in a row',
  from62MmWideThreeIn: '62 mm wide, three in a row',
}
