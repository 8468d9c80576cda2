export const repeatFields = {
  ifYouReadIt: 'if you read it',
}

export const taughtBox = {
  itIsRight: 'It is right',
  theReadingsAreAsThe: 'The readings agree with the tables, within what a meter can tell: nothing to change.',
  useThisFromNowOn: 'Use this from now on',
}
