import type { Shown } from '../shown'

export const benchTools = {
  toolsOfTheBench: 'Tools of the bench',
  findAMix: 'Find a mix',
  compare: 'Compare',
  waterIt: 'Water it',
  mixesToBeginFrom: 'Mixes to begin from',
  byPacks: 'By packs',
  versions: (versions: Shown) => `Versions (${versions})`,
  versions2: 'Versions',
  share: 'Share',
  openARecipe: 'Open a recipe',
  goingOnFrom: (name: Shown) => `going on from “${name}”`,
  beginningWith: (name: Shown) => `beginning with ${name}`,
  givesLoose: (pack: Shown, material: Shown) => `${pack} gives ${material} loose`,
  aMixByPacks: 'a mix by packs',
}
