import { defineLimits } from '../limits'

/** Ions of a water report that harm plants before its salts do, mg/L; left out where nobody knows. */
export const WATER_IONS = ['sodium', 'chloride', 'boron'] as const
export type WaterIon = (typeof WATER_IONS)[number]
export type WaterIons = Readonly<Partial<Record<WaterIon, number>>>

/** Crops that chloride and boron harm sooner. Source: Maas 1986, as in FAO-29 tables 14 and 16, from memory. */
const TENDER: ReadonlySet<string> = new Set([
  'strawberry',
  'blueberry',
  'raspberry',
  'blackberry',
  'citrus_lemon',
  'avocado',
  'grape_table',
  'fig',
  'bean_bush',
  'bean_pole',
])

const FAO = 'Ayers & Westcot 1985, FAO-29; Maas 1986 (from memory)'

/**
 * Where an ion of the water is to be watched, and where such water has to go; `tender` for the crops it harms sooner.
 */
export const WATER_ION_LIMITS = defineLimits({
  sodiumWatch: { value: 70, low: 50, high: 100, unit: 'mg/L', source: FAO },
  sodiumStop: {
    value: 200,
    low: 100,
    high: 210,
    unit: 'mg/L',
    source: FAO,
  },
  chlorideWatch: { value: 140, low: 140, high: 180, unit: 'mg/L', source: FAO },
  chlorideStop: { value: 350, low: 250, high: 355, unit: 'mg/L', source: FAO },
  boronWatch: { value: 0.75, low: 0.7, high: 1, unit: 'mg/L', source: FAO },
  boronStop: { value: 2, low: 1, high: 3, unit: 'mg/L', source: FAO },
  tender: { value: 0.5, low: 0.5, high: 0.7, unit: 'of those limits', source: FAO },
})

/** An ion of the water that is too much for a crop. */
export interface IonConcern {
  ion: WaterIon
  /** mg/L: what the water has, and what the crop bears without harm. */
  has: number
  limit: number
  /** Water to leave, not only to watch. */
  stop: boolean
}

/**
 * Ions of a water that a crop is harmed by, gravest first: its share of the limit. mg/L.
 * Errors: none; no crop is judged as most are. Source: `WATER_ION_LIMITS`.
 *
 * @example
 * ionConcerns({ sodium: 105 }, null) // [{ ion: 'sodium', has: 105, limit: 70, stop: false }]
 */
export function ionConcerns(ions: WaterIons, cropId: string | null): IonConcern[] {
  const L = WATER_ION_LIMITS
  const tender = cropId !== null && TENDER.has(cropId)
  return WATER_IONS.flatMap((ion): IonConcern[] => {
    const has = ions[ion] ?? 0
    const times = tender && ion !== 'sodium' ? L.tender.value : 1
    const limit = L[`${ion}Watch`].value * times
    return has > limit ? [{ ion, has, limit, stop: has > L[`${ion}Stop`].value * times }] : []
  }).sort((a, b) => b.has / b.limit - a.has / a.limit)
}
