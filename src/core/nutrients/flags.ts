import { temperatureCourse, type Temperature } from '../chemistry/temperature'
import type { Crop, Material } from '../data/types'
import type { Blend } from '../mixing'
import type { Centimetres } from '../units'
import { FLAG_LIMITS } from './limits'
import { relativeYield, saltBand, saltZones, USUAL_SALT_LIMIT } from './salts'
import { averagedDose, IMMEDIATE, supplyOf, supplyOfDressings, type DressingDose } from './supply'

const L = FLAG_LIMITS

/** Something about the feed a grower should know, as plain data with its numbers. */
export type FeedFlag =
  /** Much ammonium in cold mix: it turns slowly to nitrate and burns roots. */
  | { code: 'ammonium-when-cold'; share: number; temperature: number }
  | { code: 'boron-high'; mgPerLitre: number; limit: number }
  | { code: 'salts-high'; where: 'mix' | 'top'; ec: number; limit: number; yieldKept: number }
  | { code: 'phosphorus-for-sensitive'; mgPerLitre: number; limit: number }
  | { code: 'calcium-to-magnesium'; ratio: number; low: number; high: number }
  | { code: 'dose-above-limit'; dressing: string; gramsPerLitre: number; limit: number }
  | { code: 'drawdown-uncovered'; drawdown: number; supplied: number }
  /** Charcoal that was not charged: its share of the mix and the nitrogen it takes up, mg per litre of mix. */
  | { code: 'char-uncharged'; share: number; takes: number }
  /** Water crystals: the share of the volume they swell to, and how far they lift the surface, cm. */
  | { code: 'crystals-swell'; share: number; lift: Centimetres }

/**
 * Boron that is plenty for a litre of mix, and what hurts beans and strawberries, mg/L. Source: Bunt 1988 (from
 * memory).
 */
export const BORON_LIMIT = 1
/** Share of dissolved nitrogen that may be ammonium below 15 C. Source: common practice, at most 40-50 %. */
export const AMMONIUM_LIMIT = 0.5
/**
 * Phosphorus at which plants of the heath and protea kinds suffer, mg/L of mix. Source: Handreck & Black (from
 * memory).
 */
export const PHOSPHORUS_LIMIT = 40
const RATIO = { low: 1.5, high: 8 } as const

/**
 * Crops of the heath family: roots made for poor acid ground.
 * Source: common practice.
 *
 * @example
 * phosphorusSensitive(materialById('peat_medium')) // false
 */
export const phosphorusSensitive = (crop: Crop | undefined): boolean =>
  crop !== undefined && /^(Vaccinium|Gaultheria|Empetrum|Rhododendron)/.test(crop.latin)

/**
 * What stands out in the feed of a fresh mix. mg per litre, dS/m, fractions, C. Sources beside each limit above.
 * Amounts are averaged over the mix, salts are also judged in the top where something is put there.
 * Range: doses of 0 and up. Errors: none.
 */
export function feedFlags(
  blend: Blend,
  doses: readonly DressingDose[],
  mixHeight: Centimetres,
  temperature: Temperature,
  crop?: Crop,
): FeedFlag[] {
  const flags: FeedFlag[] = []
  const averaged = doses.map((d) => ({ ...d, gramsPerLitre: averagedDose(d, mixHeight) }))
  const supply = supplyOf(blend, averaged, temperature)
  const early = supply(IMMEDIATE)
  const season = supply(140)
  const dissolved = early.nitrogen.nitrate + early.nitrogen.ammonium + early.otherNitrogen
  const ammonium = dissolved > 20 ? (dissolved - early.nitrogen.nitrate) / dissolved : 0
  const atFirst = temperatureCourse(temperature).on(0)
  if (atFirst < 15 && ammonium > AMMONIUM_LIMIT)
    flags.push({ code: 'ammonium-when-cold', share: ammonium, temperature: atFirst })
  const boron = supplyOfDressings(averaged, temperature)(140).charge.boron
  if (boron > BORON_LIMIT) flags.push({ code: 'boron-high', mgPerLitre: boron, limit: BORON_LIMIT })
  const salts = saltZones(blend, doses, mixHeight, temperature)
  for (const where of ['mix', 'top'] as const) {
    const ec = salts[where]?.electricalConductivity.saturatedExtract
    if (ec === undefined) continue
    const p = crop?.properties
    const limit = p ? saltBand(p).high : USUAL_SALT_LIMIT
    const yieldKept = relativeYield(ec, p?.saltThreshold.value ?? 2.5, p?.saltSlope?.value)
    if (ec > limit) flags.push({ code: 'salts-high', where, ec, limit, yieldKept })
  }
  if (phosphorusSensitive(crop) && season.charge.phosphorus > PHOSPHORUS_LIMIT)
    flags.push({
      code: 'phosphorus-for-sensitive',
      mgPerLitre: season.charge.phosphorus,
      limit: PHOSPHORUS_LIMIT,
    })
  const ratio = season.charge.calcium / season.charge.magnesium
  if (season.charge.calcium > 50 && (ratio < RATIO.low || ratio > RATIO.high))
    flags.push({ code: 'calcium-to-magnesium', ratio, ...RATIO })
  for (const { dressing, gramsPerLitre } of doses)
    if (gramsPerLitre > dressing.dose.limit)
      flags.push({
        code: 'dose-above-limit',
        dressing: dressing.id,
        gramsPerLitre,
        limit: dressing.dose.limit,
      })
  const first = supply(28)
  if (first.drawdown > 20 && first.charge.nitrogen < first.drawdown)
    flags.push({ code: 'drawdown-uncovered', drawdown: first.drawdown, supplied: first.charge.nitrogen })
  const raw = blend.shares.filter(({ material: m }) => m.family === 'char' && takenUp(m) > 0)
  const takes = raw.reduce((sum, { material, share }) => sum + share * takenUp(material), 0)
  if (takes > L.charTakes.value)
    flags.push({ code: 'char-uncharged', share: raw.reduce((sum, r) => sum + r.share, 0), takes })
  const crystals = averaged.find((d) => d.dressing.id === CRYSTALS)
  const swollen = ((crystals?.gramsPerLitre ?? 0) * L.crystalsSwell.value) / 1000
  if (swollen > L.swollenShare.value)
    flags.push({ code: 'crystals-swell', share: swollen, lift: swollen * mixHeight })
  return flags
}

/** Water-storing crystals in the table. */
const CRYSTALS = 'polymer_gel'
/** Nitrogen a material takes up in its first season, mg per litre of it; nought where it gives some. */
const takenUp = (material: Material): number =>
  Math.max(0, -(material.properties.nitrogenFirstSeason?.value ?? 0))
