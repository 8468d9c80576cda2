import type { Shown } from '../base/shown'

export const benchOffers = {
  whatDoYouHave: 'What do you have?',
  tellMeWhatToGet: 'Tell me what to get',
  aBagOfPottingMix: 'A bag of potting mix',
  otherMaterials: 'Compost, soil or other materials',
  materialsYouHave: 'Materials you have',
  chooseWhatYouHave: 'Choose what you have',
  searchMaterials: 'Search materials',
  noMaterialOfThatName: 'No material of that name',
  nameTwoOrMore: 'Name two or more, and you get mixes of them.',
  noMixOfThese:
    'No sound mix can be made of these for this bed. Add another material, or let the app tell you what to get.',
  mixesForInThisBed: (name: Shown) => `Mixes for ${name} in this bed`,
  tryingRecipes: 'Trying recipes',
  givesUp: (o: Shown) => `Drawback: ${o}.`,
  nothingOnYourShelfMakes:
    'Nothing on your shelf makes a mix for it. Find a mix among every material, or begin with your own parts.',
}
