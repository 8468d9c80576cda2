import type { Shown } from '../base/shown'

export const logView = {
  moreToNote: 'More to note',
  moreToNoteSays: 'salts, weight, level, leaves, pests, photos',
  searchAndSheets: 'Search and sheets',
  log: 'Log',
  typeToFindABed: 'Type to find a bed',
  noBedIsCalledThat: 'No bed is called that',
  watered: 'Watered',
  wateredSoMuch: 'Watered with',
  noted: (what: Shown) => `${what}, noted.`,
  undo: 'Undo',
  keep: (name: Shown) => `Keep ${name}`,
  numberOfPieces: 'Number of pieces',
  removeThisLine: 'Remove this line',
  howItGoes: 'How it goes',
  itsCourseIsDrawnOnce: 'Its course is drawn once the mix is',
  recorded: 'recorded',
  orPlanted: 'or planted.',
  whatWasNoted: 'What was noted',
  searchTheLog: 'Search the log',
  nothingNotedYetOnePress:
    'Nothing noted yet. One press notes a watering; what you read is kept beside what was expected.',
  change: (name: Shown, at: Shown) => `Change: ${name}, ${at}`,
}
