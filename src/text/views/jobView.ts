import type { Shown } from '../base/shown'

export const jobView = {
  nameOfThisJob: 'Name of this job',
  putAway: ', put away',
  step: (at: Shown, of: Shown) => `step ${at} of ${of} · `,
  takeThisJobUpAgain: 'Take this job up again',
  putThisJobAway: 'Put this job away',
  takeItUpAgain: 'Take it up again',
  putItAwayKeptBut: 'Put it away: kept, but not in hand',
  removeThisJob: 'Remove this job',
  removeThisJob2: 'Remove this job?',
  leavesTheListItsRecord: (title: Shown) =>
    `“${title}” goes, with its log and photos. Its record, if there is one, stays. Undo brings all of it back.`,
  removeIt: 'Remove it',
  keepIt: 'Keep it',
  theDemoGarden: 'the demo garden',
  yourGarden: 'your garden',
  thisJobIsNotIn: (x: Shown) => `This job is not in ${x}`,
  itMayHaveBeenRemoved:
    'It may have been removed: undo brings it back. It may also belong to the other garden.',
}
