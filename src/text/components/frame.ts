import type { Shown } from '../shown'

export const dialogForm = {
  cancel: 'Cancel',
}

export const listInSight = {
  showMoreOf: (more: Shown, more2: Shown) => `Show ${more} more of ${more2}`,
}

export const sheetReader = {
  pasteRowsFromASpreadsheet: 'Paste rows from a spreadsheet, the headings first, or choose a CSV file.',
  columns: 'Columns:',
  rows: 'Rows',
  chooseAFile: 'Choose a file',
  andMoreRows: (problems: Shown) => `… and ${problems} more rows.`,
  leaveIt: 'Leave it',
}
