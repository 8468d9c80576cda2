import { defineLimits } from '@/core/limits'

/** Letters a name may have, wherever one is typed, imported or made of other names. */
export const LONGEST_NAME = 120
/** Letters a note may have. */
export const LONGEST_NOTE = 10_000
/** Letters a note on a kept recipe may have, and one that goes with a recipe to somebody else. */
export const LONGEST_RECIPE_NOTE = 2000
/** Letters a reason for a warning answered may have. */
export const LONGEST_REASON = 500

/** How much of a thing a garden keeps: what a field, a sheet and an import take, and what a record may hold. */
export const GARDEN_LIMITS = defineLimits({
  parts: {
    value: 40,
    low: 20,
    high: 60,
    unit: 'parts',
    source: 'our assumption: more than anybody stirs together',
  },
  mixes: { value: 12, low: 6, high: 20, unit: 'finished mixes', source: 'our assumption: as `parts`' },
  dressings: { value: 20, low: 10, high: 40, unit: 'dressings', source: 'our assumption: as `parts`' },
  versions: {
    value: 200,
    low: 50,
    high: 400,
    unit: 'versions',
    source: 'our assumption: a version a day of a season',
  },
  twelfths: {
    value: 12_000,
    low: 1200,
    high: 12_000,
    unit: 'twelfths of a part',
    source: 'our assumption: a thousand buckets of one material',
  },
  beds: { value: 200, low: 50, high: 500, unit: 'beds of a job', source: 'our assumption: as `parts`' },
  companions: { value: 12, low: 6, high: 20, unit: 'crops', source: 'our assumption: as `parts`' },
  ingredients: {
    value: 12,
    low: 8,
    high: 20,
    unit: 'lines of a label',
    source: 'our assumption: as `parts`',
  },
  layers: { value: 8, low: 4, high: 12, unit: 'layers', source: 'our assumption: as `parts`' },
  otherPacks: {
    value: 8,
    low: 4,
    high: 12,
    unit: 'packs',
    source: 'our assumption: more sizes than a shop has',
  },
  readySteps: {
    value: 400,
    low: 100,
    high: 800,
    unit: 'steps of getting ready',
    source: 'our assumption: ten steps for each of as many parts as a mix takes',
  },
  jobsTogether: {
    value: 12,
    low: 6,
    high: 20,
    unit: 'jobs on one list',
    source: 'our assumption: a spring of jobs',
  },
  bought: { value: 100, low: 60, high: 200, unit: 'things bought', source: 'our assumption: as `parts`' },
  otherwise: {
    value: 2000,
    low: 500,
    high: 4000,
    unit: 'measures made otherwise',
    source: 'our assumption: four in each of five hundred batches',
  },
  readings: { value: 1000, low: 500, high: 2000, unit: 'readings', source: 'our assumption: two a batch' },
  repeats: {
    value: 12,
    low: 6,
    high: 24,
    unit: 'repeats of a test',
    source: 'our assumption: more than anybody does',
  },
  learnedReadings: {
    value: 400,
    low: 100,
    high: 800,
    unit: 'readings learned from',
    source: 'our assumption: ten seasons of readings',
  },
  learnedNames: {
    value: 4000,
    low: 1000,
    high: 8000,
    unit: 'properties learned of',
    source: 'our assumption: every property of every row a garden uses',
  },
  timers: { value: 40, low: 20, high: 80, unit: 'timers', source: 'our assumption: one for each part' },
  photos: {
    value: 200,
    low: 100,
    high: 400,
    unit: 'photos',
    source: 'our assumption: some 30 MB, which every browser keeps',
  },
  photoLetters: {
    value: 400_000,
    low: 200_000,
    high: 800_000,
    unit: 'letters of a photo',
    source: 'our assumption: 1,024 by 768 points fit',
  },
  sheetRows: {
    value: 500,
    low: 200,
    high: 1000,
    unit: 'rows of a sheet read at once',
    source: 'our assumption: a large garden; more would hold the page up',
  },
  ticks: {
    value: 20_000,
    low: 8000,
    high: 40_000,
    unit: 'ticked measures of a job',
    source: 'our assumption: forty parts in five hundred batches',
  },
  filledSteps: {
    value: 4000,
    low: 1000,
    high: 8000,
    unit: 'ticked steps of filling',
    source: 'our assumption: twenty steps in each of as many beds as a job takes',
  },
  followedSteps: {
    value: 400,
    low: 100,
    high: 800,
    unit: 'ticked steps of a season',
    source: 'our assumption: more than one a day',
  },
  movedDays: {
    value: 200,
    low: 40,
    high: 800,
    unit: 'tasks of a job put on another day',
    source: 'our assumption: ten times the tasks of a season',
  },
  bedYears: {
    value: 60,
    low: 60,
    high: 60,
    unit: 'years kept of one bed',
    source: 'our assumption: a lifetime of gardening',
  },
  heapLoads: {
    value: 60,
    low: 60,
    high: 60,
    unit: 'loads on one heap',
    source: 'our assumption: a barrow a week for a year',
  },
  heapReadings: {
    value: 400,
    low: 400,
    high: 400,
    unit: 'readings of one heap',
    source: 'our assumption: one a day for a year',
  },
  liquidFeeds: {
    value: 6,
    low: 3,
    high: 12,
    unit: 'feeds given with water in one season',
    source: 'our assumption: a feed, another after it, and what each lacks',
  },
  answered: {
    value: 80,
    low: 40,
    high: 160,
    unit: 'warnings answered',
    source: 'our assumption: as `parts`',
  },
  corners: {
    value: 200,
    low: 60,
    high: 200,
    unit: 'corners',
    source: 'our assumption: a bed drawn by hand has a dozen',
  },
})
