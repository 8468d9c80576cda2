import { GRAMS_PER_OUNCE, KG_PER_POUND, LITRES } from '@/core/units'
import type { Settings } from '../garden/schemas'

/** How a sheet writes volumes, small and large weights, with the words for its headings. */
export interface SheetUnits {
  volume: { name: string; sign: string; of: (litres: number) => string }
  dose: { name: string; sign: string; of: (grams: number) => string }
  weight: { sign: string; of: (kg: number) => string }
}

export const SHEET_UNITS: Record<Settings['units'], SheetUnits> = {
  metric: {
    volume: { name: 'litres', sign: 'L', of: (litres) => litres.toFixed(1) },
    dose: { name: 'grams', sign: 'g', of: (grams) => grams.toFixed(0) },
    weight: { sign: 'kg', of: (kg) => kg.toFixed(1) },
  },
  us: {
    volume: { name: 'gallons', sign: 'gal', of: (litres) => (litres / LITRES.usGallon).toFixed(2) },
    dose: { name: 'ounces', sign: 'oz', of: (grams) => (grams / GRAMS_PER_OUNCE).toFixed(1) },
    weight: { sign: 'lb', of: (kg) => (kg / KG_PER_POUND).toFixed(1) },
  },
}
