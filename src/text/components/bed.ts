import type { Shown } from '../base/shown'

export const amountChoice = {
  whatIsMade: 'What is made',
  mixToMakeLoose: 'Mix to make, loose',
  bucketsToEachPart: 'Or buckets to each part',
  makes: (litres: Shown) => `makes ${litres} of mix`,
  orUseUp: 'Or use up',
  aPackOrWhatIs: 'a pack, or what is on hand',
  fillThese: 'Fill these',
  aSetAmount: 'A set amount',
}

export const bedActs = {
  fillIt: 'Fill it',
  whatItWasFilledWith: 'What it was filled with',
}

export const bedAdder = {
  addOneOfYourBeds: 'Add one of your beds',
  noBedOfThatName: 'No bed of that name',
  aNewOne: 'A new one',
}

export const bedDrawing = {
  theBedInSection: 'The bed in section',
  sectionToScale: 'Section, to scale',
  dragALineByIts: 'Drag a line by its grip, or take it with the arrow keys.',
}

export const bedForm = {
  sizeHolesLayers: 'Size, holes and layers',
  sidesAndFilling: 'Name, holes, sides and filling',
  underAndOnTheMix: 'Under the mix and on it',
  whereWaterLeaves: 'Where water leaves',
  heightOfTheSideHoles: 'Height of the side holes',
  aboveTheInsideOfThe: 'above the inside of the base',
  howManyThereAre: 'How many do you have?',
}

export const bedPicture = {
  theDrawingWaitsUntilThat:
    'The drawing waits until that is corrected; everything else is kept as you typed it.',
}

export const bedRow = {
  lookAtIt: 'look at it',
}

export const cropFields = {
  whenAndWithWhat: 'When, where and with what',
  crop: 'Crop',
  chooseWhatWillGrowIn: 'Choose what will grow in it',
  withItInTheSame: 'With it in the same mix',
  nothingElse: 'nothing else',
  plantedIn: 'Planted in',
  mayIfUnsaid: 'May (assumed)',
  asManyAsHaveRoom: 'as many as have room',
  yourNumber: 'your number',
  asManyAsHaveRoom2: 'As many as have room',
  seedsCuttingsOrYears: 'Seeds, cuttings, or a mix for years',
  whatGrowsInIt: 'What grows in it',
  yearsInThisMix: 'Years in this mix',
  notSaid: 'Not said',
  whenItCanStandOutside: 'When it can stand outside',
}

export const fillList = {
  somethingIsWrongWithIt: 'something is wrong with it',
  toppingUp: ', topping up',
  leaveItOutOfThis: 'Leave it out of this job',
}

export const howMuch = {
  ofMixInPlace: 'of mix in place',
  wouldFillThem: 'would fill them',
  inEachOf: (net: Shown, count: Shown) => `${net} in each of ${count}.`,
  oldMixThatStays: 'Old mix that stays',
  roomTakenByRootBalls: 'Room taken by root balls',
  washedIntoTheLayers: 'Washed into the layers',
  moreFirmedOrPressedIn: 'More, firmed or pressed in',
  withForSettling: (settling: Shown) => `With ${settling} for settling`,
  madeLoose: 'Made, loose',
  toMeasureLostOnStirring: (loss: Shown) => `To measure, ${loss} lost on stirring`,
  coverOnTopBesideThe: 'Cover on top, beside the mix',
  theLayersBelowSaveOf: (saved: Shown) => `The layers below save ${saved} of mix now`,
  rottingTheyLetTheSurface: (sinking: Shown) =>
    `; as they rot the surface sinks by about ${sinking} within three years and needs topping up`,
  howItAddsUp: 'How it adds up, and in other measures',
  inOtherMeasures: 'In other measures',
  toBlendSettlingIncluded: 'To blend, settling included.',
  cubicMetres: 'cubic metres',
  usGallons: 'US gallons',
  cubicFeet: 'cubic feet',
  cubicYards: 'cubic yards',
  bucketsOf: (bucket: Shown) => `buckets of ${bucket}`,
  bagsOf50L: 'bags of 50 L',
  bagsOf2CuFt: 'bags of 2 cu ft',
}

export const jobBedFields = {
  inThisJob: (spec: Shown) => `${spec} in this job`,
  ofTheThereAre: (count: Shown) => `of the ${count} you have`,
  growsInIt: 'Grows in it',
  from0ForAsManyAs: 'empty for as many as have room',
  oldMixStaysInIt: 'Old mix stays in it: top up',
  itHasSunkBy: 'It has sunk by',
  belowTheFillLine: 'below the fill line',
  itStandsInThisJob: 'It is in this job only.',
  putItAmongTheBeds: 'Keep it in the list of beds',
  ofTheJob: 'of the job',
  asInTheJob: (cropName: Shown) => `as in the job: ${cropName}`,
  asInTheJob2: 'as in the job',
}

export const layerFields = {
  onTheMix: 'On the mix',
  addACover: 'Add a cover',
  nothingMulchClayAggregateOr:
    'Nothing. Mulch, clay aggregate or moss saves water until leaves shade the mix.',
  coveredWith: 'Covered with',
  thicknessOfTheCover: 'Thickness of the cover',
  inTheLipAboveThe: 'in the gap above the fill line',
  takeOffTheCover: 'Take off the cover',
  takeItOff: 'Take it off',
  underTheMix: 'Under the mix',
  addALayer: 'Add a layer',
  noMoreLayersThanThese: 'No more layers than these',
  nothingMixToTheBottom:
    'Nothing: mix to the bottom. Gravel there does not improve drainage. Logs save mix in a deep bed; it sinks as they rot.',
  searchLayers: 'Search layers',
  noLayerOrMaterialOf: 'No layer or material of that name',
  thicknessOfLayer: (index: Shown) => `Thickness of layer ${index}`,
  takeOutLayer: (index: Shown) => `Take out layer ${index}`,
}

export const outlineFields = {
  outlineOfTheBed: 'Outline of the bed',
  outlineFromAbove: 'Outline from above',
  an: (name: Shown) => `an ${name}`,
  planOfTheBed: 'Plan of the bed',
  across: (i: Shown) => `${i} across`,
  along: (i: Shown) => `${i} along`,
  takeOutCorner: (i: Shown) => `Take out corner ${i}`,
  addACorner: 'Add a corner',
}

export const shapeFields = {
  soldAs: 'Sold as',
  byItsInsideSizeBelow: 'by its inside size, below',
  aGallonOfTheNursery: 'A “gallon” of the nursery trade holds less than a gallon.',
  insideFilled: 'inside, filled',
  heapedAboveTheRim: 'Heaped above the rim',
  atItsHighest: 'at its highest',
  lipLeftFree: 'Gap below the rim',
  from25To5Cm: '2.5 to 5 cm is usual',
  from1To2InIs: '1 to 2 in is usual',
  holdsTo: (name: Shown, holds: Shown) => `${name}: holds ${holds}`,
}

export const sheetDialog = {
  manyBedsAtOnce: 'Many beds at once',
  nameShapeCountLengthHeight: 'name\tshape\tcount\tlength\theight\nSalad trough\ttrough\t4\t90\t20',
  csvFileOfBeds: 'CSV file of beds',
  name: 'Name',
  mix: 'Mix',
  lengthsInWhatYouLeave: (x: Shown) =>
    `Lengths in ${x}; what you leave out takes the usual value of its shape.`,
  ofARoundPot: 'Of a round pot',
  length: 'length',
  isTheWidthAcrossThe: 'is the width across the top and',
  baseLength: 'base length',
  acrossTheBase: 'across the base.',
  canBeAddedOfMix: (beds: Shown, total: Shown) => `${beds} can be added, ${total} of mix in all.`,
}

export const yardPicture = {
  theYard: 'The yard',
  yourBucket: (bucket: Shown) => `your bucket, ${bucket}`,
}

export const bedSection = {
  topOfThe: (layer: Shown) => `Top of the ${layer}`,
  sideHoles: 'Side holes',
  aboveTheBase: (sideHoles: Shown) => `${sideHoles} above the base`,
  surfaceOfTheOldMix: 'Surface of the old mix',
  sunkBy: (sunkBy: Shown) => `sunk by ${sunkBy}`,
  fillLine: 'Fill line',
  lipOf: (headspace: Shown) => `${headspace} below the rim`,
  toTopUp: (fillLine: Shown) => `${fillLine} to top up`,
  longDrawnInPart: 'long, drawn in part',
  acrossAndLong: (across: Shown, long: Shown) => `${across} across, ${long} long`,
}
