import type { Shown } from '../base/shown'

export const recipeView = {
  aRecipeFromSomebody: 'A shared recipe',
  openALinkThatCarries:
    'Open a link that carries a recipe, or a recipe file. Nothing is added until you have seen it.',
  recipe: 'Recipe',
  withWhatTheGiverAdded: (ownNames: Shown) =>
    `With the sender’s own materials, which go onto your shelf: ${ownNames}.`,
  notInTheMaterialTables: (unknown: Shown) =>
    `Not in the material tables: ${unknown}. It can be opened; take these out or put others in their place.`,
  beginAJobWithIt: 'Begin a job with it',
  orKeepItAmongThe: 'Or keep it among the versions of a job',
  openARecipeFile: 'Open a recipe file',
  recipeFile: 'Recipe file',
  fromSomebody: 'From somebody',
}
