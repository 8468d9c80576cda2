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
