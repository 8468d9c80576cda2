import bands from '../data/labBands.json'
import { ATOMIC_MASS } from '../chemistry'
import { defineLimits } from '../limits'
import { asSaturated, LAB_FIGURES, type LabFigure, type LabFigures, type LabMethod } from './methods'

/** Crops by what they want to find in the water of a mix. */
export const LAB_GROUPS = ['seedling', 'light', 'medium', 'heavy', 'acid'] as const
export type LabGroup = (typeof LAB_GROUPS)[number]

/** What is wanted in a saturated extract; nothing is too low where `low` is 0. */
export interface LabBand {
  veryLow: number
  low: number
  usual: number
  high: number
  veryHigh: number
  source: string
}
export const LAB_VERDICTS = ['very low', 'low', 'fine', 'high', 'very high'] as const
export type LabVerdict = (typeof LAB_VERDICTS)[number]

/** A figure of a report, read. */
export interface LabReading {
  figure: LabFigure
  /** As printed, by the method of the report. */
  read: number
  /** In a saturated extract, with the range the method leaves open. */
  saturated: { low: number; value: number; high: number }
  band: LabBand
  verdict: LabVerdict
  /** The range of the method lies wholly below, within or above what is wanted. */
  sure: boolean
}

/**
 * What crops of a group want of a figure, in a saturated extract; traces want the same for all.
 * Source: Warncke & Krauskopf 1983; Cavins et al. 2000; FAO-29; laboratory bands (from memory), each beside its row.
 *
 * @example
 * labBand('nitrogen', 'medium').low // 45
 */
export function labBand(figure: LabFigure, group: LabGroup): LabBand {
  const rows = bands.extract.filter((b) => b.figure === figure)
  const row = rows.find((b) => b.group === group) ?? rows.find((b) => b.group === 'all')!
  return {
    veryLow: row.veryLow ?? 0,
    low: row.low ?? 0,
    usual: row.usual,
    high: row.high,
    veryHigh: row.veryHigh,
    source: row.source,
  }
}

const verdictOn = (x: number, { veryLow, low, high, veryHigh }: LabBand): LabVerdict =>
  x < veryLow ? 'very low' : x < low ? 'low' : x <= high ? 'fine' : x <= veryHigh ? 'high' : 'very high'

/** Below, within or above what is wanted. */
const sideOf = (x: number, { low, high }: LabBand): -1 | 0 | 1 => (x < low ? -1 : x > high ? 1 : 0)

/**
 * A report read figure by figure for what grows there. Errors: none. Source: `labBand`, `asSaturated`.
 *
 * @example
 * readReport({ salts: 0.2 }, { method: 'oneToTwo', group: 'medium' })[0].verdict // 'very low'
 */
export const readReport = (
  figures: LabFigures,
  { method, group }: { method: LabMethod; group: LabGroup },
): LabReading[] =>
  LAB_FIGURES.flatMap((figure): LabReading[] => {
    const read = figures[figure]
    if (read === undefined) return []
    const saturated = asSaturated(figure, read, method)
    const band = labBand(figure, group)
    const verdict = verdictOn(saturated.value, band)
    const sure = sideOf(saturated.low, band) === sideOf(saturated.high, band)
    return [{ figure, read, saturated, band, verdict, sure }]
  })

/** What a report is checked by as a whole. */
export const LAB_LIMITS = defineLimits({
  charge: {
    value: 0.3,
    low: 0.15,
    high: 0.5,
    unit: 'of ten times the conductivity, that cations may be off',
    source:
      'handbook 60, U.S. Salinity Laboratory 1954: meq/L is ten times dS/m within some 15 % (from memory)',
  },
  ammoniumShare: {
    value: 0.3,
    low: 0.25,
    high: 0.5,
    unit: 'of the nitrogen that is ammonium',
    source: 'common practice of greenhouse laboratories (from memory)',
  },
  potassiumToMagnesium: {
    value: 5,
    low: 3.5,
    high: 6,
    unit: 'by weight',
    source: 'common practice of greenhouse laboratories (from memory)',
  },
  calciumToMagnesiumMost: {
    value: 8,
    low: 5,
    high: 10,
    unit: 'by weight',
    source: 'common practice of greenhouse laboratories (from memory)',
  },
  calciumToMagnesiumLeast: {
    value: 1.5,
    low: 1,
    high: 2,
    unit: 'by weight',
    source: 'common practice of greenhouse laboratories (from memory)',
  },
})

/** mg to a mmol of charge. */
const CHARGE = {
  potassium: ATOMIC_MASS.K!,
  calcium: ATOMIC_MASS.Ca! / 2,
  magnesium: ATOMIC_MASS.Mg! / 2,
  sodium: ATOMIC_MASS.Na!,
  ammonium: ATOMIC_MASS.N!,
} as const

/** No report prints less, mg/L or dS/m: of so little nothing is a multiple. Source: common practice. */
const LEAST_PRINTED = 0.01

/**
 * Charge of the cations of a report over ten times its conductivity: about 1 where units are right; null where one of
 * potassium, calcium, magnesium or the conductivity is missing. The same extract for all; mg/L and dS/m.
 * Source: handbook 60, U.S. Salinity Laboratory 1954.
 *
 * @example
 * chargeRatio({ salts: 1, potassium: 39.1, calcium: 100, magnesium: 36.45 }) // 0.899
 */
export function chargeRatio(figures: LabFigures): number | null {
  const { salts, potassium, calcium, magnesium } = figures
  if (salts === undefined || salts < LEAST_PRINTED) return null
  if (potassium === undefined || calcium === undefined || magnesium === undefined) return null
  const sum = (Object.keys(CHARGE) as (keyof typeof CHARGE)[]).reduce(
    (all, e) => all + (figures[e] ?? 0) / CHARGE[e],
    0,
  )
  return sum / (10 * salts)
}

/** What a report says of itself, beside its single figures. */
export type LabConcern =
  | { code: 'units-doubtful'; ratio: number }
  | { code: 'much-ammonium'; share: number }
  | { code: 'potassium-over-magnesium'; ratio: number }
  | { code: 'calcium-over-magnesium'; ratio: number }
  | { code: 'magnesium-over-calcium'; ratio: number }

const times = (of: number | undefined, to: number | undefined): number | null =>
  of === undefined || to === undefined || to < LEAST_PRINTED ? null : of / to

/**
 * Units that cannot be right, ammonium, and cations that crowd each other out. mg/L of one extract. Errors: none.
 * Source: beside the limits.
 *
 * @example
 * labConcerns({ potassium: 300, magnesium: 20 }) // [{ code: 'potassium-over-magnesium', ratio: 15 }]
 */
export function labConcerns(figures: LabFigures): LabConcern[] {
  const L = LAB_LIMITS
  const { nitrogen, ammonium, potassium, calcium, magnesium } = figures
  const charge = chargeRatio(figures)
  const share = times(ammonium, nitrogen)
  const toMagnesium = { potassium: times(potassium, magnesium), calcium: times(calcium, magnesium) }
  const found: (LabConcern | false)[] = [
    charge !== null && Math.abs(charge - 1) > L.charge.value && { code: 'units-doubtful', ratio: charge },
    // It is part of the nitrogen: more than all of it is a slip of the report.
    share !== null && share > L.ammoniumShare.value && { code: 'much-ammonium', share: Math.min(1, share) },
    toMagnesium.potassium !== null &&
      toMagnesium.potassium > L.potassiumToMagnesium.value && {
        code: 'potassium-over-magnesium',
        ratio: toMagnesium.potassium,
      },
    toMagnesium.calcium !== null &&
      toMagnesium.calcium > L.calciumToMagnesiumMost.value && {
        code: 'calcium-over-magnesium',
        ratio: toMagnesium.calcium,
      },
    toMagnesium.calcium !== null &&
      toMagnesium.calcium < L.calciumToMagnesiumLeast.value && {
        code: 'magnesium-over-calcium',
        ratio: toMagnesium.calcium,
      },
  ]
  return found.filter((c): c is LabConcern => c !== false)
}
