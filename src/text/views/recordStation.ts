import type { Shown } from '../base/shown'

export const recordStation = {
  recorded: 'Recorded',
  onToFilling: 'Go to Fill',
  seeItInRecords: 'See it in Records',
  keptWithTheRecipeAs:
    'Kept with the recipe as measured and what it should do, to compare with what you find.',
  noBatchIsTicked: 'No batch is ticked in Make. Tick what you made, or say that you made all of it.',
  ticked: (done: Shown, of: Shown) => `${done} of ${of} batches are ticked in Make: only those are recorded.`,
  recordSome: (done: Shown, of: Shown) => `Record ${done} of ${of} batches`,
  recordAll: (of: Shown) => `Record all ${of} batches`,
  iMadeAll: (of: Shown) => `I made all ${of}`,
  iMadeIt: 'I made it',
  howItFeltWhatWas: 'How it felt, what was swapped, the weather',
  asPrintedOnThePack: 'as printed on the pack, if you want to find it again',
  takeWhatWentInOff: 'Take what I used off my shelf',
  firstSayWhatIsLeft: (unanswered: Shown) => `First say what is left of ${unanswered}.`,
  recordThisMix: 'Record this mix',
}
