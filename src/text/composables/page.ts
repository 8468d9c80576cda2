export const playback = {
  slowAMinuteASecond: 'Slow: a minute a second',
  middlingHalfAnHourA: 'Medium: half an hour a second',
  fastFourHoursASecond: 'Fast: four hours a second',
}
