import type { Shown } from '../base/shown'

export const importPreview = {
  whatTheFileWouldChange: 'What the file would change',
  whatWouldChange: (fileName: Shown) => `What “${fileName}” would change`,
  nothingAllRecordsAreHere: (unchanged: Shown) => `Nothing: all ${unchanged} records are here already.`,
  new: 'New:',
  andMoreNewOnes: (added: Shown) => `… and ${added} more new ones.`,
  replaced: 'Replaced:',
  andMoreThatAreReplaced: (changed: Shown) => `… and ${changed} more that are replaced.`,
  areTheSameAlready: (unchanged: Shown) => `${unchanged} are the same already.`,
  inTheFileCannotBe: (unreadableCount: Shown) =>
    `${unreadableCount} in the file cannot be read and would be left out:`,
  standInTheFileMore: (repeated: Shown) =>
    `${repeated} are in the file more than once, with different contents:`,
  theLastOfEachIs: (repeated: Shown) => `the last of each is taken (${repeated}).`,
  bringIn: (count: Shown) => `Bring in ${count}`,
}

export const setAsideList = {
  download: 'Download',
  letItGo: 'Let it go',
}
