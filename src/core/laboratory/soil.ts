import rows from '../data/soilBands.json'
import { SOIL_ELEMENTS, type SoilElement, type SoilMethod } from './soilFields'

export type SoilGrade = 'veryLow' | 'low' | 'enough' | 'high' | 'veryHigh'
export interface SoilReading {
  element: SoilElement
  /** mg/kg. */
  value: number
  grade: SoilGrade
  /** What is wanted, mg/kg. */
  wanted: { low: number; high: number }
}

/** What a report's other elements are drawn out with, by how its phosphorus was; the first of them that has a row. */
const BESIDE: Record<SoilMethod, readonly string[]> = {
  mehlich3: ['mehlich3', 'nitrate'],
  bray: ['bray', 'acetate', 'dtpa', 'hotWater', 'nitrate', 'mehlich3'],
  olsen: ['olsen', 'acetate', 'dtpa', 'hotWater', 'nitrate', 'mehlich3'],
  morgan: ['morgan', 'acetate', 'dtpa', 'hotWater', 'nitrate', 'mehlich3'],
}
const rowOf = (element: SoilElement, method: SoilMethod) =>
  BESIDE[method].flatMap((by) => rows.filter((r) => r.method === by && r.figure === element))[0]!

/**
 * A report on field soil, read for vegetables in beds, in the order of `SOIL_ELEMENTS`. mg/kg in. Errors: none. Range:
 * mineral soil; on peat, bark and coir such tests read nonsense. Source: bands of state laboratories and extension
 * services (from memory).
 *
 * @example
 * readSoil({ phosphorus: 140 }, 'mehlich3')[0].grade // 'high'
 */
export const readSoil = (
  read: Readonly<Partial<Record<SoilElement, number>>>,
  method: SoilMethod,
): SoilReading[] =>
  SOIL_ELEMENTS.flatMap((element) => {
    const value = read[element]
    if (value === undefined) return []
    const { veryLow, low, high, veryHigh } = rowOf(element, method)
    const grade: SoilGrade =
      value < veryLow
        ? 'veryLow'
        : value < low
          ? 'low'
          : value <= high
            ? 'enough'
            : veryHigh === null || value <= veryHigh
              ? 'high'
              : 'veryHigh'
    return [{ element, value, grade, wanted: { low, high } }]
  })
