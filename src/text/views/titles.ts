/** What each page is called, by the name of its route. */
export const TITLES = {
  containers: 'Containers',
  raise: 'Raise the plants',
  mix: 'Mix',
  finder: 'Find a mix',
  compare: 'Compare mixes',
  water: 'Water it',
  lessons: 'Lessons',
  buy: 'Buy',
  prepare: 'Prepare',
  make: 'Make',
  record: 'Write it down',
  fill: 'Fill',
  labels: 'Labels',
  season: 'Season',
  plan: 'Watering plan',
  feed: 'Liquid feed',
  log: 'Log',
  next: 'Next year',
  wrong: 'Something looks wrong',
  today: 'Today',
  beds: 'Beds',
  place: 'Place',
  tap: 'Your water',
  away: 'Days away',
  sheet: 'A watering sheet',
  recipe: 'A shared recipe',
  heap: 'Compost heap',
  years: 'Beds over the years',
  shelf: 'Shelf',
  tests: 'Tests',
  test: 'Test',
  learned: 'What readings taught',
  seasons: 'Compare seasons',
  predictions: 'How close were the predictions',
  records: 'Records',
  method: 'Method',
  settings: 'Settings and data',
  lost: 'Not found',
} as const

/** What is to be done at each station, after “Next:”. */
export const NEXT = {
  containers: 'say what is filled',
  mix: 'make up the mix',
  buy: 'gather the materials',
  prepare: 'get the materials ready',
  make: 'measure and blend',
  fill: 'fill and plant',
  season: 'follow it through the season',
} as const

/** The title of the window: the page, whose it is, and the app. */
export const titleOf = (page: unknown, job = ''): string =>
  [typeof page === 'string' ? page : '', job, 'Open Bed'].filter(Boolean).join(' · ')
