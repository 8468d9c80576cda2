import type { Shown } from '../base/shown'

export const baggedMixes = {
  fromTheirLabelsToHold:
    'From their labels: to compare with your own mix, or to go into a mix as a part of it.',
}

export const dressingPackDialog = {
  usedBeforeAnythingIsBought: 'used before anything is bought',
}

export const materialFigures = {
  figure: 'Figure',
  best: 'Best',
  likelyRange: 'Likely range',
  howSure: 'How sure',
  sources: 'Sources',
  recalledRatherThanReadAs: (confidence: Shown) => `, from memory; confidence of the row: ${confidence};`,
  notSo: 'Not so:',
  mind: 'Mind:',
}

export const materialRow = {
  airIn: (lengthText: Shown) => `Air in ${lengthText}`,
  easyWater: 'Easy water',
  figures: 'Figures',
  figuresAndSourcesOf: (name: Shown) => `Figures and sources of ${name}`,
}

export const offerFields = {
  howItIsSold: 'How it is sold',
  takenAsMuchAsIs: 'Take what you need: it costs nothing and is never bought.',
  givesAboutLoose: (ofTable: Shown) => `gives about ${ofTable} loose`,
  soldByThe: 'Sold by the',
  volumeOnTheLabel: 'Volume on the label',
  givesLoose: 'Gives, loose',
  asTheLabelSays0: (ofTable: Shown) => `as the label says; 0 for about ${ofTable}`,
  priceOfSoMuch: 'Price of that amount',
  delivery: 'Delivery',
  onceHoweverMuchComes: 'once, however much you buy',
  priceSeenOn: 'Price seen on',
}

export const ownButtons = {
  offerItAgain: 'Offer it again',
  offerItNoMore: 'Do not offer it again',
}

export const ownDressingDialog = {
  myAllRoundFeed: 'My all-round feed',
  aKindOf: 'A kind of',
  neutralizingValue: 'Neutralizing value',
  calciumCarbonateEquivalentFromThe: 'calcium carbonate equivalent, from the bag',
  howFine: 'How fine',
  theThreeNumbersOnThe: 'The three numbers on the bag',
  lastsMonthsOnTheLabel: 'Lasts, months on the label',
  itsNitrogen: 'Its nitrogen',
  aCupfulWeighsGrams: 'A cupful weighs, grams',
  forSpoonsAndCups0: 'for spoons and cups; empty if not known',
  theCupHoldsMl: 'The cup holds, mL',
  howItGivesUpIts: (row: Shown, row2: Shown) =>
    `${row}; ${row2}. How fast it feeds and what it does to pH are estimated from similar products.`,
  myFeed: 'My feed',
}

export const ownMaterialDialog = {
  myGardenCompost: 'My garden compost',
  mostLike: 'Most like',
  aBucketfulWeighs: 'A bucketful weighs',
  withoutTheBucket0For: 'without the bucket; empty if not known',
  theBucketHolds: 'The bucket holds',
  asWeighedItWas: 'As weighed it was',
  inTheHandItIs: 'In your hand it feels',
  from0ForUnknown: 'empty if not known',
  saltsEcDsM: 'Salts (EC), dS/m',
  ofASaturatedExtract0: 'of a saturated extract; empty if not known',
  thrownOutOnScreening: 'Thrown out on screening',
  moreIsBoughtToMake: 'more is bought to make up for it',
  myMaterial: 'My material',
  aMeanOfItsKind: 'the mean of its family',
}

export const shelfSheetDialog = {
  theShelfFromASheet: 'The shelf from a sheet',
  materialSoldAsSizePrice: 'material\tsold as\tsize\tprice\ton hand\nPumice\tbag\t20\t11\t0',
  csvFileOfTheShelf: 'CSV file of the shelf',
  packs: 'Packs',
  price: 'Price',
  setTheShelfSo: 'Set the shelf like this',
  aRowForEachPack: 'A row for each pack; several rows of one material are its packs.',
  soldAsBagBagBy: 'Sold as: bag, bag by weight, pressed bale, dry block, bulk, own.',
  wouldBeSetSo: (rows: Shown) => `${rows} would change:`,
}
