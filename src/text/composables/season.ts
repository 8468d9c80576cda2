import type { Shown } from '../base/shown'

export const log = {
  aLineOfTheLog: 'a line of the log',
  thisIsNotADay: 'This is not a day of the calendar.',
  typeAYearOfFour: 'Type a year of four digits.',
  changingALineOfThe: 'changing a line of the log',
  linesOfTheLog: (entries: Shown) => `${entries} lines of the log`,
}

export const nextYear = {
  toppedUp: (job: Shown) => `${job}, topped up`,
  noMixWasFoundWith: 'No mix was found with it. Put more materials on the shelf, or take another crop.',
}

export const photos = {
  isNotAPictureThis: (name: Shown) =>
    `“${name}” is not a picture this browser can read. Choose a JPEG or PNG.`,
  photosAreKeptWhichIs: (photos: Shown) => `${photos} photos are kept, which is the most. Remove one first.`,
}
