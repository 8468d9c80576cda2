import type { Shown } from '../shown'

export const bedsView = {
  beds: 'Beds',
  searchBeds: 'Search beds',
  searchBeds2: 'Search beds ( / )',
  howToLookAtThem: 'How to look at them',
  newBed: 'New bed',
  manyAtOnce: 'Many at once',
  saveAsCsv: 'Save as CSV',
  noBedsYetDescribeThe:
    'No beds yet. Describe the pots, bags, troughs and beds you own once: their inside size, where water leaves, what they stand on. Each then knows how much mix it takes, and a job fills as many of them as you like.',
  noBedAnswersTo: (search: Shown) => `No bed answers to “${search}”.`,
  inSection: 'In section',
  theBed: 'The bed',
  openBedBedsCsv: 'open-bed beds.csv',
}
