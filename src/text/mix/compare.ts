import { LITRES } from '@/core/units'
import type { Compared } from '@/model/mix/compare'
import { differences } from '@/model/mix/compare'
import { chanceText } from './finder'
import { MONTHS } from '../base/months'
import {
  doseWeightText,
  intervalText,
  percentText,
  pHText,
  rateFigure,
  rateUnit,
  weightText,
  windText,
  type UnitSystem,
} from '../base/units'

const ROWS: Record<string, { label: string; write: (x: number, units: UnitSystem) => string }> = {
  air: { label: 'Air after draining', write: (x) => percentText(x) },
  wind: { label: 'Begins to tip in a wind of', write: windText },
  chance: { label: 'Batches that meet every target', write: chanceText },
  water: { label: 'Easy water', write: (x) => percentText(x) },
  days: { label: 'Waterings in the thirstiest month', write: intervalText },
  pH: { label: 'pH in six weeks', write: pHText },
  salts: { label: 'Salts, dS/m', write: (x) => x.toFixed(1) },
  weight: { label: 'Weight just after watering', write: weightText },
  feed: { label: 'Share of the season’s feed it gives', write: (x) => percentText(x) },
  lost: { label: 'Gone after three years', write: (x) => percentText(x) },
  loss: { label: 'Lost on stirring', write: (x) => percentText(x) },
  footprint: {
    label: 'Carbon dioxide, to the gate',
    write: (x, units) => `${doseKg(x, units)} ${rateUnit(units)}`,
  },
  cost: { label: 'Cost', write: (x, units) => `${rateFigure(x, units)} ${rateUnit(units)}` },
}

/** kg for a litre as a weight for a hundred litres or gallons would need another unit: for one it is grams. */
const doseKg = (kgPerLitre: number, units: UnitSystem) =>
  doseWeightText(1000 * kgPerLitre * (units === 'us' ? LITRES.usGallon : 1), units)

/** A row of the comparison in words; `alike` where nobody would notice the difference. */
export interface ComparedRow {
  key: string
  label: string
  cells: { text: string; open: string }[]
  alike: boolean
}

/** What mixes differ in, in words, the most first. */
export const comparedRows = (compared: readonly Compared[], units: UnitSystem): ComparedRow[] =>
  differences(compared).map(({ key, values, open, steps }) => {
    const { label, write } = ROWS[key]!
    return {
      key,
      label,
      alike: steps < 1,
      cells: values.map((v, i) => {
        const range = open[i]
        return {
          text: v === null ? '–' : write(v, units),
          open:
            range && v !== null
              ? `${key === 'footprint' ? 'sources give' : 'label allows'} ${write(range.low, units)} to ${write(range.high, units)}`
              : '',
        }
      }),
    }
  })

/** What can be followed through a season. */
export const COURSES = [
  { value: 'days', label: 'Waterings' },
  { value: 'pH', label: 'pH' },
  { value: 'nitrogen', label: 'Available nitrogen' },
] as const
export type Course = (typeof COURSES)[number]['value']

export interface CourseChart {
  axis: string
  labels: string[]
  courses: { name: string; values: number[] }[]
}
/** Longer than this is "seldom", and would flatten the summer, days. */
const MOST_DAYS = 14
/** Every other week of pH is as close as the eye. */
const everyOther = <T>(list: readonly T[]) => list.filter((_, i) => i % 2 === 0)

/** A course of every mix through the season; without labels where it cannot be followed. */
export function courseChart(compared: readonly Compared[], course: Course): CourseChart {
  const good = compared.flatMap((c) => (c.answer.ok ? [{ name: c.rival.name, e: c.answer.value }] : []))
  if (course === 'pH')
    return {
      axis: 'pH',
      labels: everyOther(good[0]?.e.acidity ?? []).map((s) => `week ${Math.round(s.day / 7)}`),
      courses: good.map(({ name, e }) => ({ name, values: everyOther(e.acidity).map((s) => s.pH) })),
    }
  if (course === 'nitrogen') {
    const courses = good.map(({ name, e }) => ({
      name,
      values: (e.growing?.feeding.weeks.nitrogen ?? []).map((w) => w.pool),
    }))
    const longest = Math.max(0, ...courses.map((c) => c.values.length))
    return {
      axis: 'available nitrogen, mg in a litre',
      labels: Array.from({ length: longest }, (_, i) => `week ${i + 1}`),
      courses,
    }
  }
  // Crop and planting are the same for all: so are the months it stands in.
  const known = good.find(({ e }) => e.growing?.watering.length)
  const standing = known?.e.growing?.standing ?? []
  return {
    axis: `days between waterings in dry weather (${MOST_DAYS} at most)`,
    labels: standing.map((m) => MONTHS[m - 1]!.slice(0, 3)),
    courses: good.map(({ name, e }) => ({
      name,
      values: standing.map((m) => Math.min(MOST_DAYS, e.growing?.watering[m - 1]?.days.value ?? MOST_DAYS)),
    })),
  }
}
