import type { Dressing } from '../data/types'
import { ATOMIC_MASS } from './stoichiometry'
import type { Days, Fraction } from '../units'
import { CHEMISTRY_LIMITS as L } from './limits'
import { MMOLC_PER_GRAM_CACO3 } from './lime'
import { releaseCurve } from './release'

/** Charge of acid one gram of elemental sulfur makes once oxidised, mmol: 2000 / 32.06 (S to H2SO4; IUPAC masses). */
export const MMOLC_PER_GRAM_SULFUR = 2000 / 32.06

/**
 * Anything given by weight that makes acid (or, negative, base) as it works: sulfur, iron sulfate, most fertilizers.
 */
export interface AcidDose {
  dressing: Dressing
  gramsPerLitre: number
  /** Day it is put on; the first where left out. */
  from?: Days
}

/**
 * Acid one gram of a dressing makes in the end, mmol of charge (Pierre's equivalents; sulfur 62.4). Limes make none
 * here.
 *
 * @example
 * acidPerGram(dressingById('sulfur_elemental')) // 59.35
 */
export const acidPerGram = (dressing: Dressing): number =>
  dressing.lime ? 0 : (dressing.acidity?.value ?? 0) * MMOLC_PER_GRAM_CACO3

/** 0 at `none` and 1 at `full`, straight between; either may be the higher. */
export const ramp = (pH: number, none: number, full: number): Fraction =>
  Math.min(1, Math.max(0, (pH - none) / (full - none)))

/** Exponents up to this go by the fraction. */
const SHORT_OF_HALF = 0.5

/**
 * Share gone after a first-order stretch: 1 - exp(-x). Short of a half by a fraction that is right to 1e-4 and costs a
 * tenth of the power. Source: series of x / (1 - exp(-x)).
 */
export const gone = (x: number): Fraction =>
  x < SHORT_OF_HALF ? x / (1 + x / 2 + (x * x) / 12) : -Math.expm1(-x)

/** How much of what has to grow first is there: half of it after its lag, days at 20 C. Source: our assumption. */
export const grown = (warmDays: Days, lag: Days): Fraction => {
  const square = (warmDays / lag) * (warmDays / lag)
  const fourth = square * square
  return fourth / (1 + fourth)
}

/** Warmth doubles what lives: nitrifiers and roots. Source: van ’t Hoff’s rule, Q10 of 2. */
export const LIFE_Q10 = 2

/**
 * Charge of nitrogen on its way, mmol of acid per mmol: what ammonifies, nitrifies and is taken up as ammonium or
 * nitrate. Together they make Pierre's half a mmol for urea and meal, one and a half for ammonium, and take half a
 * mmol for nitrate, by whichever way it goes. Source: charge balance; Pierre 1933 for the half that roots give back.
 */
export const NITROGEN_ACID = { ammonified: -1, nitrified: 2, ammoniumTaken: 1.5, nitrateTaken: -0.5 } as const

/**
 * Days at 20 C until half the nitrifiers of a mix are there, by the share of its parts that bring them.
 * Range: 3 with a tenth of compost, manure or soil, 14 with none. Source: beside the limits.
 *
 * @example
 * nitrifierLag(0.05) // 8.5
 */
export const nitrifierLag = (liveShare: Fraction): Days =>
  L.lagFresh.value + (L.lagLive.value - L.lagFresh.value) * Math.min(1, liveShare / L.liveShare.value)

/** One dressing at work, mmol per litre. */
export interface WorkingDressing {
  /** Not given up yet: its share of 1. */
  left: Fraction
  rate: number
  q10: number
  reference: number
  from: Days
  oxidises: boolean
  /** Nitrogen as ammonium, as urea and organic, and as nitrate. */
  ammoniumGiven: number
  slowNitrogen: number
  nitrateGiven: number
  /** Acid besides nitrogen's. */
  other: number
  /** Acid besides nitrogen's (base where negative): given up so far, and of it at work. */
  freed: number
  worked: number
  /** Nitrogen not yet nitrified, and not yet taken up. */
  ammonium: number
  nitrate: number
  /** The same after the step tried last. */
  after: AcidState
}

export function workingDressing({ dressing, gramsPerLitre, from = 0 }: AcidDose): WorkingDressing | null {
  const total = gramsPerLitre * acidPerGram(dressing)
  const curve = releaseCurve(dressing.release)
  if (total === 0 || curve.most === 0) return null
  const held = (gramsPerLitre * curve.most * 1000 * (dressing.analysis.nitrogen?.value ?? 0)) / ATOMIC_MASS.N!
  const forms = dressing.nitrogenForms ?? { nitrate: 1, ammonium: 0, urea: 0, organic: 0 }
  const ammoniumGiven = held * forms.ammonium
  const slowNitrogen = held * (forms.urea + forms.organic)
  const { ammonified, nitrified, nitrateTaken } = NITROGEN_ACID
  const byNitrogen =
    (ammoniumGiven + slowNitrogen) * nitrified + slowNitrogen * ammonified + held * nitrateTaken
  return {
    left: 1,
    ...curve,
    from,
    oxidises: dressing.release.kind === 'oxidation',
    ammoniumGiven,
    slowNitrogen,
    nitrateGiven: held * forms.nitrate,
    other: total * curve.most - byNitrogen,
    freed: 0,
    worked: 0,
    ammonium: 0,
    nitrate: 0,
    after: { left: 1, freed: 0, worked: 0, ammonium: 0, nitrate: 0 },
  }
}

/** pH at which half of the ammoniacal nitrogen is ammonium. Source: Emerson et al. 1975, at 20 C. */
const PKA_AMMONIUM = 9.4
/** Share of what ammonifies that takes up acid; the rest stays ammonia, which is no base to the mix. */
const asAmmonium = (pH: number) => 1 / (1 + 10 ** (pH - PKA_AMMONIUM))

/** What changes of a dressing as it works. */
interface AcidState {
  left: number
  freed: number
  worked: number
  ammonium: number
  nitrate: number
}

/** Exponents of nitrification and of uptake in one step, at their full rates, and the pH it begins at. */
export interface LifePace {
  before: number
  nitrify: number
  takeUp: number
}

/**
 * Acid that one dressing makes in a step that ends at a pH, mmol of charge per litre. What is left of it after the step
 * is in `w.after`, made once and written over: the step may be tried many times.
 */
export function acidStep(w: WorkingDressing, released: number, pace: LifePace, at: number): number {
  const { after } = w
  if (w.oxidises) {
    const made = w.left * gone(released * ramp(at, L.sulfurNone.value, L.sulfurFull.value))
    after.left = w.left - made
    return made * w.other
  }
  const freed = w.freed + w.other * released
  // Both ways: what hydrolysed dissolves again when it gets more acid.
  const share =
    freed > 0
      ? ramp(at, L.saltAcidNone.value, L.saltAcidFull.value)
      : ramp(at, L.saltBaseNone.value, L.saltBaseFull.value)
  const worked = freed * share
  const slow = w.slowNitrogen * released
  const ammonium = w.ammonium + w.ammoniumGiven * released + slow
  const nitrate = w.nitrate + w.nitrateGiven * released
  // What lives goes by the middle of the step: by its end alone, a plunge would come minutes late.
  const middle = (pace.before + at) / 2
  const nitrify = pace.nitrify * ramp(middle, L.nitrifyNone.value, L.nitrifyFull.value)
  const takeUp = pace.takeUp * ramp(middle, L.rootsNone.value, L.rootsFull.value)
  const both = nitrify + takeUp
  const perRate = both > 0 ? (ammonium * gone(both)) / both : 0
  const nitrateTaken = nitrate * gone(takeUp)
  after.left = w.left - released
  after.freed = freed
  after.worked = worked
  after.ammonium = ammonium - perRate * both
  after.nitrate = nitrate - nitrateTaken + perRate * nitrify
  return (
    worked -
    w.worked +
    (slow === 0 ? 0 : slow * NITROGEN_ACID.ammonified * asAmmonium(at)) +
    perRate * (nitrify * NITROGEN_ACID.nitrified + takeUp * NITROGEN_ACID.ammoniumTaken) +
    nitrateTaken * NITROGEN_ACID.nitrateTaken
  )
}

/** Takes the step that was tried last. */
export const takeStep = (w: WorkingDressing): void => void Object.assign(w, w.after)
