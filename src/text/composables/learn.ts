import type { Shown } from '../base/shown'

export const learning = {
  whatTheReadingsTeachCould: 'What the readings teach could not be worked out.',
  learningFromReadings: 'learning from readings',
  takingAReadingInAgain: 'taking a reading in again',
  sayingAReadingIsRight: 'saying a reading is right',
  forgettingWhatWasLearned: 'forgetting what was learned',
  forgettingAllThatWasLearned: 'forgetting all that was learned',
}

export const taught = {
  aReadingThatIsNo: 'a reading that is no more',
}

export const test = {
  ofTheSameMixFill: (litres: Shown) => `${litres} of the same mix fill it up again.`,
  finishingATest: 'finishing a test',
}
