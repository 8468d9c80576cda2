import type { LimeDose } from '../chemistry/lime'
import { temperatureCourse, type Temperature } from '../chemistry/temperature'
import { ELEMENTS, type Crop, type Dressing, type Element, type Material } from '../data/types'
import type { Blend } from '../mixing'
import type { Centimetres } from '../units'
import { FLAG_LIMITS } from './limits'
import { relativeYield, saltBand, saltZones, USUAL_SALT_LIMIT } from './salts'
import {
  averagedDose,
  IMMEDIATE,
  supplyOf,
  supplyOfDressings,
  supplyOfLimes,
  type DressingDose,
} from './supply'

const L = FLAG_LIMITS

/** Something about the feed a grower should know, as plain data with its numbers. */
export type FeedFlag =
  /** Much ammonium in cold mix: it turns slowly to nitrate and burns roots. */
  | { code: 'ammonium-when-cold'; share: number; temperature: number }
  /** Boron in reach, mg/L: at once, or over a season; what brings most of it; trace feeds beyond their limit. */
  | {
      code: 'boron-high'
      soon: boolean
      mgPerLitre: number
      limit: number
      dressing: string
      overdosed: string[]
    }
  | { code: 'salts-high'; where: 'mix' | 'top'; ec: number; limit: number; yieldKept: number }
  | { code: 'phosphorus-for-sensitive'; mgPerLitre: number; limit: number }
  | { code: 'calcium-to-magnesium'; ratio: number; low: number; high: number }
  /** All lines of one dressing together, where they are thickest. */
  | { code: 'dose-above-limit'; dressing: string; gramsPerLitre: number; limit: number }
  /** Each within its own limit, together over it: the sum of their shares of it. */
  | { code: 'doses-add-up'; of: DoseKind; dressings: string[]; times: number }
  | { code: 'drawdown-uncovered'; drawdown: number; supplied: number }
  /** Charcoal that was not charged: its share of the mix and the nitrogen it takes up, mg per litre of mix. */
  | { code: 'char-uncharged'; share: number; takes: number }
  /** Water crystals: the share of the volume they swell to, and how far they lift the surface, cm. */
  | { code: 'crystals-swell'; share: number; lift: Centimetres }

/** Days that count as at once for what harms roots, and those of a season. */
const FIRST_MONTH = 28
const SEASON = 140

/**
 * Crops of the heath family: roots made for poor acid ground.
 * Source: common practice.
 *
 * @example
 * phosphorusSensitive(materialById('peat_medium')) // false
 */
export const phosphorusSensitive = (crop: Crop | undefined): boolean =>
  crop !== undefined && /^(Vaccinium|Gaultheria|Empetrum|Rhododendron)/.test(crop.latin)

/** Where a mix is fed: how deep it lies, cm, how warm it is, and what grows in it. */
export interface FedIn {
  depth: Centimetres
  temperature: Temperature
  crop?: Crop
  /** The mix's own limes, besides those among the doses. */
  limes?: readonly LimeDose[]
}

/** What the flags look at: doses averaged over the mix, and what is given off at once, in four weeks, in the season. */
interface Fed extends FedIn {
  blend: Blend
  doses: readonly DressingDose[]
  averaged: readonly DressingDose[]
  supply: ReturnType<typeof supplyOf>
}

/**
 * What stands out in the feed of a fresh mix. mg per litre, dS/m, fractions, C. Sources beside each limit.
 * Amounts are averaged over the mix, salts are also judged in the top where something is put there.
 * Range: doses of 0 and up. Errors: none.
 */
export function feedFlags(blend: Blend, doses: readonly DressingDose[], where: FedIn): FeedFlag[] {
  const averaged = doses.map((d) => ({ ...d, gramsPerLitre: averagedDose(d, where.depth) }))
  const fed: Fed = { ...where, blend, doses, averaged, supply: supplyOf(blend, averaged, where.temperature) }
  return FLAGS.flatMap((flags) => flags(fed))
}

function coldAmmonium({ supply, temperature }: Fed): FeedFlag[] {
  const { nitrogen, otherNitrogen } = supply(IMMEDIATE)
  const dissolved = nitrogen.nitrate + nitrogen.ammonium + otherNitrogen
  const share = dissolved > L.ammoniumCounts.value ? (dissolved - nitrogen.nitrate) / dissolved : 0
  const atFirst = temperatureCourse(temperature).on(0)
  return atFirst < L.coldMix.value && share > L.ammoniumShare.value
    ? [{ code: 'ammonium-when-cold', share, temperature: atFirst }]
    : []
}

/** A trace feed with boron in it: its limit is there for the boron. */
export const isBoronFeed = ({ family, analysis }: Dressing): boolean =>
  family === 'trace' && (analysis.boron?.value ?? 0) > 0

function highBoron({ doses, averaged, temperature }: Fed): FeedFlag[] {
  const boronBy = (day: number, doses: readonly DressingDose[] = averaged) =>
    supplyOfDressings(doses, temperature)(day).charge.boron
  const [first, season] = [boronBy(FIRST_MONTH), boronBy(SEASON)]
  const soon = first > L.boron.value
  if (!soon && season <= L.slowBoron.value) return []
  const day = soon ? FIRST_MONTH : SEASON
  const most = averaged.reduce((a, b) => (boronBy(day, [b]) > boronBy(day, [a]) ? b : a))
  return [
    {
      code: 'boron-high',
      soon,
      mgPerLitre: soon ? first : season,
      limit: soon ? L.boron.value : L.slowBoron.value,
      dressing: most.dressing.id,
      overdosed: beyondLimit(doses).flatMap(([d]) => (isBoronFeed(d) ? [d.id] : [])),
    },
  ]
}

function highSalts({ blend, doses, depth, temperature, crop, limes }: Fed): FeedFlag[] {
  const salts = saltZones(blend, doses, { depth, temperature, limes })
  const p = crop?.properties
  const limit = p ? saltBand(p).high : USUAL_SALT_LIMIT
  return (['mix', 'top'] as const).flatMap((where): FeedFlag[] => {
    const ec = salts[where]?.electricalConductivity.saturatedExtract
    if (ec === undefined || ec <= limit) return []
    const yieldKept = relativeYield(ec, p?.saltThreshold.value ?? 2.5, p?.saltSlope?.value)
    return [{ code: 'salts-high', where, ec, limit, yieldKept }]
  })
}

function sensitiveToPhosphorus({ supply, crop }: Fed): FeedFlag[] {
  const { phosphorus } = supply(140).charge
  return phosphorusSensitive(crop) && phosphorus > L.phosphorusForHeaths.value
    ? [{ code: 'phosphorus-for-sensitive', mgPerLitre: phosphorus, limit: L.phosphorusForHeaths.value }]
    : []
}

function oddCalcium({ supply, limes = [], temperature }: Fed): FeedFlag[] {
  const inParts = supply(SEASON).charge
  const limed = supplyOfLimes(limes, temperature)(SEASON)
  const [calcium, magnesium] = [inParts.calcium + limed.calcium, inParts.magnesium + limed.magnesium]
  const ratio = calcium / magnesium
  const [low, high] = [L.leastCalciumToMagnesium.value, L.mostCalciumToMagnesium.value]
  return calcium > L.calciumCounts.value && (ratio < low || ratio > high)
    ? [{ code: 'calcium-to-magnesium', ratio, low, high }]
    : []
}

/** The thickest there is of each dressing anywhere, all its lines together, g per litre. */
function thickest(doses: readonly DressingDose[]): Map<Dressing, number> {
  const all = new Map<Dressing, Map<string, number>>()
  for (const { dressing, gramsPerLitre, place } of doses) {
    const zones = all.get(dressing) ?? new Map<string, number>()
    // What is held back comes when the first is mostly used up.
    const zone = place?.kind === 'heldBack' ? `heldBack ${place.from}` : (place?.kind ?? 'throughout')
    zones.set(zone, (zones.get(zone) ?? 0) + gramsPerLitre)
    all.set(dressing, zones)
  }
  return new Map(
    [...all].map(([dressing, zones]) => {
      const throughout = zones.get('throughout') ?? 0
      const each = [...zones].map(([zone, grams]) =>
        zone === 'top' || zone === 'hole' ? grams + throughout : grams,
      )
      return [dressing, Math.max(...each)]
    }),
  )
}

/** Dressings beyond their own limit where they are thickest, with the g per litre there. */
const beyondLimit = (doses: readonly DressingDose[]): [Dressing, number][] =>
  [...thickest(doses)].filter(([dressing, grams]) => grams > dressing.dose.limit)

/** What a dressing's limit is about: the nutrient its label has most of, lime, the acid, or its chief trace element. */
export type DoseKind = 'nitrogen' | 'phosphate' | 'potash' | 'lime' | 'acid' | Element
function kindOfDose({ family, label, analysis }: Dressing): DoseKind | null {
  if (family === 'lime') return 'lime'
  if (family === 'acidifier') return 'acid'
  if (family === 'conditioner' || family === 'biological') return null
  const best = (['nitrogen', 'phosphate', 'potash'] as const).reduce((a, b) =>
    (label?.[b] ?? 0) > (label?.[a] ?? 0) ? b : a,
  )
  if (label && label[best] > 0) return best
  return ELEMENTS.reduce<Element | null>(
    (a, b) => ((analysis[b]?.value ?? 0) > ((a && analysis[a]?.value) ?? 0) ? b : a),
    null,
  )
}

/** Doses that go in together: with the mix, or held back to the same day. */
function byDay(doses: readonly DressingDose[]): DressingDose[][] {
  const days = new Map<number | null, DressingDose[]>()
  for (const dose of doses) {
    const day = dose.place?.kind === 'heldBack' ? dose.place.from : null
    days.set(day, [...(days.get(day) ?? []), dose])
  }
  return [...days.values()]
}

/** Several dressings of a kind, each within its limit, that are beyond it together. */
function addUp(doses: readonly DressingDose[]) {
  const kinds = new Map<DoseKind, [Dressing, number][]>()
  for (const one of thickest(doses)) {
    const kind = kindOfDose(one[0])
    if (kind && one[1] > 0 && one[1] <= one[0].dose.limit) kinds.set(kind, [...(kinds.get(kind) ?? []), one])
  }
  return [...kinds].flatMap(([of, list]) => {
    const times = list.reduce((sum, [d, grams]) => sum + grams / d.dose.limit, 0)
    return list.length > 1 && times > 1
      ? [{ code: 'doses-add-up' as const, of, dressings: list.map(([d]) => d.id), times }]
      : []
  })
}

/** Doses of one dressing beyond its limit, and of several of a kind that are beyond it only together. */
function overdosed({ doses }: Fed): FeedFlag[] {
  const single = beyondLimit(doses)
  const together = new Map<DoseKind, Extract<FeedFlag, { code: 'doses-add-up' }>>()
  // What is given on another day does not add to what went in before.
  for (const given of byDay(doses))
    for (const flag of addUp(given))
      if (flag.times > (together.get(flag.of)?.times ?? 0)) together.set(flag.of, flag)
  return [
    ...single.map(([{ id, dose }, gramsPerLitre]): FeedFlag => ({
      code: 'dose-above-limit',
      dressing: id,
      gramsPerLitre,
      limit: dose.limit,
    })),
    ...together.values(),
  ]
}

function uncoveredDrawdown({ supply }: Fed): FeedFlag[] {
  const { drawdown, charge } = supply(28)
  return drawdown > L.drawdownCounts.value && charge.nitrogen < drawdown
    ? [{ code: 'drawdown-uncovered', drawdown, supplied: charge.nitrogen }]
    : []
}

function unchargedChar({ blend }: Fed): FeedFlag[] {
  const raw = blend.shares.filter(({ material: m }) => m.family === 'char' && takenUp(m) > 0)
  const takes = raw.reduce((sum, { material, share }) => sum + share * takenUp(material), 0)
  return takes > L.charTakes.value
    ? [{ code: 'char-uncharged', share: raw.reduce((sum, r) => sum + r.share, 0), takes }]
    : []
}

function swellingCrystals({ averaged, depth }: Fed): FeedFlag[] {
  const crystals = averaged.find((d) => d.dressing.id === CRYSTALS)
  const share = ((crystals?.gramsPerLitre ?? 0) * L.crystalsSwell.value) / 1000
  return share > L.swollenShare.value ? [{ code: 'crystals-swell', share, lift: share * depth }] : []
}

/** In the order in which the page shows them. */
const FLAGS = [
  coldAmmonium,
  highBoron,
  highSalts,
  sensitiveToPhosphorus,
  oddCalcium,
  overdosed,
  uncoveredDrawdown,
  unchargedChar,
  swellingCrystals,
] as const

/** Water-storing crystals in the table. */
const CRYSTALS = 'polymer_gel'
/** Nitrogen a material takes up in its first season, mg per litre of it; zero where it gives some. */
const takenUp = (material: Material): number =>
  Math.max(0, -(material.properties.nitrogenFirstSeason?.value ?? 0))
