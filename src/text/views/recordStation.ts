import type { Shown } from '../base/shown'

export const recordStation = {
  recorded: 'Recorded',
  onToFilling: 'On to filling',
  seeItInRecords: 'See it in Records',
  keptWithTheRecipeAs:
    'Kept with the recipe as measured and what it should do, to hold against what you find.',
  measureIs: 'measure is',
  measuresAre: 'measures are',
  notTickedYouCanRecord: (open: Shown, x: Shown) =>
    `${open} ${x} not ticked. You can record it all the same.`,
  howItFeltWhatWas: 'How it felt, what was swapped, the weather',
  asPrintedOnThePack: 'as printed on the pack, if you want to find it again',
  takeWhatWentInOff: 'Take what went in off my shelf',
  firstSayWhatIsLeft: (unanswered: Shown) => `First say what is left of ${unanswered}.`,
  recordThisMix: 'Record this mix',
}
