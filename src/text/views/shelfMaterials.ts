export const shelfMaterials = {
  whatYouHave: 'What you have',
  everythingElse: 'Everything else',
  sheetsOfTheShelf: 'Sheets',
  saveTheShelfAsCsv: 'Save the shelf as CSV',
  openBedShelfCsv: 'open-bed shelf.csv',
}
