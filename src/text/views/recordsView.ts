import type { Shown } from '../shown'

export const recordsView = {
  records: 'Records',
  saveAsCsv: 'Save as CSV',
  compareSeasonsAndTreatments: 'Compare seasons and treatments',
  howCloseWereThePredictions: 'How close were the predictions?',
  nothingRecordedYetWhenA:
    'Nothing recorded yet. When a batch is mixed, its recipe, date and note come here, with the air, water and pH that were expected, so that next year you know why one tub did better than another.',
  allRecords: 'All records',
  searchRecords: 'Search records',
  noRecordAnswersTo: (search: Shown) => `No record answers to “${search}”.`,
  openBedRecordsCsv: 'open-bed records.csv',
}
