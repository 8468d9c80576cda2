import {
  CM_PER_FOOT,
  CM_PER_INCH,
  GRAMS_PER_OUNCE,
  KG_PER_POUND,
  LOAD_PER_POUND_PER_SQUARE_FOOT,
  LITRES,
} from '@/core/units'
import type { Settings } from '../garden/schemas'

/** What one of a unit is in the core's unit; `plus` is added first, in the unit itself. */
export interface SheetUnit {
  sign: string
  per: number
  plus?: number
}
export type SheetQuantity =
  | 'length'
  | 'volume'
  | 'weight'
  | 'load'
  | 'dose'
  | 'pack'
  | 'salts'
  | 'temperature'
  | 'rain'

const metricPack: SheetUnit = { sign: 'L or kg', per: 1 }
const usPack: SheetUnit = { sign: 'gal or lb', per: LITRES.usGallon }
const cm: SheetUnit = { sign: 'cm', per: 1 }
const inch: SheetUnit = { sign: 'in', per: CM_PER_INCH }
const litre: SheetUnit = { sign: 'L', per: 1 }
const gallon: SheetUnit = { sign: 'gal', per: LITRES.usGallon }
const kilogram: SheetUnit = { sign: 'kg', per: 1 }
const pound: SheetUnit = { sign: 'lb', per: KG_PER_POUND }
const gram: SheetUnit = { sign: 'g', per: 1 }
const ounce: SheetUnit = { sign: 'oz', per: GRAMS_PER_OUNCE }
const siemens: SheetUnit = { sign: 'dS/m', per: 1 }
const celsius: SheetUnit = { sign: 'C', per: 1 }
const fahrenheit: SheetUnit = { sign: 'F', per: 1 / 1.8, plus: -32 }
const squareMetre: SheetUnit = { sign: 'kg/m2', per: 1 }
const squareFoot: SheetUnit = { sign: 'lb/ft2', per: LOAD_PER_POUND_PER_SQUARE_FOOT }
const millimetre: SheetUnit = { sign: 'mm', per: 1 }
const inchOfRain: SheetUnit = { sign: 'in', per: 10 * CM_PER_INCH }

/** The units of each quantity by the words people write, without signs and blanks. */
export const UNIT_WORDS: Record<SheetQuantity, Readonly<Record<string, SheetUnit>>> = {
  length: {
    cm,
    mm: { sign: 'mm', per: 0.1 },
    m: { sign: 'm', per: 100 },
    in: inch,
    inch,
    inches: inch,
    ft: { sign: 'ft', per: CM_PER_FOOT },
    feet: { sign: 'ft', per: CM_PER_FOOT },
  },
  volume: {
    l: litre,
    litre,
    litres: litre,
    liter: litre,
    liters: litre,
    ml: { sign: 'mL', per: 0.001 },
    gal: gallon,
    gallon,
    gallons: gallon,
    qt: { sign: 'qt', per: LITRES.usQuart },
    cuft: { sign: 'cu ft', per: LITRES.cubicFoot },
  },
  weight: {
    kg: kilogram,
    g: { sign: 'g', per: 0.001 },
    lb: pound,
    lbs: pound,
    oz: { sign: 'oz', per: KG_PER_POUND / 16 },
  },
  dose: { g: gram, kg: { sign: 'kg', per: 1000 }, oz: ounce, lb: { sign: 'lb', per: 1000 * KG_PER_POUND } },
  pack: { lorkg: metricPack, galorlb: usPack },
  salts: {
    dsm: siemens,
    mscm: siemens,
    uscm: { sign: 'µS/cm', per: 0.001 },
    µscm: { sign: 'µS/cm', per: 0.001 },
    μscm: { sign: 'µS/cm', per: 0.001 },
  },
  temperature: { c: celsius, f: fahrenheit },
  load: { kgm2: squareMetre, lbft2: squareFoot, lbsqft: squareFoot, psf: squareFoot },
  rain: { mm: millimetre, cm: { sign: 'cm', per: 10 }, in: inchOfRain, inches: inchOfRain },
}

/** The unit of a quantity where nothing names one. */
export const USUAL_UNITS: Record<Settings['units'], Record<SheetQuantity, SheetUnit>> = {
  metric: {
    length: cm,
    volume: litre,
    weight: kilogram,
    dose: gram,
    pack: metricPack,
    salts: siemens,
    temperature: celsius,
    rain: millimetre,
    load: squareMetre,
  },
  us: {
    length: inch,
    volume: gallon,
    weight: pound,
    dose: ounce,
    pack: usPack,
    salts: siemens,
    temperature: fahrenheit,
    rain: inchOfRain,
    load: squareFoot,
  },
}

/** A column of a table: its name, other words it goes by, and what its numbers measure. */
export interface TableColumn {
  id: string
  also?: readonly string[]
  quantity?: SheetQuantity
  /** It holds plain numbers: a count, a price, a share. */
  counts?: boolean
  /** Its numbers are of several quantities, one by row: any unit may stand in its heading. */
  anyQuantity?: boolean
}

/** Letters and digits alone, small. */
export const squeezed = (text: string) =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]/gu, '')

/** A heading as it was understood: which column, and the unit it names, if any. */
export interface Heading {
  id: string
  unit: SheetUnit | null
  /** What the unit is called in it. */
  word: string
}

const unitsFor = ({ quantity, anyQuantity }: TableColumn): Readonly<Record<string, SheetUnit>> =>
  quantity
    ? UNIT_WORDS[quantity]
    : anyQuantity
      ? Object.assign({}, ...Object.values(UNIT_WORDS).map((words) => ({ ...words })))
      : {}

/** "Length (cm)", "on hand, gal", "T min °F" as a column and its unit; null where it names none of the columns. */
export function headingOf(cell: string, columns: readonly TableColumn[]): Heading | null {
  const text = squeezed(cell)
  if (text === '') return null
  const names = columns
    .flatMap((column) =>
      [column.id, ...(column.also ?? [])].map((name) => ({ column, name: squeezed(name) })),
    )
    .sort((a, b) => b.name.length - a.name.length)
  for (const { column, name } of names) if (text === name) return { id: column.id, unit: null, word: '' }
  for (const { column, name } of names) {
    if (!text.startsWith(name)) continue
    const word = text.slice(name.length)
    const units = unitsFor(column)
    if (Object.hasOwn(units, word)) return { id: column.id, unit: units[word]!, word }
  }
  return null
}

/** Whether a column holds numbers. */
export const isNumeric = ({ quantity, counts, anyQuantity }: TableColumn): boolean =>
  quantity !== undefined || counts === true || anyQuantity === true

/** A column's heading as it is written, with the unit of its numbers. */
export const writtenHeading = ({ id, quantity }: TableColumn, units: Settings['units']): string =>
  quantity ? `${id}, ${USUAL_UNITS[units][quantity].sign}` : id
