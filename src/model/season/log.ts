import { differenceInCalendarDays, parseISO } from 'date-fns'
import type { Evaluation } from '@/core/evaluate'
import { SALTS_UNTIL } from '@/core/fieldTests'
import type { Entry, EntryKind, Job, MixRecord } from '../garden/schemas'
import type { Settings } from '../garden/schemas'
import { csvOf } from '../sheets/sheet'
import { SHEET_UNITS } from '../sheets/sheetUnits'

/** Days from mixing to a moment; from planting where no record says when it was mixed. Null where neither is known. */
export function dayOf(job: Job, record: MixRecord | undefined, at: string): number | null {
  const from = record?.madeOn ?? job.plantedOn
  if (!from) return null
  const days = differenceInCalendarDays(parseISO(at), parseISO(from))
  return days >= 0 ? days : null
}

/**
 * What the mix was to read so many days after mixing: pH by its course, water and feed counted in. Salts are told for
 * the first days only, before water has taken any. Null where that is not known.
 */
export function expectedOn(evaluation: Evaluation, kind: EntryKind, day: number | null): number | null {
  if (day === null) return null
  if (kind === 'salts')
    return day <= SALTS_UNTIL ? evaluation.salts.mix.electricalConductivity.oneToTwo : null
  if (kind !== 'pH') return null
  const { acidity } = evaluation
  const after = acidity.findIndex((s) => s.day >= day)
  if (after === -1) return acidity.at(-1)?.pH ?? null
  const [a, b] = [acidity[Math.max(0, after - 1)]!, acidity[after]!]
  const share = b.day > a.day ? (day - a.day) / (b.day - a.day) : 0
  return a.pH + share * (b.pH - a.pH)
}

/** A log as CSV, in the grower's units; `bedName` names a bed, `kindName` a kind. */
export function logCsv(
  entries: readonly Entry[],
  units: Settings['units'],
  bedName: (fillId: string | null) => string,
  kindName: (kind: EntryKind) => string,
): string {
  const { volume, dose, weight } = SHEET_UNITS[units]
  const IN: Partial<Record<EntryKind, { of: (x: number) => string; sign: string }>> = {
    watered: volume,
    fed: dose,
    weight,
    harvest: weight,
    sunk:
      units === 'us'
        ? { of: (cm) => (cm / 2.54).toFixed(1), sign: 'in' }
        : { of: (cm) => cm.toFixed(1), sign: 'cm' },
    salts: { of: (x) => x.toFixed(2), sign: 'dS/m' },
    pH: { of: (x) => x.toFixed(2), sign: '' },
  }
  return csvOf(
    entries.map((e) => ({
      date: e.at.slice(0, 10),
      time: e.at.slice(11, 16),
      bed: bedName(e.fillId),
      what: kindName(e.kind),
      value: e.value === null ? '' : (IN[e.kind]?.of(e.value) ?? String(e.value)),
      unit: e.value === null ? '' : (IN[e.kind]?.sign ?? ''),
      number: e.count ?? '',
      expected: e.expected === null ? '' : e.expected.toFixed(2),
      note: e.note,
    })),
    ['date', 'time', 'bed', 'what', 'value', 'unit', 'number', 'expected', 'note'],
  )
}
