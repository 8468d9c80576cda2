import type { Shown } from '../base/shown'

export const compareTable = {
  inShort: 'In short',
  byDepth: 'By depth',
  solids: 'solids',
  water: 'water',
  air: 'air',
  putOnTheBench: (name: Shown) => `Use ${name}`,
  rowsInGreyDifferBy: 'Rows in grey differ too little to notice.',
}

export const seasonCourses = {
  throughTheSeason: 'Through the season',
  itTakesACropAnd: 'Choose a crop and a place to see this.',
}

export const partsColumn = {
  madeOf: (name: Shown, parts: Shown) => `${name}: ${parts}`,
}
