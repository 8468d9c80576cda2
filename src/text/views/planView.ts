import type { Shown } from '../base/shown'

export const planView = {
  backToTheSeason: 'Back to the season',
  month: 'Month',
  followingTheWaterThroughThe: (progress: Shown) => `Following the water through the season … ${progress}`,
  forOneContainerInA:
    'For one container, in a usual month without rain. Rain that falls takes the place of a watering only where it wets the mix to its foot: lift it and see.',
  theBenchSaysForThis: (atOnce: Shown) =>
    `The bench says ${atOnce} for this month: that counts what the mix round the roots holds with ease; this plan follows what rises to them as well. In heat go by the shorter.`,
  monthByMonth: 'Month by month',
  wateringsByMonth: 'Waterings by month',
  whatMakesItLastLonger: 'What makes it last longer',
  untilItIsThirsty: 'Until it is thirsty',
  changesAndTheDaysThey: 'Changes and the days they bring',
}
