import type { Shown } from '../base/shown'

export const recordsView = {
  records: 'Records',
  compareSeasonsAndTreatments: 'Compare seasons and treatments',
  nothingRecordedYetWhenA:
    'Nothing recorded yet. When a batch is mixed, its recipe, date and note come here, with what was expected of it. Next year you know why one tub did better than another.',
  searchRecords: 'Search records',
  noRecordAnswersTo: (search: Shown) => `No record matches “${search}”.`,
  openBedRecordsCsv: 'open-bed records.csv',
}
