import type { Shown } from '../base/shown'

export const sheetReader = {
  pasteRowsFromASpreadsheet: 'Paste rows from a spreadsheet, the headings first, or choose a CSV file.',
  columns: 'Columns:',
  rows: 'Rows',
  chooseAFile: 'Choose a file',
  andMoreRows: (problems: Shown) => `… and ${problems} more rows.`,
}
