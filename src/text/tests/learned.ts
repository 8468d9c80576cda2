import type { Dressing, Material, MaterialPropertyName, Property } from '@/core/data'
import type { LearnedFigures, LearnedProperty } from '@/core/data/learned'
import type { GardenReading } from '@/model/learn/readings'
import type { ReadingTold, WhyOdd } from '@/core/ranges'
import { isShare, type Prediction } from '@/model/learn/predictions'
import { counted } from '../base/counted'
import { dayText } from '../base/dates'
import { figureWords } from '../shelf/materialFigures'
import { testFigureText } from './testFollows'
import { percentText, pHText, type UnitSystem } from '../base/units'
import type { TestFigure } from '@/core/fieldTests'

/** A property before and after, in words. */
export interface LearnedLine {
  label: string
  before: string
  after: string
}

/** What a figure is said to be where it is more, and where it is less, than in the table. */
const SAID: Partial<Record<MaterialPropertyName, [more: string, less: string]>> = {
  bufferCapacity: ['holds pH more firmly', 'gives way to lime more easily'],
  pH: ['is less acid', 'is more acid'],
  electricalConductivity: ['is saltier', 'is less salty'],
  waterAt10Cm: ['holds more water', 'holds less water'],
  dryBulkDensity: ['is heavier', 'is lighter'],
  totalPorosity: ['has more pores', 'has fewer pores'],
  saturatedConductivity: ['lets water through faster', 'lets water through more slowly'],
}

const DRESSING_LABELS: Record<string, string> = {
  'release.ratePerDay': 'How fast it works, a day',
  'release.fraction': 'Share it gives up',
  'lime.calciumCarbonateEquivalent': 'Strength against pure limestone',
  acidity: 'Acid it makes',
  bulkDensity: 'Weight of a litre',
  saltIndex: 'Salt index',
}
const dressingLabel = (path: string) =>
  DRESSING_LABELS[path] ??
  (path.startsWith('analysis.') ? path.slice(9).replace(/^./, (c) => c.toUpperCase()) : path)
const plain = { unit: '', write: (x: number) => String(Number(x.toPrecision(3))) }
const withRange = (of: { low: number; value: number; high: number }, { unit, write }: typeof plain) =>
  `${write(of.value)} (${write(of.low)} to ${write(of.high)}) ${unit}`.trim()

const propertyAt = (row: unknown, path: string): Property | undefined =>
  path.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], row) as
    | Property
    | undefined

const isMaterial = (row: Material | Dressing): row is Material => 'properties' in row
/** In ranges of the table, how far a property has moved or narrowed: what is said first. */
const weightOf = (was: Property, is: LearnedProperty) => {
  const width = was.high - was.low || 1
  return Math.abs(is.value - was.value) / width + 0.5 * (1 - (is.high - is.low) / width)
}

/** Every property learned of a row, what was learned most first. */
export function learnedLines(row: Material | Dressing, { properties }: LearnedFigures): LearnedLine[] {
  return properties
    .flatMap((p) => {
      const was = isMaterial(row) ? row.properties[p.name as MaterialPropertyName] : propertyAt(row, p.name)
      return was ? [{ p, was, weight: weightOf(was, p) }] : []
    })
    .sort((a, b) => b.weight - a.weight)
    .map(({ p, was }) => {
      const words = isMaterial(row)
        ? figureWords(p.name as MaterialPropertyName)
        : { ...plain, label: dressingLabel(p.name) }
      return { label: words.label, before: withRange(was, words), after: withRange(p, words) }
    })
}

/** A property has moved by so much of its range before it is spoken of. */
const SPOKEN_OF = 0.12

/** "Your green compost is less acid and holds pH more firmly than in the table."; empty where nothing has moved. */
export function learnedSentence(
  row: Material | Dressing,
  name: string,
  { properties }: LearnedFigures,
): string {
  const moved = properties.flatMap((p) => {
    if (!isMaterial(row)) {
      const was = propertyAt(row, p.name)
      if (p.name !== 'release.ratePerDay' || !was) return []
      const by = (p.value - was.value) / (was.high - was.low || 1)
      return Math.abs(by) > SPOKEN_OF ? [by > 0 ? 'works faster' : 'works more slowly'] : []
    }
    const was = row.properties[p.name as MaterialPropertyName]
    const said = SAID[p.name as MaterialPropertyName]
    if (!was || !said) return []
    const by = (p.value - was.value) / (was.high - was.low || 1)
    return Math.abs(by) > SPOKEN_OF ? [by > 0 ? said[0] : said[1]] : []
  })
  if (moved.length === 0) return ''
  const list = moved.length === 1 ? moved[0]! : `${moved.slice(0, -1).join(', ')} and ${moved.at(-1)!}`
  return `Your ${name.replace(/^./, (c) => c.toLowerCase())} ${list} than in the table.`
}

const FIGURE_OF: Record<GardenReading['measurement']['kind'], TestFigure> = {
  pH: 'pH',
  drainTest: 'airFilledPorosity',
  waterHeld: 'containerCapacity',
  weighed: 'moistDensity',
  dryDensity: 'dryDensity',
  blendingLoss: 'blendingLoss',
  percolation: 'cmPerHour',
  electricalConductivity: 'electricalConductivity',
}
const KIND_NAMES: Record<GardenReading['measurement']['kind'], string> = {
  pH: 'pH',
  drainTest: 'air, drained',
  waterHeld: 'water held',
  weighed: 'weight',
  dryDensity: 'dry weight',
  blendingLoss: 'loss on mixing',
  percolation: 'water sinking in',
  electricalConductivity: 'salts',
}

/** A reading in a line: what, where and when. */
export const readingText = ({ measurement, at }: GardenReading, of: string): string =>
  `${of}, ${KIND_NAMES[measurement.kind]}, ${dayText(at)}`

/** A value as a reading of its kind is written. */
export const readingValueText = (
  kind: GardenReading['measurement']['kind'],
  value: number,
  units: UnitSystem,
) => testFigureText(FIGURE_OF[kind], value, units)

/** What came of a reading: what was expected, what was read, what is expected since. */
export function readingToldRows(
  told: readonly ReadingTold[],
  nameOf: (id: string) => string,
  units: UnitSystem,
) {
  return told.map((t) => {
    const as = (x: number) => readingValueText(t.kind, x, units)
    return {
      id: t.id,
      questioned: t.questioned !== null,
      cells: [
        nameOf(t.id),
        as(t.read),
        `${as(t.expected)} (${as(t.before.low)} to ${as(t.before.high)})`,
        t.questioned ? 'questioned' : `${as(t.after.middle)} (${as(t.after.low)} to ${as(t.after.high)})`,
      ],
    }
  })
}

/** Why nothing is learned from a reading yet. */
const WHY_ODD: Record<WhyOdd, string> = {
  tables: 'no such mix of these materials would read that',
  others: 'your other readings of these materials contradict it',
}
/** What to do about it, by what was read. */
const READ_AGAIN: Partial<Record<ReadingTold['kind'], string>> = {
  pH: 'Check the meter in its buffers and read a second sample.',
  electricalConductivity: 'Check the meter in its standard solution, rinse it and read a second sample.',
  drainTest: 'Soak the pot longer, let it drain for an hour and measure again.',
  waterHeld: 'Weigh the pot again, full and dry.',
  weighed: 'Weigh it again, and take off the container.',
}
const MEASURE_AGAIN = 'Measure it a second time.'

/** What is said of a reading that nothing is learned from: why, and what to do. */
export const questionedText = (
  what: string,
  { kind, questioned }: Pick<ReadingTold, 'kind' | 'questioned'>,
): string =>
  `${what}: ${WHY_ODD[questioned ?? 'tables']}. ${READ_AGAIN[kind] ?? MEASURE_AGAIN} Nothing is learned from it until you say it is right.`

/** How many readings wait to be learned from. */
export const waitingText = (count: number): string =>
  count === 0 ? 'Every reading has been learned from.' : `${counted(count, 'reading')} to learn from.`

/** How well the readings of one kind were predicted. */
export function predictionText({ kind, count, inside, mean, size }: Prediction): string {
  const name = kind === 'pH' ? 'pH' : KIND_NAMES[kind].replace(/^./, (c) => c.toUpperCase())
  const fraction = kind === 'drainTest' || kind === 'waterHeld' || kind === 'blendingLoss'
  const amount = (x: number) =>
    isShare(kind)
      ? percentText(Math.abs(x))
      : fraction
        ? `${Math.abs(100 * x).toFixed(1)} points`
        : pHText(Math.abs(x))
  const off = `on the mean ${amount(mean)} ${mean < 0 ? 'lower' : 'higher'} than expected`
  const apart = count > 1 ? `, ${amount(size)} off in either direction` : ''
  return `${name}: ${inside} of ${counted(count, 'reading')} inside the likely range; ${off}${apart}.`
}
