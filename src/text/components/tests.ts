import type { LabLineProblem } from '@/model/sheets/labSheet'
import { counted } from '../base/counted'
import type { Shown } from '../base/shown'

export const repeatFields = {
  ifYouReadIt: 'if you read it',
  report: (byWeight: boolean) =>
    `${byWeight ? 'In mg/kg of dry matter.' : 'Elements in mg/L (ppm) of the extract.'} Leave empty what the report does not print.`,
}

export const taughtBox = {
  itIsRight: 'It is right',
  theReadingsAreAsThe: 'The readings agree with the tables, within what a meter can tell: nothing to change.',
  useThisFromNowOn: 'Use this from now on',
}

const LINE_PROBLEMS: Record<LabLineProblem['code'], string> = {
  'unknown-name': 'no figure of that name is read here',
  'no-number': 'no number in it',
  'unknown-unit': 'this unit is not known; wanted: mg/L, ppm, mmol/L, µg/L, dS/m, mS/cm or µS/cm',
}

export const labPaste = {
  paste: 'Paste the report',
  pasteSays: 'or take a CSV: a line for each figure',
  report: 'Name, value and unit in each line',
  example: 'pH 6.1',
  file: 'From a CSV',
  fileName: 'CSV file of a laboratory report',
  take: (count: number) => `Take ${counted(count, 'figure')}`,
  problem: (row: Shown, code: LabLineProblem['code'], text: Shown) =>
    `Line ${row}, “${text}”: ${LINE_PROBLEMS[code]}.`,
}
