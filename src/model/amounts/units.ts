import { convert } from 'convert'
import { METRIC_SPOONS, US_SPOONS } from '@/core/batch/spoons'
import type { VolumeUnit, WeightUnit } from '../garden/manner'
import type { Settings } from '../garden/schemas'

export type UnitSystem = Settings['units']

export const LENGTH_UNITS = ['mm', 'cm', 'm', 'in', 'ft', 'yd'] as const
export type LengthUnit = (typeof LENGTH_UNITS)[number]

/** Half a closed hand of powder or meal, mL. Source: common practice, 30 to 100; hands differ. */
const HANDFUL = 60

/** Grams in one of a unit of weight. */
export const gramsIn = (unit: WeightUnit): number => convert(1, unit).to('g')

/** Litres in one of a unit of volume. */
export function litresIn(unit: VolumeUnit, system: UnitSystem): number {
  const spoons = system === 'us' ? US_SPOONS : METRIC_SPOONS
  switch (unit) {
    case 'mL':
      return 0.001
    case 'teaspoon':
    case 'tablespoon':
    case 'cup':
      return spoons[unit] / 1000
    case 'handful':
      return HANDFUL / 1000
    case 'fluidOunce':
      return convert(1, 'fl oz').to('L')
    case 'imperialGallon':
      return convert(1, 'imp gal').to('L')
    case 'cubicFoot':
      return convert(1, 'ft3').to('L')
    case 'cubicYard':
      return convert(1, 'yd3').to('L')
    case 'cubicMetre':
      return convert(1, 'm3').to('L')
    // On a square metre.
    case 'cmDeep':
      return 10
    case 'inchDeep':
      return 10 * centimetresIn('in')
    default:
      return convert(1, unit).to('L')
  }
}

/** Centimetres in one of a unit of length. */
export const centimetresIn = (unit: LengthUnit): number => convert(1, unit).to('cm')

type Words<U extends string> = readonly (readonly [U, string])[]
/** How each unit is written: a pattern for the whole word or sign, plural and short forms with it. */
const WEIGHT_WORDS: Words<WeightUnit> = [
  ['kg', 'kgs?|kilos?|kilograms?|kilogrammes?'],
  ['g', 'g|gr|gm|gms|grams?|grammes?'],
  ['oz', 'oz|ozs|ounces?'],
  ['lb', 'lbs?|pounds?|#'],
]
const VOLUME_WORDS: Words<VolumeUnit> = [
  ['fluidOunce', 'fl\\.? ?oz|fluid ounces?'],
  ['mL', 'mls?|millilit(?:re|er)s?|cc|cm3|cm³'],
  ['L', 'l|lt|ltrs?|lit(?:re|er)s?|dm3|dm³'],
  ['teaspoon', 'tsps?|teaspoons?|teaspoonfuls?|tea spoons?'],
  ['tablespoon', 'tbsps?|tbs|tbls?|tablespoons?|tablespoonfuls?|table spoons?'],
  ['cup', 'cups?|cupfuls?'],
  ['handful', 'handfuls?|hands? full'],
  ['pint', 'pts?|pints?'],
  ['quart', 'qts?|quarts?'],
  ['imperialGallon', 'imp(?:erial|\\.)? ?(?:gals?|gallons?)|uk ?(?:gals?|gallons?)'],
  ['gallon', '(?:us|u\\.s\\.) ?(?:gals?|gallons?)|gals?|gallons?'],
  ['cubicFoot', 'cu\\.? ?ft|cubic f(?:oo|ee)t|ft3|ft³|cf'],
  ['cubicYard', 'cu\\.? ?yds?|cubic yards?|yd3|yd³|cy'],
  ['cubicMetre', 'm3|m³|cu\\.? ?m|cubic met(?:re|er)s?|cbm'],
]
const LENGTH_WORDS: Words<LengthUnit> = [
  ['mm', 'mms?|millimet(?:re|er)s?'],
  ['cm', 'cms?|centimet(?:re|er)s?'],
  ['m', 'm|met(?:re|er)s?'],
  ['in', "\"|″|”|''|in\\.?|ins|inch|inches"],
  ['ft', "'|′|’|ft\\.?|foot|feet"],
  ['yd', 'yds?|yards?'],
]

/** The unit at the head of a text, and how many letters it takes. */
function headOf<U extends string>(words: Words<U>, text: string): { unit: U; length: number } | null {
  let best: { unit: U; length: number } | null = null
  for (const [unit, pattern] of words) {
    // A word ends where its letters do; a sign may stand before the next number: 3'6".
    const found = new RegExp(`^(?:${pattern})(?:(?<=["'])|(?![a-z0-9³]))`).exec(text)
    if (found && found[0].length > (best?.length ?? 0)) best = { unit, length: found[0].length }
  }
  return best
}
export const weightAt = (text: string) => headOf(WEIGHT_WORDS, text)
export const volumeAt = (text: string) => headOf(VOLUME_WORDS, text)
export const lengthAt = (text: string) => headOf(LENGTH_WORDS, text)
