import type { Shown } from '../shown'

export const shelfMaterials = {
  of: (rows: Shown, all: Shown) => `${rows} of ${all}`,
  saveTheShelfAsCsv: 'Save the shelf as CSV',
  readASheet: 'Read a sheet',
  nothingOnTheShelfAnswers: (search: Shown) => `Nothing on the shelf answers to “${search}”.`,
  openBedShelfCsv: 'open-bed shelf.csv',
}
