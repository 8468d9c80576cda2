import type { Band, Crop } from '../data/types'
import { saltBand, USUAL_SALT_LIMIT } from '../nutrients/salts'
import { LIFT_LIMIT } from '../weight'
import type { Centimetres } from '../units'
import { airBandAt } from './byHeight'
import type { Target } from './target'

/** Why a band is what it is, as plain data. */
export type Reason =
  | { code: 'crop'; crop: string; end: 'low' | 'high' | 'both' }
  | { code: 'most-vegetables' }
  | { code: 'pots' }
  | { code: 'ground' }
  | { code: 'soil-bed' }
  | { code: 'height'; height: Centimetres }
  | { code: 'soilless'; by: number }
  | { code: 'carried' }
  | { code: 'can-water-every'; days: number }
  | { code: 'grower' }

export interface TargetBand {
  target: Target
  band: Band
  reasons: Reason[]
}

/** Two crops that cannot both be pleased: the first wants at most what the second wants more than. */
export interface TargetConflict {
  target: 'pH' | 'airFilledPorosity'
  low: { crop: string; most: number }
  high: { crop: string; least: number }
}

export interface Targets {
  bands: TargetBand[]
  conflicts: TargetConflict[]
}

/**
 * Water most vegetables want within easy reach, 10 to 50 cm of tension: 20 to 30 % is the ideal (De Boodt & Verdonck
 * 1972, Acta Hort. 26:37-44). Mixes of bark and perlite grow good crops from 15 %, watered more often (common
 * practice).
 */
export const EASY_WATER: Band = { low: 0.15, high: 0.3 }
/** Plant-available water of a good vegetable bed. Source: common practice; under 8 % is poor, more is no fault. */
export const GROUND_WATER: Band = { low: 0.12, high: 0.2 }
/** When no crop is chosen. Air: Handreck & Black; pH and salts: common practice. */
const GENERAL = {
  airFilledPorosity: { low: 0.12, high: 0.3 },
  pH: { low: 6, high: 6.8 },
  electricalConductivity: { low: 0, high: USUAL_SALT_LIMIT },
} as const

export interface TargetQuestion {
  /** The leading crop first. */
  crops: readonly Crop[]
  /** A bed drained by soil is held to plant-available water, not to the easy water of pots. */
  inGround: boolean
  /** A large bed filled with soil for the most part: it holds its water as ground does, wherever it lies. */
  soilBed?: boolean
  /** A mix of peat, bark, coir or compost without soil; false where no mix is known. */
  soilless?: boolean
  /** Height of the mix, cm; null where it is not known, and the usual pot is taken. */
  height: Centimetres | null
  /** Has to be lifted once filled. */
  carried: boolean
  /** Days between the waterings the grower can keep; null where nobody said. */
  waterEvery: number | null
  /** Bands the grower has moved. */
  own?: Partial<Record<Target, Band>>
}

/**
 * Organic mixes without soil feed as well at a lower pH: iron, manganese and phosphorus are freer, and there is no
 * aluminium to harm roots. Half a unit is taken off the lower end of a band; bands of acid ground stand.
 * Source: Lucas & Davis 1961, Soil Sci. 92:177-182: organic soils half to one and a half lower (from memory).
 */
export const SOILLESS_LOWER = 0.5
const ACID_BAND = 5.5

function airByHeight(bands: TargetBand[], height: Centimetres) {
  const at = bands.findIndex((b) => b.target === 'airFilledPorosity')
  const of = bands[at]!
  if (of.reasons.some((r) => r.code === 'grower')) return
  const band = airBandAt(of.band, height)
  bands[at] = { ...of, band, reasons: [...of.reasons, { code: 'height', height }] }
}

function lowerForSoilless(bands: TargetBand[]) {
  const at = bands.findIndex((b) => b.target === 'pH')
  const of = bands[at]!
  if (of.band.low < ACID_BAND || of.reasons.some((r) => r.code === 'grower')) return
  bands[at] = {
    ...of,
    band: { ...of.band, low: of.band.low - SOILLESS_LOWER },
    reasons: [...of.reasons, { code: 'soilless', by: SOILLESS_LOWER }],
  }
}

/**
 * Bands for a mix from what grows in it, what it is in and how it is looked after, each with its reasons.
 *
 * Of several crops the strictest end wins: the highest low and the lowest high. Where those cross, the leading crop's
 * band stands and the conflict is reported. A band the grower moved stands as moved. Source: crop tables; the reasons
 * name the rest.
 * Units: fractions, pH, dS/m, kg, days. Errors: none; the crop ids are of the tables.
 */
export function targetsFor(q: TargetQuestion): Targets {
  const bands: TargetBand[] = []
  const conflicts: TargetConflict[] = []
  const put = (target: Target, band: Band, reasons: Reason[]) => {
    const own = q.own?.[target]
    bands.push(own ? { target, band: own, reasons: [{ code: 'grower' }] } : { target, band, reasons })
  }
  const strictest = (
    target: 'airFilledPorosity' | 'pH' | 'electricalConductivity',
    of: (c: Crop) => Band,
  ) => {
    if (q.crops.length === 0) return put(target, GENERAL[target], [{ code: 'most-vegetables' }])
    const lowest = q.crops.reduce((a, b) => (of(b).low > of(a).low ? b : a))
    const highest = q.crops.reduce((a, b) => (of(b).high < of(a).high ? b : a))
    const band = { low: of(lowest).low, high: of(highest).high }
    if (band.low <= band.high)
      return put(
        target,
        band,
        lowest === highest
          ? [{ code: 'crop', crop: lowest.id, end: 'both' }]
          : [
              { code: 'crop', crop: lowest.id, end: 'low' },
              { code: 'crop', crop: highest.id, end: 'high' },
            ],
      )
    if (target !== 'electricalConductivity')
      conflicts.push({
        target,
        low: { crop: highest.id, most: band.high },
        high: { crop: lowest.id, least: band.low },
      })
    const leading = q.crops[0]!
    put(target, of(leading), [{ code: 'crop', crop: leading.id, end: 'both' }])
  }
  strictest('airFilledPorosity', (c) => c.airFilledPorosity)
  // Soil below drains a bed as a far deeper pot would be, and no band by height is known for it.
  if (q.height !== null && !q.inGround) airByHeight(bands, q.height)
  if (q.inGround || q.soilBed)
    put('plantAvailableWater', GROUND_WATER, [{ code: q.inGround ? 'ground' : 'soil-bed' }])
  else put('easilyAvailableWater', EASY_WATER, [{ code: 'pots' }])
  strictest('pH', (c) => c.pH)
  if (q.soilless) lowerForSoilless(bands)
  strictest('electricalConductivity', (c) => saltBand(c.properties))
  if (q.carried) put('drainedWeight', { low: 0, high: LIFT_LIMIT }, [{ code: 'carried' }])
  if (q.waterEvery !== null)
    put('daysBetweenWaterings', { low: q.waterEvery, high: 14 }, [
      { code: 'can-water-every', days: q.waterEvery },
    ])
  return { bands, conflicts }
}
