import type { Shown } from '../base/shown'

export const leftList = {
  whatIsLeftOnYour: 'What is left on your shelf',
  choose: 'Choose',
}

export const photoStrip = {
  photos: 'Photos',
  photoOf: (takenAt: Shown) => `Photo of ${takenAt}`,
  removeThePhotoOf: (takenAt: Shown) => `Remove the photo of ${takenAt}`,
  addAPhoto: 'Add a photo',
  shrunkAndKeptInThis: (room: Shown) => `shrunk and kept in this browser; room for ${room}`,
}

export const recordList = {
  noCrop: 'no crop',
  air: (airFilledPorosity: Shown) => `air ${airFilledPorosity}`,
}

export const recordSheet = {
  makeItAgain: 'Make it again',
  print: 'Print',
  whatWentIn: 'What went in',
  readAtTheTub: 'Read at the tub',
  whatWasExpected: 'What was expected',
  openItsJob: 'Open its job',
  removeThisRecord: 'Remove this record',
  undoBringsItBack: 'Undo brings it back.',
}
