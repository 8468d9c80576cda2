import type { Shown } from '../base/shown'
import type { UnitSystem } from '../base/units'

export const todayView = {
  today: 'Today',
  noMixYet:
    'No mix recorded yet. What you make is kept here with its date, its recipe and what was expected of it.',
  takeTheTour: 'Take the tour: five pages, two minutes',
  dueInAFortnight: 'What is due within a fortnight; the jobs below say the same.',
  amountOfMix: (litres: Shown) => `${litres} of mix`,
  inHand: 'Current jobs',
  searchJobs: 'Search jobs',
  nothingInHandAJob: 'No current jobs. A job you start waits here until its mix is recorded.',
  latelyMixed: 'Recent mixes',
  noCropChosen: 'No crop chosen',
  pastItsDay: ', overdue',
  sizesIn: (units: UnitSystem) =>
    units === 'us' ? 'Sizes in inches and US gallons' : 'Sizes in centimetres and litres',
  next: (next: Shown) => `Next: ${next}`,
}
