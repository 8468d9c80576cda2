import { numberText } from './counted'
import { withMoneySign } from './sums'
import {
  CM_PER_INCH,
  GRAMS_PER_LITRE_PER_OUNCE_PER_US_GALLON,
  GRAMS_PER_OUNCE,
  KG_PER_POUND,
  LOAD_PER_POUND_PER_SQUARE_FOOT,
  LITRES,
} from '@/core/units'
import { measureText } from '@/core/mixing/measures'
import type { Settings } from '@/model/garden/schemas'

export type UnitSystem = Settings['units']

/** Quantities a field can hold: what the core counts in, and what each system shows. */
export const QUANTITIES = {
  length: {
    metric: { unit: 'cm', factor: 1, digits: 1 },
    us: { unit: 'in', factor: 1 / CM_PER_INCH, digits: 2 },
  },
  volume: {
    metric: { unit: 'L', factor: 1, digits: 1 },
    us: { unit: 'gal', factor: 1 / LITRES.usGallon, digits: 2 },
  },
  bagVolume: {
    metric: { unit: 'L', factor: 1, digits: 1 },
    us: { unit: 'cu ft', factor: 1 / LITRES.cubicFoot, digits: 2 },
  },
  bulkVolume: {
    metric: { unit: 'm³', factor: 0.001, digits: 3 },
    us: { unit: 'cu yd', factor: 1 / LITRES.cubicYard, digits: 2 },
  },
  weight: {
    metric: { unit: 'kg', factor: 1, digits: 2 },
    us: { unit: 'lb', factor: 1 / KG_PER_POUND, digits: 1 },
  },
  smallWeight: {
    metric: { unit: 'g', factor: 1, digits: 0 },
    us: { unit: 'oz', factor: 1 / GRAMS_PER_OUNCE, digits: 2 },
  },
  /** Tenths of a gram. */
  fineWeight: {
    metric: { unit: 'g', factor: 1, digits: 1 },
    us: { unit: 'oz', factor: 1 / GRAMS_PER_OUNCE, digits: 3 },
  },
  load: {
    metric: { unit: 'kg/m²', factor: 1, digits: 0 },
    us: { unit: 'lb/ft²', factor: 1 / LOAD_PER_POUND_PER_SQUARE_FOOT, digits: 0 },
  },
  dose: {
    metric: { unit: 'g/L', factor: 1, digits: 2 },
    us: { unit: 'oz/gal', factor: 1 / GRAMS_PER_LITRE_PER_OUNCE_PER_US_GALLON, digits: 3 },
  },
  temperature: {
    metric: { unit: '°C', factor: 1, digits: 1, offset: 0 },
    us: { unit: '°F', factor: 1.8, digits: 0, offset: 32 },
  },
  rain: {
    metric: { unit: 'mm', factor: 1, digits: 0 },
    us: { unit: 'in', factor: 1 / 25.4, digits: 2 },
  },
  height: {
    metric: { unit: 'm', factor: 1, digits: 0 },
    us: { unit: 'ft', factor: 1 / 0.3048, digits: 0 },
  },
  area: {
    metric: { unit: 'm²', factor: 1, digits: 0 },
    us: { unit: 'ft²', factor: 1 / 0.3048 ** 2, digits: 0 },
  },
  percent: { metric: { unit: '%', factor: 100, digits: 1 }, us: { unit: '%', factor: 100, digits: 1 } },
  minutes: { metric: { unit: 'min', factor: 1, digits: 1 }, us: { unit: 'min', factor: 1, digits: 1 } },
  days: { metric: { unit: 'days', factor: 1, digits: 1 }, us: { unit: 'days', factor: 1, digits: 1 } },
  number: { metric: { unit: '', factor: 1, digits: 2 }, us: { unit: '', factor: 1, digits: 2 } },
} as const
export type Quantity = keyof typeof QUANTITIES

/** Degrees Fahrenheit do not begin at zero. */
export const offsetOf = (quantity: Quantity, units: UnitSystem): number => {
  const q = QUANTITIES[quantity][units]
  return 'offset' in q ? q.offset : 0
}

/** A core value as a field shows it: no more digits than it needs; nothing for one that is not known (NaN). */
export function toFieldText(value: number, quantity: Quantity, units: UnitSystem): string {
  if (Number.isNaN(value)) return ''
  const { factor, digits } = QUANTITIES[quantity][units]
  return String(Number((value * factor + offsetOf(quantity, units)).toFixed(digits)))
}

const round = numberText
/** Three figures or so, whole numbers from 100 up. */
const figures = (value: number) => {
  const size = Math.abs(value)
  return round(value, size >= 99.95 ? 0 : size >= 9.995 ? 1 : 2)
}
/** A number in words without the noughts after its last digit. */
const withoutZeros = (text: string) => (text.includes('.') ? text.replace(/\.?0+$/, '') : text)

/** "38.2 L", "1.21 m³" or "10.1 gal", "42.7 cu ft". Litres in. */
export function volumeText(litres: number, units: UnitSystem): string {
  if (units === 'metric')
    return litres >= 1000 ? `${round(litres / 1000, 2)} m³` : `${withoutZeros(figures(litres))} L`
  const gallons = litres / LITRES.usGallon
  if (gallons < 1) return `${withoutZeros(round(litres / LITRES.usQuart, 1))} qt`
  return gallons >= 40
    ? `${round(litres / LITRES.cubicFoot, 1)} cu ft`
    : `${withoutZeros(figures(gallons))} gal`
}

/** "2.6 to 4.4 qt": a range of volumes in one unit. */
export function volumeRangeText(low: number, high: number, units: UnitSystem): string {
  if (units === 'metric') return `${withoutZeros(figures(low))} to ${volumeText(high, 'metric')}`
  // Small ones in quarts at both ends, not one of each.
  if (high < 2 * LITRES.usGallon)
    return `${withoutZeros(figures(low / LITRES.usQuart))} to ${withoutZeros(figures(high / LITRES.usQuart))} qt`
  return `${withoutZeros(figures(low / LITRES.usGallon))} to ${withoutZeros(figures(high / LITRES.usGallon))} gal`
}

/** Water as it is carried, by litres or gallons however much it is. */
export const waterText = (litres: number, units: UnitSystem): string =>
  units === 'metric'
    ? `${withoutZeros(figures(litres))} L`
    : `${withoutZeros(figures(litres / LITRES.usGallon))} gal`

/** mL of a US fluid ounce: a hundred and twenty-eighth of a gallon. */
const FLUID_OUNCE = (LITRES.usGallon * 1000) / 128
/** "45 mL", "1.5 fl oz": a liquid as it is measured. Millilitres in. */
export const liquidText = (mL: number, units: UnitSystem): string =>
  units === 'metric'
    ? `${mL < 10 ? withoutZeros(numberText(mL, 1)) : numberText(mL)} mL`
    : `${withoutZeros(numberText(mL / FLUID_OUNCE, mL < FLUID_OUNCE ? 2 : 1))} fl oz`

/** The spoons and the cup of a US kitchen, each up to so many of it. */
const US_SPOONS = [
  { litres: LITRES.usTeaspoon, most: 3, one: 'tsp', many: 'tsp' },
  { litres: LITRES.usTablespoon, most: 8, one: 'tbsp', many: 'tbsp' },
  { litres: LITRES.usCup, most: Infinity, one: 'cup', many: 'cups' },
] as const

/** "11 mL" or "2¼ tsp", "1½ cups". Millilitres in; spoons and cups by the quarter. */
export function spoonfulText(millilitres: number, units: UnitSystem): string {
  if (units === 'metric') return `${round(millilitres, 0)} mL`
  const of = (spoon: (typeof US_SPOONS)[number]) => millilitres / 1000 / spoon.litres
  const spoon = US_SPOONS.find((s) => of(s) < s.most) ?? US_SPOONS[2]
  const quarters = Math.max(1, Math.round(4 * of(spoon)))
  return `${measureText(3 * quarters)} ${quarters > 4 ? spoon.many : spoon.one}`
}

/** "26 kg" or "57 lb". Kilograms in. */
export const weightText = (kg: number, units: UnitSystem): string =>
  units === 'metric'
    ? `${round(kg, kg < 9.95 ? 1 : 0)} kg`
    : `${round(kg / KG_PER_POUND, kg / KG_PER_POUND < 9.95 ? 1 : 0)} lb`

/** A small dose in two figures, a larger one by tenths or hundredths. */
const dose = (value: number, digits: number) =>
  value >= 100 || value === 0
    ? round(value, 0)
    : value >= 10 ** (1 - digits) || value <= 0
      ? round(value, digits)
      : String(Number(value.toPrecision(2)))

/** "658 g", "1.32 kg" or "23.2 oz", "2.9 lb". Grams in. */
export function doseWeightText(grams: number, units: UnitSystem): string {
  if (units === 'metric')
    return grams >= 1000
      ? `${round(grams / 1000, 2)} kg`
      : `${grams < 10 ? dose(grams, 1) : round(grams, 0)} g`
  const ounces = grams / GRAMS_PER_OUNCE
  return ounces >= 32
    ? `${round(ounces / 16, 1)} lb`
    : `${ounces < 10 ? dose(ounces, 2) : round(ounces, 1)} oz`
}

/** A dose below this is shown for a cubic foot, ounces per US gallon. */
const SMALL_DOSE = 0.1
/** "2.9 g/L", "0.035 g/L" or "0.39 oz/gal", "0.25 oz/cu ft". g per litre in; a small dose is never shown as nothing. */
export function doseText(gramsPerLitre: number, units: UnitSystem): string {
  if (units === 'metric') return `${dose(gramsPerLitre, 1)} g/L`
  const ounces = gramsPerLitre / GRAMS_PER_LITRE_PER_OUNCE_PER_US_GALLON
  return ounces > 0 && ounces < SMALL_DOSE
    ? `${dose((ounces * LITRES.cubicFoot) / LITRES.usGallon, 2)} oz/cu ft`
    : `${dose(ounces, 2)} oz/gal`
}

/** "0.14/L" or "0.53/gal": money for a volume. Money per litre in. */
export const rateText = (perLitre: number, units: UnitSystem): string =>
  withMoneySign(
    units === 'metric' ? `${round(perLitre, 2)}/L` : `${round(perLitre * LITRES.usGallon, 2)}/gal`,
  )
/** What money for a volume is given for. */
export const rateUnit = (units: UnitSystem): string => (units === 'metric' ? 'a litre' : 'a gallon')
/** The same as a bare figure. */
export const rateFigure = (perLitre: number, units: UnitSystem): string =>
  withMoneySign(units === 'metric' ? round(perLitre, 3) : round(perLitre * LITRES.usGallon, 2))
/** Money for a litre as a chart counts it, for the unit of `rateUnit`. */
export const rateNumber = (perLitre: number, units: UnitSystem): number =>
  units === 'metric' ? perLitre : perLitre * LITRES.usGallon

/** "25 cm" or "9.8 in". Centimetres in. */
export const lengthText = (cm: number, units: UnitSystem): string =>
  units === 'metric' ? `${withoutZeros(round(cm, 1))} cm` : `${withoutZeros(round(cm / CM_PER_INCH, 1))} in`

/** "3.7 mm" or "0.15 in", of rain or of water used. Millimetres in. */
export const waterDepthText = (mm: number, units: UnitSystem): string =>
  units === 'metric' ? `${round(mm, 1)} mm` : `${round(mm / 10 / CM_PER_INCH, 2)} in`

/** "55 mm" or "2.2 in", the rain of a month. Millimetres in. */
export const rainText = (mm: number, units: UnitSystem): string =>
  units === 'metric' ? `${round(mm, 0)} mm` : `${round(mm / 10 / CM_PER_INCH, 1)} in`

/** "360 kg/m²" or "74 lb/ft²". kg per m2 in. */
export const loadText = (load: number, units: UnitSystem): string =>
  units === 'metric' ? `${round(load, 0)} kg/m²` : `${round(load / LOAD_PER_POUND_PER_SQUARE_FOOT, 0)} lb/ft²`

/** "18 %". Fraction in. */
export const percentText = (fraction: number, digits = 0): string => `${round(fraction * 100, digits)} %`

/** "6.4". */
export const pHText = (pH: number): string => round(pH, 1)

/** "−4 °C" or "25 °F". */
export const temperatureText = (celsius: number, units: UnitSystem): string =>
  `${toFieldText(Math.round(celsius), 'temperature', units).replace('-', '−')} ${QUANTITIES.temperature[units].unit}`

/** A wind in km/h or mph, from m/s. */
export const windText = (metresPerSecond: number, units: UnitSystem): string =>
  units === 'us'
    ? `${Math.round(metresPerSecond / 0.44704)} mph`
    : `${Math.round(metresPerSecond * 3.6)} km/h`

/** Days between waterings below which nobody counts them. */
const OFTENEST = 1 / 12

/** "every 2.3 days", "every day", "twice a day". */
export function intervalText(days: number): string {
  if (days >= 9.5) return `every ${Math.round(days)} days`
  if (days >= 1.45) return `every ${days.toFixed(1)} days`
  if (days >= 0.75) return 'every day'
  if (days >= 0.4) return 'twice a day'
  return days >= OFTENEST ? `${Math.round(1 / days)} times a day` : 'more often than can be done'
}

/** A text of the table as the grower counts: of "[metric|US]" the one that fits. */
export const inUnits = (text: string, units: UnitSystem): string =>
  text.replace(/\[([^|\]]*)\|([^\]]*)\]/g, units === 'us' ? '$2' : '$1')
