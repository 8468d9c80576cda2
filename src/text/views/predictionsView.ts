export const predictionsView = {
  eachReadingBesideWhatThe:
    'Each reading beside what the tables alone had led to expect, before anything was learned. Where eight in ten lie inside the likely range, the ranges are honest.',
  noReadingYet: 'No reading yet.',
  beginWithATest: 'Begin with a test.',
  holdingYourReadingsAgainstWhat: 'Comparing your readings with what was expected…',
  everyReading: 'Every reading',
  readingsBesideWhatWasExpected: 'Readings beside what was expected',
  reading: 'Reading',
  expectedLikelyRange: 'by the tables alone, likely range',
  expectedSince: 'expected since',
}
