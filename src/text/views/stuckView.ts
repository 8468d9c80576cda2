import type { Shown } from '../base/shown'

export const stuckView = {
  doesNotOpen: (x: Shown) => `${x} does not open`,
  nothingWasChangedWhatWas: 'Nothing was changed: what was saved is still there.',
  openToLookAtOnly: 'Open to look at only',
  saveWhatIsThereTo: 'Save what is there to a file',
  waitingForTheDatabase: 'Waiting for the database…',
}
