import type { MixRecord, Settings } from '../garden/schemas'
import { csvOf } from './sheet'
import { SHEET_UNITS } from './sheetUnits'

/** Records as CSV, in the grower's units. `cropName` says what its crop is called. */
export function recordsCsv(
  records: readonly MixRecord[],
  cropName: (record: MixRecord) => string,
  units: Settings['units'],
): string {
  const { volume, dose, weight } = SHEET_UNITS[units]
  return csvOf(
    records.map((r) => ({
      date: r.madeOn,
      job: r.jobName,
      crop: cropName(r),
      [`mix, ${volume.sign}`]: volume.of(r.blendLitres),
      recipe: r.measured.map((m) => `${volume.of(m.litres)} ${volume.sign} ${m.materialName}`).join('; '),
      [`lime, ${dose.sign}`]: dose.of(r.limes.reduce((sum, l) => sum + l.grams, 0)),
      'air expected, %': (r.predicted.airFilledPorosity * 100).toFixed(1),
      'pH expected': r.predicted.pH.toFixed(2),
      [`weight drained, ${weight.sign} each`]: weight.of(r.predicted.drainedWeight),
      paid: r.paid?.toFixed(2) ?? '',
      used: r.used?.toFixed(2) ?? '',
      note: r.note,
    })),
  )
}
