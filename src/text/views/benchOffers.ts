import type { Shown } from '../shown'

export const benchOffers = {
  mostVegetables: 'most vegetables',
  mixesForInThisBed: (name: Shown) => `Mixes for ${name} in this bed`,
  tryingRecipes: 'Trying recipes',
  givesUp: (o: Shown) => `Gives up: ${o}.`,
  beginWithIt: 'Begin with it',
  beginWith: (candidate: Shown) => `Begin with ${candidate}`,
  nothingOnYourShelfMakes:
    'Nothing on your shelf makes a mix for it. Find a mix among every material, or begin with your own parts.',
  beginningWith: (candidate: Shown) => `beginning with ${candidate}`,
}
