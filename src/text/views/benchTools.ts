import type { Shown } from '../base/shown'

export const benchTools = {
  moreTools: 'More tools',
  toolsOfTheBench: 'Tools for the mix',
  compare: 'Compare',
  byPacks: 'By packs',
  versions: (versions: Shown) => `Versions (${versions})`,
  versions2: 'Versions',
  share: 'Share',
  openARecipe: 'Open a recipe',
  goingOnFrom: (name: Shown) => `going on from “${name}”`,
  givesLoose: (pack: Shown, material: Shown) => `${pack} gives ${material} loose`,
  aMixByPacks: 'a mix by packs',
}
