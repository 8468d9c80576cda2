import type { Shown } from '../base/shown'

export const placeView = {
  whereTheGardenIsDecides:
    'Where the garden is decides how fast pots dry, how fast lime and feed work, and how mixes rot. Six made-up climates to begin from; your own figures are better.',
  climateLike: 'Climate like',
  chooseTheNearest: 'Choose the nearest',
  waterAndWind: 'Water and wind',
  howThirstyTheAirIs: 'How thirsty the air is',
  byTheMonth: 'By the month',
  fromACsv: 'From a CSV',
  theFileWasNotTaken: 'The file was not taken.',
  myOwnFigures: 'My own figures',
  lie: (wrong: Shown) => `lie ${wrong}`,
  be: (wanted: Shown) => `be ${wanted}`,
}
