import type { Days } from '../units'
import { calciteEquilibrium, chargeBalance, pHWhere } from './charge'
import { CHEMISTRY_LIMITS as L } from './limits'
import {
  acidStep,
  gone,
  grown,
  LIFE_Q10,
  nitrifierLag,
  ramp,
  takeStep,
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
  return new AcidityRun(mix, input).course(days, every)
}

/** A lime as far as it has not dissolved yet. */
interface Dissolving {
  left: number
  rate: number
  q10: number
  soluble: boolean
  from: Days
}

/** A step that moves the pH further is taken again, shorter. */
const FAR = 3 * STEP.move

/** One mix followed through time: what has happened so far, and how the next step is found. */
class AcidityRun {
  private readonly balance
  private readonly temperature
  private readonly equilibrium = calciteEquilibrium()
  private readonly top: number
  private readonly atTop: number
  private readonly limes: Dissolving[]
  private readonly working
  private readonly perDay: number
  private readonly lag: Days
  private readonly byLime: number[]
  private readonly byAcid: number[]
  private fromWater = 0
  private laidDown = 0
  /** Charge above the equilibrium at the last step's end. */
  private overBefore = 0
  private acid = 0
  private reacted = 0
  private charge = 0
  private pH: number

  constructor(mix: BufferedMix, input: AcidityInput) {
    this.balance = chargeBalance(mix)
    this.temperature = temperatureCourse(input.temperature ?? 20)
    this.top = Math.max(this.equilibrium, mix.pH)
    this.atTop = this.balance.at(this.top)
    this.limes = (input.limes ?? []).map(({ lime, gramsPerLitre, from = 0 }) => ({
      left: gramsPerLitre * alkalinityPerGram(lime),
      rate: lime.ratePerDay.value,
      q10: lime.q10,
      soluble: lime.soluble,
      from,
    }))
    this.working = (input.acids ?? []).map(workingDressing)
    this.perDay = input.waterAlkalinity ?? 0
    this.lag = nitrifierLag(mix.liveShare ?? 0)
    this.byLime = this.limes.map(() => 0)
    this.byAcid = this.working.map(() => 0)
    this.pH = mix.pH
  }

  course(days: Days, every: Days): AcidityState[] {
    const starts = [...this.limes, ...this.working].flatMap((one) => (one ? [one.from] : []))
    const states = [this.state(0)]
    /** pH units a day in the last step: where to look first for the next. */
    let drift = 0
    let day = 0
    let dt: Days = STEP.shortest
    let next = Math.min(every, days)
    while (day < days) {
      const to = Math.min(day + dt, next, ...starts.filter((start) => start > day))
      const pace = this.paceOf(day, to)
      const reached = this.reached(pace, drift)
      if (Math.abs(reached - this.pH) > FAR && pace.dt > STEP.shortest + 1e-9) {
        dt = Math.max(STEP.shortest, pace.dt / 4)
        continue
      }
      drift = (reached - this.pH) / pace.dt
      this.pH = reached
      this.charge += this.step(reached, pace)
      day = to
      const wanted = STEP.move / Math.max(Math.abs(drift), 1e-9)
      dt = Math.min(STEP.longest, STEP.growth * Math.max(dt, STEP.shortest), Math.max(STEP.shortest, wanted))
      if (day < next) continue
      states.push(this.state(day))
      next = Math.min(next + every, days)
    }
    return states
  }

  /** The pH at which the charge of a step comes out even. */
  private reached(pace: Pace, drift: number): number {
    const lack = (at: number) => this.balance.at(at) - this.charge - this.changeAt(at, pace)
    const guess = this.pH + Math.min(FAR, Math.max(-FAR, drift * pace.dt))
    return pHWhere(lack, this.balance.slope(this.pH), guess)
  }

  private paceOf(from: Days, to: Days): Pace {
    const { temperature } = this
    /** Days of warmth in this step, from the day on which something was given. */
    const worth = (q10: number, reference: number, since = from) =>
      temperature.worth(q10, reference, Math.min(to, Math.max(from, since)), to)
    const life = worth(LIFE_Q10, 20)
    const warmDays = temperature.worth(LIFE_Q10, 20, 0, (from + to) / 2)
    return {
      before: this.pH,
      dt: to - from,
      limes: [...this.limes.map((l) => l.rate * worth(l.q10, 20, l.from)), L.fineCalcite.value * (to - from)],
      released: this.working.map((w) => {
        if (!w) return null
        const exponent = w.rate * worth(w.q10, w.reference, w.from)
        return w.oxidises ? exponent : w.left * gone(exponent)
      }),
      nitrify: L.nitrifies.value * life * grown(warmDays, this.lag),
      takeUp: L.takenUp.value * life * grown(warmDays, L.rootsLag.value),
    }
  }

  /** Dissolved of one lime in a step, by how fast undissolved carbonate and soluble bases go at its end. */
  private dissolved(i: number, pace: Pace, ease: number, baseEase: number): number {
    const lime = this.limes[i]!
    return lime.left * gone(pace.limes[i]! * (lime.soluble ? baseEase : ease))
  }
  /** How far undissolved carbonate is from its equilibrium, 1 at full rate. */
  private easeAt(at: number): number {
    return ramp(at, this.equilibrium, L.fullRatePH.value) ** 3
  }
  /** Charge above the equilibrium at a pH, mmol per litre. */
  private overAt(at: number): number {
    return at > this.top ? this.balance.at(at) - this.atTop : 0
  }
  /** Calcite laid down less what dissolved of it again in a step, mmol of charge per litre. */
  private laidIn(pace: Pace, ease: number, over: number): number {
    const laid = (((this.overBefore + over) / 2) * Math.LN2 * pace.dt) / L.laidDown.value
    return laid - this.laidDown * gone(pace.limes[this.limes.length]! * ease)
  }

  /** Base less acid of a step that ends at a pH, mmol of charge per litre. */
  private changeAt(at: number, pace: Pace): number {
    const { limes, working } = this
    const ease = this.easeAt(at)
    const baseEase = ramp(at, L.solubleNone.value, L.solubleFull.value)
    let change = this.perDay * pace.dt - this.laidIn(pace, ease, this.overAt(at))
    for (let i = 0; i < limes.length; i++) change += this.dissolved(i, pace, ease, baseEase)
    for (let i = 0; i < working.length; i++) {
      const one = working[i]
      if (one) change -= acidStep(one, pace.released[i]!, pace, at)
    }
    return change
  }

  /** Takes a step that ends at a pH. Answers with base less acid of it, as `changeAt` does. */
  private step(at: number, pace: Pace): number {
    const change = this.changeAt(at, pace)
    const ease = this.easeAt(at)
    const baseEase = ramp(at, L.solubleNone.value, L.solubleFull.value)
    const over = this.overAt(at)
    this.fromWater += this.perDay * pace.dt
    this.laidDown += this.laidIn(pace, ease, over)
    this.overBefore = over
    for (const [i, lime] of this.limes.entries()) {
      const dissolved = this.dissolved(i, pace, ease, baseEase)
      lime.left -= dissolved
      this.byLime[i]! += dissolved
      this.reacted += dissolved
    }
    for (const [i, one] of this.working.entries()) {
      if (!one) continue
      const made = acidStep(one, pace.released[i]!, pace, at)
      takeStep(one)
      this.byAcid[i]! += made
      this.acid += made
    }
    return change
  }

  private state(day: Days): AcidityState {
    return {
      day,
      pH: this.pH,
      reacted: this.reacted,
      residual: this.limes.reduce((sum, l) => sum + l.left, this.laidDown),
      acid: this.acid,
      fromWater: this.fromWater,
      laidDown: this.laidDown,
      byLime: [...this.byLime],
      byAcid: [...this.byAcid],
    }
  }
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
