import type { AcidDose } from '../chemistry/fertilizerAcid'
import type { LimeDose } from '../chemistry/lime'
import { releaseCurve, releasedBy as shareReleased } from '../chemistry/release'
import { temperatureCourse, type Temperature } from '../chemistry/temperature'
import { availability, MINERALISES, TABLE_SEASON } from '../data/availability'
import { limingMaterial } from '../data/limes'
import { sulfurAtStart } from '../data/nutrition'
import { ELEMENTS, type Dressing, type MaterialFamily } from '../data/types'
import type { Blend } from '../mixing'
import type { Centimetres, Days, Fraction } from '../units'
import { mgPerGram, noCharge, type Charge, type DissolvedNitrogen } from './ions'

/** Where a dressing goes. What is held back is put on later and counts for nothing yet. */
export type Place =
  | { kind: 'throughout' }
  | { kind: 'top'; depth: Centimetres }
  | { kind: 'hole' }
  | { kind: 'heldBack'; from: Days }

/** A dressing with its dose, g per litre of the mix it goes into. */
export interface DressingDose {
  dressing: Dressing
  gramsPerLitre: number
  place?: Place
}

/** Days within which what is released counts as immediate. */
export const IMMEDIATE: Days = 3

/** Share of a compost's or manure's nitrogen that is mineral on the first day. Source: our assumption, 1-5 % usual. */
const MINERAL_NITROGEN: Partial<Record<MaterialFamily, Fraction>> = { compost: 0.03, manure: 0.05 }
/** Sulfur that comes free with each gram of nitrogen of rotting matter. Source: common practice, N : S about 8. */
const SULFUR_WITH_NITROGEN = 0.12
/** Of a lime what dissolves in a season. Source: our assumption, as the fraction of ground limestone in the tables. */
const LIME_DISSOLVED = 0.7
/** Of the potash of ash so much dissolves. Source: common practice, nearly all. */
const ASH_POTASH = 0.9
/** Rate at which fresh wood takes nitrogen, per day at 20 C. Q10 2. Source: our assumption. */
const IMMOBILISES = 0.05

/** What has come into reach by a day, mg per litre of blend. */
export interface Released {
  charge: Charge
  nitrogen: DissolvedNitrogen
  /** Nitrogen of urea not yet turned, or on its way out of meal: in reach within days. mg/L, already in `charge`. */
  otherNitrogen: number
  /** Nitrogen tied up by rotting bark, wood and hulls, mg/L; not yet taken off `charge`. */
  drawdown: number
}

/**
 * Grams of a dressing per litre averaged over all the mix, for what a place holds.
 *
 * @example
 * averagedDose({ dressing: dressingById('crf_3_4'), gramsPerLitre: 6, place: { kind: 'top', depth: 7 } }, 28)
 * // 1.5
 */
export const averagedDose = (dose: DressingDose, mixHeight: Centimetres): number => {
  const place = dose.place ?? { kind: 'throughout' }
  if (place.kind !== 'top') return dose.gramsPerLitre
  return dose.gramsPerLitre * Math.min(1, place.depth / mixHeight)
}

/**
 * The doses as what they do to pH, limes among them apart: averaged over the mix, held-back ones from their day on.
 * g per litre of mix; cm.
 */
export function acidityOfDoses(
  doses: readonly DressingDose[],
  mixHeight: Centimetres,
): { limes: LimeDose[]; acids: AcidDose[] } {
  const limes: LimeDose[] = []
  const acids: AcidDose[] = []
  for (const dose of doses) {
    const gramsPerLitre = averagedDose(dose, mixHeight)
    const from = dose.place?.kind === 'heldBack' ? dose.place.from : 0
    const lime = limingMaterial(dose.dressing)
    if (lime) limes.push({ lime, gramsPerLitre, from })
    else acids.push({ dressing: dose.dressing, gramsPerLitre, from })
  }
  return { limes, acids }
}

/** What comes into reach over time, mg per litre of blend. */
export type Supply = (day: Days) => Released

const nothing = (): Released => ({
  charge: noCharge(),
  nitrogen: { nitrate: 0, ammonium: 0 },
  otherNitrogen: 0,
  drawdown: 0,
})

/**
 * Nutrients dressings give up at a temperature (C), mg per litre of blend by the day; doses already averaged.
 * Source: as `releaseCurve`.
 *
 * @example
 * supplyOfDressings([{ dressing: dressingById('blood_meal'), gramsPerLitre: 2 }], 20)(28).charge.nitrogen
 * // 155.4
 */
export function supplyOfDressings(doses: readonly DressingDose[], temperature: Temperature): Supply {
  const course = temperatureCourse(temperature)
  const each = doses.map(({ dressing, gramsPerLitre, place }) => ({
    from: place?.kind === 'heldBack' ? place.from : 0,
    curve: releaseCurve(dressing.release),
    forms: dressing.nitrogenForms,
    holds: ELEMENTS.filter((e) => dressing.analysis[e]).map(
      (e) => [e, gramsPerLitre * mgPerGram(dressing, e)] as const,
    ),
    nitrogen: gramsPerLitre * mgPerGram(dressing, 'nitrogen'),
  }))
  return (day) => {
    const sum = nothing()
    for (const d of each) {
      const share = shareReleased(d.curve, course, d.from, day)
      for (const [e, mg] of d.holds) sum.charge[e] += mg * share
      if (!d.forms) continue
      sum.nitrogen.nitrate += d.nitrogen * share * d.forms.nitrate
      sum.nitrogen.ammonium += d.nitrogen * share * d.forms.ammonium
      sum.otherNitrogen += d.nitrogen * share * (d.forms.urea + d.forms.organic)
    }
    return sum
  }
}

/**
 * Nutrients the parts themselves give up, and the nitrogen they take, at a temperature (C), mg per litre of blend by
 * the day.
 *
 *   N(t)    = N_season (1 - exp(-k t)) / (1 - exp(-140 k)),  k = 0.015 /day        where a part gives
 *   draw(t) = |N_season| (1 - exp(-k t)),                    k = 0.05 /day         where it takes
 * t in days at 20 C, Q10 2.
 *
 * Source: first-season figures of the tables (Handreck 1992; Gale et al. 2006; Hartz et al. 2000, as named there);
 * the rates are our assumption: half of a draw within a fortnight, most of a gift spread over the season.
 */
export function supplyOfParts(blend: Blend, temperature: Temperature): Supply {
  const kept = 1 - blend.blendingLoss
  const course = temperatureCourse(temperature)
  const atOnce = nothing()
  const later = noCharge()
  let given = 0
  let taken = 0
  for (const { material, share } of blend.shares) {
    const p = material.properties
    const perLitre = (share / kept) * p.dryBulkDensity.value * 1e6
    const reach = availability(material.family)
    for (const e of ['phosphorus', 'potassium', 'calcium', 'magnesium'] as const) {
      atOnce.charge[e] += perLitre * p[e].value * reach.atOnce[e]
      later[e] += perLitre * p[e].value * reach.later[e]
    }
    atOnce.charge.sulfur += (share / kept) * sulfurAtStart(material)
    const mineral = perLitre * p.nitrogen.value * (MINERAL_NITROGEN[material.family] ?? 0)
    atOnce.nitrogen.nitrate += mineral
    atOnce.charge.nitrogen += mineral
    const own = (share / kept) * (p.nitrogenFirstSeason?.value ?? 0)
    if (own > 0) given += own
    else taken -= own
  }
  return (day) => {
    const warmDays = course.worth(2, 20, 0, day)
    const gives = (1 - Math.exp(-MINERALISES * warmDays)) / (1 - Math.exp(-MINERALISES * TABLE_SEASON))
    const season = Math.min(1, gives)
    const charge = { ...atOnce.charge }
    for (const e of ['phosphorus', 'potassium', 'calcium', 'magnesium'] as const)
      charge[e] += later[e] * season
    charge.nitrogen += given * gives
    charge.sulfur += given * gives * SULFUR_WITH_NITROGEN
    return {
      charge,
      nitrogen: { ...atOnce.nitrogen },
      otherNitrogen: given * gives,
      drawdown: taken * (1 - Math.exp(-IMMOBILISES * warmDays)),
    }
  }
}

/**
 * Calcium and magnesium that limes have given up by a day, and the potash of ash, which dissolves at once; mg per litre
 * of mix, temperature in C.
 * Source: first-order dissolving, as `releaseCurve`; the share of a season is our assumption.
 *
 * @example
 * supplyOfLimes([{ lime: limeById('lime_dolomitic'), gramsPerLitre: 3 }], 20)(1000).magnesium // 241.5
 */
export function supplyOfLimes(
  limes: readonly LimeDose[],
  temperature: Temperature,
): (day: Days) => Record<'calcium' | 'magnesium' | 'potassium', number> {
  const course = temperatureCourse(temperature)
  return (day) => {
    const sum = { calcium: 0, magnesium: 0, potassium: 0 }
    for (const { lime, gramsPerLitre, from } of limes) {
      const curve = { most: LIME_DISSOLVED, rate: lime.ratePerDay.value, q10: lime.q10, reference: 20 }
      const mg = 1000 * gramsPerLitre * shareReleased(curve, course, from ?? 0, day)
      sum.calcium += mg * lime.calcium
      sum.magnesium += mg * lime.magnesium
      if (day >= (from ?? 0)) sum.potassium += 1000 * gramsPerLitre * (lime.potassium ?? 0) * ASH_POTASH
    }
    return sum
  }
}

/**
 * Parts and dressings together.
 * mg per litre of mix, by weeks; doses in g/L of 0 and up; temperature in C.
 */
export function supplyOf(blend: Blend, doses: readonly DressingDose[], temperature: Temperature): Supply {
  const parts = supplyOfParts(blend, temperature)
  const dressings = supplyOfDressings(doses, temperature)
  return (day) => {
    const a = parts(day)
    const b = dressings(day)
    for (const e of ELEMENTS) a.charge[e] += b.charge[e]
    a.nitrogen.nitrate += b.nitrogen.nitrate
    a.nitrogen.ammonium += b.nitrogen.ammonium
    a.otherNitrogen += b.otherNitrogen
    return a
  }
}
