import type { Shown } from '../base/shown'

export const planView = {
  backToTheSeason: 'Back to the season',
  month: 'Month',
  followingTheWaterThroughThe: (progress: Shown) => `Following the water through the season … ${progress}`,
  forOneContainerInA:
    'For one container, in a usual month without rain. Rain that falls takes the place of a watering only where it wets the mix to its foot: lift it and see.',
  monthByMonth: 'Month by month',
  wateringsByMonth: 'Waterings by month',
  ifYouAreAway: 'If you are away',
  allBedsAway: 'Days away: all beds, and a sheet for who waters',
  asATable: 'As a table',
}
