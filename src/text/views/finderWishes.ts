import type { Shown } from '../base/shown'

export const finderWishes = {
  materialsToChooseFrom: 'Materials to choose from',
  /** How many materials of the shelf may be chosen from, where that is too few. */
  fewOnTheShelf: (count: number) =>
    `${count === 0 ? 'Nothing' : `Only ${count}`} on your shelf ${count > 1 ? 'have' : 'has'} a price or a stock. Put more there, or choose from every material.`,
  without: 'Without',
  kindsOfMaterialAtLeast: 'Kinds of material at least',
  materialsAtMost: 'Materials at most',
  partsInAllAtMost: 'Parts in all at most',
  fewerAreSoonerMeasuredMore: 'fewer are quicker to measure; more come nearer to the targets',
  nothingNamed: 'nothing named',
  areLeftOfTheseAnd: (left: Shown, takes: Shown) =>
    `${left} are left of these and the job takes ${takes} of mix: they cannot all go in. Name fewer, or ask for them under “Has to be in it”.`,
  mayCostSoMuch: (x: Shown) => `${x} may cost so much`,
  mostForAGallon: 'Most for a gallon',
  mostForALitre: 'Most for a litre',
  inTheMoneyOfYour: 'in the money of your shelf; what has no price is left out',
  leastDaysBetween: 'Water no more often than',
  daysBetweenWaterings: 'Days between waterings',
  noDaysAtAll: 'No days at all.',
  typeMoreThan0: 'Type more than 0.',
  inTheThirstiestMonthFull: 'in the thirstiest month, full grown',
  nothingOnYourShelfHas:
    'Nothing on your shelf has a price or is in stock yet: look among every material, or',
  fillTheShelf: 'fill the shelf',
  myShelf: 'My shelf',
  everyMaterial: 'Every material',
  hasToBeInIt: 'Has to be in it',
  mustNotBeInIt: 'Must not be in it',
  useUpWhatIsLeft: 'Use up what is left of',
}
