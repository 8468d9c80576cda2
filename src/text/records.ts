import { cropName } from '@/core/data/cropTable'
import type { MixRecord } from '@/model/garden/schemas'
import { dayText } from './dates'
import { placeText, VESSEL_NAMES } from './labels'
import { bucketsText } from './measures'
import { doseWeightText, percentText, pHText, volumeText, weightText, type UnitSystem } from './units'

const batches = (count: number) => `${count} ${count === 1 ? 'batch' : 'batches'}`

/** "mixed on 14 Mar 2026: 120 L in 2 batches." */
export const recordedText = (r: MixRecord, units: UnitSystem): string =>
  `mixed on ${dayText(r.madeOn)}: ${volumeText(r.blendLitres, units)} in ${batches(r.batchCount)}.`

/** What is expected of a mix just written down, and when to look. */
export const expectedText = ({ predicted: p }: MixRecord): string =>
  `Expected: ${percentText(p.airFilledPorosity)} air after draining, pH ${pHText(p.pH)} in six weeks. Test the pH after a fortnight and again at six weeks.`

/** All that was expected of a mix. */
export const predictedText = ({ predicted: p }: MixRecord, units: UnitSystem): string =>
  `Air after draining ${percentText(p.airFilledPorosity)}, water within easy reach ${percentText(p.easilyAvailableWater)}, pH ${pHText(p.pH)} in six weeks, ${weightText(p.drainedWeight, units)} each when drained.`

export const recordCrop = (r: MixRecord): string => cropName(r.cropId)

/** "6 fabric bags, Sweet pepper". */
export function recordAbout(r: MixRecord): string {
  const { count, kind } = r.vessel
  const names = VESSEL_NAMES[kind]
  return `${count} ${count === 1 ? names.one.toLowerCase() : names.many}, ${recordCrop(r) || 'no crop named'}`
}

/** How it was measured: buckets of what size, how much in how many batches. */
export const measuredText = (r: MixRecord, units: UnitSystem): string =>
  `Buckets of ${volumeText(r.bucket, units)}; ${volumeText(r.blendLitres, units)} of mix in ${batches(r.batchCount)}.`

/** What went into a mix: a name, and what was measured or weighed. */
export const wentInRows = (r: MixRecord, units: UnitSystem): string[][] => [
  ...r.measured.map((m) => [m.materialName, bucketsText(m.twelfths), volumeText(m.litres, units)]),
  ...r.limes.map((l) => [l.limeName, '', doseWeightText(l.grams, units)]),
  ...r.dressings.map((d) => [d.dressingName, placeText(d.place, units), doseWeightText(d.grams, units)]),
]
