import type { Shown } from '../base/shown'

export const playBar = {
  time: 'Time',
  play: 'Play',
  onePictureBack: 'Back one picture',
  onePictureOn: 'Forward one picture',
  timeSinceTheStart: 'Time since the start',
  pace: 'Pace',
}

export const pouringFields = {
  howAndOnWhat: 'How it is poured, and on what',
  waterEachTime: 'Water each time',
  pouredOver: 'Poured over',
  when: 'When',
  theMixIs: 'The mix is',
  inAUsual: 'In a usual',
  usedInADay: 'Used in a day',
  emptyWhatThisCropTakes: 'empty: what this crop takes in that month',
  emptyNothingIsTaken: 'empty: nothing is taken',
  rainOnTheSecondDay: 'Rain on the second day',
  followedFor: 'Followed for',
  from1To14Days: '1 to 14 days',
}

export const monthDrops = {
  wateringsByMonth: 'Waterings by month',
  nothing: 'none from above',
  ofMonth: (month: Shown, often: Shown, litres: Shown) => `${month}: ${often}, ${litres} each time`,
}

export const awayBars = {
  daysAway: 'Days away',
  lasts: 'lasts',
  thirstyBefore: 'thirsty before you are back',
  helps: 'A wick, shade or a neighbour helps where nothing here lasts.',
}

export const liftScale = {
  waterNow: 'water now',
  justDrained: 'just drained',
  says: (light: Shown, heavy: Shown) =>
    `Lift it: ${heavy} when it has just drained, ${light} when it is time to water.`,
}

export const lessonPicture = {
  twoSides: 'The two side by side',
}
