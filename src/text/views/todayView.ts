import type { Shown } from '../base/shown'

export const todayView = {
  today: 'Today',
  inHand: 'Current jobs',
  searchJobs: 'Search jobs',
  nothingInHandAJob: 'Nothing in hand. A job you start waits here until its mix is recorded.',
  latelyMixed: 'Recent mixes',
  noCropChosen: 'No crop chosen',
  pastItsDay: ', overdue',
  next: (next: Shown) => `Next: ${next}`,
}
