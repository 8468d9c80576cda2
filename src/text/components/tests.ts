export const repeatFields = {
  ifYouReadIt: 'if you read it',
}

export const taughtBox = {
  itIsRight: 'It is right',
  theReadingsAreAsThe:
    'The readings are as the tables have it, within what a meter tells: nothing to change.',
  useThisFromNowOn: 'Use this from now on',
}
