import type { Shown } from '../base/shown'

export const buyStation = {
  printShareSave: 'Print, share or save the list',
  bucketAndVessel: (bucket: Shown, vessel: Shown) => `bucket ${bucket}, mixed in ${vessel}`,
  toolsAndAllowance: 'Tools and allowance',
  boughtTogetherWith: 'Bought together with',
  searchYourJobs: 'Search your jobs',
  noSuchJob: 'No such job',
  thisJobAlone: 'this job alone',
  backToTheContainers: 'Back to the containers',
  whatToGather: 'What to gather',
  printTheList: 'Print the list',
  shareAsText: 'Share as text',
  whatIsTickedGoesOnto: 'What is ticked goes onto your shelf when the mix is recorded.',
  putItThereNow: 'Put it there now',
  howThisIsCounted: 'How this is counted',
  packSizesAreCommonOnes:
    'Pack sizes are common ones until you say what your shop sells; leftovers are loose and wetted.',
  onToPreparing: 'Go to Prepare',
  ticking: (name: Shown) => `ticking ${name}`,
  unticking: (name: Shown) => `unticking ${name}`,
  puttingItOnTheShelf: 'putting it on the shelf',
  whatToGather2: (job: Shown) => `${job}: what to gather`,
  toMeasureOutLoose: 'to measure out, loose',
  ofMixBlended: 'of mix, blended',
  inPlaceWateredIn: 'in place, watered in',
  onStirring: (lossHere: Shown) => `−${lossHere} on stirring`,
}
