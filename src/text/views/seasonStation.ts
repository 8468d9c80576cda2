import type { Shown } from '../base/shown'

export const seasonStation = {
  whatIsDue: 'What is due',
  monthByMonth: 'Month by month',
  planted: 'Planted',
  litresInAll: (litres: Shown) => `${litres} in all`,
  whatToFeed: 'What to feed',
  feeding: 'feeding',
  lineOfTime: 'The season on a line of time; the list below says the same.',
  more: 'More',
  moreSays: 'other days, calendar, next year',
  courses: 'pH, salts, food and level',
  coursesSays: 'on the same days',
  coursesKey: 'Dashed: expected. Clay marks: read. Green: what the crop likes.',
  coursesInTheLog: 'Larger, with a table, in the log',
  noteSomethingInTheLog: 'Note something in the log',
  notPlantedYet: 'Not planted yet. These dates are a guess:',
  sayWhenItIsPlanted: 'Say when it is planted',
  plantedOn: (day: Shown) => `Planted on ${day}.`,
  harvestIsDrawnOutBy: 'Cool months delay the harvest: growth is taken as proportional to warmth.',
  aCalendarFileSavedAgain: 'A calendar file; saved again, it changes what is there and adds nothing twice',
  nextYearUseTheMix: 'Next year: use the mix again, freshen it, top it up',
  beginItAgainForAnother: 'Begin it again for another year',
  watering: 'Watering',
  howOftenItWantsWater: 'How often it wants water in dry weather, by month',
  inDryWeatherAtThe:
    'In dry weather, at the size the plants have by then. Feel the mix before you trust a table.',
  andChooseACrop: 'and choose a crop',
  toSeeHowOftenIt:
    'to see how often it will want water, when to plant it and whether it survives your winter.',
  outsideByTheMonth: (name: Shown) => `${name} outside, by the month`,
  winter: 'Winter',
}
