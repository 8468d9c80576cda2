import type { Shown } from '../base/shown'

export const sheetReader = {
  pasteRowsFromASpreadsheet: 'Paste rows from a spreadsheet, the headings first, or choose a CSV file.',
  columns: 'Columns:',
  rows: 'Rows',
  chooseAFile: 'Choose a file',
  leaveItOut: 'leave it out',
  sayWhatItIs: 'Which column is it?',
  theHeadingIs: (heading: Shown) => `The heading “${heading}” is`,
  andMoreRows: (problems: Shown) => `… and ${problems} more rows.`,
}

export const termHint = {
  whatIs: (term: Shown) => `What is ${term}?`,
}

export const timeStripWords = {
  today: 'today',
  rain: (least: Shown, most: Shown) => `blue: rain, ${least} to ${most}`,
  dragToMove: 'Drag a task to another day, or use the arrow keys.',
}

export const weekBars = {
  shortFrom: (week: Shown) => `, short from week ${week}`,
  mixed: 'mixed',
  week: (week: Shown) => `week ${week}`,
}
