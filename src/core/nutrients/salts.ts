import type { LimeDose } from '../chemistry/lime'
import type { Temperature } from '../chemistry/temperature'
import type { Band, CropProperties } from '../data/types'
import type { Blend } from '../mixing'
import type { Centimetres, Fraction } from '../units'
import {
  conductivityOf,
  convertExtract,
  type ExtractMethod,
  GYPSUM_SOLUBILITY,
} from './electricalConductivity'
import { ionsOf } from './ions'
import { averagedDose, IMMEDIATE, supplyOfDressings, type DressingDose } from './supply'

/** Salts of one zone of the mix soon after watering-in. */
export interface SaltState {
  /** dS/m at 25 C by each extract. */
  electricalConductivity: Record<ExtractMethod, number>
  /** Of which from the parts themselves, dS/m in the saturated extract. */
  fromParts: number
  /** From dressings, dS/m in the saturated extract. */
  fromDressings: number
}

/**
 * Electrical conductivity of a mix with its dressings, three days after watering-in.
 *
 * What dressings have given up is dissolved in the water of a saturated extract, taken as all pores of the blend full;
 * gypsum only as far as it dissolves, ash by its salts. `limes` are the mix's own, besides those among the doses. Parts
 * bring their own salts (see `blend`). Doses are g per litre of the zone. Answer: dS/m. Range: fresh mix, before
 * leaching. Source: `conductivityOf`; saturated media extract, Warncke 1986.
 */
export function saltsOf(
  blend: Blend,
  doses: readonly DressingDose[],
  temperature: Temperature = 20,
  limes: readonly LimeDose[] = [],
): SaltState {
  const now = doses.filter((d) => d.place?.kind !== 'heldBack')
  const { charge, nitrogen, otherNitrogen } = supplyOfDressings(now, temperature)(IMMEDIATE)
  // Meal and urea turn to ammonium first.
  const ions = ionsOf(charge, { ...nitrogen, ammonium: nitrogen.ammonium + otherNitrogen })
  for (const ion of Object.keys(ions) as (keyof typeof ions)[]) ions[ion] /= blend.totalPorosity
  const most = Math.min(ions.calcium, ions.sulfate)
  if (most > GYPSUM_SOLUBILITY) {
    ions.calcium -= most - GYPSUM_SOLUBILITY
    ions.sulfate -= most - GYPSUM_SOLUBILITY
  }
  const fromLimes =
    limes.reduce((sum, d) => sum + d.gramsPerLitre * (d.lime.salts ?? 0), 0) +
    now.reduce((sum, d) => sum + d.gramsPerLitre * (d.dressing.lime?.salts ?? 0), 0)
  const fromDressings = conductivityOf(ions) + fromLimes
  const saturatedExtract = blend.electricalConductivity + fromDressings
  const as = (to: ExtractMethod) => convertExtract(saturatedExtract, 'saturatedExtract', to)
  return {
    electricalConductivity: {
      saturatedExtract,
      oneToTwo: as('oneToTwo'),
      pourThrough: as('pourThrough'),
    },
    fromParts: blend.electricalConductivity,
    fromDressings,
  }
}

/**
 * Salts averaged over the mix, and in the top where some dressing is put there.
 * Height in cm, temperature in C; the answer in dS/m and mg/L. Errors: none.
 */
export function saltZones(
  blend: Blend,
  doses: readonly DressingDose[],
  {
    depth,
    temperature = 20,
    limes = [],
  }: { depth: Centimetres; temperature?: Temperature; limes?: readonly LimeDose[] },
) {
  const averaged = doses.map((d) => ({ ...d, gramsPerLitre: averagedDose(d, depth) }))
  const inTop = doses.some((d) => d.place?.kind === 'top')
  return {
    mix: saltsOf(blend, averaged, temperature, limes),
    top: inTop ? saltsOf(blend, doses, temperature, limes) : null,
  }
}

/**
 * Yield left at a salinity, fraction: 1 up to the threshold, then falling straight by `slope` per dS/m, never below 0.
 * dS/m of saturated extract. Without a known slope a tenth per dS/m is taken (our assumption, middle of the published).
 * Source: Maas & Hoffman 1977, J. Irrig. Drain. Div. ASCE 103:115-134.
 *
 * @example
 * relativeYield(3.5, 2.5, 0.1) // 0.9
 */
export function relativeYield(ec: number, threshold: number, slope = 0.1): Fraction {
  return Math.min(1, Math.max(0, 1 - slope * Math.max(0, ec - threshold)))
}

/**
 * Salinity at which a crop keeps a share of its yield, dS/m.
 * Source: Maas & Hoffman 1977.
 *
 * @example
 * saltLimit({ saltThreshold: { value: 2.5 }, saltSlope: { value: 0.1 } }) // 3.5
 */
export function saltLimit(
  crop: Pick<CropProperties, 'saltThreshold' | 'saltSlope'>,
  yieldKept = 0.9,
): number {
  return crop.saltThreshold.value + (1 - yieldKept) / (crop.saltSlope?.value ?? 0.1)
}

/** Most salts where no crop is known, dS/m. Source: common practice for most vegetables. */
export const USUAL_SALT_LIMIT = 3.5

/**
 * EC borne in a saturated extract by a crop, at most where a tenth of the yield is lost; whether there is enough to
 * feed is judged by the nutrients. dS/m. Source: Maas & Hoffman 1977.
 *
 * @example
 * saltBand({ saltThreshold: { value: 2.5 }, saltSlope: { value: 0.1 } }) // { low: 0, high: 3.5 }
 */
export const saltBand = (crop: Pick<CropProperties, 'saltThreshold' | 'saltSlope'>): Band => ({
  low: 0,
  high: saltLimit(crop),
})

/**
 * Share of the water given that must drain away to hold the salts of the root zone at a limit.
 *   LR = ECw / (5 ECe - ECw)
 * ECw of the water, ECe the crop's limit, dS/m. Answer: fraction, 1 where no leaching is enough.
 * Source: Rhoades 1974, as in Ayers & Westcot 1985, FAO Irrigation and Drainage Paper 29 rev. 1, eq. 9.
 *
 * @example
 * leachingRequirement(1, 2.5) // 0.08696
 */
export function leachingRequirement(waterEc: number, limit: number): Fraction {
  const room = 5 * limit - waterEc
  return room > waterEc ? waterEc / room : 1
}
