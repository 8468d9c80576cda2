export const playback = {
  slowAMinuteASecond: 'Slow: a minute a second',
  middlingHalfAnHourA: 'Middling: half an hour a second',
  fastFourHoursASecond: 'Fast: four hours a second',
}
