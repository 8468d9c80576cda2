import type { Shown } from '../base/shown'

export const foundTable = {
  recipesFoundBestFirst: 'Recipes found, best first',
  fit: 'Fit',
  lotsWithinAllBands: 'Meets every target',
  air: 'Air',
  waterInReach: 'Easy water',
  phWithLime: 'pH with lime',
  cost: (rateUnit: Shown) => `Cost ${rateUnit}`,
  open: 'Open',
  nothingBetterForTheMoney: 'best for the money',
  lime: (limeGramsPerLitre: Shown) => `${limeGramsPerLitre} lime`,
  putOnTheBench: (c: Shown) => `Use this mix: ${c}`,
}
