import type { Shown } from '../shown'

export const shelfDressings = {
  feedOrLime: 'feed or lime',
  feedsAndLimes: 'feeds and limes',
  of: (rows: Shown, all: Shown) => `${rows} of ${all}`,
  nothingOnTheShelfAnswers: (search: Shown) => `Nothing on the shelf answers to “${search}”.`,
}
