import type { Shown } from '../shown'

export const baggedMixes = {
  baggedMixes: 'Bagged mixes',
  describeABaggedMix: 'Describe a bagged mix',
  fromTheirLabelsToHold:
    'From their labels: to hold your own against in Compare, or to go into a mix as a part of it.',
  boughtAs: 'Bought as',
  label: 'Label',
}

export const dressingPackDialog = {
  keep: 'Keep',
  usualPack: 'Usual pack',
  anotherPack: 'Another pack',
  weightOfAPack: 'Weight of a pack',
  priceOfAPack: 'Price of a pack',
  inYourMoney0For: 'in your money; 0 for unknown',
  where: 'Where',
  aShopAYard: 'a shop, a yard',
  notSoldLikeThisAny: 'Not sold like this any more',
  itIsSoldInAnother: 'It is sold in another pack too',
  onHand: 'On hand',
  usedBeforeAnythingIsBought: 'used before anything is bought',
}

export const dressingShelfRow = {
  offeredNoMore: ', offered no more',
  yourOwn: (x: Shown) => `your own${x} ·`,
  boughtAs: 'Bought as',
  onHand: 'On hand',
  change: 'Change',
  change2: (name: Shown) => `Change ${name}`,
  pack: 'Pack',
  packPriceAndStockOf: (name: Shown) => `Pack, price and stock of ${name}`,
}

export const materialFigures = {
  figure: 'Figure',
  best: 'Best',
  likelyRange: 'Likely range',
  howSure: 'How sure',
  sources: 'Sources',
  recalledRatherThanReadAs: (confidence: Shown) =>
    `, recalled rather than read; as a row, ${confidence} confidence:`,
  notSo: 'Not so:',
  mind: 'Mind:',
}

export const materialRow = {
  offeredNoMore: ', offered no more',
  yourOwn: (x: Shown) => `your own${x} ·`,
  airIn: (lengthText: Shown) => `Air in ${lengthText}`,
  easyWater: 'Easy water',
  ph: 'pH',
  boughtAs: 'Bought as',
  onHand: 'On hand',
  change: 'Change',
  change2: (name: Shown) => `Change ${name}`,
  figures: 'Figures',
  figuresAndSourcesOf: (name: Shown) => `Figures and sources of ${name}`,
  pack: 'Pack',
  packPriceAndStockOf: (name: Shown) => `Pack, price and stock of ${name}`,
}

export const offerFields = {
  howItIsSold: 'How it is sold',
  takenAsMuchAsIs: 'Taken as much as is needed; it costs nothing and is never bought.',
  weightOfAPack: 'Weight of a pack',
  givesAboutLoose: (ofTable: Shown) => `gives about ${ofTable} loose`,
  soldByThe: 'Sold by the',
  volumeOnTheLabel: 'Volume on the label',
  givesLoose: 'Gives, loose',
  asTheLabelSays0: (ofTable: Shown) => `as the label says; 0 for about ${ofTable}`,
  priceOfSoMuch: 'Price of so much',
  priceOfAPack: 'Price of a pack',
  inYourMoney0For: 'in your money; 0 for unknown',
  delivery: 'Delivery',
  onceHoweverMuchComes: 'once, however much comes',
  where: 'Where',
  aShopAYard: 'a shop, a yard',
  priceSeenOn: 'Price seen on',
}

export const ownButtons = {
  keep: 'Keep',
  cancel: 'Cancel',
  copy: 'Copy',
  offerItAgain: 'Offer it again',
  offerItNoMore: 'Offer it no more',
}

export const ownDressingDialog = {
  aFeedOrLimeOf: 'A feed or lime of your own',
  whatYouCallIt: 'What you call it',
  myAllRoundFeed: 'My all-round feed',
  kind: 'Kind',
  aKindOf: 'A kind of',
  neutralizingValue: 'Neutralizing value',
  calciumCarbonateEquivalentFromThe: 'calcium carbonate equivalent, from the bag',
  howFine: 'How fine',
  theThreeNumbersOnThe: 'The three numbers on the bag',
  lastsMonthsOnTheLabel: 'Lasts, months on the label',
  itsNitrogen: 'Its nitrogen',
  aCupfulWeighsGrams: 'A cupful weighs, grams',
  forSpoonsAndCups0: 'for spoons and cups; 0 for unknown',
  theCupHoldsMl: 'The cup holds, mL',
  whereItCameFrom: 'Where it came from',
  howItGivesUpIts: (row: Shown, row2: Shown) =>
    `${row}; ${row2}. How it gives up its food and what it does to pH are estimated from its kin.`,
  myFeed: 'My feed',
}

export const ownMaterialDialog = {
  aMaterialOfYourOwn: 'A material of your own',
  whatYouCallIt: 'What you call it',
  myGardenCompost: 'My garden compost',
  kind: 'Kind',
  mostLike: 'Most like',
  aBucketfulWeighs: 'A bucketful weighs',
  withoutTheBucket0For: 'without the bucket; 0 for unknown',
  theBucketHolds: 'The bucket holds',
  asWeighedItWas: 'As weighed it was',
  inTheHandItIs: 'In the hand it is',
  ph: 'pH',
  from0ForUnknown: '0 for unknown',
  saltsEcDsM: 'Salts (EC), dS/m',
  ofASaturatedExtract0: 'of a saturated extract; 0 for unknown',
  thrownOutOnScreening: 'Thrown out on screening',
  moreIsBoughtToMake: 'more is bought to make up for it',
  whereItCameFrom: 'Where it came from',
  myMaterial: 'My material',
  aMeanOfItsKind: 'a mean of its kind',
}

export const shelfSheetDialog = {
  theShelfFromASheet: 'The shelf from a sheet',
  materialSoldAsSizePrice: 'material\tsold as\tsize\tprice\ton hand\nPumice\tbag\t20\t11\t0',
  csvFileOfTheShelf: 'CSV file of the shelf',
  material: 'Material',
  packs: 'Packs',
  price: 'Price',
  onHand: 'On hand',
  setTheShelfSo: 'Set the shelf so',
  aRowForEachPack: 'A row for each pack; several rows of one material are its packs.',
  soldAsBagBagBy: 'Sold as: bag, bag by weight, pressed bale, dry block, bulk, own.',
  wouldBeSetSo: (rows: Shown) => `${rows} would be set so:`,
}
