import type { Shown } from '../base/shown'

export const causeList = {
  speaksAgainstIt: 'Against it:',
  toTell: 'To tell:',
  toDo: 'To do:',
}

export const dueList = {
  done: (count: Shown) => `Done (${count})`,
  pastItsDay: 'overdue',
  moved: (day: Shown) => `moved from ${day}`,
}

export const moveTask = {
  task: 'Move a task',
  day: 'To',
  workedOut: (day: Shown) => `Back to ${day}`,
}

export const logSheetDialog = {
  readingsFromASheet: 'Readings from a sheet',
  csvFileOfReadings: 'CSV file of readings',
  canBeAdded: (lines: Shown) => `${lines} can be added:`,
  inTheLogAlready: (lines: Shown) => `Left out, in the log already: ${lines}.`,
  what: 'What',
  value: 'Value',
  aRowForEachReading: 'A row for each reading; what a meter calls EC is salts.',
  whatWateredFedPhSalts: 'What: watered, fed, pH, salts, weight, sunk, harvest, leaf, pest, note.',
}

export const seasonTimeline = {
  expected: 'expected',
  read: 'read',
  asNoted: 'as noted',
}

export const trialPlan = {
  potsInTheirRow: 'Pots in their row',
  pot: (i: Shown) => `Pot ${i}:`,
  standThemInThisRow:
    'Stand them in this row, pairs together, and label each. Use one variety of one age, with the same water and feed for all. Do not turn or move a pot. Note each pot’s harvest by itself.',
}

export const nextPicture = {
  asItWasFilled: 'As it was filled',
  asItIsNow: 'As it is now',
  air: 'air',
  sunk: 'sunk',
  expected: 'expected',
  read: 'as read',
  byItsCourse: 'predicted',
}
