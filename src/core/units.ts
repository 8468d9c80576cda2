/**
 * Units used inside the core, and exact factors to the units growers meet.
 *
 * Inside the core: litres, kilograms, grams per litre, centimetres (lengths and water tension),
 * mmol of charge, days, degrees Celsius, fractions of one. Everything else is converted at the edge.
 * Factors are exact by definition (international yard and pound agreement 1959; NIST SP 811, appendix B)
 * unless marked otherwise.
 */
export type Litres = number
export type Kilograms = number
export type Grams = number
/** Length, or water tension as height of a hanging water column (10 cm = 1 kPa, near enough 0.98). */
export type Centimetres = number
export type SquareCentimetres = number
/** 0 to 1. */
export type Fraction = number
export type Days = number

export const CM_PER_INCH = 2.54
export const CM_PER_FOOT = 30.48
export const CM3_PER_LITRE = 1000

export const LITRES = {
  usGallon: 3.785411784,
  usQuart: 0.946352946,
  usCup: 0.2365882365,
  usFluidOunce: 0.0295735295625,
  usTablespoon: 0.01478676478125,
  usTeaspoon: 0.00492892159375,
  imperialGallon: 4.54609,
  imperialBushel: 36.36872,
  cubicInch: 0.016387064,
  cubicFoot: 28.316846592,
  cubicYard: 764.554857984,
  cubicMetre: 1000,
  metricTeaspoon: 0.005,
  metricTablespoon: 0.015,
  australianTablespoon: 0.02,
  metricCup: 0.25,
} as const

export const KG_PER_POUND = 0.45359237
/** Kilograms a square metre that a pound a square foot is. */
export const LOAD_PER_POUND_PER_SQUARE_FOOT = KG_PER_POUND / 0.3048 ** 2
export const GRAMS_PER_OUNCE = 28.349523125

/** One pound per cubic yard in grams per litre. */
export const GRAMS_PER_LITRE_PER_POUND_PER_CUBIC_YARD = (KG_PER_POUND * 1000) / LITRES.cubicYard
/** One ounce (avoirdupois) per US gallon in grams per litre. */
export const GRAMS_PER_LITRE_PER_OUNCE_PER_US_GALLON = GRAMS_PER_OUNCE / LITRES.usGallon
/** Pressure of one pound-force per square foot in kilopascals. */
export const KPA_PER_PSF = (KG_PER_POUND * 9.80665) / (0.3048 * 0.3048) / 1000

/** Mean length of the Gregorian year, days. */
export const DAYS_PER_YEAR = 365.2425
/** Mean length of a calendar month, days: a twelfth of the Gregorian year. */
export const DAYS_PER_MONTH = DAYS_PER_YEAR / 12
