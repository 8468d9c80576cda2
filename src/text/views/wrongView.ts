export const wrongView = {
  whereYouSeeIt: 'Where you see it',
  anywhere: 'Anywhere',
  whatYouSee: 'What you see',
  whatMayBeBehindIt: 'What may be behind it',
  chooseWhatYouSeeWhat:
    'Choose what you see. What is likely is worked out from this mix, its bed and its log; a cause that the numbers speak against comes last.',
  itsMixCannotBeWorked: 'Its mix cannot be worked out, so nothing can be said of it here.',
  orSomethingElse: 'Or something else:',
  whomToAsk: 'Whom to ask:',
  anOrderOfLikelihoodFrom:
    'Ordered by likelihood from your own numbers; this is no diagnosis. Measure before you give anything:',
  tests: 'tests',
  and: ', and',
  noteWhatYouSee: 'note what you see',
}
