import { ALKALINITY_UNITS } from '@/core/irrigation'
import type {
  AlkalinityUnit,
  ConductivityUnit,
  IrrigationWater,
  RainYear,
  WaterTreatment,
} from '@/core/irrigation'
import type { Topic } from '@/core/appraisal'
import { verdictText } from '../mix/topics'
import type { JobWays, WaterWay } from '@/model/water/waterWays'
import { counted, numberText } from '../base/counted'
import { MONTHS } from '../base/months'
import { percentText, pHText, volumeText, waterText, type UnitSystem } from '../base/units'
import type { WeekCourse } from '../readings/reading'
import { acidAdds, acidAmount, ACID_NAMES } from './acids'

/** What reports and strips give alkalinity in. */
export const ALKALINITY_NAMES: Record<AlkalinityUnit, string> = {
  carbonate: 'mg/L as calcium carbonate (ppm)',
  bicarbonate: 'mg/L of bicarbonate (HCO₃)',
  meq: 'meq/L or mmol/L',
  german: 'German degrees, carbonate hardness (°dH, KH)',
  english: 'English degrees (°Clark)',
  french: 'French degrees (°f)',
}
export const CONDUCTIVITY_NAMES: Record<ConductivityUnit, string> = {
  uScm: 'µS/cm',
  dSm: 'dS/m or mS/cm',
  mSm: 'mS/m',
  solids: 'mg/L of dissolved solids (ppm)',
}

const meq = (x: number) => `${numberText(x, 1)} meq/L`
/** "4.0 meq/L of alkalinity (200 mg/L as calcium carbonate), 0.60 dS/m". */
export const waterLine = ({
  alkalinity,
  conductivity,
}: Pick<IrrigationWater, 'alkalinity' | 'conductivity'>) =>
  `alkalinity ${meq(alkalinity)} (${numberText(alkalinity / ALKALINITY_UNITS.carbonate)} mg/L as calcium carbonate), salts ${numberText(conductivity, 2)} dS/m`

const PARTS: readonly { rain: number; name: string }[] = [
  { rain: 1 / 4, name: '1 part rain water to 3 parts tap water' },
  { rain: 1 / 3, name: '1 part rain water to 2 parts tap water' },
  { rain: 1 / 2, name: 'half rain water, half tap water' },
  { rain: 2 / 3, name: '2 parts rain water to 1 part tap water' },
  { rain: 3 / 4, name: '3 parts rain water to 1 part tap water' },
  { rain: 1, name: 'rain water' },
]
const NEAR = 0.01

/**
 * "half rain water, half tap water", "tap water brought to pH 6 with sulfuric acid": a water in the middle of
 * a sentence.
 */
export function treatmentName({ rain, acid }: WaterTreatment): string {
  const mixed =
    PARTS.find((p) => Math.abs(p.rain - rain) < NEAR)?.name ??
    (rain > 0 ? `${percentText(rain)} rain water` : 'tap water')
  if (!acid) return rain > 0 ? mixed : 'tap water as it comes'
  return `${mixed} brought to pH ${pHText(acid.toPH)} with ${ACID_NAMES[acid.id].split(' ').slice(0, 2).join(' ')}`
}

/** Water as it is poured by eye: to a tenth of a litre. */
const roughWater = (litres: number, units: UnitSystem) => waterText(Math.round(10 * litres) / 10, units)

/** The same in a word, for a line in a picture. */
const shortTreatment = ({ rain, acid }: WaterTreatment): string =>
  acid ? 'with acid' : rain > 0 ? 'with rain water' : 'with tap water'

/** What goes into a can of it. meq/L of the tap, litres. */
export function canOfWater(
  { rain, acid }: WaterTreatment,
  { alkalinity, can }: { alkalinity: number; can: number },
  units: UnitSystem,
): string {
  const blend =
    rain > 0 && rain < 1
      ? `${roughWater(can * rain, units)} of rain water and ${roughWater(can * (1 - rain), units)} of tap water. `
      : ''
  if (!acid) return blend.trim()
  const amount = acidAmount(acid, { alkalinity: alkalinity * (1 - rain), litres: can }, units)
  return `${blend}${amount} in ${waterText(can, units)} of water. ${acidAdds(acid, alkalinity * (1 - rain))}`
}

/** What a water does to a mix, in a sentence. */
export const wayText = ({ fromPH, toPH, salts }: WaterWay): string =>
  Math.abs(toPH - fromPH) < SEEN
    ? `pH stays at ${pHText(toPH)}; salts reach ${numberText(salts, 1)} dS/m.`
    : `pH goes from ${pHText(fromPH)} to ${pHText(toPH)}; salts reach ${numberText(salts, 1)} dS/m.`
const SEEN = 0.05

/** How a water suits a job. meq/L. */
export function suitsText({ aim, given }: JobWays): string {
  const { alkalinity } = given.water
  const wanted = `${numberText(aim.low, 1)} to ${meq(aim.high)}`
  if (alkalinity > aim.act) return `Too hard for it: ${meq(alkalinity)}, best ${wanted}.`
  if (alkalinity > aim.high) return `A little hard for it: ${meq(alkalinity)}, best ${wanted}.`
  if (alkalinity < aim.low && aim.low > 0)
    return `Soft: ${meq(alkalinity)}, best ${wanted}. Nothing holds the pH up against an acid feed, and feed must bring calcium and magnesium.`
  return `The alkalinity suits it: ${meq(alkalinity)}, best ${wanted}.`
}

/** The course of pH with the water that is given, and with another dashed beside it. */
export function waterCourse(
  { given, band }: JobWays,
  other: WaterWay | null,
): { course: WeekCourse; label: string } {
  const points = ({ course }: WaterWay) =>
    course.map(({ day, pH }) => ({ week: day / 7, value: pH, text: pHText(pH) }))
  const beside = other && { name: shortTreatment(other.treatment), points: points(other) }
  const own = points(given)
  return {
    course: { points: own, suits: band, ...(beside ? { beside } : {}) },
    label: `pH with ${treatmentName(given.treatment)}: ${own[0]!.text} at first, ${own.at(-1)!.text} at the end.${
      beside ? ` With ${treatmentName(other.treatment)} (dashed) ${beside.points.at(-1)!.text}.` : ''
    } Best between ${pHText(band.low)} and ${pHText(band.high)}.`,
  }
}

/** How far rain in a barrel goes. */
export function rainYearText({ share, without, months }: RainYear): string {
  if (without === 0) return 'It lasts the whole year: no day without rain water.'
  const worst = months.reduce((a, m, i) => (m.without > months[a]!.without ? i : a), 0)
  const most = months[worst]!.without
  return `It gives ${percentText(share)} of what they need: ${counted(without, 'day')} without, ${numberText(most)} of them in ${MONTHS[worst]}. Real rain comes less evenly: expect some more.`
}
/** A month of it, for a screen reader. */
export const rainMonthText = (
  i: number,
  { caught, used, wanted, without }: RainYear['months'][number],
  units: UnitSystem,
): string =>
  `${MONTHS[i]}: ${volumeText(wanted, units)} needed, ${volumeText(used, units)} from the barrel, ${volumeText(caught, units)} off the roof, ${counted(without, 'day')} without`
/** The smallest barrel that gives nine tenths of what is wanted. */
export const barrelText = (litres: number | null, units: UnitSystem): string =>
  litres === null
    ? 'No barrel catches nine tenths of it from this roof: the roof is too small.'
    : `A barrel of ${volumeText(litres, units)} would give nine tenths of it.`

/** What water may be the reason of. */
const OF_WATER: ReadonlySet<Topic> = new Set([
  'water-raises-ph',
  'water-salty',
  'salts-high',
  'ph-high',
  'ph-low',
  'boron-excess',
])
/** What is said first of a mix, where water may be the reason of it; nothing else belongs on a page of water. */
export const waterVerdict = ({ verdict }: WaterWay, cropName: string | null): string =>
  verdict.first && OF_WATER.has(verdict.first.topic) ? verdictText(verdict, cropName) : ''
