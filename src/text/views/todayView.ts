import type { Shown } from '../base/shown'

export const todayView = {
  today: 'Today',
  inHand: 'In hand',
  searchJobs: 'Search jobs',
  nothingInHandAJob: 'Nothing in hand. A job you start waits here until its mix is recorded.',
  latelyMixed: 'Lately mixed',
  noCropChosen: 'No crop chosen',
  pastItsDay: ', past its day',
  next: (next: Shown) => `Next: ${next}`,
}
