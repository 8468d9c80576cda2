import type { Settings } from '../garden/schemas'
import { USUAL_UNITS, type SheetQuantity } from './headings'

/** How a sheet that is only read by people writes volumes, small and large weights, with the words for its headings. */
export interface SheetUnits {
  volume: { name: string; sign: string; of: (litres: number) => string }
  dose: { name: string; sign: string; of: (grams: number) => string }
  weight: { sign: string; of: (kg: number) => string }
}

const written = (units: Settings['units'], quantity: SheetQuantity, digits: number) => {
  const { sign, per } = USUAL_UNITS[units][quantity]
  return { sign, of: (value: number) => (value / per).toFixed(digits) }
}

export const SHEET_UNITS: Record<Settings['units'], SheetUnits> = {
  metric: {
    volume: { name: 'litres', ...written('metric', 'volume', 1) },
    dose: { name: 'grams', ...written('metric', 'dose', 0) },
    weight: written('metric', 'weight', 1),
  },
  us: {
    volume: { name: 'gallons', ...written('us', 'volume', 2) },
    dose: { name: 'ounces', ...written('us', 'dose', 1) },
    weight: written('us', 'weight', 1),
  },
}
