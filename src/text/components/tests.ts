import type { Shown } from '../shown'

export const repeatFields = {
  ifYouReadIt: 'if you read it',
}

export const taughtBox = {
  itIsRight: 'It is right',
  theReadingsAreAsThe:
    'The readings are as the tables have it, within what a meter tells: nothing to change.',
  beforeAndAfter: (name: Shown) => `${name}, before and after`,
  asTheTableHasIt: 'as the table has it',
  asYouReadIt: 'as you read it',
  useThisFromNowOn: 'Use this from now on',
}
