import type { Shown } from '../base/shown'

export const benchOffers = {
  mixesForInThisBed: (name: Shown) => `Mixes for ${name} in this bed`,
  tryingRecipes: 'Trying recipes',
  givesUp: (o: Shown) => `Drawback: ${o}.`,
  nothingOnYourShelfMakes:
    'Nothing on your shelf makes a mix for it. Find a mix among every material, or begin with your own parts.',
}
