import type { SheetProblem } from '@/model/sheets/bedSheet'
import { PACK_LIMITS } from '@/core/batch'
import { readNumber } from '@/model/numbers'
import { type Sentence, problemText } from './problems.en'
import { refusalText } from './refusals'
import { measureIn } from './fieldText'
import { QUANTITIES, toFieldText, type Quantity, type UnitSystem } from './units'

const WHOSE_NAMES = { gallon: 'gallon', pint: 'pint', quart: 'quart', fluidOunce: 'fluid ounce' } as const

/** What a field understood where it was given units of its own: "= 55.9 cm"; nothing where it was not. */
export function understoodText(typed: string, quantity: Quantity, units: UnitSystem): string {
  const read = measureIn(typed, quantity, units)
  const { unit } = QUANTITIES[quantity][units]
  return read?.kind === 'value' ? `= ${toFieldText(read.value, quantity, units)} ${unit}` : ''
}

/** What is said beside a field whose words are no number: what is counted with meanwhile. */
export function notANumberText(
  typed: string,
  value: number,
  quantity: Quantity,
  units: UnitSystem,
): Sentence {
  const { unit } = QUANTITIES[quantity][units]
  const read = readNumber(typed)
  if (read !== null && typeof read !== 'number')
    return {
      why: `“${typed}” may mean ${read.either.join(' or ')}.`,
      fix: `Type it so that it can be read in one way. Still counting with ${toFieldText(value, quantity, units)}${unit ? ` ${unit}` : ''}.`,
    }
  const measure = measureIn(typed, quantity, units)
  if (measure?.kind === 'whose')
    return {
      why: `Whose ${WHOSE_NAMES[measure.unit]}? A US and an imperial one differ.`,
      fix: `Type “us” or “imp” before it, or litres. Still counting with ${toFieldText(value, quantity, units)} ${unit}.`,
    }
  return {
    why: typed.trim() === '' ? 'Nothing typed here yet.' : `“${typed}” is not a number.`,
    fix: `Still counting with ${toFieldText(value, quantity, units)}${unit ? ` ${unit}` : ''}.`,
  }
}

/** What is wrong with the size of a pack, litres or kilograms, if anything. */
export function packSizeProblem(size: number): Sentence | null {
  if (!(size > 0)) return { why: 'A pack holds more than 0.', fix: 'Type what is printed on it.' }
  return size > PACK_LIMITS.size.value
    ? { why: 'That is more than a lorry brings.', fix: 'Check the unit.' }
    : null
}
/** Why a row of a sheet of beds cannot be added. */
export function sheetProblemText({ row, name, why }: SheetProblem, units: UnitSystem): string {
  const where = `Row ${row}${name ? ` (${name})` : ''}`
  if ('problem' in why) {
    const said = problemText(why.problem, units)
    return `${where}: ${said.why} ${said.fix}`
  }
  if ('refusal' in why) {
    const said = refusalText(why.refusal)
    return `${where}: ${said.why} ${said.fix}`
  }
  const { column, text, wanted } = why
  if (column === 'rows') return `Too many rows: ${wanted}. Split the sheet.`
  if (column === 'quote')
    return `Row ${text}: a quotation mark has no second one, so nobody knows where its cell ends. Put it in or take it out.`
  if (column === 'surplus')
    return `${where}: “${text}” is beyond the last column. A decimal comma? Use semicolons between the cells, or quotes.`
  if (column === 'stranger') return `There is no column “${text}”. Say which one it is, or leave it out.`
  if (column === 'twice') return `Two columns are “${text}”. Keep one of them.`
  if (column === 'halves')
    return `${where}: is “${text}” one number or two? Commas separate the cells here. Use semicolons, or put the number in quotes.`
  if (column !== 'heading') return `${where}: “${text}” under “${column}”; wanted: ${wanted}.`
  return `The first line must name columns, of these: ${wanted}.${text ? ` “${text}” is none of them.` : ''}`
}
