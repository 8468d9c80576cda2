import type { Shown } from '../base/shown'
import { TITLES } from './titles'

export const raiseView = {
  title: TITLES.raise,
  notRaised: 'This crop is sown where it grows, or bought as a plant: there is nothing to raise.',
  noCrop: 'Choose a crop at Containers first.',
  first: 'Sown in',
  second: 'Potted on into',
  stays: 'nothing: it stays in the first',
  warmthOfSeed: 'Warmth until it is up',
  warmth: 'Warmth after that',
  /** What a step back undoes. */
  did: {
    first: 'what it is sown in',
    second: 'what it is potted on into',
    warmthOfSeed: 'the warmth for the seed',
    warmth: 'the warmth of the seedlings',
  },
  best: (low: Shown, high: Shown) => `best ${low} to ${high}`,
  howWarm: 'night and day together',
  dates: 'From seed to planting out',
  steps: 'Steps on a line of time',
  mixes: 'The mix of each stage',
  makeJob: 'Make a job of this mix',
  makeJobOf: (stage: Shown) => `Make a job of the mix for ${stage}`,
  mixSays:
    'Seed wants a fine, clean mix with little feed. Each stage becomes a job of its own, judged for what is in it.',
  back: 'Back to the containers',
  link: 'Raise the plants yourself',
}
