import { ELEMENT_NAMES } from './elements'
import {
  LAB_FIGURES,
  LAB_METHODS,
  labConcerns,
  readReport,
  type LabConcern,
  type LabFigure,
  type LabFigures,
  type LabGroup,
  type LabReading,
} from '@/core/laboratory'
import type { Repeat } from '@/core/fieldTests'
import type { LabDose } from '@/model/season/labDoses'
import { dressingName } from '../shelf/dressings'
import { doseSpoons } from '../make/measures'
import { lowerFirst, numberText } from '../base/counted'
import { doseWeightText, percentText, volumeText, type UnitSystem } from '../base/units'

/** What a report is read by, and what it asks for over all beds. */
export interface LabAsked {
  group: LabGroup
  doses: readonly (LabDose & { grams: number; bulkDensity: number })[]
  litres: number
}

const GROUP_NAMES: Record<LabGroup, string> = {
  seedling: 'seedlings and cuttings',
  light: 'crops that want little feed',
  medium: 'most crops',
  heavy: 'hungry crops',
  acid: 'crops of acid ground',
}
const FIGURES: Record<LabFigure, string> = {
  pH: 'The pH',
  salts: 'Salts',
  ...ELEMENT_NAMES,
  ammonium: 'Ammonium',
}

/** What helps where a figure is high; those not named here need no word of their own. */
const IF_HIGH: Partial<Record<LabFigure, string>> = {
  salts: 'Water through with one or two pot volumes of clean water and read it again in a day.',
  nitrogen: 'Hold the feed until it is below.',
  ammonium: 'Let it turn to nitrate, warm and airy; no urea, no meals, and sow nothing yet.',
  phosphorus: 'No phosphate feeds and no bone meal.',
  potassium: 'No potassium in the feed; look for a shortage of magnesium.',
  sodium: 'Use better water, and water through.',
  chloride: 'Water through; no salty manure or coir.',
  zinc: 'Look for galvanised metal; lime to pH 6.8.',
  copper: 'No more copper; lime.',
  boron: 'Water through, and find where it comes from.',
  manganese: 'Lime to pH 6.',
}
/** What helps where a trace is low: mostly the pH. */
const IF_LOW: Partial<Record<LabFigure, string>> = {
  iron: 'Bring the pH down first; then a chelate that holds at that pH.',
  manganese: 'Bring the pH down first.',
  zinc: 'Bring the pH down first.',
  copper: 'Peat needs 1 to 2 mg of copper for each litre of mix.',
  boron: 'Borax, 5 to 8 mg for a litre of mix, once and no more.',
  molybdenum: 'Lime; cabbages and beans need it first.',
}

const written = (x: number, figure: LabFigure) =>
  figure === 'pH' || x < 10 ? numberText(x, x < 1 && figure !== 'pH' ? 2 : 1) : numberText(x)
const unitOf = (figure: LabFigure) => (figure === 'pH' ? '' : figure === 'salts' ? ' dS/m' : ' mg/L')

/** A figure that is not as it should be, in a sentence. */
function readingText({ figure, saturated, band, verdict, sure }: LabReading): string {
  const { low, value, high } = saturated
  const range = high - low > 0.02 * value ? ` (${written(low, figure)} to ${written(high, figure)})` : ''
  const wanted = `${written(band.low, figure)} to ${written(band.high, figure)}`
  const does = (verdict.endsWith('high') ? IF_HIGH : IF_LOW)[figure]
  return `${FIGURES[figure]} ${figure === 'salts' ? 'are' : 'is'} ${verdict}: ${written(value, figure)}${range}${unitOf(figure)} in a saturated extract, best ${wanted}.${
    sure ? '' : ' The method leaves that open: test again before you act.'
  }${does ? ` ${does}` : ''}`
}

const CONCERNS: { [C in LabConcern as C['code']]: (concern: C) => string } = {
  'units-doubtful': ({ ratio }) =>
    `The cations come to ${percentText(ratio)} of what the conductivity says: check the units and the method first.`,
  'much-ammonium': ({ share }) =>
    `${percentText(share)} of the nitrogen is ammonium: feed nitrate while it is cold.`,
  'potassium-over-magnesium': ({ ratio }) =>
    `Potassium is ${numberText(ratio, 1)} times magnesium: it keeps magnesium out. Epsom salts help.`,
  'calcium-over-magnesium': ({ ratio }) =>
    `Calcium is ${numberText(ratio, 1)} times magnesium: look at old leaves for yellow between the veins.`,
  'magnesium-over-calcium': ({ ratio }) =>
    `Calcium is only ${numberText(ratio, 1)} times magnesium: gypsum, and no more Epsom salts.`,
}
const concernText = (concern: LabConcern): string =>
  (CONCERNS[concern.code] as (c: LabConcern) => string)(concern)

/** "Potassium: 6 g of potassium sulfate over all 40 L, in the water of two waterings." */
const labDoseText = (
  { figure, dressingId, grams, bulkDensity, held }: LabAsked['doses'][number],
  litres: number,
  units: UnitSystem,
): string =>
  `${FIGURES[figure]}: ${doseWeightText(grams, units)}, ${doseSpoons(grams, bulkDensity, units)}, of ${lowerFirst(dressingName(dressingId))} over all ${volumeText(litres, units)}, in the water of two waterings.${
    held ? ' That is the most of it at once: test again before more.' : ''
  }`

/** What the course of nitrogen is good for: a factor either way. Source: as `feedingSeason`. */
const COURSE_WITHIN = 1.5
/** Below this in a saturated extract a factor says nothing, mg/L. Source: our assumption. */
const NEXT_TO_NONE = 10

/** Nitrogen beside its course: less is gone to rain, wood or a hungrier crop; more is still to be taken up. */
function againstCourse(readings: readonly LabReading[], expected: number | null): string[] {
  const read = readings.find((r) => r.figure === 'nitrogen')?.saturated
  if (!read || expected === null) return []
  const [less, more] = [
    Math.max(read.high, NEXT_TO_NONE) * COURSE_WITHIN < expected,
    read.low > Math.max(expected, NEXT_TO_NONE) * COURSE_WITHIN,
  ]
  const predicted = `${written(expected, 'nitrogen')} mg/L of nitrogen was predicted for this week`
  if (less)
    return [`${predicted}: it goes faster than that, by rain, draining or growth. Begin to feed sooner.`]
  if (more) return [`${predicted}: more is left. Feed later, and less.`]
  return [`${predicted}: the course holds.`]
}

/** What follows from a report: what it is read by, what is off, what is to be given. The last sample counts. */
export function labFollows(
  repeats: readonly Repeat[],
  { asked, nitrogenExpected }: { asked: LabAsked | null; nitrogenExpected: number | null },
  units: UnitSystem,
): string[] {
  const { method = 0, ...read } = repeats.at(-1) ?? {}
  const figures = Object.fromEntries(
    LAB_FIGURES.flatMap((f) => (read[f] === undefined ? [] : [[f, read[f]]])),
  ) as LabFigures
  const group = asked?.group ?? 'medium'
  const readings = readReport(figures, { method: LAB_METHODS[Math.round(method)]!, group })
  if (readings.length === 0) return []
  const off = readings.filter((r) => r.verdict !== 'fine')
  const concerns = labConcerns(figures)
  const isDoubtful = concerns.some((c) => c.code === 'units-doubtful')
  return [
    `Read for ${GROUP_NAMES[group]}. ${off.length === 0 ? 'Every figure is as it should be.' : ''}`.trim(),
    ...concerns.filter((c) => c.code === 'units-doubtful').map(concernText),
    ...off.map(readingText),
    ...againstCourse(readings, nitrogenExpected),
    ...concerns.filter((c) => c.code !== 'units-doubtful').map(concernText),
    // Nothing is weighed out by units that cannot be right.
    ...(isDoubtful ? [] : (asked?.doses ?? [])).map((dose) => labDoseText(dose, asked!.litres, units)),
  ]
}
