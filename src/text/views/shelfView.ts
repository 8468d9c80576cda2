export const shelfView = {
  shelf: 'Shelf',
  testAMaterial: 'Test a material',
  whatReadingsTaught: 'What readings taught',
  whatIsShown: 'What is shown',
  searchTheShelf: 'Search the shelf',
  searchTheShelf2: 'Search the shelf ( / )',
  aMaterialOfYourOwn: 'A material of your own',
  aFeedOrLimeOf: 'A feed or lime of your own',
  feedsAndLimes: 'Feeds and limes',
  baggedMixes: 'Bagged mixes',
  baggedMix: 'Bagged mix',
}
