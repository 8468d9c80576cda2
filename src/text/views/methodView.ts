import type { Shown } from '../base/shown'

export const methodView = {
  method: 'Method',
  whereEachNumberComesFrom:
    'Where each number comes from. A pot drained on the bench, a pH test and a pot of beans in the batch at hand outrank every figure here.',
  cautionsAllInOnePlace: 'Cautions, all in one place',
  howMuchAContainerHolds: 'How much a container holds',
  theInsideCutIntoLevel:
    'The inside, cut into level slices from the base to the rim, each slice measured. Taper and bulge count.',
  planeGeometryAFabricBag: 'Plane geometry. A fabric bag bulges as a parabola (our assumption).',
  lostOnStirring: 'Lost on stirring',
  airAfterDraining: 'Air after draining',
  waterThatMoves: 'Water that moves',
  waterItTheWateringPlan:
    'Water it, the watering plan and two lessons follow water through the mix by the minute. It is poured, drains, is held, goes to the roots and into the air. How fast a mix lets water through is known within a factor of ten, so each run is done again with mixes drawn within that. The likely range is shown.',
  aBedOpenToThe: 'A bed open to the soil',
  theSoilUnderneathDrawsOn: (coarse: Shown, loam: Shown, clay: Shown) =>
    `The soil underneath draws on the bed: at the base by about ${coarse} cm over gravel or sand, ${loam} over loam, ${clay} over clay, a day or two after a soaking. Wide range: half to double.`,
  commonPracticeFieldCapacityOf: 'Common practice: field capacity of the texture below.',
  waterWithinEasyReach: 'Easy water',
  meanOfH50Or: 'mean of θ(h) − θ(50), or θ(400) over soil',
  phAndLime: 'pH and lime',
  dryMixPlusTheWater:
    'Dry mix plus the water it keeps. The floor load is with every pore full. Container, plant, people and snow come on top.',
  massBalanceLifting23Kg: 'Mass balance. Lifting: 23 kg, NIOSH revised lifting equation.',
  theWindAtWhichThe:
    'The wind at which the pot begins to lift on one side: its weight half a base from the edge against the push on crown and pot. Gusts are half as strong again as the mean.',
  howMuchMix: 'How much mix',
  whatLiesBetweenTheLayers:
    'What lies between the layers below and the fill line, with what washes into the layers’ gaps, less root balls and old mix left. Settling and loss on stirring come on top, each shown apart. Logs and bark below rot and let the surface down.',
  highestLowToLowestHigh: 'highest low to lowest high',
  likelyRanges: 'Likely ranges',
}
