import type { Shown } from '../base/shown'

export const appBar = {
  openBedToToday: 'Open Bed, to Today',
  openBed: 'Open Bed',
  places: 'Places',
  demoGarden: 'Demo garden',
  myGarden: 'My garden',
  goToMyGarden: 'Go to my garden',
  lookAtTheDemo: 'Look at the demo',
  demo: 'Demo',
  help: 'Keys and words',
}

export const keysDialog = {
  keys: 'Keys',
  words: 'Words',
  keysAndWords: 'Keys and words',
  onTheMixFromPart: 'on the mix: from part to part',
  onAPartOneMeasure: 'on a part: one measure more or less',
  onAPartTakeIt: 'on a part: take it out',
  onTheMixTakesA: 'on the mix: makes a next move',
  toAStation: 'in a job: to its first station, second and so on',
  thisList: 'this list',
}

export const wordList = {
  searchWords: 'Search words',
  noSuchWord: 'No such word here.',
}

export const conflictNotice = {
  wasInAnotherTab: (c: Shown, x: Shown) => `${c} was ${x} in another tab`,
  whileYouWereChangingIt:
    'while you were changing it here. What you did here is not saved yet. Choose one: the other is kept under Settings, set aside.',
  keepMine: 'Keep mine',
  takeTheOther: 'Use the other',
}

export const saveNotice = {
  notSavedYet: 'Not saved yet',
  notSaved: 'Not saved!',
}
