import type { Days } from '../units'
import { calciteEquilibrium, chargeBalance, pHWhere } from './charge'
import { CHEMISTRY_LIMITS as L } from './limits'
import {
  acidOf,
  gone,
  grown,
  LIFE_Q10,
  nitrifierLag,
  ramp,
  workingDressing,
  type AcidDose,
  type LifePace,
} from './fertilizerAcid'
import { alkalinityPerGram, type BufferedMix, type LimeDose } from './lime'
import { temperatureCourse, type Temperature } from './temperature'

export interface AcidityInput {
  limes?: readonly LimeDose[]
  acids?: readonly AcidDose[]
  /**
   * Alkalinity brought by watering, mmol of charge per litre of mix and day: meq/L times litres of water per litre of
   * mix.
   */
  waterAlkalinity?: number
  /** Of the mix; 20 C where left out. */
  temperature?: Temperature
}

export interface AcidityState {
  day: Days
  pH: number
  /** Alkalinity of lime reacted so far, mmol of charge per litre. */
  reacted: number
  /** Alkalinity still lying as undissolved lime, that laid down again included, mmol of charge per litre. */
  residual: number
  /** Acid made so far by sulfur, sulfates and fertilizer, mmol of charge per litre; negative where they made base. */
  acid: number
  /** Alkalinity brought by water so far, mmol of charge per litre. */
  fromWater: number
  /** Alkalinity laid down again as calcite, mmol of charge per litre; part of `residual`. */
  laidDown: number
  /** Base from each lime and acid from each dressing, in the order given, mmol of charge per litre. */
  byLime: number[]
  byAcid: number[]
}

/** Steps, days: as long as pH moves by about `move` in one. */
const STEP = { shortest: 0.02, longest: 3, growth: 1.6, move: 0.05 } as const

/** How far each thing gets in one step, before the pH at its end is known. */
interface Pace extends LifePace {
  dt: Days
  /** Exponents of dissolving limes at full rate; of the laid-down calcite last. */
  limes: number[]
  /** Share of each dressing given up in this step; for sulfur its exponent at full rate. */
  released: (number | null)[]
}

/**
 * pH of a mix over time, by a balance of charge: lime dissolving, sulfur oxidising, nitrogen nitrified and taken up,
 * fertilizer and water, against the buffer of the mix and of its water (`chargeBalance`).
 *
 *   F(pH) = sum reacted - laid down - acid + water
 *   dU/dt = -k Q^((T-20)/10) U g(pH)^3,         g = 1 below 5.4, falling straight to 0 where calcite is in equilibrium
 *   laid down: of the charge above that equilibrium, half in five days; it dissolves again when pH falls
 *   ammonium: -(kn G(t) n(pH) + ku G(t) u(pH)) NH4, n = 0 at pH 4 to 1 at 6.5, u = 0 at 3.5 to 1 at 5, Q10 of both 2
 *   G(t)  = t^4 / (t^4 + lag^4), t in days at 20 C: nitrifiers and roots have to grow first
 *
 * | symbol | meaning                                                     | unit     |
 * | U      | undissolved alkalinity of one lime                          | mmol_c/L |
 * | k, Q   | its rate at 20 C, Q10                                       | 1/day, 1 |
 * | kn, ku | nitrification; uptake by roots                              | 1/day    |
 *
 * Sulfur slows below pH 4 and stops at 2.8; acid of iron and aluminium stays dissolved from 4 down to 3, base of
 * phosphates as it is from 7.2 up to 8.2. Soluble bases
 * (hydrated lime, ash) react at once and are laid down as calcite. In the long run a fertilizer makes Pierre's
 * equivalent. Steps of half an hour to three days, as fast as pH moves, each ended at the pH it leads to, so that no
 * ceiling is passed.
 * States on day 0, every `every` days and the last day. Range: 0 to 35 C, up to three years. Leaves out: salts, leached
 * ammonium and nitrate, slow supply of carbon dioxide in the first days of hydrated lime.
 * Source: rate idea after Huang, Fisher & Argo 2007, HortScience 42:1268-1273; equivalents Pierre 1933; the slow-down
 * and the rates of lime are set on common practice (`docs/method/acidity.md`).
 * Errors: none; the caller has checked doses and days.
 *
 * @example
 * acidityCourse({ pH: 5, bufferCapacity: 10 }, { waterAlkalinity: 0.4 }, 14).map((s) => s.pH)
 * // [5, 5.28, 5.559]
 */
export function acidityCourse(
  mix: BufferedMix,
  input: AcidityInput,
  days: Days,
  every: Days = 7,
): AcidityState[] {
  const balance = chargeBalance(mix)
  const temperature = temperatureCourse(input.temperature ?? 20)
  const equilibrium = calciteEquilibrium()
  const top = Math.max(equilibrium, mix.pH)
  const atTop = balance.at(top)
  const limes = (input.limes ?? []).map(({ lime, gramsPerLitre, from = 0 }) => ({
    left: gramsPerLitre * alkalinityPerGram(lime),
    rate: lime.ratePerDay.value,
    q10: lime.q10,
    soluble: lime.soluble,
    from,
  }))
  const working = (input.acids ?? []).map(workingDressing)
  const perDay = input.waterAlkalinity ?? 0
  const lag = nitrifierLag(mix.liveShare ?? 0)
  const byLime = limes.map(() => 0)
  const byAcid = working.map(() => 0)
  let fromWater = 0
  let laidDown = 0
  /** Charge above the equilibrium at the last step's end. */
  let overBefore = 0
  let acid = 0
  let reacted = 0
  let pH = mix.pH

  function paceOf(from: Days, to: Days): Pace {
    /** Days of warmth in this step, from the day on which something was given. */
    const worth = (q10: number, reference: number, since = from) =>
      temperature.worth(q10, reference, Math.min(to, Math.max(from, since)), to)
    const life = worth(LIFE_Q10, 20)
    const warmDays = temperature.worth(LIFE_Q10, 20, 0, (from + to) / 2)
    return {
      before: pH,
      dt: to - from,
      limes: [...limes.map((l) => l.rate * worth(l.q10, 20, l.from)), L.fineCalcite.value * (to - from)],
      released: working.map((w) => {
        if (!w) return null
        const exponent = w.rate * worth(w.q10, w.reference, w.from)
        return w.oxidises ? exponent : w.left * gone(exponent)
      }),
      nitrify: L.nitrifies.value * life * grown(warmDays, lag),
      takeUp: L.takenUp.value * life * grown(warmDays, L.rootsLag.value),
    }
  }

  /** Base less acid of a step that ends at a pH, mmol of charge per litre; `keep` takes the step. */
  function changeAt(at: number, pace: Pace, keep: boolean): number {
    const ease = ramp(at, equilibrium, L.fullRatePH.value) ** 3
    const baseEase = ramp(at, L.solubleNone.value, L.solubleFull.value)
    let change = perDay * pace.dt
    if (keep) fromWater += change
    for (let i = 0; i < limes.length; i++) {
      const lime = limes[i]!
      const dissolved = lime.left * gone(pace.limes[i]! * (lime.soluble ? baseEase : ease))
      change += dissolved
      if (!keep) continue
      lime.left -= dissolved
      byLime[i]! += dissolved
      reacted += dissolved
    }
    const again = laidDown * gone(pace.limes[limes.length]! * ease)
    const over = at > top ? balance.at(at) - atTop : 0
    const laid = (((overBefore + over) / 2) * Math.LN2 * pace.dt) / L.laidDown.value
    change += again - laid
    if (keep) {
      laidDown += laid - again
      overBefore = over
    }
    for (const [i, one] of working.entries()) {
      if (!one) continue
      const made = acidOf(one, pace.released[i]!, pace, at, keep)
      change -= made
      if (!keep) continue
      byAcid[i]! += made
      acid += made
    }
    return change
  }

  const state = (day: Days): AcidityState => ({
    day,
    pH,
    reacted,
    residual: limes.reduce((sum, l) => sum + l.left, laidDown),
    acid,
    fromWater,
    laidDown,
    byLime: [...byLime],
    byAcid: [...byAcid],
  })
  const starts = [...limes, ...working].flatMap((one) => (one ? [one.from] : []))
  const course = [state(0)]
  let charge = 0
  /** pH units a day in the last step: where to look first for the next. */
  let drift = 0
  let day = 0
  let dt: Days = STEP.shortest
  let next = Math.min(every, days)
  /** A step that moves the pH further is taken again, shorter. */
  const far = 3 * STEP.move
  while (day < days) {
    const to = Math.min(day + dt, next, ...starts.filter((start) => start > day))
    const pace = paceOf(day, to)
    const lack = (at: number) => balance.at(at) - charge - changeAt(at, pace, false)
    const guess = pH + Math.min(far, Math.max(-far, drift * pace.dt))
    const reached = pHWhere(lack, balance.slope(pH), guess)
    const moved = Math.abs(reached - pH)
    if (moved > far && pace.dt > STEP.shortest + 1e-9) {
      dt = Math.max(STEP.shortest, pace.dt / 4)
      continue
    }
    drift = (reached - pH) / pace.dt
    pH = reached
    charge += changeAt(pH, pace, true)
    day = to
    const wanted = STEP.move / Math.max(Math.abs(drift), 1e-9)
    dt = Math.min(STEP.longest, STEP.growth * Math.max(dt, STEP.shortest), Math.max(STEP.shortest, wanted))
    if (day < next) continue
    course.push(state(day))
    next = Math.min(next + every, days)
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
