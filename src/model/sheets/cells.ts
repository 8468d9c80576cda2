import type { Settings } from '../garden/schemas'
import { CHOICE_WORDS } from './choiceWords'
import { USUAL_UNITS, type SheetUnit } from './headings'
import { numberOf, numberWanted, unitOf, type CellWrong, type Sheet } from './sheet'

type Measured = 'length' | 'volume' | 'load' | 'number'
const perOf = (units: Settings['units'], quantity: Measured) =>
  quantity === 'number' ? 1 : USUAL_UNITS[units][quantity].per

/** Six decimals out, a thousandth of a millimetre in: what goes out in inches comes in as the same centimetres. */
const tidy = (x: number) => String(Number(x.toFixed(6)))
const tidyIn = (x: number) => Number(x.toFixed(4))
const squeeze = (text: string) => text.toLowerCase().replace(/[^a-z]/g, '')

/** How core values are written in the cells of a sheet in the grower's units. */
export const cellWriter = (units: Settings['units']) => ({
  measure: (value: number | undefined, quantity: Measured = 'length') =>
    value === undefined ? '' : tidy(value / perOf(units, quantity)),
  yesNo: (value: boolean) => (value ? 'yes' : 'no'),
  length: (cm: number) => tidy(cm / perOf(units, 'length')),
})
export type CellWriter = ReturnType<typeof cellWriter>

/** A unit that a heading names is any unit of what its column measures. */
const inUnit = (value: number, unit: SheetUnit) => tidyIn((value + (unit.plus ?? 0)) * unit.per)

/**
 * How the cells of one row are read: by the unit of their heading, else the grower's, and by the sheet's own decimal
 * sign; an empty one gives the usual answer. Throws a `CellWrong`.
 */
export function cellReader(cells: Record<string, string>, units: Settings['units'], sheet: Sheet) {
  const text = (column: string) => (cells[column] ?? '').trim()
  const wrong = (column: string, wanted: string): never => {
    throw { column, text: text(column), wanted } satisfies CellWrong
  }
  return {
    text,
    wrong,
    isEmpty: (column: string) => text(column) === '',
    measure(column: string, usual: number, quantity: Measured = 'length'): number {
      if (text(column) === '') return usual
      const parsed = numberOf(sheet, text(column))
      if (typeof parsed !== 'number') return wrong(column, numberWanted(parsed))
      return quantity === 'number'
        ? parsed
        : inUnit(parsed, unitOf(sheet, column) ?? USUAL_UNITS[units][quantity])
    },
    /** A length among words in a cell of this column; null where it is no number. */
    lengthIn(column: string, inCell: string): number | null {
      const parsed = numberOf(sheet, inCell)
      return typeof parsed === 'number'
        ? inUnit(parsed, unitOf(sheet, column) ?? USUAL_UNITS[units].length)
        : null
    },
    choice<T extends string>(column: string, of: readonly T[], usual: T): T {
      if (text(column) === '') return usual
      const said = squeeze(text(column))
      const named = CHOICE_WORDS[said]
      return (
        of.find((x) => squeeze(x) === said) ?? of.find((x) => x === named) ?? wrong(column, of.join(', '))
      )
    },
    yesNo(column: string, usual: boolean): boolean {
      if (text(column) === '') return usual
      const said = text(column).toLowerCase()
      return said === 'yes' || (said === 'no' ? false : wrong(column, 'yes, no'))
    },
  }
}
export type CellReader = ReturnType<typeof cellReader>
