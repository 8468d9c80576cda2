import type { Shown } from '../shown'

export const lessonsView = {
  lessons: 'Lessons',
  backToTheBench: 'Back to the bench',
  onTheMixOfThis: 'On the mix of this job, in its own container. Guess first; nothing is scored.',
  thereIsNoMixTo: 'There is no mix to learn on yet.',
  putSomethingInIt: 'Put something in it',
  first: 'first.',
  seen: (title: Shown) => `${title}, seen`,
  yourGuess: 'Your guess',
  tryAgain: 'Try again',
  pouring: 'Pouring …',
  onYourMix: 'On your mix',
  nextLesson: 'Next lesson',
}
