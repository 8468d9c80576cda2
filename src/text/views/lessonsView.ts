import type { Shown } from '../base/shown'

export const lessonsView = {
  onTheMixOfThis: 'On the mix of this job, in its own container. Guess first; nothing is scored.',
  thereIsNoMixTo: 'There is no mix to learn on yet.',
  seen: (title: Shown) => `${title}, seen`,
  yourGuess: 'Your guess',
  onYourMix: 'On your mix',
  nextLesson: 'Next lesson',
}
