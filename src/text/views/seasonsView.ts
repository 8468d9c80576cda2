import type { Shown } from '../base/shown'

export const seasonsView = {
  compareSeasons: 'Compare seasons',
  putBedsOnSideA:
    'Put beds on side A or B: two mixes of one year, or one mix in two years. What is compared is the harvest you noted in their logs.',
  nothingPlantedYet: 'Nothing planted yet.',
  noteEachOfByItself: (pots: Shown) => `Note each of ${pots} by itself`,
  noteEachOfByItself2: (pots: Shown, name: Shown) => `Note each of ${pots} by itself: ${name}`,
  sideOf: (name: Shown) => `Side of ${name}`,
  whatCameOfIt: 'What it gave',
  onOneScale: 'Harvest of each pot or bed of A and B on one scale; the sentence below says the same',
  harvestCountedBy: 'Harvest counted by',
  chooseAtLeastOneBed: 'Choose at least one bed for each side.',
  leftOutWhatItIs: (without: Shown) => `${without} left out: not enough is known of them.`,
  whatDiffered: 'What differed',
  aFairTrial: 'A fair trial',
  potsOfEachMix: 'Pots of each mix',
  drawAgain: 'Draw again',
  drawWhichPotGetsWhich: 'Draw which pot gets which',
}
