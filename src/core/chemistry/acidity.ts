import type { Dressing } from '../data/types'
import type { Days } from '../units'
import { CHEMISTRY_LIMITS } from './limits'
import { alkalinityPerGram, MMOLC_PER_GRAM_CACO3, type BufferedMix, type LimeDose } from './lime'
import { q10Factor, releaseCurve, releasedBy } from './release'

/** Charge of acid one gram of elemental sulfur makes once oxidised, mmol: 2000 / 32.06 (S to H2SO4; IUPAC masses). */
export const MMOLC_PER_GRAM_SULFUR = 2000 / 32.06

/** pH below which carbonate dissolves at its full rate; from here to its ceiling it slows in proportion. */
export const FULL_RATE_PH = CHEMISTRY_LIMITS.fullRatePH.value

/** pH above which water's bicarbonate begins to be laid down as lime again, and where it stops raising pH. */
export const WATER_CEILING = {
  from: CHEMISTRY_LIMITS.waterFrom.value,
  to: CHEMISTRY_LIMITS.waterTo.value,
} as const

/**
 * Anything given by weight that makes acid (or, negative, base) as it works: sulfur, iron sulfate, most fertilizers.
 */
export interface AcidDose {
  dressing: Dressing
  gramsPerLitre: number
  /** Day it is put on; the first where left out. */
  from?: Days
}

export interface AcidityInput {
  limes?: readonly LimeDose[]
  acids?: readonly AcidDose[]
  /**
   * Alkalinity brought by watering, mmol of charge per litre of mix and day: meq/L times litres of water per litre of
   * mix.
   */
  waterAlkalinity?: number
  /** Mean temperature of the mix, C. */
  temperature?: number
}

export interface AcidityState {
  day: Days
  pH: number
  /** Alkalinity of lime reacted so far, mmol of charge per litre. */
  reacted: number
  /** Alkalinity still lying as undissolved lime, mmol of charge per litre. */
  residual: number
  /** Acid made so far by sulfur, sulfates and fertilizer, mmol of charge per litre; negative where they made base. */
  acid: number
  /** Alkalinity of water that has worked so far, mmol of charge per litre. */
  fromWater: number
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

/**
 * pH of a mix over time: lime dissolving, sulfur oxidising, fertilizer and water working on one buffer.
 *
 *   dU_i/dt = -k_i Q_i^((T-20)/10) U_i g_i(pH),   g = 1 below 5.4, falling straight to 0 at the lime's ceiling
 *   pH      = pH_0 + (sum reacted - acid + water) / b
 *
 * | symbol | meaning                                                  | unit            |
 * | U      | undissolved alkalinity of one lime                       | mmol_c/L        |
 * | k, Q   | rate at 20 C, Q10                                        | 1/day, 1        |
 * | acid   | sum of dose x equivalent acidity x `releasedFraction`     | mmol_c/L        |
 * | water  | alkalinity brought by water, none of it above pH 8.2      | mmol_c/L        |
 * | b      | buffer capacity of the mix                               | mmol_c/L per pH |
 *
 * Unreacted carbonate stays as residual and answers later acid; with plenty of it pH levels off at the ceiling, about
 * 7.4. Soluble bases (hydrated lime) have no ceiling and can overshoot. States on day 0, every `every` days and the
 * last day. Steps of half a day, each pool exactly within a step. Range: pH 3.5 to 7.5, 5 to 35 C, up to three years.
 * Leaves out: plants' own acid beyond Pierre's convention, salts, gas.
 * Source: rate idea after Huang, Fisher & Argo 2007, HortScience 42:1268-1273; equivalents Pierre 1933; the slow-down
 * is our assumption, its 5.4 and the rates of lime set so that 28 g per US gallon of peat and 5 g/L of peat both land
 * at pH 5.8-6.6 (common practice).
 * Errors: none; the caller has checked doses and days.
 *
 * @example
 * acidityCourse({ pH: 5, bufferCapacity: 10 }, { waterAlkalinity: 0.4 }, 14).map((s) => s.pH)
 * // [5, 5.28, 5.56]
 */
export function acidityCourse(
  mix: BufferedMix,
  input: AcidityInput,
  days: Days,
  every: Days = 7,
): AcidityState[] {
  const temperature = input.temperature ?? 20
  const pools = (input.limes ?? []).map(({ lime, gramsPerLitre }) => ({
    left: gramsPerLitre * alkalinityPerGram(lime),
    rate: lime.ratePerDay.value * q10Factor(lime.q10, temperature, 20),
    ceiling: lime.ceiling,
  }))
  const acids = (input.acids ?? [])
    .map((a) => ({
      curve: releaseCurve(a.dressing.release, temperature),
      total: a.gramsPerLitre * acidPerGram(a.dressing),
      from: a.from ?? 0,
    }))
    .filter((a) => a.total !== 0)
  const acidBy = (day: Days) => acids.reduce((sum, a) => sum + a.total * releasedBy(a.curve, day - a.from), 0)
  const water = input.waterAlkalinity ?? 0
  const steps = Math.max(1, Math.ceil(days * 2))
  const dt = days / steps
  let reacted = 0
  let fromWater = 0
  let acid = 0
  const state = (day: Days): AcidityState => ({
    day,
    pH: mix.pH + (reacted - acid + fromWater) / mix.bufferCapacity,
    reacted,
    residual: pools.reduce((sum, p) => sum + p.left, 0),
    acid,
    fromWater,
  })
  const course = [state(0)]
  let next = every
  for (let i = 1; i <= steps; i++) {
    const pH = mix.pH + (reacted - acid + fromWater) / mix.bufferCapacity
    for (const pool of pools) {
      const ease =
        pool.ceiling === null
          ? 1
          : Math.min(1, Math.max(0, (pool.ceiling - pH) / (pool.ceiling - FULL_RATE_PH)))
      const dissolved = pool.left * (1 - Math.exp(-pool.rate * ease * dt))
      pool.left -= dissolved
      reacted += dissolved
    }
    if (water > 0) {
      const works = (WATER_CEILING.to - pH) / (WATER_CEILING.to - WATER_CEILING.from)
      fromWater += water * dt * Math.min(1, Math.max(0, works))
    }
    if (acids.length > 0) acid = acidBy(i * dt)
    if (i === steps) course.push(state(days))
    else if (i * dt >= next - 1e-9) {
      course.push(state(i * dt))
      next += every
    }
  }
  return course
}

/**
 * Where a mix stands on a day: the last state of `acidityCourse`.
 * Errors and source: as `acidityCourse`.
 *
 * @example
 * acidityOn({ pH: 5, bufferCapacity: 10 }, { waterAlkalinity: 0.4 }, 14).fromWater // 5.6
 */
export const acidityOn = (mix: BufferedMix, input: AcidityInput, day: Days): AcidityState =>
  acidityCourse(mix, input, day, Infinity).at(-1)!
