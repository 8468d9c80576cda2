import type { Shown } from '../base/shown'

export const bedsView = {
  searchBeds2: 'Search beds ( / )',
  howToLookAtThem: 'How to look at them',
  newBed: 'New bed',
  manyAtOnce: 'Many at once',
  noBedsYetDescribeThe:
    'No beds yet. Describe the pots, bags, troughs and beds you own once: their inside size, where water leaves, what they stand on. Each then knows how much mix it takes, and a job fills as many of them as you like.',
  noBedAnswersTo: (search: Shown) => `No bed matches “${search}”.`,
  theBed: 'The bed',
  openBedBedsCsv: 'open-bed beds.csv',
}
