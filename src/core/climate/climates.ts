import type { MonthClimate } from '.'

/**
 * A made-up climate with the character of a real kind of place; a beginning for those who do not know their own
 * figures.
 */
export interface KnownClimate {
  id: string
  name: string
  latitude: number
  elevation: number
  months: MonthClimate[]
}

const months = (tMin: number[], tMax: number[], rain: number[]): MonthClimate[] =>
  tMin.map((low, i) => ({ tMin: low, tMax: tMax[i]!, rain: rain[i]! }))

/** Six of them. Invented: mean daily extremes in C and mm of rain, January to December. */
export const CLIMATES: readonly KnownClimate[] = [
  {
    id: 'cool-coast',
    name: 'Cool coast',
    latitude: 51,
    elevation: 15,
    months: months(
      [3, 3, 4, 5, 8, 11, 13, 13, 11, 8, 5, 3],
      [8, 8, 10, 13, 16, 19, 21, 21, 18, 14, 11, 8],
      [80, 60, 60, 55, 55, 55, 60, 70, 75, 95, 95, 90],
    ),
  },
  {
    id: 'inland',
    name: 'Inland, cold winters',
    latitude: 48,
    elevation: 300,
    months: months(
      [-6, -5, -1, 3, 8, 12, 14, 13, 9, 4, 0, -4],
      [1, 4, 10, 16, 21, 24, 27, 26, 21, 14, 7, 2],
      [35, 35, 40, 50, 75, 90, 85, 75, 55, 45, 45, 40],
    ),
  },
  {
    id: 'dry-summer',
    name: 'Mild, dry summers',
    latitude: 38,
    elevation: 80,
    months: months(
      [6, 6, 8, 10, 13, 17, 20, 20, 17, 14, 10, 7],
      [14, 15, 18, 20, 25, 30, 33, 33, 29, 23, 18, 15],
      [70, 60, 50, 45, 25, 8, 3, 5, 30, 70, 85, 85],
    ),
  },
  {
    id: 'humid-heat',
    name: 'Hot, humid summers',
    latitude: 33,
    elevation: 100,
    months: months(
      [2, 3, 7, 11, 16, 20, 22, 22, 19, 12, 7, 3],
      [12, 15, 19, 24, 28, 31, 33, 32, 29, 24, 18, 13],
      [110, 105, 120, 95, 95, 110, 125, 105, 95, 80, 95, 105],
    ),
  },
  {
    id: 'high-dry',
    name: 'High and dry',
    latitude: 36,
    elevation: 1700,
    months: months(
      [-6, -4, -1, 3, 8, 13, 16, 15, 11, 4, -2, -6],
      [8, 11, 15, 20, 25, 31, 32, 30, 26, 20, 13, 8],
      [12, 12, 15, 14, 16, 16, 40, 45, 28, 25, 14, 14],
    ),
  },
  {
    id: 'warm-wet',
    name: 'Warm all year, two rains',
    latitude: 8,
    elevation: 20,
    months: months(
      [22, 22, 23, 24, 24, 24, 23, 23, 23, 23, 23, 22],
      [30, 31, 32, 32, 31, 30, 29, 30, 30, 31, 31, 30],
      [60, 60, 110, 220, 280, 180, 140, 110, 170, 300, 280, 140],
    ),
  },
]
