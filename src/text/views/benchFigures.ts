export const benchFigures = {
  moreFigures: 'More figures',
  moreFiguresSays: 'salts, feed, later years, cost',
  whatTheMixWillDo: 'What the mix will do',
  drawingLotsOfSuchMaterials: 'Trying batches of such materials…',
  beforeYouFillIt: 'Before you fill it',
  onToQuantities: 'Go to Buy',
  airWaterPhAndWeight: 'Air, water, pH and weight appear here as soon as there is something in the mix.',
}
