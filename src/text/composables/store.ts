import type { Shown } from '../base/shown'

export const store = {
  couldNotItHasBeen: (word: Shown, label: Shown) =>
    `Could not ${word} “${label}”: it has been changed since, in another tab.`,
  startingTheDemoAfresh: 'starting the demo afresh',
}
