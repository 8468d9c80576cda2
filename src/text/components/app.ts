export const appBar = {
  openBedToToday: 'Open Bed, to Today',
  openBed: 'Open Bed',
  places: 'Places',
  demoGarden: 'Demo garden',
  myGarden: 'My garden',
  goToMyGarden: 'Go to my garden',
  lookAtTheDemo: 'Look at the demo',
}

export const keysDialog = {
  keys: 'Keys',
  onTheMixFromPart: 'on the mix: from part to part',
  onAPartOneMeasure: 'on a part: one measure more or less',
  onAPartTakeIt: 'on a part: take it out',
  onTheMixTakesA: 'on the mix: takes a next move',
  thisList: 'this list',
}
