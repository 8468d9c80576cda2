export const shelfMaterials = {
  saveTheShelfAsCsv: 'Save the shelf as CSV',
  openBedShelfCsv: 'open-bed shelf.csv',
}
