import { CM_PER_INCH } from '@/core/units'
import type { Entry, EntryKind, Settings } from '../garden/schemas'
import { csvOf } from './sheet'
import { SHEET_UNITS } from './sheetUnits'

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
        ? { of: (cm) => (cm / CM_PER_INCH).toFixed(1), sign: 'in' }
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
