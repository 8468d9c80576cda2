import { PUBLISHED } from '@/core/data'
import { readAmount, type Manner } from '@/model/amounts/amount'
import { jobAmounts, lineAmounts } from '@/model/amounts/setting'
import { DEFAULT_SETTINGS, type Garden } from '@/model/garden/garden'
import { doseTotals } from '@/model/make/doseTotals'
import type { Quantities } from '@/model/make/quantities'
import { doseLines, shoppingList, type ShoppingLine } from '@/model/make/shoppingList'
import { moneyOf } from '@/model/make/money'
import { timetable, type Timetable } from '@/model/make/timetable'
import { vesselsFor } from '@/model/make/vessels'
import { compare } from '@/model/mix/compare'
import { recipeOf } from '@/model/mix/versions'
import { shoppingCsv } from '@/model/sheets/shoppingSheet'
import { comesToText, doseInManner } from '../base/amounts'
import { comparedRows } from '../mix/compare'
import { gatherLines } from '../make/gather'
import { labelText } from '../mix/label'
import { packText } from '../base/labels'
import { vesselText } from '../make/measures'
import { bedCostRows, moneyRows } from '../base/money'
import { clashText, mixingDayText, stepText } from '../make/preparing'
import { doseWeightText } from '../base/units'
import type { RandomJob } from './randomJob'

/** Ways of giving an amount, as growers choose them; the weight in the units of the grower. */
const MANNERS = (unit: 'g' | 'oz'): (Manner | null)[] => [
  null,
  { unit: 'tablespoon', base: 'bucket', of: 1 },
  { unit: 'cup', base: 'all', of: 1 },
  { unit, base: 'container', of: 1 },
  { unit, base: 'plant', of: 1 },
]

/** What is said of buying, of amounts as they are given, on the sheet, and beside another mix. */
export function sayOfShop(
  { job, place, units }: Pick<RandomJob, 'job' | 'place' | 'units'>,
  quantities: Quantities,
  say: (where: string, ...texts: string[]) => void,
): { bought: ShoppingLine[]; table: Timetable } {
  const garden: Garden = new Map([['settings', { ...DEFAULT_SETTINGS, units }]])
  const totals = doseTotals(job, quantities)
  for (const dose of totals) say('dose', doseWeightText(dose.grams, units))
  const bought = shoppingList(garden, quantities)
  const doses = doseLines(garden, totals)
  const table = timetable({ job, place, list: bought, doses: totals, today: '2026-04-10' })
  say('prepare', mixingDayText(table))
  for (const step of [...table.before, ...table.after]) {
    const { title, text, takes, when } = stepText(step, units)
    say('prepare', title, text, takes, when)
  }
  for (const clash of table.clashes) say('prepare', clashText(clash, units).why, clashText(clash, units).fix)
  const money = moneyOf(garden, bought, [], doses)
  for (const row of moneyRows(money, quantities.inPlace, units)) say('money', ...row)
  for (const row of bedCostRows(job, quantities, money.used)) say('money', ...row)
  for (const vessel of vesselsFor(job, bought, PUBLISHED)) say('vessel', vesselText(vessel, units))
  const label = labelText({ job, fill: job.fills[0]!, quantities, record: undefined }, units)
  say('label', label.title, ...label.lines)
  for (const { measure, leftover, wet, buy } of gatherLines(bought, [], doses, units))
    say(
      'gather',
      measure,
      leftover,
      ...wet,
      ...('strong' in buy ? [buy.strong, ...buy.small] : [buy.sentence]),
    )
  const csv = shoppingCsv({ lines: bought, mixes: [], doses }, (pack) => packText(pack, units), units)
  for (const row of csv.trim().split('\n')) say('shopping sheet', ...row.split(/,(?! )/))
  const amounts = jobAmounts(garden, job)
  for (const line of job.dressings) {
    const setting = lineAmounts(amounts, job, line, PUBLISHED)
    for (const manner of MANNERS(units === 'us' ? 'oz' : 'g')) {
      const shown = doseInManner(line.gramsPerLitre, manner, setting)
      const read = readAmount(shown.words, { system: units, usual: shown.manner })
      // Told in words, it is read back.
      say('amount', shown.words, read.ok ? comesToText(read.amount, setting) : `null for ${shown.words}`)
    }
  }
  const rival = { id: 'bench', name: '', recipe: recipeOf(job), corners: [] }
  const rows = comparedRows(compare(garden, job, place, [rival, rival]), units)
  for (const row of rows) say('compare', row.label, ...row.cells.flatMap((c) => [c.text, c.open]))
  return { bought, table }
}
