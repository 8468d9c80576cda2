import type { Shown } from '../base/shown'

export const cautionList = {
  ask: (ask: Shown) => `Ask: ${ask}.`,
  whyAndWhoToAsk: 'Why, and who to ask',
  iHaveReadThis: 'I have read this',
  readToday: (folded: Shown) => `Read today: ${folded}`,
}

export const limeBox = {
  toPh: (pH: Shown) => `to pH ${pH}`,
  lime: 'Lime',
  phWantedInSixWeeks: 'pH wanted in six weeks',
  wellWithinWhatLikesUnless: (cropName: Shown) => `well within what ${cropName} likes, unless you change it`,
  mostVegetables60To: 'most vegetables: 6.0 to 6.8',
  amountOfLime: 'Amount of lime',
  whichLime: 'Which lime',
  searchLimes: 'Search limes',
  noLimeOfThatName: 'No lime of that name',
  giveOfLime: (gramsPerLitre: Shown) => `Give ${gramsPerLitre} of lime`,
  toBringItToPh: (target: Shown) => `To bring it to pH ${target} in six weeks.`,
  withoutLimeTheMixIs: (pH: Shown) => `Without lime the mix is at pH ${pH}.`,
  theFinishedMixInIt: (premixed: Shown) => `The finished mix in it brings ${premixed} already.`,
  dolomiteBringsMagnesiumAndWorks: 'Dolomite brings magnesium and works more slowly than limestone.',
  toAPh: 'To a pH',
  byWeight: 'By weight',
}

export const materialPicker = {
  searchPerlitePeatFreeCompost: 'Search: perlite, peat-free, compost…',
  inTheMix: '· in the mix',
  airAsInOfThe: (lengthText: Shown) =>
    `Air as in ${lengthText} of the material alone. Enter takes the first.`,
}

export const monthStrip = {
  howTheMonthsSuitIt: 'How the months suit it outside',
  canBePlanted: ', can be planted',
  asItLikesPassableToo:
    '● ideal · acceptable – too cold ✻ nights too cold ! too hot; underlined: plant outside',
}

export const packDialog = {
  onHandLoose: 'On hand, loose',
  partPacksTooUsedBefore: 'part packs too; used before anything is bought',
  lookAgain: 'look again',
}

export const partList = {
  partsOf: (name: Shown) => `Parts of ${name}`,
  less: (stepText: Shown, name: Shown) => `${stepText} less ${name}`,
  more: (stepText: Shown, name: Shown) => `${stepText} more ${name}`,
}

export const planFields = {
  bucket: 'Bucket',
  whatYouMeasureWithTo: 'what you measure with, up to its mark',
  scoopOrJug: 'Scoop or jug',
  forWhatAQuarterBucket: 'for amounts under a quarter bucket',
  tubTarpOrBarrow: 'Tub, tarp or barrow',
  brimFullTwoThirdsIs: 'filled two thirds, so that you can turn it',
  filledToTheBrim: 'to the brim: the amount you mix at a time',
  theVesselIsTheMeasure: 'It measures the batch: fill it to the brim',
  mixedIn: 'Mixed in',
  somethingElse: 'something else',
  orABagAtA: 'or a bag at a time',
  allowanceForSettling: 'Allowance for settling',
  from5To10GoesWhen: '5 to 10 % goes when it is watered in',
  wholeMeasuresGive: 'Round to whole buckets',
}

export const readingGauge = {
  whyThis: (label: Shown) => `Why? ${label}`,
  why: 'Why?',
}

export const stationBar = {
  stationsOfThisJob: 'Stations of this job',
}

export const targetList = {
  leaveItToTheCrop: 'Use the range for the crop',
  from: (label: Shown) => `${label}, from`,
  to: (label: Shown) => `${label}, to`,
  moreThanTheUpperEnd: 'More than the upper end.',
  lowerItOrRaiseThe: 'Lower it, or raise the other.',
}
