import type { Shown } from '../base/shown'

export const compareTable = {
  inShort: 'In short',
  byDepth: 'By depth',
  solids: 'solids',
  water: 'water',
  air: 'air',
  labelAllows: (open: Shown) => `label allows ${open}`,
  putOnTheBench: (name: Shown) => `Put ${name} on the bench`,
  rowsInGreyDifferBy: 'Rows in grey differ by less than a grower would notice.',
}

export const seasonCourses = {
  throughTheSeason: 'Through the season',
  itTakesACropAnd: 'It takes a crop and a place to follow this.',
}
