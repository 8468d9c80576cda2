import type { Shown } from '../base/shown'

export const batchCard = {
  aShortOne: 'a short one, ',
  fills: (fills: Shown) => `, fills ${fills}`,
  gives: (x: Shown, blendLitres: Shown, fills: Shown) => `${x}gives ${blendLitres}${fills}`,
  madeFirstItGoesInto: 'Make it first: it goes into the others as one measure.',
  allInTurnItUntil: 'All in. Turn it until it is even.',
  nextBatch: 'Next batch',
}

export const batchPrint = {
  bucketOfMixInAll: (bucket: Shown, scoop: Shown, cards: Shown, blendLitres: Shown) =>
    `Bucket ${bucket}, scoop ${scoop}. ${cards}, ${blendLitres} of mix in all.`,
  mixedOn: 'Mixed on',
  by: 'by',
  lotOf: (name: Shown, lot: Shown) => `Lot of ${name}: ${lot}`,
  toWrite: '______________',
}

export const beforeMixing = {
  beforeYouBegin: 'Before you begin',
  first: 'Before the first batch',
  wetAndMeasure: 'wet what is dry; how to measure and turn',
  fillTheBucketLooselyTo: (bucket: Shown) =>
    `Fill the bucket loosely to its mark, ${bucket}; never press it down. Spread the measures in layers, scatter lime and feed over them, turn from below and scrape the corners until it is one colour.`,
}

export const bigStep = {
  ofIn: (count: Shown, presses: Shown) => `${count} of ${presses} in`,
  back: 'Back',
  sayIt: 'Say it',
  itIsIn: 'It is in',
  isIn: (presses: Shown) => `${presses} is in`,
}

export const gatherTable = {
  more: 'More',
  less: 'Less',
  moreOf: (name: Shown) => `More of ${name}: left over, cost, water`,
  bought: 'Bought',
  isBoughtOrAtHand: (name: Shown) => `${name} is bought or at hand`,
  notToBeHad: 'Cannot get it',
  isNotToBeHad: (name: Shown) => `${name} cannot be bought: find another`,
  makeItFirst: 'Make it first',
  iHaveItReady: 'I have it ready',
  measureOut: 'Measure out',
  leftOver: 'Left over',
  wetItFirst: 'Wet it first',
}

export const lossFlow = {
  fromTheBucketToThe: 'From the bucket to the bed',
}

export const moneyBox = {
  inTheMix: 'in the mix',
  onTheShelf: 'left over',
  barSays: (used: Shown, paid: Shown) =>
    `${used} of ${paid} goes into this mix; the rest stays on your shelf.`,
  whatItCosts: 'What it costs',
  paidAtTheShopAnd: 'Paid at the shop, and what goes into the mix',
  whatTheMixInEach: 'What the mix in each bed costs',
  asFigures: 'As figures',
  againstBags: 'Against bags',
  againstBagsOf: 'Against bags of',
  noPriceYetFor: (missing: Shown) => `No price yet for ${missing}.`,
}

export const otherwiseDialog = {
  ranShortOrSomethingElse: 'Ran short, or something else went in',
  reckonWithThat: 'Use that figure',
  whichMeasure: 'Which measure',
  howMuchOfItWent: 'How much of it went in',
  planned: (planned: Shown) => `planned: ${planned}`,
  inItsPlace: 'In its place',
  searchTheMaterials: 'Search the materials',
  noSuchMaterial: 'No material of that name',
  howMuchOfThat: 'How much of that',
  theBatchesAfterThisOne: 'The batches after this one',
  asPlannedIGetMore: 'As planned: I will buy more',
  theSameWay: 'The same way',
}

export const plantedForm = {
  planted: 'Planted',
  allIn: 'All in?',
  notEveryStepIsTicked: 'Some steps are not ticked. The season can begin anyway.',
  plantedOrSownOn: 'Planted or sown on',
  theSeasonIsCountedFrom: 'The season is counted from this day.',
  keepThisDay: 'Keep this day',
  itIsPlanted: 'It is planted',
  notYetAfterAll: 'Not yet',
  plantedOrSown: 'planted or sown',
}

export const prepSteps = {
  takes: (takes: Shown) => `takes ${takes}`,
  pastItsDay: '; overdue',
  timeIt: 'Time it',
  timeIt2: (title: Shown) => `Time it: ${title}`,
  notNeeded: 'Not needed',
  notNeeded2: (title: Shown) => `Not needed: ${title}`,
}

export const timerList = {
  timers: 'Timers',
  stopTheTimer: (label: Shown) => `Stop the timer: ${label}`,
}

export const tubChecks = {
  checkWhatIsInThe: 'Check what is in the tub',
  squeezeAHandfulItHolds:
    'Squeeze a handful: it holds together, falls apart at a tap, and gives a drop or two at most. Too dry: sprinkle and turn. Too wet: spread it out, or turn in something dry.',
  whatWasRead: 'What was read',
  phRead: 'pH read',
  saltsReadDsM: 'Salts read, dS/m',
  oneMeasureOfMixIn: 'one measure of mix in two of rain water, after half an hour',
  daysAfterMixing: 'Days after mixing',
  limeHasHardlyWorkedOn: 'lime has hardly worked on the first day',
  keepTheReading: 'Keep the reading',
  forgetIt: 'Forget it',
  forgetTheReading: (title: Shown) => `Forget the reading: ${title}`,
  putInOfTurnThe: (grams: Shown, dressingId: Shown) =>
    `Put in: ${grams} of ${dressingId}. Turn the batch until it is even, and read it again in a week or two.`,
}

export const tubPicture = {
  says: (inIt: Shown, all: Shown, next: Shown) =>
    `${inIt} of ${all}, loose, in the tub.${next ? ` Next: ${next}.` : ' All in.'}`,
}
