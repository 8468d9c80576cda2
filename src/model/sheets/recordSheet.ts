import { csvOf } from './sheet'
import type { MixRecord } from '../garden/schemas'

/** Records as CSV, litres and kilograms throughout. `cropName` says what its crop is called. */
export const recordsCsv = (records: readonly MixRecord[], cropName: (record: MixRecord) => string): string =>
  csvOf(
    records.map((r) => ({
      date: r.madeOn,
      job: r.jobName,
      crop: cropName(r),
      'mix, L': r.blendLitres.toFixed(1),
      recipe: r.measured.map((m) => `${m.litres.toFixed(1)} L ${m.materialName}`).join('; '),
      'lime, g': r.limes.reduce((sum, l) => sum + l.grams, 0).toFixed(0),
      'air expected, %': (r.predicted.airFilledPorosity * 100).toFixed(1),
      'pH expected': r.predicted.pH.toFixed(2),
      'weight drained, kg each': r.predicted.drainedWeight.toFixed(1),
      note: r.note,
    })),
  )
