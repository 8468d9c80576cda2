export const shelfView = {
  shelf: 'Shelf',
  testAMaterial: 'Test a material',
  whatIsShown: 'What is shown',
  searchTheShelf: 'Search the shelf',
  searchTheShelf2: 'Search the shelf ( / )',
  feedsAndLimes: 'Feeds and limes',
}
