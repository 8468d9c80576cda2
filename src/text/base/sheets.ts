import type { SheetLook } from '@/model/sheets/sheet'

const BETWEEN: Record<SheetLook['separator'], string> = {
  tab: 'tabs',
  comma: 'commas',
  semicolon: 'semicolons',
}

/** How a sheet was read: what is between its cells, and how it writes a fraction. */
export const readAsText = ({ separator, decimal }: Pick<SheetLook, 'separator' | 'decimal'>): string =>
  `Read with ${BETWEEN[separator]} between the cells${
    decimal === 'comma'
      ? '; 6,5 is six and a half'
      : decimal === 'point'
        ? '; 6.5 is six and a half, 6,500 six thousand five hundred'
        : ''
  }.`
