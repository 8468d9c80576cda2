import type { Shown } from '../base/shown'

export const bagDialog = {
  aBaggedMixFromIts: 'A bagged mix, from its label',
  aBagHolds: 'A bag holds',
  aBagCosts: 'A bag costs',
  phOnTheLabel: 'pH on the label',
  from0WhereItSaysNone: '0 where it says none',
  fertilizerInIt: 'Fertilizer in it',
  searchFertilizers: 'Search fertilizers',
  noFertilizerOfThatName: 'No fertilizer of that name',
  soMuchOfIt: 'So much of it',
  kilogramsInACubicMetre: 'kilograms in a cubic metre are grams in a litre',
  nameWhatItListsMost:
    'Name what it lists, most first. What the label leaves open is taken at the middle of what is possible.',
  takenAs: 'Taken as:',
  theLabelLeavesThisOpen: 'The label leaves this open; Compare shows between what.',
  noneOrNoneItNames: 'None, or none it names',
}

export const depthStrip = {
  theSameMixInOther: 'The same mix in other depths',
  deepAir: (airFilledPorosity: Shown) => `deep, ${airFilledPorosity} air`,
}

export const dressingList = {
  feedAndOtherDressings: 'Feed and other dressings',
  give: (label: Shown) => `Give ${label}`,
  addAFeedOrOther: 'Add a feed or other dressing',
  searchDressings: 'Search dressings',
  noDressingOfThatName: 'No dressing of that name',
}

export const dressingRow = {
  amount: 'Amount',
  goes: 'Goes',
  whereGoes: (name: Shown) => `Where ${name} goes`,
  top: 'Top',
  daysAfterPlanting: 'Days after planting',
  howMuchOfTheMix: (name: Shown) => `How much of the mix gets ${name}`,
  someOfTheBeds: 'some of the beds',
  handleWithCare: (hazard: Shown) => `Handle with care: ${hazard}.`,
}

export const finishedMixDialog = {
  itGoesInAsOne:
    'It goes in as one part, whole, with the lime and feed it has. It is copied as it is now: a change elsewhere changes nothing here.',
  noMixAnswersTo: (search: Shown) => `No mix found for “${search}”.`,
  noFinishedMixYetKeep: 'No finished mix yet: keep a version, or describe a bag.',
}

export const fitChart = {
  costAgainstFitTheTable: 'Cost against fit; the list says the same',
  surer: '↑ more batches meet every target',
  cheaper: (cost: Shown) => `← cheaper, ${cost}`,
  dearer: (cost: Shown, unit: Shown) => `dearer, ${cost} ${unit} →`,
  point: (rank: Shown, recipe: Shown, cost: Shown) => `${rank}: ${recipe}, ${cost}`,
  costs: (cost: Shown, unit: Shown, fit: Shown, chance: Shown) =>
    `${cost} ${unit}, ${fit}; ${chance} batches meet every target`,
  use: (recipe: Shown) => `Use this mix: ${recipe}`,
}

export const ingredientList = {
  whatIsInItIn: 'What is in it, in the order of the label',
  shareOf: (materialId: Shown) => `Share of ${materialId}`,
  earlier: (materialId: Shown) => `${materialId} earlier`,
  later: (materialId: Shown) => `${materialId} later`,
  takeOut: (materialId: Shown) => `Take out ${materialId}`,
  theShareWhereTheLabel: 'The share where the label says one; 0 where it does not.',
  addAnIngredient: 'Add an ingredient',
  addWhatItListsNext: 'Add what it lists next',
}

export const judgementList = {
  whatStandsOut: 'What stands out',
  by: (source: Shown) => `By: ${source}.`,
  whyItMayStand: (says: Shown) => `Why it is fine: ${says}`,
  whyItMayStand2: 'Why it is fine',
  iKnowBecause: 'I know, because…',
  iKnowBecause2: (says: Shown) => `I know, because: ${says}`,
  answered: (shut: Shown) => `Answered (${shut})`,
  you: (reason: Shown) => `You: ${reason}`,
  sayItAgain: 'Say it again',
  more: (n: number) => (n === 1 ? 'One more' : `${n} more`),
  fewer: 'Fewer',
  watchThis: 'Watch this',
  toKnow: 'To know',
  noReasonGiven: 'no reason given',
  compareWater: 'Compare what helps',
}

export const labelDoseDialog = {
  orItsLabel: 'Or the label of mine',
  labelExample: '20-16-15',
  itIs: 'It is',
  feedNamed: (label: Shown) => `Feed ${label}`,
  giveIt: 'Give it',
  theRecipesFeedIs: 'The feed in the recipe is',
  theRecipeSays: 'The recipe says',
  from2TablespoonsPerBucket: '2 tablespoons per bucket',
  mineIs: 'Mine is',
  searchFeeds: 'Search feeds',
  noFeedOfThatName: 'No feed of that name',
  chooseAFeed: 'Choose a feed',
  asMuchOfWhichNutrient: 'Match the amount of',
  oneOfTheTwoHas: 'One of the two has none of that: match by another nutrient.',
  ofYours: (comesTo: Shown, answer: Shown) => `of yours: ${comesTo}. ${answer}`,
  aLabelHasThreeNumbers: 'A label has three numbers.',
  typeThemAsOnThe: 'Type them as on the bag, such as 4-4-4 or 15-5-15.',
}

export const nextMoves = {
  nextMoves: 'Next moves',
  fromEveryMaterial: 'from every material',
  fromYourShelf: 'from your shelf',
  lookingForChangesThatHelp: 'Looking for changes that help …',
}

export const packsDialog = {
  aMixByPacks: 'A mix by packs',
  makeItSo: 'Make it so',
  howManyPacksOfEach: 'How many packs of each go in; half a bag is 0.5. Pack sizes are those of your shelf.',
  packsOf: (materialId: Shown) => `Packs of ${materialId}`,
  addAMaterial: 'Add a material',
  makes: 'Makes',
  ofMix: 'of mix.',
}

export const profileColumn = {
  airAtTheTopAt: (name: Shown, air: Shown, air2: Shown) =>
    `${name}: air ${air} at the top, ${air2} at the base`,
}

export const recipeCard = {
  for: (cropName: Shown) => `For ${cropName}, `,
  judgedIn: (cropName: Shown, spec: Shown) => `${cropName}judged in: ${spec}`,
  in100LMeasured: 'In 100 L measured',
  ofMixAsBlended: 'of mix as blended',
  airAfterDrainingWaterWithin: ({
    air,
    water,
    pH,
    loss,
    today,
  }: Record<'air' | 'water' | 'pH' | 'loss' | 'today', Shown>) =>
    `Air after draining ${air}, easy water ${water}, pH ${pH} in six weeks; ${loss} is lost on stirring. Written ${today}.`,
}

export const shareDialog = {
  shareThisMix: 'Share this mix',
  whatItWasGoodFor: 'What it was for',
  aLinkThatCarriesThe: 'A link that carries the whole recipe; nothing is sent anywhere',
  saveAsAFile: 'Save as a file',
  printTheRecipe: 'Print the recipe',
}

export const shelfStrip = {
  onYourShelf: 'On your shelf',
  left: (stock: Shown) => `${stock} left`,
}

export const starterDialog = {
  oneForEachSchoolOf: (workedOn: Shown) =>
    `One for each school of practice, under our own names, worked out by the finder on ${workedOn}. The mix you have is kept as a version.`,
  for: (forWhat: Shown, goodAt: Shown) => `For ${forWhat}. ${goodAt}`,
  givesUp: 'Drawback:',
}

export const versionsDialog = {
  versionsOfThisMix: 'Versions of this mix',
  nameForWhatIsOn: 'Name for your mix as it is now',
  keepThisVersion: 'Keep this version',
  whatIsOnTheBench: (current: Shown) => `Your mix as it is now is kept${current}.`,
  as: (current: Shown) => ` as “${current}”`,
  whatIsOnTheBench2: 'You have not kept this mix yet. Going back keeps it first.',
  noneYetKeepOneBefore:
    'None yet. Keep one before you try something else: you can go back to it, compare it, or work on from it.',
  nameOf: (name: Shown) => `Name of ${name}`,
  aNote: 'A note',
  noteOn: (name: Shown) => `Note on ${name}`,
  from: (from: Shown) => `, from “${from}”`,
  goOnFromIt: 'Go on from it',
  goOnFrom: (name: Shown) => `Go on from ${name}`,
  remove: (name: Shown) => `Remove ${name}`,
  version: (versions: Shown) => `Version ${versions}`,
}
