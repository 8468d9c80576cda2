import type { Shown } from '../base/shown'

export const lessonsView = {
  onTheMixOfThis:
    'On the mix of this job, in its own container. Guess first: point at one of the two, or choose below. Nothing is scored.',
  thereIsNoMixTo: 'There is no mix to learn on yet.',
  seen: (title: Shown) => `${title}, seen`,
  yourGuess: 'Your guess',
  onYourMix: 'On your mix',
  onOneScale: (title: Shown) => `${title}, on one scale; the table below says the same`,
  nextLesson: 'Next lesson',
}
