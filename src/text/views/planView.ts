import type { Shown } from '../base/shown'

export const planView = {
  backToTheSeason: 'Back to the season',
  month: 'Month',
  followingTheWaterThroughThe: (progress: Shown) => `Following the water through the season … ${progress}`,
  forOneContainerInA:
    'For one container, in a usual month without rain. Rain that falls takes the place of a watering only where it wets the mix to its foot: lift it and see.',
  monthByMonth: 'Month by month',
  wateringsByMonth: 'Waterings by month',
  whatMakesItLastLonger: 'What makes it last longer',
  untilItIsThirsty: 'Until it is thirsty',
  changesAndTheDaysThey: 'Changes and the days they bring',
}
