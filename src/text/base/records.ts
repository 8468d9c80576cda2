import { cropName } from '@/core/data/cropTable'
import type { MixRecord } from '@/model/garden/schemas'
import { dayText } from './dates'
import { placeText } from './labels'
import { VESSEL_NAMES } from '../bed/vessels'
import { readingTitle } from '../make/making'
import { bucketsText } from '../make/measures'
import { moneyText } from './money'
import { doseWeightText, percentText, pHText, volumeText, type UnitSystem } from './units'

const batches = (count: number) => `${count} ${count === 1 ? 'batch' : 'batches'}`

/** "mixed on 14 Mar 2026: 120 L in 2 batches." */
export const recordedText = (r: MixRecord, units: UnitSystem): string =>
  `mixed on ${dayText(r.madeOn)}: ${volumeText(r.blendLitres, units)} in ${batches(r.batchCount)}.`

/** What is expected of a mix just written down, and when to look. */
export const expectedText = ({ predicted: p }: MixRecord): string =>
  `Expected: ${percentText(p.airFilledPorosity)} air after draining, pH ${pHText(p.pH)} in six weeks. Test the pH after a fortnight and again at six weeks.`

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

const named = (name: string, lot: string) => (lot ? `${name}, lot ${lot}` : name)
const moneyOr = (cost: number | null) => (cost === null ? '' : moneyText(cost))

/** What a mix cost: paid for it, and what of that went in. */
export const costText = ({ used, paid }: MixRecord): string =>
  `Cost of what went in: ${moneyText(used ?? 0)}${paid === null ? '' : `; paid at the shop: ${moneyText(paid)}`}.`

/** What was read at the tub, and what was put in because of it. */
export const tubTexts = (r: MixRecord, units: UnitSystem): string[] => [
  ...r.readings.map((x) => `Batch ${x.batch + 1}: ${readingTitle(x)}.`),
  ...r.corrections.map(
    (c) => `Batch ${c.batch + 1}: ${doseWeightText(c.grams, units)} of ${c.dressingName} put in.`,
  ),
]

/** What went into a mix: a name, and what was measured or weighed. */
export const wentInRows = (r: MixRecord, units: UnitSystem): string[][] => [
  ...r.measured.map((m) => [
    named(m.materialName, m.lot),
    bucketsText(m.twelfths),
    volumeText(m.litres, units),
    moneyOr(m.cost),
  ]),
  ...r.limes.map((l) => [named(l.limeName, l.lot), '', doseWeightText(l.grams, units), moneyOr(l.cost)]),
  ...r.dressings.map((d) => [
    named(d.dressingName, d.lot),
    placeText(d.place, units),
    doseWeightText(d.grams, units),
    moneyOr(d.cost),
  ]),
]
