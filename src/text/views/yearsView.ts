import type { Shown } from '../base/shown'
import { TITLES } from './titles'

export const yearsView = {
  title: TITLES.years,
  noBeds: 'No bed that keeps its soil is on the list. Pots that are filled anew each year need no rotation.',
  toBeds: 'To the beds',
  link: 'Over the years',
  whichYear: 'Year',
  cropIn: (year: Shown) => `Crop in ${year}`,
  asPlanned: (crop: Shown) => `as planned: ${crop}`,
  notKnown: 'not known',
  nothingPlanned: 'nothing planned',
  before: 'Years before',
  beforeSays: 'what grew here, the better the plan',
  spring: 'Level, lime and salts',
  springSays: 'what the mix has become by spring',
  compost: 'Compost and phosphorus',
  compostSays: 'what years of it add up to',
  compostIn: (year: Shown) => `Compost or manure spread in ${year}`,
  leftOut: (count: Shown) => `${count} of your list are filled anew each year, and left out here.`,
  /** What a step back undoes. */
  did: { crop: 'a crop of a year', compost: 'compost of a year' },
}
