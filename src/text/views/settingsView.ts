import type { Shown } from '../base/shown'

export const settingsView = {
  openEveryHeading: 'Open every heading, so that all controls are in sight',
  settingsAndData: 'Settings and data',
  unitsAndLook: 'Units and look',
  units: 'Units',
  look: 'Look',
  currency: 'Sign for money',
  currencyHint: '£, $ or €; leave it empty for figures alone',
  theClimateTheWaterAnd:
    'The climate, the water and the wind your pots stand in, and how often you can water.',
  lookAtThePlace: 'Look at the place',
  onThisDevice: 'On this device',
  installOpenBed: 'Install Open Bed',
  yourData: 'Your data',
  isKeptInThisBrowser: (x: Shown, counts: Shown) =>
    `${x}, ${counts}, is kept in this browser on this device and nowhere else. Save a file now and then: it is your backup, and the way to another device.`,
  saveADataPackage: 'Save a data package',
  bedsBatchesReadingsAndHarvests: 'Beds, batches, readings and harvests as tables (Frictionless), zipped',
  bringInFromAFile: 'Bring in from a file…',
  recordsChecked: 'Records checked',
  startTheDemoAfresh: 'Start the demo afresh',
  setAside: 'Set aside',
  theseCouldNotBeUsed:
    'These could not be used, or a later edit replaced them. They are kept whole until you remove them.',
  openBedDataZip: 'open-bed data.zip',
  and: (records: Shown, jobs: Shown, mixRecords: Shown) => `${records}, ${jobs} and ${mixRecords}`,
  theGardenHasChangedSince:
    'The garden has changed since you looked: nothing was brought in. Look again below.',
  broughtInUndoTakesIt: (brought: Shown) => `${brought} brought in. Undo takes it back.`,
  itIsBackInUse: 'It is back in use.',
  theDemoIsAsNew: 'The demo is reset. Undo brings back what you did in it.',
}
