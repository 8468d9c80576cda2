import { CM_PER_INCH, LITRES } from '@/core/units'
import type { Settings } from '../garden/schemas'
import { readNumber } from '../numbers'
import { CHOICE_WORDS } from './choiceWords'
import { numberWanted } from './sheet'

/** Thrown where a cell cannot be read: which, what it says and what was wanted. */
export interface CellWrong {
  column: string
  text: string
  wanted: string
}

type Measured = 'length' | 'volume' | 'number'
/** What one of a sheet's units is in the core's. */
const PER: Record<Settings['units'], Record<Measured, number>> = {
  metric: { length: 1, volume: 1, number: 1 },
  us: { length: CM_PER_INCH, volume: LITRES.usGallon, number: 1 },
}

/** Six decimals out, a thousandth of a millimetre in: what goes out in inches comes in as the same centimetres. */
const tidy = (x: number) => String(Number(x.toFixed(6)))
const tidyIn = (x: number) => Number(x.toFixed(4))
const squeeze = (text: string) => text.toLowerCase().replace(/[^a-z]/g, '')

/** How core values are written in the cells of a sheet in the grower's units. */
export const cellWriter = (units: Settings['units']) => ({
  measure: (value: number | undefined, quantity: Measured = 'length') =>
    value === undefined ? '' : tidy(value / PER[units][quantity]),
  yesNo: (value: boolean) => (value ? 'yes' : 'no'),
  lengths: {
    write: (cm: number) => tidy(cm / PER[units].length),
    read: (inUnits: number) => tidyIn(inUnits * PER[units].length),
  },
})
export type CellWriter = ReturnType<typeof cellWriter>

/** How the cells of one row are read; an empty one gives the usual answer. Throws a `CellWrong`. */
export function cellReader(cells: Record<string, string>, units: Settings['units']) {
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
      const parsed = readNumber(text(column))
      if (typeof parsed !== 'number') return wrong(column, numberWanted(parsed))
      return quantity === 'number' ? parsed : tidyIn(parsed * PER[units][quantity])
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
